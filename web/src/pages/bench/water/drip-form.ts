import { litresPerHourOf, type DripSetting } from '@rundel/core/water';
import { readNumber } from '../../../text/amount-text.ts';

export const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;

/** The jar stands under one dripper for this long. */
const JAR_MINUTES = 5;

/** A drip setting as typed. */
export interface DripForm {
  readonly emitters: string;
  readonly jarMillilitres: string;
  readonly minutes: string;
  readonly timesADay: string;
  readonly weekdays: readonly number[];
}

/** A setting as the form has it; without one, two drippers of 2 L/h for a quarter of an hour morning and evening. */
export function dripFormOf(setting: DripSetting | undefined): DripForm {
  const { emitters, litresPerHourEach, minutes, timesADay, weekdays } = setting ?? {
    emitters: 2,
    litresPerHourEach: 2.04,
    minutes: 15,
    timesADay: 2,
    weekdays: [1, 2, 3, 4, 5, 6, 7],
  };
  return {
    emitters: String(emitters),
    jarMillilitres: String(Math.round((litresPerHourEach * 1000 * JAR_MINUTES) / 60)),
    minutes: String(minutes),
    timesADay: String(timesADay),
    weekdays,
  };
}

export type DripReading =
  | { readonly kind: 'read'; readonly setting: DripSetting }
  | { readonly kind: 'refused'; readonly problems: Partial<Record<keyof DripForm, string>> };

/** The form read, or what is wrong beside each field. */
export function readDripForm(form: DripForm): DripReading {
  const problems: Partial<Record<keyof DripForm, string>> = {};
  const number = (key: Exclude<keyof DripForm, 'weekdays'>, low: number, high: number, isWhole: boolean) => {
    const problem = `${isWhole ? 'A whole number' : 'A number'} from ${low} to ${high}.`;
    const read = readNumber(form[key], { low, high, isWhole, problem });
    if (!read.ok) problems[key] = problem;
    return read.ok ? read.value : NaN;
  };
  const emitters = number('emitters', 1, 50, true);
  const jar = number('jarMillilitres', 5, 5000, false);
  const minutes = number('minutes', 0.5, 600, false);
  const timesADay = number('timesADay', 1, 12, true);
  if (form.weekdays.length === 0) problems.weekdays = 'On one day at least, or turn it off.';
  if (problems.minutes === undefined && problems.timesADay === undefined && minutes * timesADay > 24 * 60)
    problems.minutes = 'That is more than the day has.';
  if (Object.keys(problems).length > 0) return { kind: 'refused', problems };
  const litresPerHourEach = Math.round(litresPerHourOf(jar, JAR_MINUTES) * 100) / 100;
  return {
    kind: 'read',
    setting: { emitters, litresPerHourEach, minutes, timesADay, weekdays: [...form.weekdays] },
  };
}

/** One week's use against what the drip brought or will bring, L. */
export interface DripWeek {
  readonly from: string;
  readonly days: number;
  readonly useLitres: number;
  readonly dripLitres: number;
  readonly isAhead: boolean;
}

/** Days gathered into weeks that end today, and one that begins tomorrow. */
export function dripWeeks(
  days: readonly { readonly day: string; readonly litres: number; readonly dripLitres: number }[],
  today: string,
): readonly DripWeek[] {
  const past = days.filter((day) => day.day <= today);
  const ahead = days.filter((day) => day.day > today).slice(0, 7);
  const weeks: DripWeek[] = [];
  for (let end = past.length; end > 0; end -= 7)
    weeks.unshift(weekOf(past.slice(Math.max(0, end - 7), end), false));
  if (ahead.length > 0) weeks.push(weekOf(ahead, true));
  return weeks;
}

function weekOf(
  days: readonly { readonly day: string; readonly litres: number; readonly dripLitres: number }[],
  isAhead: boolean,
): DripWeek {
  return {
    from: days[0]?.day ?? '',
    days: days.length,
    useLitres: days.reduce((sum, day) => sum + day.litres, 0),
    dripLitres: days.reduce((sum, day) => sum + day.dripLitres, 0),
    isAhead,
  };
}
