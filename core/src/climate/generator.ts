import type { Chance } from '../statistics/index.ts';
import { addDays, type Day } from '../calendar/index.ts';
import { normalOfDay } from './normals.ts';
import {
  isWarmthKnown,
  LEAST_RANGE,
  TOGETHER,
  type KnownDay,
  type Site,
  type WarmthKnown,
} from './weather.ts';

/** One month's weather as a model draws it. Temperatures are departures from the month's mean on a dry or a wet day. */
export interface MonthWeather {
  /** chance of a wet day after a wet one and after a dry one */
  readonly wetAfterWet: number;
  readonly wetAfterDry: number;
  /** rain of a wet day: gamma */
  readonly rainShape: number;
  readonly rainScaleMillimetres: number;
  /** mean departure from the normals on dry and on wet days, °C */
  readonly dry: { readonly minCelsius: number; readonly maxCelsius: number };
  readonly wet: { readonly minCelsius: number; readonly maxCelsius: number };
  /** sd about those, °C */
  readonly spreadCelsius: { readonly min: number; readonly max: number };
}

/** A site's weather by month, January first, with how it hangs together from day to day. */
export interface WeatherModel {
  readonly site: Site;
  readonly months: readonly MonthWeather[];
  /** lag-one correlation of the departures */
  readonly persistence: number;
  /** correlation of a day's minimum and maximum */
  readonly together: number;
  /** days of weather that it was fitted to; 0: the normals alone */
  readonly fittedDays: number;
}

/** From this much rain a day is wet, mm. */
const WET = 0.3;
/** A month needs this many days of record, over the years, to be fitted by its own. */
const LEAST_DAYS = 45;
/** What holds where nothing was measured (*assumed*, temperate places): see Richardson (1981) for the form. */
const USUAL = { wetAfterWet: 0.6, wetAfterDry: 0.25, rainShape: 0.75, persistence: 0.65 };

/**
 * Fits the generator to weather that was read, month by month, and to the site's normals where a month has too few days.
 *
 * Method: Richardson (1981): wet and dry days as a two-state chain, gamma rain, temperatures as a first-order process about
 * means that depend on wet and dry.
 *
 * @param spreadCelsius day-to-day spread about the normals where nothing was measured
 * @see docs/model.md, 6. Weather
 */
export function fitWeather(known: readonly KnownDay[], site: Site, spreadCelsius: number): WeatherModel {
  const days = [...new Map(known.map((day) => [day.day, day])).values()].sort((a, b) =>
    a.day < b.day ? -1 : 1,
  );
  const byDay = new Map(days.map((day) => [day.day, day]));
  const months = Array.from({ length: 12 }, (_, month) => {
    const own = days.filter((day) => Number(day.day.slice(5, 7)) === month + 1);
    const normal = site.normals[month];
    const usual = usualMonth(normal?.rainMillimetres ?? 60, spreadCelsius);
    return own.length < LEAST_DAYS ? usual : fittedMonth(own, byDay, site, usual);
  });
  return {
    site,
    months,
    persistence: USUAL.persistence,
    together: TOGETHER,
    fittedDays: days.length,
  };
}

/** A month by its normals: as many wet days as the chain has in the long run, with the month's rain spread over them. */
function usualMonth(rainMillimetres: number, spreadCelsius: number): MonthWeather {
  const { wetAfterWet, wetAfterDry, rainShape } = USUAL;
  const wetShare = wetAfterDry / (1 + wetAfterDry - wetAfterWet);
  return {
    wetAfterWet,
    wetAfterDry,
    rainShape,
    rainScaleMillimetres: rainMillimetres / 30.4 / wetShare / rainShape,
    // a wet day is dull: cooler by day, milder by night; over the month that evens out
    dry: { minCelsius: -0.6 * wetShare, maxCelsius: 2 * wetShare },
    wet: { minCelsius: 0.6 * (1 - wetShare), maxCelsius: -2 * (1 - wetShare) },
    spreadCelsius: { min: spreadCelsius * 0.8, max: spreadCelsius },
  };
}

