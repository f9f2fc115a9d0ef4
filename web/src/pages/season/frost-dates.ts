import { format, isValid, parse } from 'date-fns';
import { enGB } from 'date-fns/locale/en-GB';

/** A leap year, so that 29 February may be written. */
const ANY_YEAR = new Date(2024, 0, 1);
const PATTERNS = ['d MMM', 'd MMMM', 'd.M.', 'd.M', 'd/M', 'MMM d', 'MMMM d', 'MM-dd'];

/** "25 Apr" → "04-25", in the ways that people write a day of the year; undefined when it is none. */
function monthDayOf(text: string): string | undefined {
  for (const pattern of PATTERNS) {
    const date = parse(text.trim(), pattern, ANY_YEAR, { locale: enGB });
    if (isValid(date)) return format(date, 'MM-dd');
  }
  return undefined;
}

export type FrostReading =
  | { readonly kind: 'read'; readonly last: string | undefined; readonly first: string | undefined }
  | { readonly kind: 'refused'; readonly problems: { readonly last?: string; readonly first?: string } };

/** Fewer days between the two than this leave no season for anything. */
const LEAST_SEASON_DAYS = 45;

const dayNumber = (monthDay: string) =>
  Math.round(
    (Date.parse(`2023-${monthDay === '02-29' ? '02-28' : monthDay}`) - Date.parse('2023-01-01')) / 86_400_000,
  );

export const frostDatesOf = {
  write: (monthDay: string) => format(new Date(`2024-${monthDay}T12:00:00`), 'd MMM', { locale: enGB }),
  /** Reads the two dates, of which one is enough; frost that leaves no season is said so at its field. */
  read(last: string, first: string, latitudeDegrees: number): FrostReading {
    const lastDay = monthDayOf(last);
    const firstDay = monthDayOf(first);
    const isUnread = (text: string, day: string | undefined) => text.trim() !== '' && day === undefined;
    const how = 'I cannot read this as a day. Write it as "25 Apr".';
    if (isUnread(last, lastDay) || isUnread(first, firstDay)) {
      return {
        kind: 'refused',
        problems: {
          ...(isUnread(last, lastDay) ? { last: how } : {}),
          ...(isUnread(first, firstDay) ? { first: how } : {}),
        },
      };
    }
    if (!lastDay && !firstDay)
      return { kind: 'refused', problems: { last: 'Give one of the two; the other is worked out.' } };
    if (!lastDay || !firstDay) return { kind: 'read', last: lastDay, first: firstDay };
    // the days from the last frost to the first, round the turn of the year in the south
    const season = (dayNumber(firstDay) - dayNumber(lastDay) + 365) % 365;
    const isTurned = latitudeDegrees >= 0 && dayNumber(firstDay) < dayNumber(lastDay);
    if (season < LEAST_SEASON_DAYS || isTurned) {
      return {
        kind: 'refused',
        problems: {
          first: isTurned
            ? 'The first frost of autumn comes before the last of spring. Are they the wrong way round?'
            : `Only ${season} days lie between the two: that leaves no season. Nothing was changed.`,
        },
      };
    }
    return { kind: 'read', last: lastDay, first: firstDay };
  },
};
