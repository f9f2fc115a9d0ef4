import { momentOf, offsetMinutesOf } from '../calendar/index.ts';

/**
 * The later of two moments; of two at the same instant the one whose text is greater, so that it is the same from either side.
 *
 * @example
 * latestMoment('2026-07-16T18:00:00.000+01:00', '2026-07-16T18:30:00.000+02:00')
 * // => '2026-07-16T18:00:00.000+01:00'
 */
export function latestMoment(a: string, b: string): string {
  const by = Date.parse(a) - Date.parse(b);
  if (by !== 0) return by > 0 ? a : b;
  return a > b ? a : b;
}

/**
 * When a change is said to be made: now, or a moment after the change before it where the clock stands behind that. A record's
 * `changedAt` never goes back, or the older change would win when two devices meet.
 *
 * @param before when the row was changed last
 * @example
 * momentAfter('2026-07-16T17:00:00.000+01:00', '2026-07-16T18:00:00.000+01:00')
 * // => '2026-07-16T18:00:00.001+01:00'
 */
export function momentAfter(now: string, before: string | undefined): string {
  if (before === undefined || Date.parse(now) > Date.parse(before)) return now;
  return momentOf(Date.parse(before) + 1, offsetMinutesOf(before));
}
