import { psychrometricConstant, saturationSlope } from './air.ts';
import { ALBEDO, solarRadiation, type SunnyDay } from './radiation.ts';

/** Priestley & Taylor (1972): well-watered leaves in still air. */
const ALPHA = 1.26;
/** Heat that evaporates a kilogram of water, MJ (FAO-56). */
const LATENT_HEAT = 2.45;

/**
 * Evapotranspiration under cover, mm a day, if the cover let all of the sun through: there is hardly any wind, and long
 * waves stay inside, so that it goes by the sun alone: α Δ / (Δ + γ) × (1 − albedo) × Rs / λ. Multiply by what the cover
 * lets through.
 *
 * @param insideCelsius mean temperature under cover
 * @see docs/model.md, 6. Weather
 * @example
 * priestleyTaylor({ minCelsius: 14, maxCelsius: 26, latitudeDegrees: 51, dayOfYear: 196 }, 22)
 * // ≈> 6.2
 */
export function priestleyTaylor(day: SunnyDay, insideCelsius: number): number {
  const slope = saturationSlope(insideCelsius);
  const weight = slope / (slope + psychrometricConstant(0));
  return Math.max(0, (ALPHA * weight * (1 - ALBEDO) * solarRadiation(day)) / LATENT_HEAT);
}

/**
 * Growing degree days of one day, °C d, by the mean of its two ends, each held between base and ceiling.
 *
 * @param baseCelsius below it nothing grows; 10 for tomatoes and their like
 * @param ceilingCelsius above it nothing grows faster
 * @example
 * growingDegreeDays(8, 24)
 * // => 7
 */
export function growingDegreeDays(
  minCelsius: number,
  maxCelsius: number,
  baseCelsius = 10,
  ceilingCelsius = 30,
): number {
  const held = (celsius: number) => Math.min(ceilingCelsius, Math.max(baseCelsius, celsius));
  return (held(minCelsius) + held(maxCelsius)) / 2 - baseCelsius;
}
