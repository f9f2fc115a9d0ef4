import { ASSUMPTIONS, type Assumed } from '../assumed/index.ts';
import { addDays, dayOfYear, type Day } from '../calendar/index.ts';
import {
  completeWeather,
  isWarmthKnown,
  type KnownDay,
  type Site,
  type WeatherDay,
} from '../climate/index.ts';
import { shrunkMean } from '../statistics/index.ts';
import { doubtOf } from './demand.ts';

/** How far days at this site come out from what is usual there. */
export interface LearntForecast {
  /** spread of a day's use when its weather is only expected, as a share of it */
  readonly filledDemandSpread: number;
  /** what days draw against what is usual for the place */
  readonly usualEto: number;
  /** stretches of known days that it was learnt from */
  readonly windows: number;
}

/** Cloud and heat last for days: errors are summed over so many before they are compared, so that what lasts counts. */
const WINDOW_DAYS = 3;

/** Days of the year that count as the same season: sd of their weights. */
const SEASON_DAYS = 40;

/**
 * Learns how the days of a site lie to its normals, from the weather that was noted there: how many times what is usual they
 * draw, by the season of the latest of them, and the spread that makes sums of three days about that come out as often as
 * stated. A day's use is in doubt for its own reasons too (`demandSpread`), which stay. Both are shrunk towards the numbers in
 * use, so that no known days change nothing.
 *
 * Source of the use: model §4, "the spread and the bias of daily ET about what is usual are learned per site and season".
 *
 * @param known in any order; of two notes of one day the later in the list counts
 * @see docs/model.md, 7. Water
 */
export function learnForecastSpread(
  known: readonly KnownDay[],
  site: Site,
  assumed: Pick<
    Assumed,
    | 'demandSpread'
    | 'filledDemandSpread'
    | 'spreadAt'
    | 'forecastPrior'
    | 'usualPrior'
    | 'usualEto'
    | 'warmerByDay'
    | 'warmerByNight'
  >,
): LearntForecast {
  const plain = { ...assumed, usualEto: 1 };
  const windows = windowsOf(known).map((window) => {
    const first = (window[0] as KnownDay).day;
    const last = (window.at(-1) as KnownDay).day;
    return {
      first,
      came: sumOf(completeWeather(window, site, first, last, plain)),
      expected: completeWeather([], site, first, last, plain),
    };
  });
  const newest = windows.at(-1)?.first;
  const usualEto = usualOf(windows, newest, assumed);
  const ownSquare = assumed.demandSpread ** 2;
  const priorSquare = Math.max(0, assumed.filledDemandSpread ** 2 - ownSquare);
  const squares = windows.map(({ came, expected }) => {
    const unit = expected.reduce((sum, { etoMillimetres: mm }) => {
      return sum + (usualEto * mm * doubtOf(usualEto * mm, assumed.spreadAt)) ** 2;
    }, 0);
    return (came - usualEto * sumOf(expected)) ** 2 / unit;
  });
  const square = shrunkMean(squares, priorSquare, assumed.forecastPrior);
  const { low, high } = ASSUMPTIONS.filledDemandSpread;
  const filledDemandSpread = Math.min(high, Math.max(low, Math.sqrt(ownSquare + square)));
  return { filledDemandSpread, usualEto, windows: squares.length };
}

/** How many times what is usual the days of the newest one's season drew, shrunk. */
function usualOf(
  windows: readonly {
    readonly first: Day;
    readonly came: number;
    readonly expected: readonly WeatherDay[];
  }[],
  newest: Day | undefined,
  { usualEto: prior, usualPrior }: Pick<Assumed, 'usualEto' | 'usualPrior'>,
): number {
  if (newest === undefined) return prior;
  let [came, expected, weights] = [0, 0, 0];
  for (const window of windows) {
    const apart = Math.abs(dayOfYear(window.first) - dayOfYear(newest));
    const weight = Math.exp(-((Math.min(apart, 365 - apart) / SEASON_DAYS) ** 2) / 2);
    came += weight * window.came;
    expected += weight * sumOf(window.expected);
    weights += weight;
  }
  // what is assumed counts for so many windows of the usual size
  const own = (usualPrior * expected) / weights;
  const { low, high } = ASSUMPTIONS.usualEto;
  return Math.min(high, Math.max(low, (came + own * prior) / (expected + own)));
}

const sumOf = (days: readonly WeatherDay[]) => days.reduce((sum, day) => sum + day.etoMillimetres, 0);

/** Stretches of known days without a gap, one after another. */
function windowsOf(known: readonly KnownDay[]): readonly (readonly KnownDay[])[] {
  // a forecast says nothing of how days come out
  const measured = known.filter((day) => !day.leadDays && isWarmthKnown(day));
  const byDay = [...new Map(measured.map((day) => [day.day, day])).values()].sort((a, b) =>
    a.day < b.day ? -1 : 1,
  );
  const windows: KnownDay[][] = [];
  let window: KnownDay[] = [];
  for (const day of byDay) {
    const last = window.at(-1);
    if (last && addDays(last.day, 1) !== day.day) window = [];
    window.push(day);
    if (window.length < WINDOW_DAYS) continue;
    windows.push(window);
    window = [];
  }
  return windows;
}
