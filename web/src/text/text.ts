import { daysBetween, dayOf, hourOf } from '@rundel/core/calendar';

/** Times and numbers as a person would say them. Moments are shown by their own local clock, wherever the reader is. */

export const MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
] as const;

/** A moment's local clock as a Date of this browser, for formatting only. */
export function localDate(at: string): Date {
  return new Date(at.slice(0, 19));
}

/** The day of the week: the browser names it, since a library for dates is much to load before the first round. */
const WEEKDAY = new Intl.DateTimeFormat('en-GB', { weekday: 'long' });

/** "Thursday" */
const weekdayOf = (at: string) => WEEKDAY.format(localDate(at));

/** A moment's time as a clock shows it: "18:05". */
export const timeOf = (at: string) => at.slice(11, 16);

/** "Thursday evening" */
export function dayAndTime(at: string): string {
  return `${weekdayOf(at)} ${partOfDay(at)}`;
}

export function partOfDay(at: string): string {
  const hour = hourOf(at);
  if (hour < 5) return 'night';
  if (hour < 11.5) return 'morning';
  if (hour < 14) return 'noon';
  return hour < 17 ? 'afternoon' : 'evening';
}

/** A moment as seen from another: "today 18:05", "yesterday", "Tuesday", "3 July". */
export function whenWords(at: string, now: string): string {
  const days = daysBetween(dayOf(at), dayOf(now));
  if (days === 0) return `today ${timeOf(at)}`;
  if (days === 1) return 'yesterday';
  if (days === -1) return `tomorrow ${partOfDay(at)}`;
  if (days > 1 && days < 7) return weekdayOf(at);
  if (days < 0 && days > -7) return dayAndTime(at);
  return shortDay(dayOf(at), dayOf(now));
}

/** An hour of the day as a clock shows it: "12:30". */
export function clockOf(hour: number): string {
  const minutes = Math.round(hour * 60);
  return `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`;
}

/** "3 July", with the year when it is another one. */
export function shortDay(day: string, today?: string): string {
  const isOtherYear = today !== undefined && today.slice(0, 4) !== day.slice(0, 4);
  const month = MONTHS[Number(day.slice(5, 7)) - 1]?.slice(0, 3) ?? '';
  return `${Number(day.slice(8))} ${month}${isOtherYear ? ` ${day.slice(0, 4)}` : ''}`;
}

/** Hours as a span: "7 hours", "2 days". */
export function hoursWords(hours: number | undefined): string {
  if (hours === undefined) return 'over a week';
  if (hours < 1) return 'under 1 h';
  if (hours < 36) return `${Math.round(hours)} h`;
  return `${Math.round((hours / 24) * 2) / 2} days`;
}

/** Hours to the hour where spans are compared, which half days would make alike: "17 h", "1 day 20 h", "over a week". */
export function exactHoursWords(hours: number | undefined): string {
  if (hours === undefined || hours < 24) return hoursWords(hours);
  const days = Math.floor(Math.round(hours) / 24);
  const rest = Math.round(hours) - 24 * days;
  return `${days} ${days === 1 ? 'day' : 'days'}${rest === 0 ? '' : ` ${rest} h`}`;
}

/** A span of hours: "2 to 5 h"; once where both ends are said alike. */
export function hoursRangeWords(low: number | undefined, high: number | undefined): string {
  // where rounds are days apart, more than a week is looked ahead
  if (high === undefined && low !== undefined && low >= 7 * 24) return `${hoursWords(low)} or more`;
  const [from, to] = [hoursWords(low), hoursWords(high)];
  return from === to ? from : `${from} to ${to}`;
}

/** "a fifth more than usual for its kind", from a use multiplier; undefined when it is near the usual. */
export function thirstWords(multiplier: number): string | undefined {
  const off = multiplier >= 1 ? multiplier - 1 : 1 / multiplier - 1;
  if (off < 0.15) return undefined;
  const more = multiplier >= 1;
  if (off >= 0.9)
    return more ? 'about twice as much as is usual for its kind' : 'about half of what is usual for its kind';
  const share =
    off < 0.22 ? 'a fifth' : off < 0.3 ? 'a quarter' : off < 0.42 ? 'a third' : 'half as much again';
  if (share === 'half as much again')
    return more
      ? 'half as much again as is usual for its kind'
      : 'a good third less than is usual for its kind';
  return `${share} ${more ? 'more' : 'less'} than is usual for its kind`;
}

const PARTS: Record<string, string> = {
  '0.125': '⅛',
  '0.25': '¼',
  '0.375': '⅜',
  '0.5': '½',
  '0.625': '⅝',
  '0.75': '¾',
  '0.875': '⅞',
};

/** A count of a measure in words: "¾ green can", "2½ green cans", "24 s of hose". */
export function fillsWords(count: number, measure: { readonly kind: string; readonly name: string }): string {
  if (measure.kind === 'hose') return `${count} s of ${measure.name}`;
  if (measure.kind === 'dripper') return `${count} min of ${measure.name}`;
  // nobody fills a can to a sixteenth: the nearest eighth is said, and a little is never none
  const eighths = count > 0 ? Math.max(1, Math.round(count * 8)) / 8 : 0;
  const whole = Math.floor(eighths);
  const number = `${whole > 0 ? whole : ''}${PARTS[String(eighths - whole)] ?? ''}` || '0';
  return `${number} ${measure.name}${eighths > 1 ? 's' : ''}`;
}

/** A name within a sentence: "Tomato liquid" becomes "tomato liquid", the A of "Nutrient part A" stays. */
export function midSentence(name: string): string {
  return /^\p{Lu}\p{Lu}/u.test(name) ? name : name.charAt(0).toLowerCase() + name.slice(1);
}

/**
 * How long ago a day was.
 *
 * @example
 * agoWords('2026-07-13', '2026-07-16')
 * // => '3 days ago'
 */
export function agoWords(day: string, today: string): string {
  const days = daysBetween(day, today);
  if (days <= 0) return 'today';
  if (days === 1) return 'yesterday';
  return days < 14
    ? `${days} days ago`
    : days < 70
      ? `${Math.round(days / 7)} weeks ago`
      : `on ${shortDay(day, today)}`;
}

/**
 * Words as a sentence begins with them.
 *
 * @example
 * sentence('spider mites')
 * // => 'Spider mites'
 */
export function sentence(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}
