import { daysBetween, type Day } from '../calendar/index.ts';
import type { Occupant } from '../plants/index.ts';
import type { Container, Draft, Plan } from '../records/index.ts';
import type { BagJob } from './jobs.ts';

/** Plans are shown as jobs from so many days before (*assumed*): soil in the house, seedlings hardened. */
const PLANS_AHEAD_DAYS = 7;

/**
 * What the next plan of a bag asks for: that what stands in it is cleared, where it is to go first and no place is free, and then
 * that it is planted. A plan without a day of the grower's own asks for nothing.
 *
 * @param plans of this bag that are not carried out, the soonest first
 * @param present who stands in it now
 */
export function plannedJobs(
  { stations }: Pick<Container, 'stations'>,
  present: readonly Occupant[],
  plans: readonly Plan[],
  today: Day,
): readonly BagJob[] {
  const plan = plans.find((p) => !p.isDayOpen);
  if (!plan || daysBetween(today, plan.plantOn) > PLANS_AHEAD_DAYS) return [];
  const isFull = present.length >= stations.length;
  const next = { plan, dueOn: plan.plantOn };
  if (isFull && !plan.isRelay) return [{ kind: 'clear', ...next }];
  return [{ kind: 'plant', ...next, needsPlace: isFull }];
}

/** The entries of plants that are taken out, their time being over. */
export function clearingOf(
  containerId: string,
  occupants: readonly Pick<Occupant, 'stationId' | 'plant'>[],
  at: string,
): readonly Draft<'cleared'>[] {
  return occupants.map(({ stationId, plant }) => ({
    kind: 'cleared',
    at,
    containerId,
    stationId,
    plantId: plant.id,
  }));
}