function fittedMonth(
  own: readonly KnownDay[],
  byDay: ReadonlyMap<Day, KnownDay>,
  site: Site,
  usual: MonthWeather,
): MonthWeather {
  const isWet = (day: KnownDay) => (day.rainMillimetres ?? 0) >= WET;
  const rained = own.filter((day) => day.rainMillimetres !== undefined);
  const followed = rained.flatMap((day) => {
    const next = byDay.get(addDays(day.day, 1));
    return next?.rainMillimetres === undefined ? [] : [{ before: isWet(day), after: isWet(next) }];
  });
  // a pseudo-count keeps a month in which it never rained from never raining again
  const share = (before: boolean, usually: number) => {
    const cases = followed.filter((f) => f.before === before);
    return (cases.filter((f) => f.after).length + 3 * usually) / (cases.length + 3);
  };
  const rains = rained.filter(isWet).map((day) => day.rainMillimetres ?? 0);
  const rainMean = mean(rains);
  const rainVariance = mean(rains.map((mm) => (mm - rainMean) ** 2));
  const hasRain = rains.length >= 8 && rainVariance > 0;
  const warm = own.filter(isWarmthKnown);
  const isWarmthFitted = warm.length >= LEAST_DAYS;
  const departures = (some: readonly WarmthKnown[], key: 'minCelsius' | 'maxCelsius') =>
    some.map((day) => day[key] - normalOfDay(site.normals, day.day)[key]);
  const centre = (some: readonly WarmthKnown[], fallback: MonthWeather['dry']) =>
    some.length < 5 || !isWarmthFitted
      ? fallback
      : {
          minCelsius: mean(departures(some, 'minCelsius')),
          maxCelsius: mean(departures(some, 'maxCelsius')),
        };
  const dry = centre(
    warm.filter((day) => !isWet(day)),
    usual.dry,
  );
  const wet = centre(warm.filter(isWet), usual.wet);
  const spread = (key: 'minCelsius' | 'maxCelsius') =>
    Math.sqrt(
      mean(departures(warm, key).map((d, i) => (d - (isWet(warm[i] as KnownDay) ? wet : dry)[key]) ** 2)),
    );
  return {
    wetAfterWet: share(true, usual.wetAfterWet),
    wetAfterDry: share(false, usual.wetAfterDry),
    rainShape: hasRain ? Math.min(3, Math.max(0.3, rainMean ** 2 / rainVariance)) : usual.rainShape,
    rainScaleMillimetres: hasRain ? rainVariance / rainMean : usual.rainScaleMillimetres,
    dry,
    wet,
    spreadCelsius: isWarmthFitted
      ? { min: spread('minCelsius'), max: spread('maxCelsius') }
      : usual.spreadCelsius,
  };
}

function mean(values: readonly number[]): number {
  return values.length === 0 ? 0 : values.reduce((sum, x) => sum + x, 0) / values.length;
}

/**
 * Draws weather for days to come.
 *
 * @param before the last day that is known, from which cloud and warmth go on
 * @returns one day for each, min below max, rain 0 or more
 */
export function drawWeather(
  model: WeatherModel,
  chance: Chance,
  first: Day,
  count: number,
  before?: KnownDay,
): readonly WarmthKnown[] {
  const { persistence, together, site } = model;
  const rest = Math.sqrt(1 - persistence ** 2);
  const apart = Math.sqrt(1 - together ** 2);
  let isWet = before?.rainMillimetres === undefined ? undefined : before.rainMillimetres >= WET;
  let [low, high] =
    before && isWarmthKnown(before) ? departureOf(model, before) : [chance.normal(), chance.normal()];
  return Array.from({ length: count }, (_, i) => {
    const day = addDays(first, i);
    const month = model.months[Number(day.slice(5, 7)) - 1] as MonthWeather;
    const wetShare = month.wetAfterDry / (1 + month.wetAfterDry - month.wetAfterWet);
    const wetChance = isWet === undefined ? wetShare : isWet ? month.wetAfterWet : month.wetAfterDry;
    isWet = chance.next() < wetChance;
    const shared = chance.normal();
    low = persistence * low + rest * shared;
    high = persistence * high + rest * (together * shared + apart * chance.normal());
    const normal = normalOfDay(site.normals, day);
    const centre = isWet ? month.wet : month.dry;
    const minCelsius = normal.minCelsius + centre.minCelsius + month.spreadCelsius.min * low;
    const maxCelsius = normal.maxCelsius + centre.maxCelsius + month.spreadCelsius.max * high;
    return {
      day,
      minCelsius,
      maxCelsius: Math.max(maxCelsius, minCelsius + LEAST_RANGE),
      rainMillimetres: isWet ? chance.gamma(month.rainShape, month.rainScaleMillimetres) : 0,
    };
  });
}

/** How far a known day lay from what its month has, in spreads. */
function departureOf(model: WeatherModel, day: WarmthKnown): [number, number] {
  const month = model.months[Number(day.day.slice(5, 7)) - 1] as MonthWeather;
  const normal = normalOfDay(model.site.normals, day.day);
  const centre = (day.rainMillimetres ?? 0) >= WET ? month.wet : month.dry;
  const held = (x: number) => Math.min(3, Math.max(-3, x));
  return [
    held((day.minCelsius - normal.minCelsius - centre.minCelsius) / month.spreadCelsius.min),
    held((day.maxCelsius - normal.maxCelsius - centre.maxCelsius) / month.spreadCelsius.max),
  ];
}
