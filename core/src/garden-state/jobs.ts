import { addDays, dayOf, daysBetween, type Day } from '../calendar/index.ts';
import type { Assumed } from '../assumed/index.ts';
import type { TrainingDue, TrainingTask } from '../care/index.ts';
import type { StageDates } from '../feeding/index.ts';
import { knownWeather } from './known-weather.ts';
import { careJobs } from './care-jobs.ts';
import { fleeceJobs, fleeceNights } from './cold-nights.ts';
import { lastDone, supportTop, trainingJobs } from './training-jobs.ts';
import {
  entriesAt,
  type Entry,
  type Container,
  type Place,
  type Plan,
  type Settings,
  type SprayAgent,
  type TrainingFormId,
} from '../records/index.ts';
import { plantingMethodOf, type TopUp } from '../planting/index.ts';
import { SUPPORT_PRACTICES, supportOf, tendingDue, type Tending, type Occupant } from '../plants/index.ts';
import type { BagProperties } from './properties.ts';
import { grewFrom, growthOf, levelOf } from './growth.ts';
import { plantingTaskOf } from './planting-site.ts';

/** One of a bag's plants, as an entry names it. */
export interface PlantAt {
  readonly stationId: string;
  readonly plantId: string;
}

/** A job that is due at a bag, or will be. */
export type BagJob =
  | {
      readonly kind: 'tend';
      readonly task: Tending;
      /** whom it is for; empty where all that stand in the bag want it on the same day */
      readonly plants: readonly PlantAt[];
      readonly dueOn: Day;
      readonly everyDays: number;
      readonly lastOn: Day;
      /** what happened on that day: it was done, or there was nothing to do before */
      readonly since: 'done' | 'support' | 'planting';
      readonly grownMillimetres: number;
      /** it was due before, and waits for a night with fleece on to be over */
      readonly isHeldForCold: boolean;
    }
  | { readonly kind: 'top-up'; readonly dueOn: Day; readonly earliestOn: Day; readonly topUp: TopUp }
  | { readonly kind: 'support'; readonly dueOn: Day; readonly latestOn: Day }
  | { readonly kind: 'unshade'; readonly dueOn: Day }
  /** fleece over it for so many nights in a row, weighted down */
  | { readonly kind: 'fleece'; readonly dueOn: Day; readonly nights: number; readonly minCelsius: number }
  /** off again in the morning */
  | { readonly kind: 'unfleece'; readonly dueOn: Day }
  /** side shoots, leaves, flowers, tips: by the form that plants are trained to */
  | ({
      readonly kind: 'train';
      readonly formId: TrainingFormId;
      readonly task: TrainingTask;
      /** whom it is for; empty where all that stand in the bag want it on the same day */
      readonly plants: readonly PlantAt[];
    } & TrainingDue)
  /** trouble is looked at again */
  | {
      readonly kind: 'look-again';
      readonly caseId: string;
      readonly what: string;
      readonly since: Day;
      readonly dueOn: Day;
    }
  /** the leaf on which a spray was tried */
  | {
      readonly kind: 'test-leaf';
      readonly caseId: string;
      readonly agent: SprayAgent;
      readonly name: string | undefined;
      readonly dueOn: Day;
    }
  /** the whole plant after its leaf has shown no harm, or again after so many days */
  | {
      readonly kind: 'spray';
      readonly caseId: string;
      readonly agent: SprayAgent;
      readonly name: string | undefined;
      readonly dueOn: Day;
      readonly isAgain: boolean;
    }
  /** nothing drains from it yet */
  | { readonly kind: 'holes'; readonly dueOn: Day }
  /** of seed that came up several to a place, the best one stays */
  | {
      readonly kind: 'thin';
      readonly dueOn: Day;
      readonly seeds: number;
      /** at which places; empty where it is all of the bag */
      readonly plants: readonly PlantAt[];
    }
  /** what stands in it goes, for what is planned next */
  | { readonly kind: 'clear'; readonly dueOn: Day; readonly plan: Plan }
  /** what is planned goes in; `needsPlace`: between what stands there, where there is no place for it yet */
  | { readonly kind: 'plant'; readonly dueOn: Day; readonly plan: Plan; readonly needsPlace: boolean };

/**
 * What a bag's planting, growth and support ask for, by its diary, the most urgent first: winding and tying by growth, the
 * next top-up when the plant is tall enough, the support that was to come later, the shade that goes off again.
 *
 * @param occupants who stand in it now
 * @param everywhere the garden's live entries, oldest first
 */
