import { dayOf, type Day } from '../calendar/index.ts';
import type { EntryOf } from '../records/index.ts';

/** What one container has yielded. */
export interface BagTally {
  readonly containerId: string;
  readonly pickings: number;
  readonly kilograms: number;
  /** fruits, where they were counted */
  readonly count: number;
  /** of that, what was counted and not weighed, and is reckoned by its usual weight, kg */
  readonly byCountKilograms: number;
  /** pickings that were counted but not weighed and of which nothing is known: the weight is short by them */
  readonly unweighed: number;
  /** of the weight, what was lost, kg */
  readonly lostKilograms: number;
  readonly firstOn: Day;
  readonly lastOn: Day;
  /** weight picked up to and including each day with a picking, kg */
  readonly cumulative: readonly { readonly day: Day; readonly kilograms: number }[];
}

/** A picking as it was entered, or with the weight that its count is worth. */
export type TalliedPicking = EntryOf<'picking'> & { readonly isByCount?: boolean };

/**
 * Sums pickings by container. Containers without a picking are not in the result.
 *
 * @param pickings live picking entries, oldest first
 * @returns heaviest first
 */
export function tallyPickings(pickings: readonly TalliedPicking[]): readonly BagTally[] {
  const byContainer = new Map<string, TalliedPicking[]>();
  for (const picking of pickings) {
    const list = byContainer.get(picking.containerId) ?? [];
    byContainer.set(picking.containerId, [...list, picking]);
  }
  return [...byContainer]
    .map(([containerId, list]) => tallyOf(containerId, list))
    .sort((a, b) => b.kilograms - a.kilograms || b.count - a.count);
}

function tallyOf(containerId: string, pickings: readonly TalliedPicking[]): BagTally {
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
    byCountKilograms: kilogramsOf(pickings.filter((p) => p.isByCount)),
    lostKilograms: kilogramsOf(pickings.filter((p) => p.use === 'lost')),
    unweighed: pickings.filter((p) => !p.kilograms).length,
    firstOn: days[0] as Day,
    lastOn: days.at(-1) as Day,
    cumulative,
  };
}

/**
 * The years in which anything was picked, latest first.
 *
 * @example
 * pickedYears([{ at: '2025-09-01T18:00:00.000+01:00' }, { at: '2026-07-01T18:00:00.000+01:00' }])
 * // => [2026, 2025]
 */
export function pickedYears(pickings: readonly Pick<EntryOf<'picking'>, 'at'>[]): readonly number[] {
  return [...new Set(pickings.map(yearOf))].sort((a, b) => b - a);
}

/** The pickings of one calendar year, up to and with a day of it if one is given. */
export function pickingsOf<P extends Pick<EntryOf<'picking'>, 'at'>>(
  pickings: readonly P[],
  year: number,
  monthDay = '12-31',
): readonly P[] {
  return pickings.filter((p) => yearOf(p) === year && dayOf(p.at).slice(5) <= monthDay);
}

/**
 * Weight of some pickings, kg; those that were not weighed count for nothing.
 *
 * @example
 * kilogramsOf([{ kilograms: 0.4 }, { kilograms: undefined }, { kilograms: 0.3 }])
 * // ≈> 0.7
 */
export function kilogramsOf(pickings: readonly Pick<EntryOf<'picking'>, 'kilograms'>[]): number {
  return pickings.reduce((sum, p) => sum + (p.kilograms ?? 0), 0);
}

const yearOf = ({ at }: Pick<EntryOf<'picking'>, 'at'>) => Number(at.slice(0, 4));
