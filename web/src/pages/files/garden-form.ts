import type { Day, RoundDays } from '@rundel/core/calendar';
import type { Settings } from '@rundel/core/records';
import { readPlace } from '../../text/place-text.ts';
import { refused } from '../../text/amount-text.ts';
import { hoursOf, readWeekdays, weekdaysWords } from '../../text/rounds-text.ts';
import { clockOf } from '../../text/text.ts';
import { choiceField, numberField, type Field, type FormStart, type ValuesOf } from '../../ui/form/index.ts';

/** How often the grower comes. */
const COMES = [
  { id: 'daily', label: 'every day' },
  { id: 'second', label: 'every second day' },
  { id: 'third', label: 'every third day' },
  { id: 'weekends', label: 'at weekends' },
  { id: 'workdays', label: 'Monday to Friday' },
  { id: 'weekly', label: 'once a week' },
  { id: 'weekdays', label: 'on some days of the week' },
  { id: 'other', label: 'every so many days' },
] as const;

type Comes = (typeof COMES)[number]['id'];

const NAME: Field<string> = {
  label: 'Name',
  input: { kind: 'text', longest: 60 },
  read: (text) =>
    text.trim() === '' ? refused('Give it a name, any name.') : { ok: true, value: text.trim() },
  write: (name) => name,
};

/** Degrees, south below 0. */
const LATITUDE: Field<number> = {
  label: 'Latitude, degrees north',
  input: { kind: 'text', longest: 20 },
  read(text) {
    const place = readPlace('any', text);
    return place.kind === 'read'
      ? { ok: true, value: place.latitudeDegrees }
      : refused(place.problems.latitude ?? '');
  },
  write: String,
};

/** Hours of the day. */
const ROUND_HOURS: Field<readonly number[]> = {
  label: 'Times of my rounds',
  help: 'Checks are asked for at these.',
  input: { kind: 'text', longest: 60 },
  read(text) {
    const hours = hoursOf(text);
    const known = hours.filter((hour) => hour !== undefined);
    return known.length === hours.length && known.length >= 1 && known.length <= 4
      ? { ok: true, value: known }
      : refused('One to four times of day, as "8:00, 18:00".');
  },
  write: (hours) => hours.map(clockOf).join(', '),
};

const WEEKDAYS_FIELD: Field<readonly number[]> = {
  label: 'Which days',
  input: { kind: 'text', longest: 60 },
  read: readWeekdays,
  write: weekdaysWords,
};

export const GARDEN_FIELDS = {
  name: NAME,
  latitude: LATITUDE,
  hours: ROUND_HOURS,
  comes: choiceField<Comes>({
    label: 'I come',
    help: 'Sizes, checks and dry-outs follow from it.',
    options: COMES,
  }),
  everyDays: numberField({
    label: 'Days from one to the next',
    low: 2,
    high: 31,
    isWhole: true,
    problem: 'A whole number of days from 2 to 31.',
  }),
  weekdays: WEEKDAYS_FIELD,
} as const;

/** How often somebody comes, as the form says it. */
const comesOf = (roundDays: RoundDays | undefined): Comes => {
  if (!roundDays) return 'daily';
  if (roundDays.by === 'every')
    return ({ 2: 'second', 3: 'third', 7: 'weekly' } as const)[roundDays.days] ?? 'other';
  const days = [...roundDays.weekdays].sort().join('');
  return days === '67' ? 'weekends' : days === '12345' ? 'workdays' : 'weekdays';
};

export function gardenStart(settings: Settings): FormStart<typeof GARDEN_FIELDS> {
  const { gardenName, latitudeDegrees, roundHours, roundDays } = settings;
  return {
    values: {
      name: gardenName,
      latitude: latitudeDegrees,
      hours: roundHours,
      comes: comesOf(roundDays),
      everyDays: roundDays?.by === 'every' ? roundDays.days : 4,
      ...(roundDays?.by === 'weekdays' ? { weekdays: roundDays.weekdays } : {}),
    },
    isAsked: (name, { comes }) =>
      name === 'everyDays' ? comes === 'other' : name === 'weekdays' ? comes === 'weekdays' : true,
  };
}

/** The days on which somebody comes; undefined for every day. */
export function roundDaysOf(
  { comes, everyDays, weekdays }: Pick<ValuesOf<typeof GARDEN_FIELDS>, 'comes' | 'everyDays' | 'weekdays'>,
  today: Day,
): Settings['roundDays'] {
  const every = (days: number) => ({ by: 'every' as const, days, from: today });
  switch (comes) {
    case 'daily':
      return undefined;
    case 'second':
      return every(2);
    case 'third':
      return every(3);
    case 'weekly':
      return every(7);
    case 'other':
      return every(everyDays);
    case 'weekdays':
      return { by: 'weekdays', weekdays: [...weekdays] };
    case 'weekends':
      return { by: 'weekdays', weekdays: [6, 7] };
    case 'workdays':
      return { by: 'weekdays', weekdays: [1, 2, 3, 4, 5] };
  }
}
