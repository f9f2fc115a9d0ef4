import { addDays, dayOf, hourOf, momentAt } from '../calendar/index.ts';
import type { AgendaItem } from './agenda.ts';

/** Hours of the day in which nobody wants to be reminded; over midnight where it begins later than it ends. */
export interface QuietHours {
  readonly fromHour: number;
  readonly untilHour: number;
}

/** Something to be reminded of, and when. */
export interface Reminder {
  readonly uid: string;
  readonly kind: 'round' | 'frost';
  readonly at: string;
  readonly containerIds: readonly string[];
}

/** Fleece goes on by daylight: one is reminded of a cold night in the afternoon. */
const FROST_HOUR = 16;

const isQuiet = (hour: number, { fromHour, untilHour }: QuietHours) =>
  fromHour <= untilHour ? hour >= fromHour && hour < untilHour : hour >= fromHour || hour < untilHour;

/**
 * A moment outside of the quiet hours: itself, or the end of those that it lies in.
 *
 * @example
 * afterQuiet('2026-07-16T23:30:00.000+01:00', { fromHour: 21, untilHour: 7 })
 * // => '2026-07-17T07:00:00.000+01:00'
 */
export function afterQuiet(at: string, quiet: QuietHours | undefined): string {
  if (!quiet || quiet.fromHour === quiet.untilHour || !isQuiet(hourOf(at), quiet)) return at;
  const isNextDay = hourOf(at) >= quiet.untilHour;
  return momentAt(isNextDay ? addDays(dayOf(at), 1) : dayOf(at), quiet.untilHour, at);
}

/**
 * What to remind of, soonest first: rounds on which bags want to be looked at, and fleece for a cold night while it is light.
 *
 * @param now local time with its offset; nothing before it
 */
export function remindersOf(
  agenda: readonly AgendaItem[],
  quiet: QuietHours | undefined,
  now: string,
): readonly Reminder[] {
  const later = (at: string) => Date.parse(at) > Date.parse(now);
  return agenda
    .flatMap((item): Reminder[] => {
      const { uid, containerIds } = item;
      if (item.kind === 'round')
        return [
          { uid, kind: 'round', containerIds, at: afterQuiet(momentAt(item.day, item.hour, now), quiet) },
        ];
      if (item.kind !== 'job' || item.job.kind !== 'fleece') return [];
      return [
        { uid, kind: 'frost', containerIds, at: afterQuiet(momentAt(item.day, FROST_HOUR, now), quiet) },
      ];
    })
    .map((reminder) =>
      later(reminder.at) || reminder.kind === 'round'
        ? reminder
        : { ...reminder, at: afterQuiet(now, quiet) },
    )
    .filter(({ at }) => Date.parse(at) >= Date.parse(now))
    .sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
}
