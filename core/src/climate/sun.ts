import { within } from '../errors/index.ts';

/**
 * Sun and sky by FAO-56 chapter 3. Latitudes in degrees, north positive; days by their number in the year (1–366);
 * angles in radians inside. Valid between the polar circles, where the sun rises and sets every day.
 */
const GSC = 0.082; // solar constant, MJ m⁻² min⁻¹ (FAO-56 eq 21)
const radians = (degrees: number) => (degrees * Math.PI) / 180;

/** Inverse relative distance from earth to sun, FAO-56 eq 23. */
function inverseDistance(dayOfYear: number): number {
  return 1 + 0.033 * Math.cos((2 * Math.PI * dayOfYear) / 365);
}

/** Solar declination, rad, FAO-56 eq 24. */
function declination(dayOfYear: number): number {
  return 0.409 * Math.sin((2 * Math.PI * dayOfYear) / 365 - 1.39);
}

/** Sunset hour angle, rad, FAO-56 eq 25. */
function sunsetAngle(latitudeDegrees: number, dayOfYear: number): number {
  within('latitudeDegrees', latitudeDegrees, -66, 66);
  within('dayOfYear', dayOfYear, 1, 366);
  return Math.acos(-Math.tan(radians(latitudeDegrees)) * Math.tan(declination(dayOfYear)));
}

/**
 * Extraterrestrial radiation of a day, MJ m⁻² d⁻¹, FAO-56 eq 21. Check: Example 8, 20° S on 3 September, 32.2.
 *
 * @param latitudeDegrees -66 to 66
 * @throws RundelError outside these ranges
 * @see docs/model.md, 6. Weather
 * @example
 * extraterrestrialRadiation(-20, 246)
 * // ≈> 32.2
 */
export function extraterrestrialRadiation(latitudeDegrees: number, dayOfYear: number): number {
  const phi = radians(latitudeDegrees);
  const delta = declination(dayOfYear);
  const omega = sunsetAngle(latitudeDegrees, dayOfYear);
  return (
    ((24 * 60) / Math.PI) *
    GSC *
    inverseDistance(dayOfYear) *
    (omega * Math.sin(phi) * Math.sin(delta) + Math.cos(phi) * Math.cos(delta) * Math.sin(omega))
  );
}

/**
 * Hours of daylight, FAO-56 eq 34. Check: Example 9, 20° S on 3 September, 11.7 h.
 *
 * @example
 * daylightHours(-20, 246)
 * // ≈> 11.7
 */
export function daylightHours(latitudeDegrees: number, dayOfYear: number): number {
  return (24 / Math.PI) * sunsetAngle(latitudeDegrees, dayOfYear);
}

/**
 * Share of a day's evapotranspiration that falls between two hours of the same day, when it follows a half sine
 * from sunrise to sunset about noon (solar time is taken as clock time: the error is in the shape, not in the sum).
 *
 * @param fromHour 0 to 24
 * @param toHour 0 to 24
 * @example
 * shareOfDay(0, 12, 14)
 * // ≈> 0.5
 */
export function shareOfDay(fromHour: number, toHour: number, daylight: number): number {
  return doneBy(toHour, daylight) - doneBy(fromHour, daylight);
}

function doneBy(hour: number, daylight: number): number {
  const sunrise = 12 - daylight / 2;
  const x = Math.min(1, Math.max(0, (hour - sunrise) / daylight));
  return (1 - Math.cos(Math.PI * x)) / 2;
}
