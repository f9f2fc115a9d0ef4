import type { Assumed } from '../assumed/index.ts';
import { addDays, dayOfYear, daysBetween, type Day } from '../calendar/index.ts';
import { hargreavesSamani } from './hargreaves.ts';
import { penmanMonteith } from './penman-monteith.ts';
import { priestleyTaylor } from './priestley-taylor.ts';
import { normalOfDay, type MonthNormal } from './normals.ts';

/** What is known of one day's weather outside: all of it, or a part, as a rain gauge knows no degrees. */
export interface KnownDay {
  readonly day: Day;
  readonly minCelsius?: number | undefined;
  readonly maxCelsius?: number | undefined;
  readonly rainMillimetres?: number | undefined;
  /** mean relative humidity, 1 to 100 */
  readonly humidityPercent?: number | undefined;
  /** at 2 m */
  readonly windMetresPerSecond?: number | undefined;
  readonly sunHours?: number | undefined;
  /** it was foretold so many days before; left out or 0: it was measured */
  readonly leadDays?: number | undefined;
}

/** Correlation of a day's minimum and maximum about what is usual (*assumed*, temperate places). */
export const TOGETHER = 0.55;
/** A day's nights are never warmer than its days by less than this, °C. */
export const LEAST_RANGE = 1;

/** A day of which both temperatures are known. */
export type WarmthKnown = KnownDay & { readonly minCelsius: number; readonly maxCelsius: number };

export const isWarmthKnown = (day: KnownDay): day is WarmthKnown =>
  day.minCelsius !== undefined && day.maxCelsius !== undefined;

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
  readonly filled: { readonly min: boolean; readonly max: boolean; readonly rain: boolean };
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

/**
 * Coldest and warmest of a day, what is not known of it as usual: where one of the two is, the other is likely off in the same
 * direction, and never on its wrong side.
 *
 * @example
 * temperaturesOf({ minCelsius: 18 }, { minCelsius: 10, maxCelsius: 20 })
 * // => { minCelsius: 18, maxCelsius: 24.4 }
 */
export function temperaturesOf(
  known: Omit<KnownDay, 'day'> | undefined,
  usual: Pick<MonthNormal, 'minCelsius' | 'maxCelsius'>,
): { readonly minCelsius: number; readonly maxCelsius: number } {
  const { minCelsius, maxCelsius } = known ?? {};
  const shift =
    TOGETHER *
    ((maxCelsius ?? usual.maxCelsius) -
      usual.maxCelsius +
      (minCelsius ?? usual.minCelsius) -
      usual.minCelsius);
  return {
    minCelsius: minCelsius ?? Math.min(usual.minCelsius + shift, (maxCelsius ?? Infinity) - LEAST_RANGE),
    maxCelsius: maxCelsius ?? Math.max(usual.maxCelsius + shift, (minCelsius ?? -Infinity) + LEAST_RANGE),
  };
}

/** The day's demand outside and under cover: by Penman–Monteith where more than temperatures is known, else by those. */
function demandOf(
  day: Day,
  known: Omit<WarmthKnown, 'day'>,
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

/** What of a day is not known. */
export const filledIn = (known: Omit<KnownDay, 'day'> | undefined): WeatherDay['filled'] => ({
  min: known?.minCelsius === undefined,
  max: known?.maxCelsius === undefined,
  rain: known?.rainMillimetres === undefined,
});

/** How much of a day's temperatures is as usual and not as known: 0, ½ or 1. */
export const filledShare = ({ filled }: Pick<WeatherDay, 'filled'>): number =>
  (Number(filled.min) + Number(filled.max)) / 2;

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
    const { minCelsius, maxCelsius } = temperaturesOf(found, normal);
    const filled = filledIn(found);
    return {
      day,
      minCelsius,
      maxCelsius,
      rainMillimetres: found?.rainMillimetres ?? normal.rainMillimetres,
      ...drawingTimes(
        demandOf(day, { ...found, minCelsius, maxCelsius }, site, assumed),
        assumed.usualEto ** filledShare({ filled }),
      ),
      filled,
      ...(found?.leadDays ? { leadDays: found.leadDays } : {}),
    };
  });
}