export function jobsOf(
  container: Container,
  properties: BagProperties,
  occupants: readonly Occupant[],
  everywhere: readonly Entry[],
  settings: Pick<
    Settings,
    'depthPracticeId' | 'assumptions' | 'supportPracticeId' | 'supportAfterDays' | 'training'
  >,
  today: Day,
  cover: Place['cover'],
  { stageDates, firstFrost }: { readonly stageDates: StageDates; readonly firstFrost: Day | undefined } = {
    stageDates: {},
    firstFrost: undefined,
  },
): readonly BagJob[] {
  const eldest = occupants[0];
  if (!eldest) return [];
  const live = entriesAt(everywhere, container.id);
  const here = live.filter((e) => dayOf(e.at) <= today);
  const jobs: BagJob[] = [];
  const supported = here.findLast(
    (e) => e.kind === 'supported' && e.supportId !== 'triangle' && dayOf(e.at) >= eldest.plantedOn,
  );
  const support = supportOf(container.support.kind);
  const practice = SUPPORT_PRACTICES.find((s) => s.id === settings.supportPracticeId);
  const own = settings.supportAfterDays;
  const later = own === undefined ? practice : { fromDays: own, toDays: own };
  const isLater = later !== undefined && later.fromDays > 0 && support.id !== 'none';
  // nothing is wound or tied before there is something to wind it round
  const cold = fleeceNights(occupants, everywhere, today, cover, properties.assumed);
  jobs.push(...fleeceJobs(cold, here, today));
  const isUp = supported !== undefined || !isLater;
  if (isUp) {
    const isCold = cold !== undefined;
    const upOn = supported && dayOf(supported.at);
    jobs.push(...tendingOf(container, properties, occupants, { live, here, upOn, today, isCold }, settings));
  } else {
    const dueOn = addDays(eldest.plantedOn, later.fromDays);
    jobs.push({ kind: 'support', dueOn, latestOn: addDays(eldest.plantedOn, later.toDays) });
  }
  jobs.push(
    ...trainingJobs(
      container,
      properties,
      occupants,
      { live, here, today, cover, stageDates, firstFrost },
      settings,
    ),
    ...careJobs(here, properties.assumed, eldest.plantedOn),
  );
  const topUp = nextTopUp(container, properties, occupants, live, settings);
  if (topUp) jobs.push(topUp);
  const shade = here.findLast((e) => e.kind === 'tended' && (e.task === 'shaded' || e.task === 'unshaded'));
  if (shade?.kind === 'tended' && shade.task === 'shaded')
    jobs.push({
      kind: 'unshade',
      dueOn: afterHeat(everywhere, addDays(dayOf(shade.at), 1), today, properties.assumed),
    });
  if (container.hasNoHoles) jobs.push({ kind: 'holes', dueOn: eldest.plantedOn });
  const thin = thinning(occupants, here);
  if (thin) jobs.push(thin);
  return jobs.sort((a, b) => daysBetween(b.dueOn, a.dueOn));
}

/** The first day from a day on that is not hot by what is known or foretold: shade stays on until then. */
function afterHeat(
  live: readonly Entry[],
  from: Day,
  today: Day,
  { hotCelsius }: Pick<Assumed, 'hotCelsius'>,
): Day {
  const hot = new Set(
    knownWeather(live).flatMap((d) => ((d.maxCelsius ?? -Infinity) >= hotCelsius ? [d.day] : [])),
  );
  let day = from < today && hot.has(today) ? today : from;
  while (hot.has(day)) day = addDays(day, 1);
  return day;
}

interface TendingDiary {
  readonly live: readonly Entry[];
  /** those of them that are not ahead of today */
  readonly here: readonly Entry[];
  /** when its support went up, if it was put on record */
  readonly upOn: Day | undefined;
  readonly today: Day;
  readonly isCold: boolean;
}

