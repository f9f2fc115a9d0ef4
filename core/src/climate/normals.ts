import { dayOfYear, type Day } from '../calendar/index.ts';
import { within } from '../errors/index.ts';
import type { SeasonsId } from '../records/index.ts';
import { seasonsOf } from './seasons.ts';

/** A month's usual weather: mean daily minimum and maximum (°C) and the month's rain (mm). */
export interface MonthNormal {
  readonly minCelsius: number;
  readonly maxCelsius: number;
  readonly rainMillimetres: number;
}

/**
 * Twelve months' normals for a latitude, for a site whose own are not known (*assumed*, plain curves fitted by
 * eye to temperate places near sea level: good to about ±4 °C). A grower with a number of their own types it over.
 *
 * @param latitudeDegrees -66 to 66
 * @param seasonsId what winter and summer are like; left out: as by the sea
 * @returns January first
 * @see docs/model.md, 6. Weather
 * @example
 * defaultNormals(51)[6].maxCelsius
 * // ≈> 22.7
 */
export function defaultNormals(latitudeDegrees: number, seasonsId?: SeasonsId): readonly MonthNormal[] {
  const lat = within('latitudeDegrees', latitudeDegrees, -66, 66);
  const { coolerBy, swingTimes, halfDay, rain } = seasonsOf(seasonsId);
  const yearMean = 27.5 - 0.0066 * lat * lat - coolerBy;
  const swing = 0.15 * Math.abs(lat) * swingTimes;
  const warmest = lat >= 0 ? 6.5 : 0.5;
  return Array.from({ length: 12 }, (_, month) => {
    const season = Math.cos(((month - warmest) / 12) * 2 * Math.PI);
    const mean = yearMean + swing * season;
    // clear summer days swing further than dull winter ones, and there are seasons only away from the equator
    const summer = Math.min(1, Math.abs(lat) / 40) * season;
    const half = halfDay.mean + halfDay.moreInSummer * summer;
    return {
      minCelsius: mean - half,
      maxCelsius: mean + half,
      rainMillimetres: rain.mean + rain.moreInSummer * summer,
    };
  });
}

/** The normals of one day: months stand at their middle, with straight lines between. */
export function normalOfDay(normals: readonly MonthNormal[], day: Day): MonthNormal {
  const position = ((dayOfYear(day) - 1) / 365.25) * 12 - 0.5;
  const first = Math.floor(position);
  const share = position - first;
  const before = normals[(first + 12) % 12];
  const after = normals[(first + 13) % 12];
  if (!before || !after) throw new TypeError('normals need twelve months');
  const mix = (key: keyof MonthNormal) => before[key] * (1 - share) + after[key] * share;
  return {
    minCelsius: mix('minCelsius'),
    maxCelsius: mix('maxCelsius'),
    rainMillimetres: mix('rainMillimetres') / 30.4,
  };
}
