import {
  fromSi,
  parseAmount,
  parseMeasured,
  parseTime,
  timeAsked,
  parseNumber,
  settledNumber,
  show,
  toSi,
  trimmed,
  type NamedMeasure,
  type NotRead,
  type Purpose,
  type UnitSystem,
} from '@rundel/core/units';
import { parseDose } from '@rundel/core/products';
import type { FeedAmount, FeedUnit } from '@rundel/core/records';

const REASONS: Record<NotRead, string> = {
  empty: 'Please give a number.',
  'not-a-number': 'This does not read as a number. Write it as "38", "1,5", "3 1/2" or "13½ in".',
  'two-readings':
    'Is that a thousand and more, or a part of one? Write it without the comma, as 1000, or with a point, as 1.0.',
  'unknown-unit': 'I do not know this unit.',
  'wrong-quantity': 'This unit measures something else.',
};

/** What may be typed into an amount field. */
export interface AmountRule {
  readonly purpose: Purpose;
  readonly system: UnitSystem;
  /** inner units (L, mm, kg, °C), both ends included */
  readonly low: number;
  readonly high: number;
  readonly isOptional?: boolean;
  /** the grower's own measures, in which an amount of water may be counted */
  readonly measures?: readonly NamedMeasure[];
}

/** What reading a field came to: its value, or what is wrong in a sentence for beside the field. */
export type Read<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly problem: string };

/** An amount that was typed: in inner units, and as it stood in the field. */
export interface Typed {
  readonly siValue: number;
  readonly text: string;
}

/** A rule by which something has to be typed. */
export type Needed<Rule> = Rule & { readonly isOptional?: false };

export const refused = (problem: string) => ({ ok: false, problem }) as const;

/** Reads what was typed by a rule; what may be left out and is has the value undefined. */
export function readAmount(text: string, rule: Needed<AmountRule>): Read<Typed>;
export function readAmount(text: string, rule: AmountRule): Read<Typed | undefined>;
export function readAmount(text: string, rule: AmountRule): Read<Typed | undefined> {
  const several = SEVERAL.exec(text);
  if (several) {
    const [, count = '', each = ''] = several;
    const { isOptional: _, ...needed } = rule;
    // the bounds hold for all of it together, and for one in so far as it is no more
    const one = readAmount(each, { ...needed, low: 0 });
    if (!one.ok) return one;
    const siValue = Number(count) * one.value.siValue;
    return within({ siValue, text: text.trim() }, rule);
  }
  const measured = rule.measures && parseMeasured(text, rule.measures);
  if (rule.measures && measured === undefined && parseTime(text)?.rest === '')
    return refused(timeAsked(rule.measures));
  const read =
    measured === undefined
      ? parseAmount(text, rule.purpose, rule.system)
      : ({ ok: true, amount: { siValue: measured, text: text.trim() } } as const);
  if (!read.ok) {
    if (read.reason === 'empty' && rule.isOptional) return { ok: true, value: undefined };
    return refused(REASONS[read.reason]);
  }
  return within({ siValue: read.amount.siValue, text: read.amount.text }, rule);
}

/** "3 x 20 L": so many of so much. */
const SEVERAL = /^\s*([1-9]\d{0,2})\s*[x×*]\s*(.+)$/iu;

/** An amount inside its bounds, or why it cannot be right. */
function within({ siValue, text }: Typed, rule: AmountRule): Read<Typed> {
  const words = (value: number) => show(value, rule.purpose, rule.system);
  if (siValue < rule.low - 1e-9 || siValue > rule.high + 1e-9) {
    return refused(
      siValue <= 0 && rule.low > 0
        ? 'It must be more than nothing.'
        : `${words(siValue)} cannot be right here: it must be from ${words(rule.low)} to ${words(rule.high)}.`,
    );
  }
  return { ok: true, value: { siValue, text } };
}

