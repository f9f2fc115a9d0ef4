import type { UnitSystem } from './systems.ts';

/** A number as it was typed, and whatever stood behind it. */
export interface TypedNumber {
  readonly value: number;
  readonly rest: string;
  /** "1,000" is a thousand to some and one to others: `value` is the one, this the thousand */
  readonly grouped?: number;
}

const FRACTIONS: Readonly<Record<string, number>> = {
  '¼': 0.25,
  '½': 0.5,
  '¾': 0.75,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '⅛': 0.125,
  '⅜': 0.375,
  '⅝': 0.625,
  '⅞': 0.875,
};

const COUNTED: Readonly<Record<string, string>> = {
  half: '½',
  quarter: '¼',
  one: '1',
  two: '2',
  three: '3',
  four: '4',
  five: '5',
  six: '6',
  seven: '7',
  eight: '8',
  nine: '9',
  ten: '10',
  eleven: '11',
  twelve: '12',
  fifteen: '15',
  twenty: '20',
  thirty: '30',
  forty: '40',
  couple: '2',
  dozen: '12',
};

const PARTS = 'half|quarter';
const WHOLES = Object.keys(COUNTED)
  .filter((word) => !PARTS.includes(word))
  .join('|');
const WORD_BEGINS = String.raw`(?<![\p{L}\d.,/-])`;
const WORD_ENDS = String.raw`(?![\p{L}-])`;
const inWords = (pattern: string) => new RegExp(WORD_BEGINS + pattern, 'giu');
/** "two and a half cans", "2 and a half" */
const WHOLE_AND_PART = inWords(`(${WHOLES}|\\d+) and an? (${PARTS})${WORD_ENDS}`);
/** "a pound and a half", "two hours and a quarter" */
const ONE_AND_PART = inWords(`(an?|${WHOLES}|\\d+) (\\p{L}+) and an? (${PARTS})${WORD_ENDS}`);
/** "half a can", "a quarter of a can"; not behind a count: "5 quarters" is left as it is */
const PART = inWords(`(?:an? )?(${PARTS})(?: of)?(?: an?)? (?=\\S)`);
/** "three quarters of a pound" */
const QUARTERS = inWords(`(two|three|2|3) quarters(?: of)?(?: an?)? (?=\\S)`);
/** "2 dozen", "half a dozen", "a couple of dozen" */
const DOZENS = inWords(
  `(?:an? )?(half an?|couple(?: of)?|${WHOLES}|\\d+½?|½) dozen${WORD_ENDS}(?: of(?: an?)? (?=\\S))?`,
);
/** "two cans", "a dozen" */
const WHOLE = inWords(`(?:an? )?(${WHOLES})${WORD_ENDS}(?: of(?: an?)? (?=\\S))?`);
/** "a can", but not "a few" */
const ONE_OF = inWords(String.raw`an? (?!few|lot|little|bit)(?=\p{L})`);

/** "about 2 kg": it is no less a number for it. */
const ABOUT_WORDS = String.raw`(?:(?:about|around|roughly|approx(?:imately)?\.?|circa|ca\.?|c\.|nearly|almost|maybe|perhaps|just (?:under|over))\s+|[~≈]\s*)`;
const ABOUT = new RegExp(String.raw`^${ABOUT_WORDS}(?=\S)`, 'iu');
const ENDS_WITH_ABOUT = new RegExp(String.raw`(?:^|[\s,;])${ABOUT_WORDS}$`, 'iu');

/** Whether what stands before an amount says that it is not exact. */
export const isAbout = (before: string): boolean => ENDS_WITH_ABOUT.test(before);

/** What was typed without a word that says that it is not exact. */
export const withoutAbout = (text: string): string => text.trim().replace(ABOUT, '');

/** What begins in words, or has a part behind it that does; behind a plain figure "one" may be part of a name. */
const SAID = /^(?:\p{L}|\d+ (?:\p{L}+ )?and an? |[23] quarters |\d*½? ?dozen(?!\p{L}))/iu;

/** sign, then "1 1/2" or "1/2" or "13.5" or "13½", then the rest */
const NUMBER =
  /^(?<sign>[-+]?)\s*(?:(?:(?<whole>\d+)\s+)?(?<top>\d+)\s*\/\s*(?<bottom>\d+)|(?<decimal>\d*(?:[.,]\d+)?)\s*(?<glyph>[¼½¾⅓⅔⅛⅜⅝⅞])?)\s*(?<rest>.*)$/u;

/** Thousands set apart, where no other reading is left: "12,345.6", "1.234.567", "1.234,5", "12 500" */
const GROUPED =
  /^(?<sign>[-+]?)(?<number>\d{1,3}(?:(?:,\d{3})+\.\d+|(?:,\d{3}){2,}|(?:\.\d{3})+,\d+|(?:\.\d{3}){2,}|(?:[ \u00A0\u202F]\d{3})+(?:[.,]\d+)?))(?![\d.,/])\s*(?<rest>.*)$/u;
