import {
  parseAmount,
  parseMeasured,
  show,
  type AmountResult,
  type NamedMeasure,
  type Purpose,
  type UnitSystem,
} from '@rundel/core/units';
import * as z from '@rundel/core/schema';

const REASONS: Record<Exclude<AmountResult, { ok: true }>['reason'], string> = {
  empty: 'Please give a number.',
  'not-a-number': 'This does not read as a number. Try "38", "10 gal" or "13½ in".',
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

/** A form field that holds text and gives the inner value. */
export function amountField(rule: AmountRule) {
  return z.string().transform((text, context): number | undefined => {
    const read = readAmount(text, rule);
    if (read.kind === 'given') return read.siValue;
    if (read.kind === 'refused') context.addIssue({ code: 'custom', message: read.problem });
    return undefined;
  });
}
