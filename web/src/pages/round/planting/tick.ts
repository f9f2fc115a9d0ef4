import { TASK_OF_STEP, type SessionBagState } from '@rundel/core/garden-state';
import type { StepId } from '@rundel/core/planting';
import type { Draft, Garden } from '@rundel/core/records';
import { plantingChanges } from '../../../ui/planting-records.ts';
import type { RecordChange } from '../../../store/index.ts';

/**
 * What ticking a step at a bag writes: a diary entry, and for the planting itself the plant's records.
 *
 * @param at when it was done: now, or days ago for what was done to the bag before
 */
export function tickOf(
  step: StepId,
  { bag, item, plan, wateringLitres }: SessionBagState,
  records: Pick<Garden, 'varieties' | 'batches'>,
  now: string,
  at = now,
): { readonly changes: readonly RecordChange[]; readonly drafts: readonly Draft[] } {
  const here = { at, containerId: bag.container.id };
  const task = TASK_OF_STEP[step];
  if (task) {
    // one with holes drains from then on
    const { hasNoHoles, ...drained } = bag.container;
    const changes: RecordChange[] =
      step === 'holes' && hasNoHoles
        ? [{ table: 'containers', before: bag.container, after: { ...drained, changedAt: now } }]
        : [];
    return { changes, drafts: [{ kind: 'tended', ...here, task }] };
  }
  if (step === 'support') {
    const { kind, heightMillimetres } = bag.container.support;
    return { changes: [], drafts: [{ kind: 'supported', ...here, supportId: kind, heightMillimetres }] };
  }
  if (step === 'watering') {
    return {
      changes: [],
      drafts: [{ kind: 'watering', ...here, litres: wateringLitres, ranThrough: false, isMeasured: true }],
    };
  }
  const taken = new Set(bag.occupants.map((o) => o.stationId));
  const free = bag.container.stations.filter((s) => !taken.has(s.id)).map((s) => s.id);
  const isLow = plan.topUps.length > 0;
  return plantingChanges(
    {
      ...item,
      plantName: item.plantName,
      practiceId: item.practiceId,
      isGuessed: item.isGuessed ?? false,
      isSown: item.plantingMethodId === 'seed',
      seeds: item.seeds,
      sownOn: item.sownOn,
      plantedOn: now.slice(0, 10),
      plantingMethod: {
        plantingMethodId: item.plantingMethodId,
        ...(isLow ? { levelMillimetres: plan.levelMillimetres } : {}),
        buriedMillimetres: plan.stem.buriedMillimetres,
      },
    },
    [
      {
        containerId: bag.container.id,
        stationIds: free.filter((id) => item.stationIds?.includes(id) ?? true),
      },
    ],
    records,
    now,
  );
}
