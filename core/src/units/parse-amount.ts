import { MEASURE_UNIT, type MeasureKind } from './measures.ts';
import { parseNumber, settledNumber, withoutAbout } from './parse-number.ts';
import { parseTime } from './parse-time.ts';
import { reckoned } from './reckoned.ts';
import { fieldUnit, quantityOf, type Purpose, type UnitSystem } from './systems.ts';
import { toSi, UNITS, type UnitName } from './units.ts';

/** What was typed, read: the inner value, and number, unit and text as entered so that nothing is lost. */
export interface Amount {
  readonly siValue: number;
  readonly value: number;
  readonly unit: UnitName;
  readonly text: string;
}

/** Why what was typed is no amount; `two-readings`: "1,000" may be one or a thousand. */
export type NotRead = 'empty' | 'not-a-number' | 'two-readings' | 'unknown-unit' | 'wrong-quantity';

export type AmountResult =
  | { readonly ok: true; readonly amount: Amount }
  | { readonly ok: false; readonly reason: NotRead };

/**
 * Reads an amount as people type it: "38", "38 L", "10 gal", "1 1/2 in", "13½″", "0,45 kg", "5 ft 6 in", "1 lb 4 oz".
 * A bare number takes the unit of the field in the grower's system. "gal" and "pt" mean the US measure except
 * for a grower who works in UK units, to whom they are imperial.
 *
 * @example
 * parseAmount('13½ in', 'size', 'metric')
 * // => { ok: true, amount: { siValue: 342.9, value: 13.5, unit: 'inch', text: '13½ in' } }
 */
export function parseAmount(text: string, purpose: Purpose, system: UnitSystem): AmountResult {
  const entered = text.trim().replace(/^minus (?=\d)/i, '-');
  // of a length it may be how wide and how long
  const isSum = ['mass', 'volume'].includes(quantityOf(purpose));
  const typed = isSum ? reckoned(entered) : entered;
  if (typed === '') return { ok: false, reason: 'empty' };
  const twoParts = inTwoParts(typed, purpose, system);
  if (twoParts) return twoParts;
  const read = parseNumber(typed);
  if (!read) return { ok: false, reason: 'not-a-number' };
  const number = settledNumber(read, system);
  if (number === undefined) return { ok: false, reason: 'two-readings' };
  const word = read.rest.trim();
  // "18 degrees" are those of the field
  const isBare = word === '' || (purpose === 'temperature' && /^(?:°|º|deg(?:rees?)?)$/i.test(word));
  const unit = isBare ? fieldUnit(system, purpose) : unitNamed(word, system);
  if (unit === undefined) return { ok: false, reason: 'unknown-unit' };
  if (UNITS[unit].quantity !== quantityOf(purpose)) return { ok: false, reason: 'wrong-quantity' };
  return { ok: true, amount: { siValue: toSi(number, unit), value: number, unit, text: entered } };
}

/** A grower's own measure, as far as reading goes. */
export interface NamedMeasure {
  readonly kind: MeasureKind;
  readonly name: string;
  /** in one of it: a fill, a second of hose, a minute of dripper, a handful */
  readonly litres: number;
}

/**
 * What comes out of a hose or a dripper in a length of time.
 *
 * @returns litres, or undefined for a measure that is not counted in time
 * @example
 * litresIn(120, { kind: 'hose', litres: 0.25 })
 * // => 30
 */
export function litresIn(
  seconds: number,
  { kind, litres }: Pick<NamedMeasure, 'kind' | 'litres'>,
): number | undefined {
  if (!isTimed({ kind })) return undefined;
  return (MEASURE_UNIT[kind] === 'second' ? seconds : seconds / 60) * litres;
}

const isTimed = ({ kind }: Pick<NamedMeasure, 'kind'>) => ['second', 'minute'].includes(MEASURE_UNIT[kind]);

/** The hoses and drippers among measures, which alone count in time. */
export const timedIn = <M extends NamedMeasure>(measures: readonly M[]): readonly M[] =>
  measures.filter(isTimed);

/** Why a length of time alone is no amount of water: which of several ran, or how much comes out of it, is not known. */
export function timeAsked(measures: readonly NamedMeasure[]): string {
  const timed = timedIn(measures);
  return timed.length > 1
    ? `Which of them ran: ${timed.map(({ name }) => name).join(' or ')}?`
    : 'How much runs in that time? Time your hose or dripper once, in My measures on the bench, or say how much it was.';
}