/** Winding, tying or tucking: each plant by its own growth and by when it was last done; those that agree are one job. */
function tendingOf(
  container: Container,
  properties: BagProperties,
  occupants: readonly Occupant[],
  { live, here, upOn, today, isCold }: TendingDiary,
  settings: Pick<Settings, 'depthPracticeId' | 'assumptions'>,
): readonly BagJob[] {
  type Tend = Extract<BagJob, { kind: 'tend' }>;
  const support = supportOf(container.support.kind);
  const topMillimetres = supportTop(container, properties) ?? 0;
  const jobs = new Map<string, Tend>();
  for (const occupant of occupants) {
    const { plantedOn } = occupant;
    const plant = { stationId: occupant.stationId, plantId: occupant.plant.id };
    // what was stopped grows no longer
    if (lastDone(here, occupant, 'stopped') !== undefined) continue;
    const done = lastDone(here, occupant, support.attachment);
    const from = [
      { since: 'planting' as const, on: plantedOn },
      ...(upOn === undefined ? [] : [{ since: 'support' as const, on: upOn }]),
      ...(done === undefined ? [] : [{ since: 'done' as const, on: done }]),
    ].reduce((a, b) => (b.on >= a.on ? b : a));
    const { belief } = growthOf(occupant, properties, live, settings);
    const due = tendingDue(
      support,
      belief,
      grewFrom(occupant),
      from.on,
      topMillimetres,
      today,
      properties.assumed,
    );
    if (!due) continue;
    const key = `${due.dueOn} ${from.on} ${from.since}`;
    const alike = jobs.get(key);
    const isHeldForCold = isCold && due.dueOn <= today;
    const dueOn = isHeldForCold ? addDays(today, 1) : due.dueOn;
    jobs.set(
      key,
      alike
        ? { ...alike, plants: [...alike.plants, plant] }
        : { kind: 'tend', ...due, dueOn, plants: [plant], lastOn: from.on, since: from.since, isHeldForCold },
    );
  }
  return [...jobs.values()].map((job) =>
    job.plants.length === occupants.length ? { ...job, plants: [] } : job,
  );
}

/** Thinned once the first true leaves are out, so long after it came up, days (*assumed*). */
const THIN_AFTER_DAYS = 10;

/** Seed that was sown several to a place is thinned to the best one, counted from when it was seen to come up. */
function thinning(occupants: readonly Occupant[], here: readonly Entry[]): BagJob | undefined {
  const crowded = occupants.flatMap((occupant) => {
    const { planted, stages, stationId, plant } = occupant;
    const up = stages.seen.up;
    const seeds = planted.seeds ?? 1;
    if (planted.plantingMethodId !== 'seed' || seeds < 2 || up === undefined) return [];
    const isDone = here.some(
      (e) =>
        e.kind === 'tended' &&
        e.task === 'parted' &&
        dayOf(e.at) >= up &&
        (e.plantId ?? plant.id) === plant.id,
    );
    return isDone ? [] : [{ dueOn: addDays(up, THIN_AFTER_DAYS), seeds, stationId, plantId: plant.id }];
  });
  const first = crowded[0];
  if (!first) return undefined;
  return {
    kind: 'thin',
    dueOn: crowded.reduce((day, c) => (c.dueOn < day ? c.dueOn : day), first.dueOn),
    seeds: Math.max(...crowded.map((c) => c.seeds)),
    plants:
      crowded.length === occupants.length
        ? []
        : crowded.map(({ stationId, plantId }) => ({ stationId, plantId })),
  };
}

/** The next mix to add to a bag that was planted low. */
function nextTopUp(
  container: Container,
  properties: BagProperties,
  occupants: readonly Occupant[],
  live: readonly Entry[],
  settings: Pick<Settings, 'depthPracticeId'>,
): BagJob | undefined {
  const low = occupants.find(
    (o) => o.planted.plantingMethodId === 'low-start' || o.planted.plantingMethodId === 'ring',
  );
  if (!low?.planted.plantingMethodId) return undefined;
  const practiceId = low.planted.practiceId ?? settings.depthPracticeId;
  const task = plantingTaskOf(
    properties,
    container.stations.length,
    practiceId,
    low.crop,
    low.habit,
    low.planted.seedling,
  );
  const outcome = plantingMethodOf(low.planted.plantingMethodId).plan(task);
  if (outcome.kind !== 'planned') return undefined;
  const level = levelOf(properties, occupants, live);
  const topUp = outcome.plan.topUps.find((t) => t.toMillimetres > level + 1);
  if (topUp?.when.kind !== 'reaches') return undefined;
  return {
    kind: 'top-up',
    dueOn: addDays(low.plantedOn, Math.round(topUp.when.likely)),
    earliestOn: addDays(low.plantedOn, Math.floor(topUp.when.low)),
    topUp,
  };
}
