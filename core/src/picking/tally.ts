import { dayOf, type Day } from '../climate/index.ts';
import type { EntryOf } from '../diary/index.ts';

/** What one container has yielded. */
export interface BagTally {
  readonly containerId: string;
  readonly pickings: number;
  readonly kilograms: number;
  /** fruits, where they were counted */
  readonly count: number;
  /** pickings that were counted but not weighed: the weight is short by them */
  readonly unweighed: number;
  readonly firstOn: Day;
  readonly lastOn: Day;
  /** weight picked up to and including each day with a picking, kg */
  readonly cumulative: readonly { readonly day: Day; readonly kilograms: number }[];
}

/**
 * Sums pickings by container. Containers without a picking are not in the result.
 *
 * @param pickings live picking entries, oldest first
 * @returns heaviest first
 */
export function tallyPickings(pickings: readonly EntryOf<'picking'>[]): readonly BagTally[] {
  const byContainer = new Map<string, EntryOf<'picking'>[]>();
  for (const picking of pickings) {
    const list = byContainer.get(picking.containerId) ?? [];
    byContainer.set(picking.containerId, [...list, picking]);
  }
  return [...byContainer]
    .map(([containerId, list]) => tallyOf(containerId, list))
    .sort((a, b) => b.kilograms - a.kilograms || b.count - a.count);
}

function tallyOf(containerId: string, pickings: readonly EntryOf<'picking'>[]): BagTally {
  const byDay = new Map<Day, number>();
  for (const p of pickings) byDay.set(dayOf(p.at), (byDay.get(dayOf(p.at)) ?? 0) + (p.kilograms ?? 0));
  const days = [...byDay.keys()].sort();
  let sum = 0;
  const cumulative = days.map((day) => {
    sum += byDay.get(day) ?? 0;
    return { day, kilograms: sum };
  });
  return {
    containerId,
    pickings: pickings.length,
    kilograms: sum,
    count: pickings.reduce((total, p) => total + (p.count ?? 0), 0),
    unweighed: pickings.filter((p) => p.kilograms === undefined).length,
    firstOn: days[0] as Day,
    lastOn: days.at(-1) as Day,
    cumulative,
  };
}

/**
 * Weight that was picked from a container in one calendar year, kg.
 *
 * @example
 * kilogramsIn({ cumulative: [{ day: '2025-09-01', kilograms: 2 }, { day: '2026-08-01', kilograms: 5 }] }, 2026)
 * // => 3
 */
export function kilogramsIn(tally: Pick<BagTally, 'cumulative'>, year: number): number {
  const upTo = (last: number) =>
    tally.cumulative.findLast((point) => Number(point.day.slice(0, 4)) <= last)?.kilograms ?? 0;
  return upTo(year) - upTo(year - 1);
}
