import { within } from '../errors/index.ts';

/** Air and vapour by FAO-56 chapter 3: temperatures in °C, pressures in kPa. */

/**
 * Saturation vapour pressure, kPa, FAO-56 eq 11. Check: Example 3, 24.5 °C 3.075, 15 °C 1.705.
 *
 * @see docs/model.md, 6. Weather
 * @example
 * saturationPressure(24.5)
 * // ≈> 3.075
 */
export function saturationPressure(celsius: number): number {
  return 0.6108 * Math.exp((17.27 * celsius) / (celsius + 237.3));
}

/**
 * Slope of the saturation curve, kPa/°C, FAO-56 eq 13.
 *
 * @example
 * saturationSlope(30.2)
 * // ≈> 0.246
 */
export function saturationSlope(celsius: number): number {
  return (4098 * saturationPressure(celsius)) / (celsius + 237.3) ** 2;
}

/**
 * Psychrometric constant, kPa/°C, from the altitude: FAO-56 eqs 7 and 8. Check: Example 2, 1800 m 0.054.
 *
 * @param metres above the sea, -400 to 5000
 * @throws RundelError outside this range
 * @example
 * psychrometricConstant(1800)
 * // ≈> 0.0544
 */
export function psychrometricConstant(metres: number): number {
  const altitude = within('altitudeMetres', metres, -400, 5000);
  const pressure = 101.3 * ((293 - 0.0065 * altitude) / 293) ** 5.26;
  return 0.665e-3 * pressure;
}

/** Mean saturation pressure of a day, kPa, FAO-56 eq 12: the mean of both ends, and not that of the mean. */
export function meanSaturation(minCelsius: number, maxCelsius: number): number {
  return (saturationPressure(minCelsius) + saturationPressure(maxCelsius)) / 2;
}

/**
 * Actual vapour pressure, kPa: from the mean relative humidity (FAO-56 eq 19), or where there is none from a dew point
 * at the night's minimum (eq 48), which holds in damp places and is too moist in dry ones.
 *
 * @param humidityPercent 1 to 100; undefined: not known
 */
export function vapourPressure(
  minCelsius: number,
  maxCelsius: number,
  humidityPercent: number | undefined,
): number {
  if (humidityPercent === undefined) return saturationPressure(minCelsius);
  return (within('humidityPercent', humidityPercent, 1, 100) / 100) * meanSaturation(minCelsius, maxCelsius);
}
