import { dayOf, type GrowingSeason } from '../calendar/index.ts';
import type { WeighedPicking } from './usual-weight.ts';

/**
 * What each bag gave in a season, kg, by its container's id; bags of which nothing was picked are not in it.
 */
export function kilogramsByBag(
  pickings: readonly Pick<WeighedPicking, 'at' | 'containerId' | 'kilograms'>[],
  { from, to }: GrowingSeason,
): ReadonlyMap<string, number> {
  const sums = new Map<string, number>();
  for (const { at, containerId, kilograms } of pickings) {
    const day = dayOf(at);
    if (day >= from && day <= to) sums.set(containerId, (sums.get(containerId) ?? 0) + kilograms);
  }
  return sums;
}
