import { litresPerHourOf, type DripLine } from '@rundel/core/water';
import {
  amountField,
  choiceField,
  numberField,
  timeField,
  switchField,
  type FieldProblem,
  type FormStart,
  type ValuesOf,
} from '../../../ui/form/index.ts';

export const EVERY_DAY: readonly number[] = [1, 2, 3, 4, 5, 6, 7];

/** How the grower knows what a line gives. */
const RATES = [
  { id: 'each', label: 'So much an hour from each dripper' },
  { id: 'jar', label: 'What a jar caught under one dripper' },
  { id: 'metre', label: 'So much an hour from each metre of line' },
] as const;

/** What is asked of one line of drip. */
export const DRIP_LINE_FIELDS = {
  by: choiceField<(typeof RATES)[number]['id']>({ label: 'I know', options: RATES }),
  emitters: numberField({
    label: 'Drippers at this bag',
    low: 1,
    high: 50,
    isWhole: true,
    problem: 'A whole number from 1 to 50.',
  }),
  metres: amountField({
    label: 'Line in this bag',
    help: 'What of it lies on this bag.',
    purpose: 'size',
    low: 50,
    high: 200_000,
  }),
  each: amountField({
    label: 'Each gives in an hour',
    help: 'It stands on most drippers.',
    purpose: 'water',
    low: 0.01,
    high: 60,
  }),
  metreGives: amountField({
    label: 'A metre gives in an hour',
    help: 'What its packet says.',
    purpose: 'water',
    low: 0.01,
    high: 60,
  }),
  jar: amountField({
    label: 'Caught in the jar',
    help: 'In any unit that the jar has.',
    purpose: 'water',
    low: 0.001,
    high: 20,
  }),
  jarMinutes: timeField({
    label: 'In so many minutes',
    in: 'minute',
    low: 0.5,
    high: 120,
    problem: 'From half a minute to two hours: in no time a jar catches nothing.',
  }),
  minutes: timeField({
    label: 'Minutes each time',
    in: 'minute',
    low: 0.5,
    high: 600,
    problem: 'From half a minute to 600 minutes.',
  }),
  timesADay: numberField({
    label: 'Times a day',
    low: 1,
    high: 12,
    isWhole: true,
    problem: 'A whole number from 1 to 12.',
  }),
  isOffInRain: switchField({ label: 'Off on wet days' }),
} as const;

export type DripLineValues = ValuesOf<typeof DRIP_LINE_FIELDS>;

const ASKED_BY: Readonly<Record<string, readonly string[]>> = {
  each: ['emitters', 'each'],
  jar: ['emitters', 'jar', 'jarMinutes'],
  metre: ['metres', 'metreGives'],
};

const OF_RATE: readonly string[] = [...new Set(Object.values(ASKED_BY).flat())];

/** What a line begins with: as it is set, or two drippers of 2 L/h for a quarter of an hour morning and evening. */
export function dripLineStart(line: DripLine | undefined): FormStart<typeof DRIP_LINE_FIELDS> {
  const { emitters, metres, litresPerHourEach, minutes, timesADay, isOffInRain } = line ?? {
    emitters: 2,
    metres: undefined,
    litresPerHourEach: 2,
    minutes: 15,
    timesADay: 2,
    isOffInRain: false,
  };
  return {
    isLive: true,
    values: {
      by: metres === undefined ? 'each' : 'metre',
      emitters,
      each: litresPerHourEach,
      metreGives: litresPerHourEach,
      metres: (metres ?? 1) * 1000,
      jarMinutes: 5,
      minutes,
      timesADay,
      isOffInRain: isOffInRain ?? false,
    },
    isAsked: (name, { by }) => !OF_RATE.includes(name) || (ASKED_BY[by]?.includes(name) ?? true),
    check: dripProblems,
  };
}

/** What does not go together in a line. */
function dripProblems({
  minutes,
  timesADay,
}: Partial<DripLineValues>): readonly FieldProblem<keyof DripLineValues & string>[] {
  return minutes !== undefined && timesADay !== undefined && minutes * timesADay > 24 * 60
    ? [{ at: 'minutes', problem: 'That is more than the day has.' }]
    : [];
}

/** The line that its form comes to. */
export function dripLineOf(values: DripLineValues, weekdays: readonly number[]): DripLine {
  const { by, emitters, metres, each, metreGives, jar, jarMinutes, minutes, timesADay, isOffInRain } = values;
  const rate = { each, metre: metreGives, jar: by === 'jar' ? litresPerHourOf(jar * 1000, jarMinutes) : NaN };
  return {
    emitters: by === 'metre' ? 1 : emitters,
    ...(by === 'metre' ? { metres: metres / 1000 } : {}),
    litresPerHourEach: Math.round(rate[by] * 1000) / 1000,
    minutes,
    timesADay,
    weekdays: [...weekdays].sort((a, b) => a - b),
    ...(isOffInRain ? { isOffInRain: true } : {}),
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
