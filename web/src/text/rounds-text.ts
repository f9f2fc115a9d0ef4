import type { DryMonth } from '@rundel/core/away';
import type { RoundDays } from '@rundel/core/calendar';
import { refused, type Read } from './amount-text.ts';
import { clockOf } from './text.ts';

export const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;

/** Days of the week by name, 1 Monday to 7 Sunday: "Mon, Thu". */
export const weekdaysWords = (weekdays: readonly number[]) =>
  [...weekdays]
    .sort((a, b) => a - b)
    .map((day) => WEEKDAYS[day - 1])
    .join(', ');

/** Days of the week as they are typed: "Mon, Thu", "tuesday and saturday". */
export function readWeekdays(text: string): Read<readonly number[]> {
  const words = text
    .toLowerCase()
    .split(/[\s,;/&+]+|\band\b/)
    .filter(Boolean);
  const days = words.map((word) => WEEKDAYS.findIndex((day) => word.startsWith(day.toLowerCase())) + 1);
  return days.length > 0 && days.every((day) => day > 0)
    ? { ok: true, value: [...new Set(days)].sort((a, b) => a - b) }
    : refused('Days of the week, as "Mon, Thu".');
}

/** An hour of the day as it is typed, to a quarter before midnight: "18", "7:30", "6 pm", "noon"; undefined for anything else. */
export function hourOf(text: string): number | undefined {
  if (text.trim().toLowerCase() === 'noon') return 12;
  const match = /^(\d{1,2})(?:[:.](\d{2}))?\s*(am|pm)?$/i.exec(text.trim());
  if (!match) return undefined;
  const [, hours, minutes, half] = match;
  const isLate = half?.toLowerCase() === 'pm';
  const hour = half ? (Number(hours) % 12) + (isLate ? 12 : 0) : Number(hours);
  const whole = hour + Number(minutes ?? 0) / 60;
  return Number(minutes ?? 0) < 60 && whole <= 23.75 ? whole : undefined;
}

/** Hours of the day in a row: "8:00, 18:00", "8 am and 6 pm"; each that does not read is undefined. */
export function hoursOf(text: string): readonly (number | undefined)[] {
  // "8 am" is one hour and not two words
  const joined = text.replace(/\s+(am|pm)\b/gi, '$1');
  return joined
    .split(/[,;\s]+|\band\b/i)
    .filter(Boolean)
    .map(hourOf);
}

const LIST = new Intl.ListFormat('en-GB');

/** When somebody comes: "at weekends, at 09:00", "every third day, at 08:00 and 18:00". */
export function roundsWords(hours: readonly number[], days: RoundDays | undefined): string {
  return `${daysWords(days)}, at ${LIST.format([...hours].sort((a, b) => a - b).map(clockOf))}`;
}

function daysWords(days: RoundDays | undefined): string {
  if (!days) return 'every day';
  if (days.by === 'every')
    return (
      ({ 2: 'every second day', 3: 'every third day', 7: 'once a week' } as const)[days.days] ??
      `every ${days.days} days`
    );
  const names = weekdaysWords(days.weekdays);
  return (
    ({ 'Sat, Sun': 'at weekends', 'Mon, Tue, Wed, Thu, Fri': 'Monday to Friday' } as const)[names] ??
    `on ${LIST.format(names.split(', '))}`
  );
}

const MONTH = new Intl.DateTimeFormat('en-GB', { month: 'long', timeZone: 'UTC' });

/** "July" */
export const monthName = (month: string) => MONTH.format(new Date(`${month}-15T12:00:00Z`));

/** Fewer dry days than this in a month are as good as none. */
export const HARDLY_DAYS = 0.5;

const daysText = (count: number) => (Math.round(count) === 1 ? 'a day' : `${Math.round(count)} days`);

/** What rounds leave dry, in a sentence: "Between rounds it is too dry on about 9 days of July and 4 of August." */
export function dryWords(months: readonly DryMonth[] | undefined): string {
  if (!months) return '';
  const dry = months.filter(({ dryDays }) => dryDays.likely >= HARDLY_DAYS);
  if (dry.length === 0) return 'Month by month, it hardly ever gets too dry between two rounds.';
  return `It gets too dry between two rounds on about ${LIST.format(
    dry.map(
      ({ month, dryDays }) =>
        `${daysText(dryDays.likely)} of ${monthName(month)}${Math.round(dryDays.high) > Math.round(dryDays.low) ? ` (${Math.round(dryDays.low)} to ${Math.round(dryDays.high)})` : ''}`,
    ),
  )}.`;
}

/** The worst of its months, in short. */
export function worstWords(months: readonly DryMonth[] | undefined): string {
  if (!months) return '';
  const worst = months.reduce<DryMonth | undefined>(
    (most, month) => (month.dryDays.likely > (most?.dryDays.likely ?? 0) ? month : most),
    undefined,
  );
  return !worst || worst.dryDays.likely < HARDLY_DAYS
    ? 'hardly ever too dry'
    : `too dry on ${daysText(worst.dryDays.likely)} of ${monthName(worst.month)}`;
}
