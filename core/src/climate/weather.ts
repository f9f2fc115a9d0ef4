import type { Assumed } from '../assumed/index.ts';
import { addDays, dayOfYear, daysBetween, type Day } from '../calendar/index.ts';
import { hargreavesSamani } from './hargreaves.ts';
import { penmanMonteith } from './penman-monteith.ts';
import { priestleyTaylor } from './priestley-taylor.ts';
import { normalOfDay, type MonthNormal } from './normals.ts';

/** What is known of one day's weather outside; rain may be unknown. */
export interface KnownDay {
  readonly day: Day;
  readonly minCelsius: number;
  readonly maxCelsius: number;
  readonly rainMillimetres?: number | undefined;
  /** mean relative humidity, 1 to 100 */
  readonly humidityPercent?: number | undefined;
  /** at 2 m */
  readonly windMetresPerSecond?: number | undefined;
  readonly sunHours?: number | undefined;
  /** it was foretold so many days before; left out or 0: it was measured */
  readonly leadDays?: number | undefined;
}

/** One day's weather, complete, with what was filled in from the normals marked. */
export interface WeatherDay {
  readonly day: Day;
  readonly minCelsius: number;
  readonly maxCelsius: number;
  readonly rainMillimetres: number;
  /** reference evapotranspiration outside, mm */
  readonly etoMillimetres: number;
  /** what the day asks for under a cover that would let all of the sun through, mm */
  readonly coverMillimetres: number;
  readonly by: 'penman-monteith' | 'hargreaves';
  readonly filled: { readonly temperature: boolean; readonly rain: boolean };
  /** how many days before it was foretold; 0: it was measured, or filled in */
  readonly leadDays?: number;
}

/** Where the weather is: latitude and the months' normals, January first. */
export interface Site {
  readonly latitudeDegrees: number;
  readonly normals: readonly MonthNormal[];
}

/** How far a closed house is warmer than outside. */
type WarmerInside = Pick<Assumed, 'warmerByDay' | 'warmerByNight'>;

/** And how far what is usual here is off (`usualEto`): a day that is filled in draws so many times what its normals say. */
type Judged = WarmerInside & Pick<Assumed, 'usualEto'>;

/** The day's demand outside and under cover: by Penman–Monteith where more than temperatures is known, else by those. */
function demandOf(
  day: Day,
  known: Omit<KnownDay, 'day'>,
  site: Site,
  assumed: WarmerInside,
): Pick<WeatherDay, 'etoMillimetres' | 'coverMillimetres' | 'by'> {
  const { minCelsius, maxCelsius, humidityPercent, windMetresPerSecond, sunHours } = known;
  const { latitudeDegrees } = site;
  const plain = { minCelsius, maxCelsius, latitudeDegrees, dayOfYear: dayOfYear(day) };
  const isMore = humidityPercent !== undefined || windMetresPerSecond !== undefined || sunHours !== undefined;
  const coverMillimetres = priestleyTaylor(
    { ...plain, sunHours },
    (minCelsius + maxCelsius + assumed.warmerByNight + assumed.warmerByDay) / 2,
  );
  return isMore
    ? {
        etoMillimetres: penmanMonteith({ ...plain, humidityPercent, windMetresPerSecond, sunHours }),
        coverMillimetres,
        by: 'penman-monteith',
      }
    : { etoMillimetres: hargreavesSamani(plain), coverMillimetres, by: 'hargreaves' };
}

/** A day's demand, so many times over. */
export function drawingTimes<D extends Pick<WeatherDay, 'etoMillimetres' | 'coverMillimetres'>>(
  day: D,
  factor: number,
): D {
  if (factor === 1) return day;
  return {
    ...day,
    etoMillimetres: day.etoMillimetres * factor,
    coverMillimetres: day.coverMillimetres * factor,
  };
}

/**
 * The weather of every day in a span (both ends included), known days as they are and gaps from the normals, marked.
 * Of two known days with one date the later in the list counts.
 *
 * @returns one WeatherDay a day, in order; empty when `last` lies before `first`
 * @see docs/model.md, 6. Weather
 */
export function completeWeather(
  known: readonly KnownDay[],
  site: Site,
  first: Day,
  last: Day,
  assumed: Judged,
): readonly WeatherDay[] {
  const byDay = new Map(known.map((k) => [k.day, k]));
  const count = Math.max(0, daysBetween(first, last) + 1);
  return Array.from({ length: count }, (_, i) => {
    const day = addDays(first, i);
    const normal = normalOfDay(site.normals, day);
    const found = byDay.get(day);
    const minCelsius = found?.minCelsius ?? normal.minCelsius;
    const maxCelsius = found?.maxCelsius ?? normal.maxCelsius;
    return {
      day,
      minCelsius,
      maxCelsius,
      rainMillimetres: found?.rainMillimetres ?? normal.rainMillimetres,
      ...drawingTimes(
        demandOf(day, { ...found, minCelsius, maxCelsius }, site, assumed),
        found ? 1 : assumed.usualEto,
      ),
      filled: { temperature: !found, rain: found?.rainMillimetres === undefined },
      ...(found?.leadDays ? { leadDays: found.leadDays } : {}),
    };
  });
}