/** What may be typed into a field for a plain number. */
export interface NumberRule {
  readonly low: number;
  readonly high: number;
  readonly isWhole?: boolean;
  readonly isOptional?: boolean;
  /** settles whether "1,000" is one or a thousand; left out: it is asked */
  readonly system?: UnitSystem;
  /** what may stand behind it and means nothing more: "%", "£" */
  readonly sign?: string;
  /** what is said of a number that cannot be, where the field has words of its own for it */
  readonly problem?: string;
}

/** Reads a number as people type it ("1,5", "½", "3 1/2", "20 %"); what is wrong is said in a sentence. */
export function readNumber(text: string, rule: Needed<NumberRule>): Read<number>;
export function readNumber(text: string, rule: NumberRule): Read<number | undefined>;
export function readNumber(text: string, rule: NumberRule): Read<number | undefined> {
  const bare = rule.sign ? text.replace(rule.sign, '').trim() : text.trim();
  if (bare === '') return rule.isOptional ? { ok: true, value: undefined } : refused(REASONS.empty);
  const read = parseNumber(bare);
  if (!read || read.rest.trim() !== '') return refused(REASONS['not-a-number']);
  const value = settledNumber(read, rule.system);
  if (value === undefined) return refused(REASONS['two-readings']);
  const { low, high, isWhole } = rule;
  if (isWhole && !Number.isInteger(value)) return refused(rule.problem ?? 'A whole number, please.');
  return value >= low - 1e-9 && value <= high + 1e-9
    ? { ok: true, value }
    : refused(rule.problem ?? `From ${figure(low)} to ${figure(high)}, please.`);
}

/** A bound as it can be typed again: short, and never rounded to another number. */
const figure = (value: number) => (Number(trimmed(value, 3)) === value ? trimmed(value, 3) : String(value));

/** Reads how much of a product was typed, in any unit of a dose; what is wrong is said in a sentence. */
export function readDose(text: string, unit: FeedUnit, system: UnitSystem): Read<FeedAmount> {
  const read = parseDose(text, unit, system);
  if (!read.ok) return refused(REASONS[read.reason]);
  return read.value.amount > 0 && read.value.amount <= 100_000
    ? read
    : refused('It must be more than nothing.');
}

/** A hundredth of the money, as it is written behind an amount. */
const HUNDREDTH = /(?<=[\d¼½¾])\s*(?:p|pence|c|¢|ct|cts|cents?)\.?$/iu;
const SIGNS = /\p{Sc}|^[\p{L}.]+(?=\s*\d)|(?<=[\d¼½¾])\s*\p{L}+$/gu;

/** Reads a price, with a sign of money before or behind it or none: "£6,90", "6.90", "28p". Empty: left out. */
export function readPrice(text: string, system?: UnitSystem): Read<number | undefined> {
  const typed = text.trim();
  const isHundredth = HUNDREDTH.test(typed);
  const read = readNumber(isHundredth ? typed.replace(HUNDREDTH, '') : typed.replace(SIGNS, ''), {
    low: 0,
    high: 100_000,
    isOptional: true,
    ...(system ? { system } : {}),
    problem: 'A price is a number from 0 up, as 6.90.',
  });
  return read.ok && read.value !== undefined && isHundredth ? { ok: true, value: read.value / 100 } : read;
}

/** Weights of a crop between which it is reckoned to lie, no finer than that is known: two figures of each end, as they are shown. */
export function roughWeights(
  { low, high }: { readonly low: number; readonly high: number },
  unitFormat: {
    readonly system: UnitSystem;
    range(low: number, high: number, purpose: Purpose): string;
  },
): string {
  const unit = unitFormat.system === 'metric' ? 'kilogram' : 'pound';
  const rough = (kilograms: number) =>
    kilograms <= 0 ? 0 : toSi(Number(fromSi(kilograms, unit).toPrecision(2)), unit);
  return unitFormat.range(rough(low), rough(high), 'crop');
}
