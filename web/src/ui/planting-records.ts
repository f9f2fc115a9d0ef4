import { dayOf } from '@rundel/core/calendar';
import { STARTER_VARIETIES } from '@rundel/core/plants';
import type { Batch, Draft, Plan, Variety } from '@rundel/core/records';
import { newId, type RecordChange } from '../store/index.ts';
import type { PlantingFormResult } from './planting-form.ts';

/** What was said of a plant that is not in yet: it is kept as the plan of each bag. */
export function planChanges(
  result: Pick<PlantingFormResult, 'cropId' | 'habitId' | 'varietyName' | 'plantName' | 'practiceId'> &
    Partial<Pick<PlantingFormResult, 'seedling' | 'isGuessed' | 'isSown'>>,
  homes: readonly {
    readonly containerId: string;
    readonly plantOn: string;
    /** the grower said the day; else it is one that was worked out */
    readonly isDaySaid?: boolean;
  }[],
  now: string,
): readonly RecordChange[] {
  const { cropId, habitId, varietyName, plantName, seedling, isGuessed, isSown, practiceId } = result;
  return homes.map(({ containerId, plantOn, isDaySaid }): RecordChange => {
    const after: Plan = {
      id: newId('plan'),
      containerId,
      cropId,
      habitId,
      varietyName,
      ...(plantName ? { plantName } : {}),
      ...(seedling && !isGuessed && !isSown ? { seedling } : {}),
      ...(isSown ? { isSown } : {}),
      ...(practiceId ? { practiceId } : {}),
      plantOn,
      ...(isDaySaid ? {} : { isDayOpen: true }),
      createdAt: now,
      changedAt: now,
    };
    return { table: 'plans', before: undefined, after };
  });
}

/** The variety that a form names: the one that is known, or a new one with the records that make it. */
export function varietyFor(
  said: Pick<PlantingFormResult, 'cropId' | 'habitId' | 'varietyName'>,
  varieties: readonly Variety[],
  now: string,
): { readonly variety: Variety; readonly changes: readonly RecordChange[] } {
  const { cropId, habitId, varietyName } = said;
  const known = varieties.find(
    (v) => !v.binnedAt && v.name === varietyName && v.cropId === cropId && v.habitId === habitId,
  );
  if (known) return { variety: known, changes: [] };
  // one of those to begin with comes with what is known of it
  const starter = STARTER_VARIETIES.find((v) => v.name === varietyName && v.cropId === cropId);
  const facts = { ...starter, name: varietyName, cropId, habitId };
  const variety: Variety = { id: newId('variety'), ...facts, createdAt: now, changedAt: now };
  return { variety, changes: [{ table: 'varieties', before: undefined, after: variety }] };
}

/** The batch of a variety that was sown on a day: the one that is known, or a new one. */
export function batchFor(
  varietyId: string,
  sownOn: string | undefined,
  batches: readonly Batch[],
  now: string,
): { readonly batchId: string | undefined; readonly changes: readonly RecordChange[] } {
  if (sownOn === undefined) return { batchId: undefined, changes: [] };
  const known = batches.find((b) => !b.binnedAt && b.varietyId === varietyId && b.sownOn === sownOn);
  if (known) return { batchId: known.id, changes: [] };
  const batch = { id: newId('batch'), varietyId, sownOn, createdAt: now, changedAt: now };
  return { batchId: batch.id, changes: [{ table: 'batches', before: undefined, after: batch }] };
}

/**
 * The names of several plants, one after the other: "Ada, Bet". One name without a comma is for one plant alone, since two that are
 * called the same cannot be told apart.
 *
 * @example
 * namesOf('Ada, Bet', 3)
 * // => ['Ada', 'Bet', undefined]
 */
export function namesOf(text: string | undefined, count: number): readonly (string | undefined)[] {
  const names = (text ?? '').split(',').map((name) => name.trim());
  return Array.from({ length: count }, (_, i) => names[i] || undefined);
}

/** Records and entries that put plants of one variety into some stations of one container or several. */
export function plantingChanges(
  result: PlantingFormResult,
  homes: readonly { readonly containerId: string; readonly stationIds: readonly string[] }[],
  { varieties, batches }: { readonly varieties: readonly Variety[]; readonly batches: readonly Batch[] },
  now: string,
): { readonly changes: readonly RecordChange[]; readonly drafts: readonly Draft[] } {
  if (result.plantedOn === undefined) return { changes: [], drafts: [] };
  const { variety, changes: newVariety } = varietyFor(result, varieties, now);
  const { batchId, changes: newBatch } = batchFor(variety.id, result.sownOn, batches, now);
  const changes: RecordChange[] = [...newVariety, ...newBatch];
  const at = momentOfDay(result.plantedOn, now);
  const stations = homes.flatMap(({ containerId, stationIds }) =>
    stationIds.map((stationId) => ({ containerId, stationId })),
  );
  const names = namesOf(result.plantName, stations.length);
  const drafts = stations.map(({ containerId, stationId }, i): Draft => {
    const name = names[i];
    const plant = {
      id: newId('plant'),
      varietyId: variety.id,
      ...(batchId ? { batchId } : {}),
      ...(name ? { name } : {}),
      createdAt: now,
      changedAt: now,
    };
    changes.push({ table: 'plants', before: undefined, after: plant });
    return { kind: 'planted', at, containerId, stationId, plantId: plant.id, ...plantedFacts(result) };
  });
  return { changes, drafts };
}

/** The moment that stands for a day: now for today, noon for an earlier one. */
export function momentOfDay(day: string, now: string): string {
  return day === dayOf(now) ? now : `${day}T12:00:00.000${now.slice(23)}`;
}

/** What a planting's entry says of how it went in. */
export function plantedFacts(result: PlantingFormResult) {
  const { seedling, isGuessed, isSown, seeds, practiceId, plantingMethod } = result;
  return {
    seedling,
    ...(isGuessed ? { isGuessed } : {}),
    ...(practiceId && !isSown ? { practiceId } : {}),
    ...(isSown ? { plantingMethodId: 'seed' as const, ...(seeds ? { seeds } : {}) } : plantingMethod),
  };
}
