import {
  isAbout,
  litresIn,
  parseAmount,
  parseNumber,
  parseTime,
  reckoned,
  settledNumber,
  timeAsked,
  timedIn,
  toSi,
  unitNamed,
  UNITS,
  withFigures,
  type NamedMeasure,
  type Purpose,
  type UnitSystem,
} from '../units/index.ts';
import { FRUITS } from './words.ts';

/** What a text says of how much. */
export interface SaidAmounts {
  readonly kilograms?: number;
  readonly litres?: number;
  /** the measure that water was counted in, by its place among those that were given */
  readonly measure?: number;
  readonly count?: number;
  readonly percent?: number;
  /** the amounts as they stood there */
  readonly asEntered?: string;
  readonly rest: string;
}

export const NUMBER = String.raw`(?:\d+ \d+\/\d+|\d+\/\d+|\d{1,3}(?:,\d{3})+(?:\.\d+)?|\d*[.,]?\d+[¼½¾⅓⅔⅛⅜⅝⅞]?|[¼½¾⅓⅔⅛⅜⅝⅞])`;
const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** Two parts of one amount: "1 lb 4 oz", "1 lb and 4 oz". */
const JOINED = /^[\s,+&]*(?:and\s*)?$/;
/** What is said of two bags in one line would be taken for the sum, of each. */
export const TWO = { problem: 'Two amounts: say them one after another, each with its bag.' };

const RANGE_BEFORE = /\d ?(?:-|–|to) ?$/;
const RANGE = { problem: 'Between two figures: say one, as “about 450 g”.' };

/** "1lb4oz" as two parts, and "1 lb 4" as what it is short for. */
const apart = (text: string) =>
  reckoned(text)
    // of what kind the fruit is says nothing of how many
    .replace(
      /(\d|dozen) (?:cherry|beefsteak|baby|bell) (?=(?:tom|pepper|cucumber|aubergine|eggplant))/gu,
      '$1 ',
    )
    .replace(/(\d ?(?:lbs?|kg|ft|st))(?=\d)/gu, '$1 ')
    .replace(/(\d ?lbs?) (\d{1,2})(?= (?:from|off|of|at)\b| *$)/gu, '$1 $2 oz');

/**
 * Reads amounts: weights, volumes, so many of the grower's own measures, so many fruits. "1 lb 4 oz" is one weight; two that stand
 * apart are refused.
 *
 * @param text in small letters
 */
export function readAmounts(
  text: string,
  measures: readonly NamedMeasure[],
  system: UnitSystem,
): SaidAmounts | { readonly problem: string } {
  let rest = withFigures(apart(text));
  const said: { -readonly [K in keyof SaidAmounts]?: SaidAmounts[K] } = {};
  const words: string[] = [];
  const names = measures.flatMap(({ name, kind }, i) =>
    [name.toLowerCase(), kind].map((word) => ({ word, i })),
  );
  const longest = [...names].sort((a, b) => b.word.length - a.word.length);
  const pattern = new RegExp(
    `(?<![\\p{L}\\d.,/])(${NUMBER}) ?(%|(?:us |imperial )?fl\\.? ?oz|(?:us |imperial )?[\\p{L}]+\\.?|${longest.map(({ word }) => `${escaped(word)}s?`).join('|') || '%'})`,
    'gu',
  );
  const measured = new RegExp(
    `(?<![\\p{L}\\d.,/])(${NUMBER}) ?(?:of )?(${longest.map(({ word }) => escaped(word)).join('|') || '(?!)'})s?(?![\\p{L}])`,
    'u',
  );
  const own = measured.exec(rest);
  if (own) {
    const at = longest.find(({ word }) => word === own[2])?.i ?? 0;
    const number = numberOf(own[1] ?? '', system);
    if (typeof number !== 'number') return number;
    said.litres = number * (measures[at]?.litres ?? 0);
    said.measure = at;
    words.push(`${aboutBefore(rest, own.index)}${own[0].trim()}`);
    rest = cut(rest, own.index, own[0].length);
    // "1 can each, 4 half a can" is of others
    const again = measured.exec(rest);
    if (again && !JOINED.test(rest.slice(own.index, again.index))) return TWO;
  }
  const whole = rest;
  /** where an amount of each quantity stands */
  const units = new Set<string>();
  const stands = new Map<string, readonly [from: number, to: number]>(
    own ? [['volume', [own.index, own.index + 1]]] : [],
  );
  const isApart = (quantity: string, from: number, to: number): boolean => {
    const [start, end] = stands.get(quantity) ?? [];
    if (start === undefined || end === undefined) return false;
    return quantity === 'count' || !JOINED.test(whole.slice(Math.min(to, end), Math.max(from, start)));
  };
  for (const match of [...whole.matchAll(pattern)]) {
    const [amount, figures = '', word = ''] = match;
    const number = numberOf(figures, system);
    if (word === '%') {
      if (typeof number === 'number') said.percent = number;
      rest = rest.replace(amount, ' ');
      continue;
    }
    const unit = unitNamed(word, system);
    const quantity = unit && UNITS[unit].quantity;
    if (!FRUITS.test(word) && quantity !== 'mass' && quantity !== 'volume') continue;
    if (typeof number !== 'number') return number;
    const of = FRUITS.test(word) ? 'count' : (quantity ?? '');
    const [from, to] = [match.index, match.index + amount.length];
    if (RANGE_BEFORE.test(whole.slice(0, from))) return RANGE;
    // "450 g and 300 g" is no one weight, as "1 lb and 4 oz" is
    if (isApart(of, from, to) || (unit && units.has(unit))) return TWO;
    if (unit) units.add(unit);
    const [start = from, end = to] = stands.get(of) ?? [];
    stands.set(of, [Math.min(from, start), Math.max(to, end)]);
    if (FRUITS.test(word)) said.count = Math.round(number);
    else if (unit && quantity === 'mass') said.kilograms = (said.kilograms ?? 0) + toSi(number, unit);
    else if (unit) said.litres = (said.litres ?? 0) + toSi(number, unit);
    words.push(`${aboutBefore(whole, match.index)}${amount.trim()}`);
    rest = rest.replace(amount, ' ');
  }
  return { ...said, rest, ...(words.length > 0 ? { asEntered: words.join(' + ').slice(0, 60) } : {}) };
}

