import { daysBetween, dayOf, type Day } from '../calendar/index.ts';
import {
  formOfPlant,
  rulesFollowed,
  trainingDue,
  trainingForm,
  type SeenOrReckoned,
  type TrainingRule,
} from '../care/index.ts';
import type { StageDates } from '../feeding/index.ts';
import { supportOf, type Occupant } from '../plants/index.ts';
import type { Container, Entry, Place, Settings, Stage, TrainingFormId } from '../records/index.ts';
import { grewFrom, growthOf } from './growth.ts';
import type { BagJob, PlantAt } from './jobs.ts';
import type { BagProperties } from './properties.ts';

/** What training needs to know of a bag beyond its plants. */
export interface TrainingDiary {
  readonly live: readonly Entry[];
  /** those at this bag that are not ahead of today */
  readonly here: readonly Entry[];
  readonly today: Day;
  readonly cover: Place['cover'];
  /** of the bag's eldest plant, seen or reckoned */
  readonly stageDates: StageDates;
  readonly firstFrost: Day | undefined;
}

export type TrainJob = Extract<BagJob, { kind: 'train' }>;

/** Rules further off than this are not told: by then the plant has grown otherwise. */
const AHEAD_DAYS = 21;

/** What holds a bag's plants, above the mix, mm; undefined where nothing does. */
export function supportTop(container: Container, properties: BagProperties): number | undefined {
  if (supportOf(container.support.kind).id === 'none') return undefined;
  const under = properties.real.under?.heightMillimetres ?? 0;
  return container.support.heightMillimetres - under - properties.fill.mixMillimetres;
}

/** The last day on which something was done to a plant, or to all of its bag. */
export function lastDone(
  here: readonly Entry[],
  { plant, plantedOn }: Pick<Occupant, 'plant' | 'plantedOn'>,
  task: string,
): Day | undefined {
  const done = here.findLast(
    (e) =>
      e.kind === 'tended' &&
      e.task === task &&
      dayOf(e.at) >= plantedOn &&
      (e.plantId ?? plant.id) === plant.id,
  );
  return done && dayOf(done.at);
}

/** The stages of one plant: what was seen at it, else what is reckoned for its bag. */
function stagesOf(
  { stages }: Occupant,
  reckoned: StageDates,
): Readonly<Partial<Record<Stage, SeenOrReckoned | undefined>>> {
  const of = (stage: Stage, expected?: SeenOrReckoned): SeenOrReckoned | undefined => {
    const seen = stages.seen[stage];
    return seen === undefined ? expected : { day: seen, isNoted: true };
  };
  return {
    flowers: of('flowers', reckoned.flowers),
    set: of('set', reckoned.set),
    ripe: of('ripe', reckoned.picking),
    'last-flush': of('last-flush'),
  };
}

/** What a bag's plants want by way of training: each by its form, growth and what was last done; those that agree are one job. */
export function trainingJobs(
  container: Container,
  properties: BagProperties,
  occupants: readonly Occupant[],
  diary: TrainingDiary,
  settings: Pick<Settings, 'depthPracticeId' | 'assumptions' | 'training'>,
): readonly TrainJob[] {
  const topMillimetres = supportTop(container, properties);
  const jobs = new Map<string, TrainJob>();
  for (const occupant of occupants) {
    const formId = formOfPlant(occupant, container.support.kind);
    const plant = { stationId: occupant.stationId, plantId: occupant.plant.id };
    const { belief } = growthOf(occupant, properties, diary.live, settings);
    const stages = stagesOf(occupant, diary.stageDates);
    for (const rule of rulesFollowed(trainingForm(formId), settings.training)) {
      if (occupant.plant.leftUndone?.includes(rule.task)) continue;
      const due = trainingDue(
        rule,
        {
          belief,
          grewFrom: grewFrom(occupant),
          plantedOn: occupant.plantedOn,
          stages,
          lastOn: lastDone(diary.here, occupant, rule.task),
          isUnderCover: diary.cover !== 'open',
          topMillimetres,
          firstFrost: diary.firstFrost,
          today: diary.today,
        },
        properties.assumed,
      );
      if (!due || daysBetween(diary.today, due.dueOn) > AHEAD_DAYS) continue;
      const key = `${formId} ${rule.task} ${due.dueOn} ${due.lastOn ?? ''}`;
      const alike = jobs.get(key);
      jobs.set(
        key,
        alike
          ? { ...alike, plants: [...alike.plants, plant] }
          : { kind: 'train', formId, task: rule.task, plants: [plant], ...due },
      );
    }
  }
  return [...jobs.values()].map((job) =>
    job.plants.length === occupants.length ? { ...job, plants: [] } : job,
  );
}

/** The rule that a job of training follows. */
export function ruleOf({ formId, task }: { formId: TrainingFormId; task: string }): TrainingRule | undefined {
  return trainingForm(formId).rules.find((rule) => rule.task === task);
}

/** Plants of a bag that a list of them names; all where it names none. */
export function plantsNamed(plants: readonly PlantAt[], occupants: readonly Occupant[]): readonly Occupant[] {
  return plants.length === 0
    ? occupants
    : occupants.filter((o) => plants.some((p) => p.plantId === o.plant.id));
}
