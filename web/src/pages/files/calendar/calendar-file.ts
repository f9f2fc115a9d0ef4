import type { AgendaItem } from '@rundel/core/agenda';
import { createEvents, type Alarm, type DateArray, type EventAttributes } from 'ics';

/** An item of the calendar with its words. */
export interface CalendarEvent {
  readonly item: AgendaItem;
  readonly title: string;
  readonly detail: string;
}

/** Days have no hour: whoever is reminded of them is so in the morning. */
const MORNING: Alarm = { action: 'display', trigger: { hours: 8, minutes: 0, before: false } };
/** A round takes about so long, and the calendar has to say something. */
const ROUND_MINUTES = 30;

/**
 * A calendar (RFC 5545), each item under a UID that is the same the next time. Times are the grower's own, wherever the calendar is
 * looked at.
 *
 * @param url of the round, for whoever wants to go there from the calendar; left out where it is not known
 */
export function calendarFile(events: readonly CalendarEvent[], gardenName: string, url?: string): string {
  const rows = events.map(({ item, title, detail }): EventAttributes => {
    const [year = 0, month = 0, day = 0] = item.day.split('-').map(Number);
    const date: DateArray = [year, month, day];
    const about = {
      uid: `${item.uid}@rundel.garden`,
      title,
      description: url === undefined ? detail : `${detail}\n\n${url}`,
      calName: gardenName,
      productId: 'rundel/garden',
      startInputType: 'local' as const,
      startOutputType: 'local' as const,
    };
    if (item.kind === 'round') {
      const minutes = Math.round((item.hour % 1) * 60);
      return {
        ...about,
        start: [year, month, day, Math.floor(item.hour), minutes],
        duration: { minutes: ROUND_MINUTES },
        alarms: [{ action: 'display', description: title, trigger: { minutes: 0, before: true } }],
      };
    }
    return {
      ...about,
      start: date,
      duration: { days: 1 },
      transp: 'TRANSPARENT',
      alarms: [{ ...MORNING, description: title }],
    };
  });
  const { error, value } = createEvents(rows);
  if (error || typeof value !== 'string') throw error ?? new Error('The calendar could not be written.');
  return foldedByBytes(wholeDurations(value));
}

/** The library leaves out what is nought of a duration, and then says nothing at all, or the hours of a day that has none. */
function wholeDurations(text: string): string {
  return text.replace(/^(TRIGGER|DURATION):(.*)T$/gm, (_, name: string, days: string) =>
    /\d/.test(days) ? `${name}:${days}` : `${name}:PT0S`,
  );
}

/** The standard counts bytes in a line, and the library letters. */
const LONGEST_LINE = 75;

function foldedByBytes(text: string): string {
  const bytes = new TextEncoder();
  return text
    .replace(/\r?\n[ \t]/g, '')
    .split(/\r?\n/)
    .map((line) => {
      const parts: string[] = [];
      let part = '';
      for (const letter of line) {
        if (bytes.encode(part + letter).length > LONGEST_LINE) {
          parts.push(part);
          part = ' ';
        }
        part += letter;
      }
      return [...parts, part].join('\r\n');
    })
    .join('\r\n');
}
