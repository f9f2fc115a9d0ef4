import { dayOf, type Day } from '../calendar/index.ts';
import { type Entry, type EntryOf, type Stage, type TrussStage } from '../records/index.ts';

/** What the grower saw of a plant's stages, and looked for and did not see yet. */
export interface StagesSeen {
  /** the day on which each was seen */
  readonly seen: Readonly<Partial<Record<Stage, Day>>>;
  /** the last day on which each was not there yet; none for one that has been seen since */
  readonly notYet: Readonly<Partial<Record<Stage, Day>>>;
}

/** What a truss says of its plant. */
const STAGE_OF_TRUSS: Readonly<Record<TrussStage, Stage>> = {
  flowering: 'flowers',
  set: 'set',
  picked: 'ripe',
};

/** Nothing was seen. */
export const NO_STAGES: StagesSeen = { seen: {}, notYet: {} };

/**
 * The stages of a plant by its bag's diary: those recorded of it or of the whole bag while it stood there. A picking says that
 * fruit was ripe, and a truss what it has come to. A later word goes before an earlier one: what was seen by mistake is taken back by "not yet".
 *
 * @param here live entries of its bag, oldest first
 * @example
 * stagesSeen([], { stationId: 'stn_a00000', plantId: 'pla_a00000' }, '2026-05-01', undefined)
 * // => { seen: {}, notYet: {} }
 */
export function stagesSeen(
  here: readonly Entry[],
  plant: { readonly stationId: string; readonly plantId: string },
  from: Day,
  to: Day | undefined,
): StagesSeen {
  const words = new Map<Stage, { readonly day: Day; readonly isNotYet: boolean }>();
  const ofPlant = (e: EntryOf<'stage'> | EntryOf<'picking'> | EntryOf<'truss'>) =>
    e.plantId === undefined
      ? e.stationId === undefined || e.stationId === plant.stationId
      : e.plantId === plant.plantId;
  for (const e of here) {
    if (e.kind !== 'stage' && e.kind !== 'picking' && e.kind !== 'truss') continue;
    const day = dayOf(e.at);
    // what was picked green says nothing of ripe fruit
    if (e.kind === 'picking' && e.stage === 'green') continue;
    if (day < from || (to !== undefined && day > to) || !ofPlant(e)) continue;
    const stage = e.kind === 'stage' ? e.stage : e.kind === 'truss' ? STAGE_OF_TRUSS[e.stage] : 'ripe';
    const isNotYet = e.kind === 'stage' && e.isNotYet === true;
    // what was seen once stays seen on its first day
    if (isNotYet || words.get(stage)?.isNotYet !== false) words.set(stage, { day, isNotYet });
  }
  const daysOf = (isNotYet: boolean) =>
    Object.fromEntries(
      [...words].filter(([, w]) => w.isNotYet === isNotYet).map(([stage, w]) => [stage, w.day]),
    );
  return { seen: daysOf(false), notYet: daysOf(true) };
}