/** The one that has two readings; with a nought before the comma it is a part of one. */
const ONE_GROUP = /^[-+]?[1-9]\d{0,2},\d{3}(?![\d.,/])/;

/**
 * Reads a number as people write it, at the beginning of a text: "1,5", "1/2", "½", "3 1/2", "13½ in", "half a can", "two and a half", "about
 * 2".
 *
 * @returns undefined where the text does not begin with a number
 * @example
 * parseNumber('3 1/2 gal')
 * // => { value: 3.5, rest: 'gal' }
 * @example
 * parseNumber('1,5')
 * // => { value: 1.5, rest: '' }
 * @example
 * parseNumber('1,000 g')
 * // => { grouped: 1000, value: 1, rest: 'g' }
 * @example
 * parseNumber('12,345.6')
 * // => { value: 12345.6, rest: '' }
 * @example
 * parseNumber('about 2 kg')
 * // => { value: 2, rest: 'kg' }
 * @example
 * parseNumber('half a can')
 * // => { value: 0.5, rest: 'can' }
 * @example
 * parseNumber('two and a half cans')
 * // => { value: 2.5, rest: 'cans' }
 */
export function parseNumber(text: string): TypedNumber | undefined {
  const exact = withoutAbout(text);
  const typed = SAID.test(exact) ? withFigures(exact) : exact;
  const apart = GROUPED.exec(typed)?.groups;
  if (apart)
    return { value: groupedValue(apart['sign'] ?? '', apart['number'] ?? ''), rest: apart['rest'] ?? '' };
  const match = NUMBER.exec(typed)?.groups;
  if (!match) return undefined;
  const { sign, whole, top, bottom, decimal, glyph, rest = '' } = match;
  const by = sign === '-' ? -1 : 1;
  if (top !== undefined && bottom !== undefined) {
    const value = by * (Number(whole ?? 0) + Number(top) / Number(bottom));
    return Number.isFinite(value) ? { value, rest } : undefined;
  }
  const hasDecimal = decimal !== undefined && decimal !== '';
  if (!hasDecimal && glyph === undefined) return undefined;
  const number = hasDecimal ? Number(decimal.replace(',', '.')) : 0;
  const isUnclear = glyph === undefined && ONE_GROUP.test(typed);
  const other = isUnclear ? { grouped: by * Number((decimal ?? '').replace(',', '')) } : {};
  return { ...other, value: by * (number + (glyph === undefined ? 0 : (FRACTIONS[glyph] ?? 0))), rest };
}

/**
 * Numbers that are said in words, in figures. A part alone is a part of nothing, and "a" counts one of what follows.
 *
 * @example
 * withFigures('two and a half cans on 7')
 * // => '2½ cans on 7'
 * @example
 * withFigures('a pound and a half')
 * // => '1½ pound'
 * @example
 * withFigures('2 dozen from 7')
 * // => '24 from 7'
 */
export function withFigures(text: string): string {
  const figure = (word: string) => (/^an?$/i.test(word) ? '1' : (COUNTED[word.toLowerCase()] ?? word));
  const many = (word: string) => Number(figure(word).replace('½', '')) + (word.includes('½') ? 0.5 : 0);
  return text
    .replace(
      DOZENS,
      (_, count: string) => `${12 * (/^half/i.test(count) ? 0.5 : many(count.replace(/ of$/i, '')))} `,
    )
    .replace(WHOLE_AND_PART, (_, whole: string, part: string) => figure(whole) + figure(part))
    .replace(
      ONE_AND_PART,
      (_, whole: string, unit: string, part: string) => `${figure(whole)}${figure(part)} ${unit}`,
    )
    .replace(QUARTERS, (_, count: string) => (figure(count) === '3' ? '¾ ' : '½ '))
    .replace(PART, (_, part: string) => `${figure(part)} `)
    .replace(WHOLE, (_, word: string) => `${figure(word)} `)
    .replace(ONE_OF, '1 ')
    .replaceAll(/ {2,}/g, ' ')
    .trimEnd();
}

/** The value of a number whose thousands are set apart: the last sign is the decimal one, unless it stands more than once. */
function groupedValue(sign: string, number: string): number {
  const signs = number.replace(/[\d \u00A0\u202F]/g, '');
  const decimal = /[ \u00A0\u202F]/.test(number) || new Set(signs).size === 2 ? signs.at(-1) : undefined;
  const [whole = '', part] = decimal === undefined ? [number] : number.split(decimal);
  const value = Number(`${whole.replace(/\D/g, '')}${part === undefined ? '' : `.${part}`}`);
  return sign === '-' ? -value : value;
}

/**
 * The number that was meant: where thousands are set apart by commas (with US and UK units) "1,000" is a thousand; elsewhere it has
 * to be asked.
 *
 * @returns undefined where it has to be asked
 * @example
 * settledNumber({ value: 1, rest: '', grouped: 1000 }, 'us')
 * // => 1000
 */
export function settledNumber(read: TypedNumber, system: UnitSystem | undefined): number | undefined {
  if (read.grouped === undefined) return read.value;
  return system === 'us' || system === 'uk' ? read.grouped : undefined;
}
