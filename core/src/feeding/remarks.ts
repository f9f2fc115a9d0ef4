import { daysBetween } from '../calendar/index.ts';
import { PAST_DAYS } from './due.ts';
import { isGivenInWater, type Product, type RegimeStep } from '../records/index.ts';

/** What is wrong with a regime, or worth a word, while it is being edited. */
export type RegimeRemark =
  | { readonly kind: 'never-fires'; readonly stepId: string; readonly why: 'ends-before' | 'no-product' }
  | { readonly kind: 'daily'; readonly stepId: string }
  /** it cannot go into water, or cannot go over leaves */
  | { readonly kind: 'not-in-water'; readonly stepId: string }
  | { readonly kind: 'inside-label'; readonly stepId: string; readonly labelDays: number };

/** The order in which things happen to a plant: a step that stops at or before what starts it never fires. */
const ORDER = ['planting', 'flowers', 'set', 'picking'];

/** Checks a regime over: steps that can never fire, that fire every day, or more often than a label allows. */
export function regimeRemarks(
  steps: readonly RegimeStep[],
  labelOf: (productId: string) => Product['feed'],
): readonly RegimeRemark[] {
  return steps.flatMap((step): RegimeRemark[] => {
    const label = labelOf(step.productId);
    if (!label) return [{ kind: 'never-fires', stepId: step.id, why: 'no-product' }];
    const remarks: RegimeRemark[] = [];
    const { start, until, every } = step;
    const isBackwards =
      until !== undefined &&
      (until.on === start.on
        ? until.on === 'weeks' && start.on === 'weeks'
          ? until.weeks <= start.weeks
          : until.on === 'date' && start.on === 'date'
            ? isShortlyBefore(until.monthDay, start.monthDay)
            : true
        : ORDER.includes(until.on) &&
          ORDER.includes(start.on) &&
          ORDER.indexOf(until.on) <= ORDER.indexOf(start.on));
    if (isBackwards) remarks.push({ kind: 'never-fires', stepId: step.id, why: 'ends-before' });
    const isWet = step.withWatering || step.into === 'leaves';
    if (isWet && !isGivenInWater(label.form)) remarks.push({ kind: 'not-in-water', stepId: step.id });
    if (every && every.toDays <= 2) remarks.push({ kind: 'daily', stepId: step.id });
    else if (every && label.intervalDays !== undefined && every.fromDays < label.intervalDays)
      remarks.push({ kind: 'inside-label', stepId: step.id, labelDays: label.intervalDays });
    return remarks;
  });
}

/** Whether a day of the year comes with or a little before another; one long before is the next year's. */
function isShortlyBefore(monthDay: string, other: string): boolean {
  const days = daysBetween(`2026-${monthDay}`, `2026-${other}`);
  return days >= 0 && days <= PAST_DAYS;
}