/**
 * Reads an amount counted in one of the grower's own measures: "½ green can", "2 green cans", "24 s of yard hose",
 * "10 min dripper", "2 minutes of yard hose". "can", "bottle" and so on alone mean the first measure of that kind, and a
 * length of time alone the only hose or dripper that there is.
 *
 * @returns litres, or undefined when no measure is named
 * @example
 * parseMeasured('1½ green cans', [{ kind: 'can', name: 'green can', litres: 9 }])
 * // => 13.5
 */
export function parseMeasured(text: string, measures: readonly NamedMeasure[]): number | undefined {
  const time = parseTime(text);
  const read = time ?? parseNumber(reckoned(text));
  if (!read) return undefined;
  const named = read.rest
    .toLowerCase()
    .replace(time ? '' : /^fills?\b\s*/, '')
    .replace(/^of\s+/, '')
    .trim();
  const timed = timedIn(measures);
  if (named === '')
    return time && timed[0] && timed.length === 1 ? litresIn(time.seconds, timed[0]) : undefined;
  const isCalled = (name: string) => named === name || named === `${name}s`;
  const measure =
    measures.find((m) => isCalled(m.name.toLowerCase())) ?? measures.find((m) => isCalled(m.kind));
  if (!measure) return undefined;
  return 'seconds' in read ? litresIn(read.seconds, measure) : read.value * measure.litres;
}

/** Units that are said with a smaller one behind them: "5 ft 6", "1 lb 4 oz", "1 kg 250 g", "1 m 20". */
const SMALLER: Readonly<Partial<Record<UnitName, UnitName>>> = {
  foot: 'inch',
  pound: 'ounce',
  kilogram: 'gram',
  metre: 'centimetre',
};

/** An amount in a unit and a smaller one; undefined where it is none. */
function inTwoParts(text: string, purpose: Purpose, system: UnitSystem): AmountResult | undefined {
  const match = /^(\d+(?:[.,]\d+)?)\s*([a-z]+\.?|'|′)\s*(?:,|and)?\s*(\d.*)$/i.exec(withoutAbout(text));
  const unit = match && unitNamed(/^['′]$/.test(match[2] ?? '') ? 'ft' : (match[2] ?? ''), system);
  const smaller = unit && SMALLER[unit];
  if (!match || !unit || !smaller) return undefined;
  const tail = match[3] ?? '';
  const rest = parseAmount(
    /[a-z"″]/i.test(tail) ? tail : `${tail} ${UNITS[smaller].symbol}`,
    purpose,
    system,
  );
  if (!rest.ok) return rest;
  const siValue = toSi(Number((match[1] ?? '').replace(',', '.')), unit) + rest.amount.siValue;
  return { ok: true, amount: { siValue, value: siValue / UNITS[unit].factor, unit, text } };
}

/** What stands for another measure with a grower who works in UK units. */
const IN_UK: Readonly<Partial<Record<UnitName, UnitName>>> = {
  usGallon: 'imperialGallon',
  usQuart: 'imperialQuart',
  usPint: 'imperialPint',
  usFluidOunce: 'imperialFluidOunce',
};

/**
 * The unit that a word stands for, in any case and number: "gal", "quart", "pt" and "fl oz" are imperial to a grower who works
 * in UK units, unless the word says US.
 *
 * @example
 * unitNamed('US pints', 'uk')
 * // => 'usPint'
 */
export function unitNamed(word: string, system: UnitSystem): UnitName | undefined {
  const wanted = word
    .toLowerCase()
    .replace(/\bu\.s\.?/, 'us')
    .replace(/\s+/g, ' ')
    .replace(/\.$/, '');
  const names = Object.keys(UNITS) as UnitName[];
  const called = (text: string) =>
    names.find((name) => {
      const { symbol, spellings } = UNITS[name] as { symbol: string; spellings: readonly string[] };
      return symbol.toLowerCase() === text || spellings.includes(text);
    });
  const found = called(wanted) ?? called(wanted.replace(/s$/, ''));
  if (found === undefined || system !== 'uk' || wanted.startsWith('us ')) return found;
  return IN_UK[found] ?? found;
}
