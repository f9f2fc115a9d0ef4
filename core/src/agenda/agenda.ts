import { dayOf, hourOf, type Day } from '../calendar/index.ts';
import type { BagJob, BagState } from '../garden-state/index.ts';
import type { Garden, Plan } from '../records/index.ts';

/** Something that falls on a day to come, at one bag or several. */
export type AgendaItem = {
  /** the same for the same thing as long as it is there: a calendar that gets it again puts it in place of the old one */
  readonly uid: string;
  readonly day: Day;
  readonly containerIds: readonly string[];
} & (
  | { readonly kind: 'round'; readonly hour: number }
  | { readonly kind: 'job'; readonly job: BagJob }
  /** `latest`: not after this day */
  | { readonly kind: 'feed'; readonly productId: string; readonly latest: Day }
  | { readonly kind: 'plan'; readonly plan: Plan }
);

/**
 * What is to come in a garden: rounds on which bags want to be looked at, feeds, jobs, and what is planned to go in. What was due
 * before stands on today. One thing that is due at several bags on a day is one item.
 *
 * @param states of the bags that are in use
 * @param now local time with its offset
 */
export function agendaOf(
  garden: Pick<Garden, 'plans' | 'containers'>,
  states: readonly Pick<BagState, 'containerId' | 'water' | 'feeding' | 'jobs'>[],
  now: string,
): readonly AgendaItem[] {
  const today = dayOf(now);
  const items = new Map<string, AgendaItem & { containerIds: string[] }>();
  const put = (containerId: string, item: Omit<AgendaItem, 'containerIds'>) => {
    const known = items.get(item.uid);
    if (known) known.containerIds.push(containerId);
    else
      items.set(item.uid, { ...item, containerIds: [containerId] } as AgendaItem & {
        containerIds: string[];
      });
  };
  const from = (day: Day) => (day < today ? today : day);
  for (const { containerId, water, feeding, jobs } of states) {
    const { nextCheck, rounds } = water.ahead;
    // what wants a look now, or never had one, has it on the next round
    const isNow = nextCheck.kind === 'now' || !water.hasBeenChecked;
    const check = isNow ? rounds[0]?.at : nextCheck.kind === 'at' ? nextCheck.at : undefined;
    if (check !== undefined) {
      const [day, hour] = [dayOf(check), hourOf(check)];
      put(containerId, { kind: 'round', uid: `round-${day}-${hour}`, day, hour } as AgendaItem);
    }
    for (const state of feeding.states) {
      if (state.kind !== 'due') continue;
      const day = from(state.target);
      const { productId } = state.step;
      put(containerId, {
        kind: 'feed',
        uid: `feed-${productId}-${day}`,
        day,
        productId,
        latest: state.latest,
      } as AgendaItem);
    }
    for (const job of jobs) {
      // what is planned to go in stands under the plans, however far ahead
      if (job.kind === 'plant') continue;
      const day = from(job.dueOn);
      const which = [job.kind, 'task' in job ? job.task : '', 'caseId' in job ? job.caseId : ''].filter(
        Boolean,
      );
      put(containerId, { kind: 'job', uid: `job-${which.join('-')}-${day}`, day, job } as AgendaItem);
    }
  }
  const inUse = new Set(garden.containers.flatMap((c) => (c.binnedAt ? [] : [c.id])));
  for (const plan of garden.plans)
    if (!plan.binnedAt && inUse.has(plan.containerId))
      put(plan.containerId, {
        kind: 'plan',
        uid: `plan-${plan.id}`,
        day: from(plan.plantOn),
        plan,
      } as AgendaItem);
  return [...items.values()].sort((a, b) =>
    a.day === b.day ? (a.uid < b.uid ? -1 : 1) : a.day < b.day ? -1 : 1,
  );
}
