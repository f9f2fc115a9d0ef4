import { within } from '../errors/index.ts';
import { daylightHours, extraterrestrialRadiation } from './sun.ts';

/** Radiation at the ground by FAO-56 chapter 3, MJ m⁻² d⁻¹. */

/** Shares of the sky's radiation on an overcast day, and what a clear one adds (FAO-56 eq 35). */
const OVERCAST = 0.25;
const CLEAR_ADDS = 0.5;
/** Hargreaves' coefficient inland (FAO-56 eq 50): by the sea it is 0.19. */
const INLAND = 0.16;
/** Reflected by the reference crop (FAO-56 eq 38). */
export const ALBEDO = 0.23;
const STEFAN_BOLTZMANN = 4.903e-9;
const KELVIN = 273.16;

export interface SunnyDay {
  readonly minCelsius: number;
  readonly maxCelsius: number;
  readonly latitudeDegrees: number;
  readonly dayOfYear: number;
  /** hours of sunshine, 0 to 24; undefined: not known */
  readonly sunHours?: number | undefined;
}

/**
 * Solar radiation: from the hours of sunshine (FAO-56 eq 35), or where they are not known from the span of temperatures
 * (eq 50). Check: Example 10, Rio in May with 7.1 h, 14.5; Example 15, near 46° N in July, 22.3.
 *
 * @throws RundelError when the hours lie outside 0 to 24
 * @see docs/model.md, 6. Weather
 * @example
 * solarRadiation({ minCelsius: 19.1, maxCelsius: 25.1, latitudeDegrees: -22.9, dayOfYear: 135, sunHours: 7.1 })
 * // ≈> 14.45
 */
export function solarRadiation(day: SunnyDay): number {
  const ra = extraterrestrialRadiation(day.latitudeDegrees, day.dayOfYear);
  if (day.sunHours === undefined)
    return INLAND * Math.sqrt(Math.max(0, day.maxCelsius - day.minCelsius)) * ra;
  const hours = within('sunHours', day.sunHours, 0, 24);
  const share = Math.min(1, hours / daylightHours(day.latitudeDegrees, day.dayOfYear));
  return (OVERCAST + CLEAR_ADDS * share) * ra;
}

/**
 * Net radiation: what is kept of the sun's (eq 38) less the long waves sent out (eq 39). Check: Examples 11 and 12, Rio
 * in May, 7.6.
 *
 * @param vapourKilopascals actual vapour pressure
 * @param altitudeMetres for the clear sky (eq 37)
 */
export function netRadiation(day: SunnyDay, vapourKilopascals: number, altitudeMetres: number): number {
  const rs = solarRadiation(day);
  const clear =
    (OVERCAST + CLEAR_ADDS + 2e-5 * altitudeMetres) *
    extraterrestrialRadiation(day.latitudeDegrees, day.dayOfYear);
  const cloud = 1.35 * Math.min(1, rs / clear) - 0.35;
  const heat = ((day.maxCelsius + KELVIN) ** 4 + (day.minCelsius + KELVIN) ** 4) / 2;
  const out = STEFAN_BOLTZMANN * heat * (0.34 - 0.14 * Math.sqrt(vapourKilopascals)) * cloud;
  return (1 - ALBEDO) * rs - out;
}
