import {
  parseAmount,
  parseMeasured,
  parseNumber,
  show,
  trimmed,
  type AmountResult,
  type NamedMeasure,
  type Purpose,
  type UnitSystem,
} from '@rundel/core/units';
import { parseDose } from '@rundel/core/products';
import type { FeedAmount, FeedUnit } from '@rundel/core/records';

const REASONS: Record<Exclude<AmountResult, { ok: true }>['reason'], string> = {
  empty: 'Please give a number.',
  'not-a-number': 'This does not read as a number. Write it as "38", "1,5", "3 1/2" or "13½ in".',
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

export type ReadAmount =
  | { readonly kind: 'given'; readonly siValue: number; readonly text: string }
  | { readonly kind: 'left-out' }
  | { readonly kind: 'refused'; readonly problem: string };

/** Reads what was typed by a rule; what is wrong is said in a sentence for beside the field. */
export function readAmount(text: string, rule: AmountRule): ReadAmount {
  const measured = rule.measures && parseMeasured(text, rule.measures);
  const read =
    measured === undefined
      ? parseAmount(text, rule.purpose, rule.system)
      : ({ ok: true, amount: { siValue: measured, text: text.trim() } } as const);
  if (!read.ok) {
    if (read.reason === 'empty' && rule.isOptional) return { kind: 'left-out' };
    return { kind: 'refused', problem: REASONS[read.reason] };
  }
  const { siValue } = read.amount;
  const words = (value: number) => show(value, rule.purpose, rule.system);
  if (siValue < rule.low - 1e-9 || siValue > rule.high + 1e-9) {
    const problem =
      siValue <= 0 && rule.low > 0
        ? 'It must be more than nothing.'
        : `${words(siValue)} cannot be right here: it must be from ${words(rule.low)} to ${words(rule.high)}.`;
    return { kind: 'refused', problem };
  }
  return { kind: 'given', siValue, text: read.amount.text };
}

/** What may be typed into a field for a plain number. */
export interface NumberRule {
  readonly low: number;
  readonly high: number;
  readonly isWhole?: boolean;
  readonly isOptional?: boolean;
  /** what may stand behind it and means nothing more: "%", "£" */
  readonly sign?: string;
}

/** Reads a number as people type it ("1,5", "½", "3 1/2", "20 %"); what is wrong is said in a sentence. */
export function readNumber(text: string, rule: NumberRule): ReadAmount {
  const bare = rule.sign ? text.replace(rule.sign, '').trim() : text.trim();
  if (bare === '')
    return rule.isOptional ? { kind: 'left-out' } : { kind: 'refused', problem: REASONS.empty };
  const read = parseNumber(bare);
  if (!read || read.rest.trim() !== '') return { kind: 'refused', problem: REASONS['not-a-number'] };
  const { low, high, isWhole } = rule;
  if (isWhole && !Number.isInteger(read.value))
    return { kind: 'refused', problem: 'A whole number, please.' };
  return read.value >= low - 1e-9 && read.value <= high + 1e-9
    ? { kind: 'given', siValue: read.value, text: text.trim() }
    : { kind: 'refused', problem: `From ${trimmed(low, 3)} to ${trimmed(high, 3)}, please.` };
}

/** Reads how much of a product was typed, in any unit of a dose; what is wrong is said in a sentence. */
export function readDose(
  text: string,
  unit: FeedUnit,
  system: UnitSystem,
): { readonly ok: true; readonly value: FeedAmount } | { readonly ok: false; readonly problem: string } {
  const read = parseDose(text, unit, system);
  if (!read.ok) return { ok: false, problem: REASONS[read.reason] };
  return read.value.amount > 0 && read.value.amount <= 100_000
    ? read
    : { ok: false, problem: 'It must be more than nothing.' };
}