/** A text without its amounts, whatever they are of. */
export function withoutAmounts(text: string, measures: readonly NamedMeasure[], system: UnitSystem): string {
  const own = measures.flatMap(({ name, kind }) => [name.toLowerCase(), kind as string]);
  const isUnit = (word: string) =>
    FRUITS.test(word) || own.includes(word.replace(/s$/, '')) || unitNamed(word, system) !== undefined;
  return text
    .toLowerCase()
    .replace(new RegExp(`(?<![\\p{L}\\d.,/])${NUMBER} ?(\\p{L}+)`, 'gu'), (all, word: string) =>
      isUnit(word) ? ' ' : all,
    );
}

/** Water that ran for a while: "20 minutes of yard hose", "40 s". */
export interface SaidTime {
  readonly litres: number;
  /** the hose or dripper, by its place among the measures that were given */
  readonly measure: number;
  readonly asEntered: string;
  /** whether it was said which; otherwise it is the only one */
  readonly isNamed: boolean;
  readonly rest: string;
}

const TIME = String.raw`${NUMBER} ?(?:s|secs?|seconds?|mins?|minutes?|h|hrs?|hours?)(?![\p{L}])\.?`;

/**
 * Reads for how long water ran, from a hose or dripper that is named or is the only one.
 *
 * @param text in small letters
 * @returns undefined where nothing is said of it
 */
export function readTime(
  text: string,
  measures: readonly NamedMeasure[],
): SaidTime | { readonly problem: string } | undefined {
  const timed = timedIn(measures);
  const figures = withFigures(text);
  const names = timed.flatMap((measure) => [
    { word: measure.name.toLowerCase(), measure },
    { word: measure.kind as string, measure },
  ]);
  const longest = names.sort((a, b) => b.word.length - a.word.length);
  const called = longest.map(({ word }) => escaped(word)).join('|') || '(?!)';
  const pattern = new RegExp(
    `(?<![\\p{L}\\d.,/])(${TIME}(?:[\\s,]*(?:and )?${TIME})*)(?: (?:of|with|from|by|on))?(?: (?:the|my|a|1))?(?: (${called})(?![\\p{L}]))?`,
    'u',
  );
  const found = pattern.exec(figures);
  const time = found && parseTime(found[1] ?? '');
  if (!found || !time) return undefined;
  // the hose may be named anywhere in the line
  const alone = new RegExp(`(?<![\\p{L}])(${called})(?![\\p{L}])`, 'u');
  const rest = cut(figures, found.index, found[0].length);
  const elsewhere = found[2] === undefined ? alone.exec(rest) : null;
  const name = found[2] ?? elsewhere?.[1];
  const measure = name === undefined ? timed[0] : longest.find(({ word }) => word === name)?.measure;
  const litres = measure && litresIn(time.seconds, measure);
  if (!measure || litres === undefined || (name === undefined && timed.length > 1))
    return { problem: timeAsked(measures) };
  return {
    litres,
    measure: measures.indexOf(measure),
    asEntered: found[0].trim(),
    isNamed: name !== undefined,
    rest: elsewhere ? cut(rest, elsewhere.index, elsewhere[0].length) : rest,
  };
}

/** "about ", where it was said of the amount behind it. */
const aboutBefore = (text: string, index: number) => (isAbout(text.slice(0, index)) ? 'about ' : '');

const cut = (text: string, from: number, length: number) =>
  `${text.slice(0, from)} ${text.slice(from + length)}`;

/** Figures as a number, or what is to be asked about them. */
export function numberOf(text: string, system: UnitSystem): number | { readonly problem: string } {
  const read = parseNumber(text);
  const number = read && settledNumber(read, system);
  return (
    number ?? { problem: `Is ${text} a thousand and more, or a part of one? Write it without the comma.` }
  );
}

/**
 * An amount as it stands in a line, in SI; NaN where it does not read.
 *
 * @param text undefined: nothing was said
 */
export function amountIn(text: string | undefined, purpose: Purpose, system: UnitSystem): number | undefined {
  if (text === undefined) return undefined;
  const plain = text
    .replace(/[−–]/g, '-')
    .replace(/[”″]/g, '"')
    .replace(/[°º]|\bdeg(?:rees?)?\b/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  const read = parseAmount(plain, purpose, system);
  return read.ok ? read.amount.siValue : NaN;
}
