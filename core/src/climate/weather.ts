import { addDays, dayOfYear, daysBetween, type Day } from './calendar.ts';
import { hargreavesSamani } from './hargreaves.ts';
import { normalOfDay, type MonthNormal } from './normals.ts';

/** What is known of one day's weather outside; rain may be unknown. */
export interface KnownDay {
  readonly day: Day;
  readonly minCelsius: number;
  readonly maxCelsius: number;
  readonly rainMillimetres?: number | undefined;
}

/** One day's weather, complete, with what was filled in from the normals marked. */
export interface WeatherDay {
  readonly day: Day;
  readonly minCelsius: number;
  readonly maxCelsius: number;
  readonly rainMillimetres: number;
  /** reference evapotranspiration outside, mm */
  readonly etoMillimetres: number;
  readonly filled: { readonly temperature: boolean; readonly rain: boolean };
}

/** Where the weather is: latitude and the months' normals, January first. */
export interface Site {
  readonly latitudeDegrees: number;
  readonly normals: readonly MonthNormal[];
}

/**
 * The weather of every day in a span (both ends included), known days as they are and gaps from the normals, marked.
 * Of two known days with one date the later in the list counts.
 *
 * @returns one WeatherDay a day, in order; empty when `last` lies before `first`
 */
export function completeWeather(
  known: readonly KnownDay[],
  site: Site,
  first: Day,
  last: Day,
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
      etoMillimetres: hargreavesSamani({
        minCelsius,
        maxCelsius,
        latitudeDegrees: site.latitudeDegrees,
        dayOfYear: dayOfYear(day),
      }),
      filled: { temperature: !found, rain: found?.rainMillimetres === undefined },
    };
  });
}
