import { resolveAssumed, type Assumed } from '../assumed/index.ts';
import { addDays, daysBetween, type Day } from '../calendar/index.ts';
import { ripeDays } from '../care/index.ts';
import type { Garden, Stage } from '../records/index.ts';
import type { DaySpread, StageDate, StageDates } from '../feeding/index.ts';
import { datesFrom, frostYear, storyOf, timingPracticeOf, type PlantingDates } from '../season/index.ts';
import { siteOf } from './bag-state.ts';
import type { Occupant } from '../plants/index.ts';

const SUPPORT_LATER = { fromDays: 0, toDays: 0 };

/** The expected dates of a plant, by its kind and its place. */
export function datesOf(
  occupant: Occupant,
  garden: Garden,
  cover: 'open' | 'glass' | 'heated',
): PlantingDates {
  const { settings } = garden;
  const site = siteOf(settings);
  const assumed = resolveAssumed(settings.assumptions);
  const frost = frostYear(site, settings.frost, [], occupant.plantedOn, assumed);
  const practice = timingPracticeOf(settings.timingPracticeId);
  return datesFrom(
    occupant.plantedOn,
    occupant.crop,
    occupant.habit,
    { cover, frost, site, practice },
    SUPPORT_LATER,
    assumed,
    storyOf(occupant),
  );
}

const middle = (a: Day, b: Day): Day => addDays(a, Math.round(daysBetween(a, b) / 2));

/**
 * The stage dates of a bag's present plants: what the grower saw at any of them, and what is reckoned by the eldest's kind. What was
 * looked for and not there yet is not reckoned before the day after.
 */
export function stageDatesOf(
  occupants: readonly Occupant[],
  dates: PlantingDates | undefined,
  used: DaySpread,
  labelMonthsOver: Day | undefined,
  assumed: Pick<Assumed, 'flowersToSet'>,
): StageDates {
  const present = occupants.filter((o) => o.clearedOn === undefined);
  const [eldest] = present;
  if (!eldest || !dates) return {};
  const noted = (stage: Stage): StageDate | undefined => {
    const days = present.flatMap((o) => o.stages.seen[stage] ?? []).sort();
    return days[0] === undefined ? undefined : { day: days[0], isNoted: true };
  };
  const notBefore = (day: Day, stage: Stage): StageDate => {
    const looked = present
      .flatMap((o) => o.stages.notYet[stage] ?? [])
      .sort()
      .at(-1);
    return { day: looked !== undefined && looked >= day ? addDays(looked, 1) : day, isNoted: false };
  };
  const [flowers, set, picking] = [noted('flowers'), noted('set'), noted('ripe')];
  // what came later says that the earlier came too
  const least = (stageDate: StageDate, ...seen: (StageDate | undefined)[]): StageDate =>
    seen.reduce<StageDate>(
      (low, s) =>
        s && (s.day < low.day || !low.isNoted)
          ? { day: s.day < low.day ? s.day : low.day, isNoted: true }
          : low,
      stageDate,
    );
  const firstFlowers = notBefore(middle(dates.firstFlowers.from, dates.firstFlowers.to), 'flowers');
  const firstSet = notBefore(addDays((flowers ?? firstFlowers).day, assumed.flowersToSet), 'set');
  return {
    planting: { day: eldest.plantedOn, isNoted: true },
    flowers: flowers ?? least(firstFlowers, set, picking),
    set: set ?? least(firstSet, picking),
    // fruit that was seen to set says more than the days from planting
    picking:
      picking ??
      notBefore(
        set ? addDays(set.day, ripeDays(eldest.crop.id, eldest.variety).likely) : dates.picking.from,
        'ripe',
      ),
    'base-used-up': used.likely === undefined ? undefined : { day: used.likely, isNoted: false },
    // where nothing in the mix gives slowly there is nothing to wait for
    'label-months': { day: labelMonthsOver ?? eldest.plantedOn, isNoted: true },
  };
}
