import { addDays, dayOf, daysBetween, type Day } from './calendar.ts';

/** Local times worked out from another local time; they keep its offset (a change to summer time shifts a round by an hour). */

const offsetOf = (at: string) => /(Z|[+-]\d{2}:\d{2})$/.exec(at)?.[0] ?? 'Z';
const two = (n: number) => String(n).padStart(2, '0');

/** A local time on a day, with the offset of another. */
export function momentAt(day: string, hour: number, like: string): string {
  const minutes = Math.round(hour * 60);
  return `${day}T${two(Math.floor(minutes / 60))}:${two(minutes % 60)}:00.000${offsetOf(like)}`;
}

/** The days on which somebody comes: every so many, counted from one of them, or weekdays (1 Monday to 7 Sunday). */
export type RoundDays =
  | { readonly by: 'every'; readonly days: number; readonly from: Day }
  | { readonly by: 'weekdays'; readonly weekdays: readonly number[] };

/**
 * The day of the week, 1 Monday to 7 Sunday.
 *
 * @example
 * weekdayOf('2026-07-16')
 * // => 4
 */
export function weekdayOf(day: Day): number {
  return ((Math.floor(Date.parse(day) / 86_400_000) + 3) % 7) + 1;
}

/**
 * Whether somebody comes on a day; every day where nothing else was said.
 *
 * @example
 * isRoundDay('2026-07-19', { by: 'every', days: 3, from: '2026-07-16' })
 * // => true
 */
export function isRoundDay(day: Day, roundDays: RoundDays | undefined): boolean {
  if (!roundDays) return true;
  if (roundDays.by === 'weekdays') return roundDays.weekdays.includes(weekdayOf(day));
  return daysBetween(roundDays.from, day) % roundDays.days === 0;
}

/**
 * Days on which somebody comes, of all days.
 *
 * @example
 * roundDayShare({ by: 'weekdays', weekdays: [6, 7] })
 * // ≈> 0.2857
 */
export function roundDayShare(roundDays: RoundDays | undefined): number {
  if (!roundDays) return 1;
  return roundDays.by === 'weekdays' ? new Set(roundDays.weekdays).size / 7 : 1 / roundDays.days;
}

/** Rounds further ahead than this say nothing any more, days; but for the first two. */
const FURTHEST_DAYS = 21;

/**
 * The next rounds after a moment, in order.
 *
 * @param roundDays the days on which there are rounds; left out: every day
 * @example
 * roundsAfter('2026-07-16T18:00:00.000+01:00', [8, 18], 2)
 * // => ['2026-07-17T08:00:00.000+01:00', '2026-07-17T18:00:00.000+01:00']
 * @example
 * roundsAfter('2026-07-16T18:00:00.000+01:00', [9], 2, { by: 'weekdays', weekdays: [6, 7] })
 * // => ['2026-07-18T09:00:00.000+01:00', '2026-07-19T09:00:00.000+01:00']
 */
export function roundsAfter(
  now: string,
  roundHours: readonly number[],
  count: number,
  roundDays?: RoundDays,
): readonly string[] {
  const hours = [...roundHours].sort((a, b) => a - b);
  const found: string[] = [];
  const today = dayOf(now);
  for (let day = today; found.length < count; day = addDays(day, 1)) {
    if (found.length >= 2 && daysBetween(today, day) > FURTHEST_DAYS) break;
    if (!isRoundDay(day, roundDays)) continue;
    for (const hour of hours) {
      const at = momentAt(day, hour, now);
      // a round within the next two hours is this one: the grower has come early
      if (Date.parse(at) - Date.parse(now) > 2 * 3_600_000 && found.length < count) found.push(at);
    }
  }
  return found;
}
