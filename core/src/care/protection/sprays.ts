import type { Assumed } from '../../assumed/index.ts';
import { dayOf, dayOfYear, hourOf } from '../../calendar/index.ts';
import { daylightHours, type KnownDay } from '../../climate/index.ts';
import { within } from '../../errors/index.ts';

/**
 * What so much in so much water comes to, mL to the litre.
 *
 * @param millilitres more than 0
 * @param litres of water, more than 0
 * @throws RundelError where either is 0 or less
 * @example
 * dilution(20, 5)
 * // => 4
 */
export function dilution(millilitres: number, litres: number): number {
  within('millilitres', millilitres, Number.MIN_VALUE, 100_000);
  return millilitres / within('litres', litres, 0.01, 10_000);
}

/** Sunrise and sunset by the clock, hours. */
export interface SunTimes {
  readonly rises: number;
  readonly sets: number;
}

/**
 * Sunrise and sunset: half the daylight before and after solar noon, which is taken as twelve, or one where clocks are put forward
 * in summer. Off by as much as the place lies east or west in its time zone, up to half an hour and more.
 *
 * @param clockAheadHours 1 where summer time is on
 * @example
 * sunTimes(51, '2026-07-16', 1)
 * // ≈> { rises: 5.08, sets: 20.92 }
 */
export function sunTimes(latitudeDegrees: number, day: string, clockAheadHours: number): SunTimes {
  const half = daylightHours(latitudeDegrees, dayOfYear(day)) / 2;
  return { rises: 12 - half + clockAheadHours, sets: 12 + half + clockAheadHours };
}

/** Whether a moment suits for spraying: the sun burns a wet leaf, and bees are out in daylight. */
export type SprayTime =
  /** evening, early morning, or a day without sun */
  | { readonly kind: 'good'; readonly why: 'evening' | 'morning' | 'dull'; readonly sun: SunTimes }
  /** the sun is low, and still on the leaves */
  | { readonly kind: 'low-sun'; readonly sun: SunTimes; readonly goodFrom: number }
  /** in the sun; wait until an hour of the day */
  | { readonly kind: 'sun'; readonly sun: SunTimes; readonly goodFrom: number };

/** A day with less sun than this is dull, hours. */
const DULL_SUN_HOURS = 1.5;
/** After sunrise, and before sunset, within which sun is low, hours. */
const LOW_SUN_HOURS = 2.5;
/** So long after sunrise leaves are not yet warm, hours. */
const EARLY_HOURS = 1;

/**
 * Whether a moment suits for spraying, by sun and weather.
 *
 * @param at local time
 * @param weather of that day, as far as it is known: hours of sun, else nothing is said of clouds
 * @see docs/model.md, 12. Protection
 * @example
 * sprayTime('2026-07-16T12:00:00.000+01:00', undefined, 51, 1, DEFAULT_ASSUMED).kind
 * // => 'sun'
 */
export function sprayTime(
  at: string,
  weather: Pick<KnownDay, 'sunHours'> | undefined,
  latitudeDegrees: number,
  clockAheadHours: number,
  { sunOffBeforeSunset }: Pick<Assumed, 'sunOffBeforeSunset'>,
): SprayTime {
  const sun = sunTimes(latitudeDegrees, dayOf(at), clockAheadHours);
  const hour = hourOf(at);
  const goodFrom = sun.sets - sunOffBeforeSunset;
  if (hour >= goodFrom) return { kind: 'good', why: 'evening', sun };
  if (hour <= sun.rises + EARLY_HOURS) return { kind: 'good', why: 'morning', sun };
  if (weather?.sunHours !== undefined && weather.sunHours < DULL_SUN_HOURS)
    return { kind: 'good', why: 'dull', sun };
  const isLow = hour >= sun.sets - LOW_SUN_HOURS || hour <= sun.rises + LOW_SUN_HOURS;
  return { kind: isLow ? 'low-sun' : 'sun', sun, goodFrom };
}
