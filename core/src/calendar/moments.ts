import { addDays, dayOf } from './calendar.ts';

/** Local times worked out from another local time; they keep its offset (a change to summer time shifts a round by an hour). */

const offsetOf = (at: string) => /(Z|[+-]\d{2}:\d{2})$/.exec(at)?.[0] ?? 'Z';
const two = (n: number) => String(n).padStart(2, '0');

/** A local time on a day, with the offset of another. */
export function momentAt(day: string, hour: number, like: string): string {
  const minutes = Math.round(hour * 60);
  return `${day}T${two(Math.floor(minutes / 60))}:${two(minutes % 60)}:00.000${offsetOf(like)}`;
}

/**
 * The next rounds after a moment, in order.
 *
 * @example
 * roundsAfter('2026-07-16T18:00:00.000+01:00', [8, 18], 2)
 * // => ['2026-07-17T08:00:00.000+01:00', '2026-07-17T18:00:00.000+01:00']
 */
export function roundsAfter(now: string, roundHours: readonly number[], count: number): readonly string[] {
  const hours = [...roundHours].sort((a, b) => a - b);
  const found: string[] = [];
  for (let day = dayOf(now); found.length < count; day = addDays(day, 1)) {
    for (const hour of hours) {
      const at = momentAt(day, hour, now);
      // a round within the next two hours is this one: the grower has come early
      if (Date.parse(at) - Date.parse(now) > 2 * 3_600_000 && found.length < count) found.push(at);
    }
  }
  return found;
}
