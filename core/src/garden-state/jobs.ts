import { addDays, dayOf, daysBetween, type Day } from '../calendar/index.ts';
import type { Assumed } from '../assumed/index.ts';
import { coldNightAdvice } from '../season/index.ts';
import { entriesAt, type Entry, type Container, type Place, type Settings } from '../records/index.ts';
import { plantingMethodOf, type TopUp } from '../planting/index.ts';
import { SUPPORT_PRACTICES, supportOf, tendingDue, type Tending, type Occupant } from '../plants/index.ts';
import type { BagProperties } from './properties.ts';
import { grewFrom, growthOf, levelOf } from './growth.ts';
import { plantingTaskOf } from './planting-site.ts';

/** A job that is due at a bag, or will be. */
export type BagJob =
  | {
      readonly kind: 'tend';
      readonly task: Tending;
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
  /** nothing drains from it yet */
  | { readonly kind: 'holes'; readonly dueOn: Day }
  /** of seed that came up several to a place, the best one stays */
  | { readonly kind: 'thin'; readonly dueOn: Day; readonly seeds: number };

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
  settings: Pick<Settings, 'depthPracticeId' | 'assumptions' | 'supportPracticeId' | 'supportAfterDays'>,
  today: Day,
  cover: Place['cover'],
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
  const growth = growthOf(eldest, properties, live, settings);
  const practice = SUPPORT_PRACTICES.find((s) => s.id === settings.supportPracticeId);
  const own = settings.supportAfterDays;
  const later = own === undefined ? practice : { fromDays: own, toDays: own };
  const isLater = later !== undefined && later.fromDays > 0 && support.id !== 'none';
  // nothing is wound or tied before there is something to wind it round
  const isUp = supported !== undefined || !isLater;
  if (isUp) {
    const done = here.findLast(
      (e) => e.kind === 'tended' && e.task === support.attachment && dayOf(e.at) >= eldest.plantedOn,
    );
    const from = [
      { since: 'planting' as const, on: eldest.plantedOn },
      ...(supported ? [{ since: 'support' as const, on: dayOf(supported.at) }] : []),
      ...(done ? [{ since: 'done' as const, on: dayOf(done.at) }] : []),
    ].reduce((a, b) => (b.on >= a.on ? b : a));
    const due = tendingDue(
      support,
      growth.belief,
      grewFrom(eldest),
      from.on,
      container.support.heightMillimetres -
        (properties.real.under?.heightMillimetres ?? 0) -
        properties.fill.mixMillimetres,
      today,
      properties.assumed,
    );
    if (due) {
      const isHeldForCold =
        due.dueOn <= today && isFleeceNight(occupants, everywhere, today, cover, properties.assumed);
      const dueOn = isHeldForCold ? addDays(today, 1) : due.dueOn;
      jobs.push({ kind: 'tend', ...due, dueOn, lastOn: from.on, since: from.since, isHeldForCold });
    }
  } else {
    const dueOn = addDays(eldest.plantedOn, later.fromDays);
    jobs.push({ kind: 'support', dueOn, latestOn: addDays(eldest.plantedOn, later.toDays) });
  }
  const topUp = nextTopUp(container, properties, occupants, live, settings);
  if (topUp) jobs.push(topUp);
  const shade = here.findLast((e) => e.kind === 'tended' && (e.task === 'shaded' || e.task === 'unshaded'));
  if (shade?.kind === 'tended' && shade.task === 'shaded')
    jobs.push({ kind: 'unshade', dueOn: addDays(dayOf(shade.at), 1) });
  if (container.hasNoHoles) jobs.push({ kind: 'holes', dueOn: eldest.plantedOn });
  const thin = thinning(occupants, here);
  if (thin) jobs.push(thin);
  return jobs.sort((a, b) => daysBetween(b.dueOn, a.dueOn));
}

/** Thinned once the first true leaves are out, so long after it came up, days (*assumed*). */
const THIN_AFTER_DAYS = 10;

/** Seed that was sown several to a place is thinned to the best one, counted from when it was seen to come up. */
function thinning(occupants: readonly Occupant[], here: readonly Entry[]): BagJob | undefined {
  const sown = occupants.find(
    ({ planted }) => planted.plantingMethodId === 'seed' && (planted.seeds ?? 1) > 1,
  );
  const up = sown?.stages.seen.up;
  if (!sown || up === undefined) return undefined;
  const isDone = here.some((e) => e.kind === 'tended' && e.task === 'parted' && dayOf(e.at) >= up);
  return isDone
    ? undefined
    : { kind: 'thin', dueOn: addDays(up, THIN_AFTER_DAYS), seeds: sown.planted.seeds ?? 1 };
}

/** Whether the coming night is known to be one for fleece: then the plants are covered, and stems are brittle. */
function isFleeceNight(
  occupants: readonly Occupant[],
  live: readonly Entry[],
  today: Day,
  cover: Place['cover'],
  assumed: Assumed,
): boolean {
  const tomorrow = addDays(today, 1);
  const night = live.findLast((e) => e.kind === 'weather' && e.day === tomorrow);
  return (
    night?.kind === 'weather' &&
    occupants.some(({ crop }) => coldNightAdvice(night.minCelsius, crop, cover, true, assumed) !== undefined)
  );
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
