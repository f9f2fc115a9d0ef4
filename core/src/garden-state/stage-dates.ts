import { resolveAssumed, type Assumed } from '../assumed/index.ts';
import { addDays, dayOf, daysBetween, type Day } from '../calendar/index.ts';
import type { Entry, Garden } from '../records/index.ts';
import type { DaySpread, StageDate, StageDates } from '../feeding/index.ts';
import { datesFrom, frostYear, timingPracticeOf, type PlantingDates } from '../season/index.ts';
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
  );
}

const middle = (a: Day, b: Day): Day => addDays(a, Math.round(daysBetween(a, b) / 2));

/** The marks of a bag's present plants: what the grower noted, and what is worked out by the eldest's kind. */
export function stageDatesOf(
  occupants: readonly Occupant[],
  here: readonly Entry[],
  dates: PlantingDates | undefined,
  used: DaySpread,
  assumed: Pick<Assumed, 'flowersToSet'>,
): StageDates {
  const eldest = occupants.find((o) => o.clearedOn === undefined);
  if (!eldest || !dates) return {};
  const since = here.filter((e) => dayOf(e.at) >= eldest.plantedOn);
  const noted = (test: (e: Entry) => boolean): StageDate | undefined => {
    const found = since.find(test);
    return found && { day: dayOf(found.at), isNoted: true };
  };
  const reckoned = (day: Day): StageDate => ({ day, isNoted: false });
  const picking = noted((e) => e.kind === 'picking');
  const set = noted((e) => e.kind === 'stage' && e.stage === 'set');
  const flowers = noted((e) => e.kind === 'stage' && e.stage === 'flowers');
  // what came later says that the earlier came too
  const least = (stageDate: StageDate, ...seen: (StageDate | undefined)[]): StageDate =>
    seen.reduce<StageDate>(
      (low, s) => (s && s.day < low.day ? { day: s.day, isNoted: low.isNoted } : low),
      stageDate,
    );
  const firstFlowers = reckoned(middle(dates.firstFlowers.from, dates.firstFlowers.to));
  const firstSet = reckoned(addDays(firstFlowers.day, assumed.flowersToSet));
  return {
    planting: { day: eldest.plantedOn, isNoted: true },
    flowers: flowers ?? least(firstFlowers, set, picking),
    set: set ?? least(flowers ? reckoned(addDays(flowers.day, assumed.flowersToSet)) : firstSet, picking),
    picking: picking ?? reckoned(dates.picking.from),
    'base-used-up': used.likely === undefined ? undefined : reckoned(used.likely),
  };
}
