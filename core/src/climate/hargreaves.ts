import { within } from '../errors/index.ts';
import { extraterrestrialRadiation } from './sun.ts';

/**
 * Reference evapotranspiration from temperatures alone, mm a day: Hargreaves & Samani (1985), FAO-56 eq 52,
 * ETo = 0.0023 (Tmean + 17.8) (Tmax − Tmin)^0.5 Ra, with Ra as its equivalent in mm (0.408 × MJ m⁻²).
 * Never below zero. Tends to be high in humid and low in windy places, by 10 to 20 %.
 *
 * @param minCelsius -40 to 45
 * @param maxCelsius -30 to 55, not below minCelsius
 * @throws RundelError outside these ranges
 * @see docs/model.md, 6. Weather
 * @example
 * hargreavesSamani({ minCelsius: 14.8, maxCelsius: 26.6, latitudeDegrees: 45.72, dayOfYear: 196 })
 * // ≈> 5.0
 */
export function hargreavesSamani(day: {
  readonly minCelsius: number;
  readonly maxCelsius: number;
  readonly latitudeDegrees: number;
  readonly dayOfYear: number;
}): number {
  const min = within('minCelsius', day.minCelsius, -40, 45);
  const max = within('maxCelsius', day.maxCelsius, -30, 55);
  within('maxCelsius less minCelsius', max - min, 0, 60);
  const ra = extraterrestrialRadiation(day.latitudeDegrees, day.dayOfYear);
  return Math.max(0, 0.0023 * ((min + max) / 2 + 17.8) * Math.sqrt(max - min) * 0.408 * ra);
}
