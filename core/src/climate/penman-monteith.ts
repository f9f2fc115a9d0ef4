import { within } from '../errors/index.ts';
import { meanSaturation, psychrometricConstant, saturationSlope, vapourPressure } from './air.ts';
import { netRadiation, type SunnyDay } from './radiation.ts';

/** A day's weather for the reference equation; what is not known is filled in by FAO-56's rules. */
export interface ReferenceDay extends SunnyDay {
  /** mean relative humidity, 1 to 100 */
  readonly humidityPercent?: number | undefined;
  /** actual vapour pressure where it was measured, kPa; goes before the humidity */
  readonly vapourKilopascals?: number | undefined;
  /** wind at 2 m, 0 to 40 */
  readonly windMetresPerSecond?: number | undefined;
  /** above the sea; 0 when left out */
  readonly altitudeMetres?: number | undefined;
  /** heat that goes into the soil, MJ m⁻² d⁻¹; 0 for a single day */
  readonly soilMegajoules?: number | undefined;
}

/** Wind where none is known (FAO-56 chapter 3). */
const USUAL_WIND = 2;

/**
 * Reference evapotranspiration, mm a day, by FAO-56 Penman–Monteith (eq 6). Missing wind is 2 m/s, missing humidity a dew
 * point at the minimum, missing sun the span of temperatures. Never below zero.
 * Check: Example 17 (Bangkok in April) 5.72, Example 18 (Brussels on 6 July) 3.9.
 *
 * @throws RundelError when a number lies outside its range, or the maximum below the minimum
 * @see docs/model.md, 6. Weather
 * @example
 * penmanMonteith({ minCelsius: 25.6, maxCelsius: 34.8, latitudeDegrees: 13.73, dayOfYear: 105, sunHours: 8.5, vapourKilopascals: 2.85, windMetresPerSecond: 2, altitudeMetres: 2, soilMegajoules: 0.14 })
 * // ≈> 5.72
 */
export function penmanMonteith(day: ReferenceDay): number {
  const min = within('minCelsius', day.minCelsius, -40, 45);
  const max = within('maxCelsius', day.maxCelsius, -30, 55);
  within('maxCelsius less minCelsius', max - min, 0, 60);
  const altitude = day.altitudeMetres ?? 0;
  const wind = within('windMetresPerSecond', day.windMetresPerSecond ?? USUAL_WIND, 0, 40);
  const vapour = day.vapourKilopascals ?? vapourPressure(min, max, day.humidityPercent);
  const mean = (min + max) / 2;
  const slope = saturationSlope(mean);
  const gamma = psychrometricConstant(altitude);
  const radiation = netRadiation(day, vapour, altitude) - (day.soilMegajoules ?? 0);
  const dry = Math.max(0, meanSaturation(min, max) - vapour);
  const eto =
    (0.408 * slope * radiation + gamma * (900 / (mean + 273)) * wind * dry) /
    (slope + gamma * (1 + 0.34 * wind));
  return Math.max(0, eto);
}

/**
 * Wind at 2 m from wind at another height, m/s, FAO-56 eq 47. Check: Example 14, 3.2 m/s at 10 m is 2.4.
 *
 * @param heightMetres 0.5 to 100
 * @example
 * windAtTwoMetres(3.2, 10)
 * // ≈> 2.394
 */
export function windAtTwoMetres(metresPerSecond: number, heightMetres: number): number {
  within('heightMetres', heightMetres, 0.5, 100);
  return (metresPerSecond * 4.87) / Math.log(67.8 * heightMetres - 5.42);
}
