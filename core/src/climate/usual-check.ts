import type { Assumed } from '../assumed/index.ts';
import type { SeasonsId } from '../records/index.ts';
import { defaultNormals, normalOfDay } from './normals.ts';
import { SEASONS } from './seasons.ts';
import { completeWeather, isWarmthKnown, type KnownDay, type Site, type WarmthKnown } from './weather.ts';

/** How the days that were noted lie to what is usual for the site. */
export interface UsualCheck {
  readonly days: number;
  /** what they drew, times what usual days would have drawn */
  readonly times: number;
  /** the kind of seasons whose nights and days come nearest to them */
  readonly nearest: SeasonsId;
}

/** Fewer days say more about a week than about a place (*assumed*). */
const LEAST_DAYS = 14;

/**
 * How far the noted days of a site lie from its usual months, and which kind of seasons would fit them better.
 *
 * @param known in any order; of two notes of one day the later in the list counts; forecasts, and days with a temperature missing, are left out
 * @returns nothing below two weeks of days
 * @see docs/model.md, 6. Weather
 */
export function checkUsual(
  known: readonly KnownDay[],
  site: Site,
  assumed: Pick<Assumed, 'warmerByDay' | 'warmerByNight'>,
): UsualCheck | undefined {
  const noted = [
    ...new Map(known.filter((each) => !each.leadDays).map((each) => [each.day, each])).values(),
  ].filter(isWarmthKnown);
  if (noted.length < LEAST_DAYS) return undefined;
  const plain = { ...assumed, usualEto: 1 };
  const drawn = (given: (each: KnownDay) => readonly KnownDay[]) =>
    noted
      .flatMap((each) => completeWeather(given(each), site, each.day, each.day, plain))
      .reduce((sum, { etoMillimetres }) => sum + etoMillimetres, 0);
  return {
    days: noted.length,
    times: drawn((each) => [each]) / drawn(() => []),
    nearest: nearestSeasons(noted, site.latitudeDegrees),
  };
}

function nearestSeasons(noted: readonly WarmthKnown[], latitudeDegrees: number): SeasonsId {
  const misses = SEASONS.map(({ id }) => {
    const normals = defaultNormals(latitudeDegrees, id);
    const miss = noted.reduce((sum, { day, minCelsius, maxCelsius }) => {
      const normal = normalOfDay(normals, day);
      return sum + Math.abs(minCelsius - normal.minCelsius) + Math.abs(maxCelsius - normal.maxCelsius);
    }, 0);
    return { id, miss };
  });
  return misses.reduce((best, each) => (each.miss < best.miss ? each : best)).id;
}
