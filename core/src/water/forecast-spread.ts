import { ASSUMPTIONS, type Assumed } from '../assumed/index.ts';
import { addDays } from '../calendar/index.ts';
import { completeWeather, type KnownDay, type Site, type WeatherDay } from '../climate/index.ts';
import { shrunkMean } from '../statistics/index.ts';
import { doubtOf } from './demand.ts';

/** How far days at this site come out from what is usual there. */
export interface LearntForecast {
  /** spread of a day's use when its weather is only expected, as a share of it */
  readonly filledDemandSpread: number;
  /** stretches of known days that it was learnt from */
  readonly windows: number;
}

/** Cloud and heat last for days: errors are summed over so many before they are compared, so that what lasts counts. */
const WINDOW_DAYS = 3;

/**
 * Learns how far the days of a site lie from its normals, from the weather that was noted there: the spread that makes sums
 * of three days come out as often as stated. A day's use is in doubt for its own reasons too (`demandSpread`), which stay.
 * Shrunk towards the number in use, so that no known days change nothing.
 *
 * Source of the use: model §4, "the spread of daily ET about its forecast … is learned per site".
 *
 * @param known in any order; of two notes of one day the later in the list counts
 * @see docs/model.md, 7. Water
 */
export function learnForecastSpread(
  known: readonly KnownDay[],
  site: Site,
  assumed: Pick<
    Assumed,
    'demandSpread' | 'filledDemandSpread' | 'spreadAt' | 'forecastPrior' | 'warmerByDay' | 'warmerByNight'
  >,
): LearntForecast {
  const ownSquare = assumed.demandSpread ** 2;
  const priorSquare = Math.max(0, assumed.filledDemandSpread ** 2 - ownSquare);
  const squares = windowsOf(known).map((window) => {
    const first = window[0] as KnownDay;
    const last = window.at(-1) as KnownDay;
    const came = completeWeather(window, site, first.day, last.day, assumed);
    const expected = completeWeather([], site, first.day, last.day, assumed);
    const unit = expected.reduce((sum, { etoMillimetres: mm }) => {
      return sum + (mm * doubtOf(mm, assumed.spreadAt)) ** 2;
    }, 0);
    return (sumOf(came) - sumOf(expected)) ** 2 / unit;
  });
  const square = shrunkMean(squares, priorSquare, assumed.forecastPrior);
  const { low, high } = ASSUMPTIONS.filledDemandSpread;
  const filledDemandSpread = Math.min(high, Math.max(low, Math.sqrt(ownSquare + square)));
  return { filledDemandSpread, windows: squares.length };
}

const sumOf = (days: readonly WeatherDay[]) => days.reduce((sum, day) => sum + day.etoMillimetres, 0);

/** Stretches of known days without a gap, one after another. */
function windowsOf(known: readonly KnownDay[]): readonly (readonly KnownDay[])[] {
  const byDay = [...new Map(known.map((day) => [day.day, day])).values()].sort((a, b) =>
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
