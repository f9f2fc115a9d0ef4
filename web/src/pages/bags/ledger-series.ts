import type { LedgerDay } from '@rundel/core/feeding';
import type { Element } from '@rundel/core/products';
import type { BagLedger } from '@rundel/core/garden-state';

/** Where what was offered is, from below: together they are all of it. */
export const LEDGER_PARTS = [
  { key: 'taken', label: 'taken up', token: '--leaf' },
  { key: 'washed', label: 'washed out', token: '--water-3' },
  { key: 'dissolved', label: 'there for the taking', token: '--flower' },
  { key: 'held', label: 'still bound', token: '--mulch' },
] as const;

/** So many points draw a season as well as all days do. */
const MOST_POINTS = 90;

/** The days of a ledger that are drawn: evenly thinned, the first, today and the last always in. */
export function drawnDays({ days, today }: BagLedger): readonly LedgerDay[] {
  const step = Math.max(1, Math.ceil(days.likely.length / MOST_POINTS));
  return days.likely.filter((_, i) => i % step === 0 || i === today || i === days.likely.length - 1);
}

/** One element's share of each part on a day, g. */
export function partsOn(day: LedgerDay, element: Element): readonly number[] {
  return LEDGER_PARTS.map(({ key }) => day[key][element]);
}

/** A part's total up to a day over the three runs, g, lowest and highest. */
export function rangeOf(
  { days }: BagLedger,
  at: number,
  part: (typeof LEDGER_PARTS)[number]['key'] | 'offered',
  element: Element,
): { readonly low: number; readonly likely: number; readonly high: number } {
  const all = [days.low, days.likely, days.high].map((run) => run[at]?.[part][element] ?? 0);
  return { low: Math.min(...all), likely: all[1] ?? 0, high: Math.max(...all) };
}
