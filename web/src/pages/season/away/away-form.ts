import {
  CHANGE_IDS,
  hoursAway,
  ROUND_TAKES,
  withoutRounds,
  type AwayQuestion,
  type ChangeId,
} from '@rundel/core/away';
import { addDays, dayOf, daysBetween, hourOf as hourNow, isRoundDay } from '@rundel/core/calendar';
import type { Settings } from '@rundel/core/records';
import * as z from '@rundel/core/schema';
import { refused } from '../../../text/amount-text.ts';
import { hourOf } from '../../../text/rounds-text.ts';
import { clockOf } from '../../../text/text.ts';
import {
  choiceField,
  dayField,
  numberField,
  switchField,
  type Field,
  type FieldProblem,
  type FormStart,
  type ValuesOf,
} from '../../../ui/form/index.ts';

/** The longest time away that the check into the weather is worth anything for, and how far ahead it may begin, days. */
export const LONGEST_DAYS = 21;
const FURTHEST_DAYS = 14;

const clockField = (label: string): Field<number> => ({
  label,
  input: { kind: 'text', longest: 10 },
  read(text) {
    const hour = hourOf(text);
    return hour === undefined ? refused('A time of day, as "18:00".') : { ok: true, value: hour };
  },
  write: clockOf,
});

export const AWAY_FIELDS = {
  leaveOn: dayField({ label: 'Leaving on', missing: 'Which day do you leave?' }),
  leaveAt: clockField('Leaving at'),
  backOn: dayField({ label: 'Back on', missing: 'Which day are you back?' }),
  backAt: clockField('Back at'),
  comesBy: switchField({ label: 'I come by on those two days, though they are none of my round days' }),
  risk: choiceField({
    label: 'Chance of losing a bag that you accept',
    options: [
      { id: '2', label: 'Next to none: 2 in 100' },
      { id: '5', label: 'Little: 5 in 100' },
      { id: '10', label: 'Some: 10 in 100' },
      { id: '25', label: 'A gamble: 25 in 100' },
    ],
  }),
  isSoaked: switchField({ label: 'I water all until it runs through before leaving' }),
  hasHelper: switchField({ label: 'Somebody could come and water' }),
  cans: numberField({
    label: 'Fills on one visit',
    help: 'As many as they can carry without harm.',
    low: 0.1,
    high: 40,
    problem: 'How many cans in one visit, up to 40?',
  }),
};

export type AwayValues = ValuesOf<typeof AWAY_FIELDS>;

/** What stands beside the fields: changes that could be made, and days on which a helper cannot come. */
const setsSchema = z.object({ allowed: z.array(z.enum(CHANGE_IDS)), busyDays: z.array(z.string()) });
export type AwaySets = z.infer<typeof setsSchema>;

/** The form as it is kept on this device. */
export const keptAwaySchema = z.object({ texts: z.record(z.string(), z.string()), ...setsSchema.shape });
export type KeptAway = z.infer<typeof keptAwaySchema>;

export const USUAL_SETS: AwaySets = {
  allowed: ['shade', 'mulch', 'saucer'] satisfies ChangeId[],
  busyDays: [],
};

/** What the form begins with: after the last round of today for four days, or of tomorrow when that is over. */
export function awayStart(
  now: string,
  { roundHours, roundDays }: Pick<Settings, 'roundHours' | 'roundDays'>,
  kept: Readonly<Record<string, string>> = {},
): FormStart<typeof AWAY_FIELDS> {
  const last = Math.max(...roundHours);
  const leaveOn = hourNow(now) > last + ROUND_TAKES ? addDays(dayOf(now), 1) : dayOf(now);
  const usual: AwayValues = {
    leaveOn,
    leaveAt: last,
    backOn: addDays(leaveOn, 4),
    backAt: last,
    comesBy: false,
    risk: '10',
    isSoaked: true,
    hasHelper: false,
    cans: 4,
  };
  return {
    isLive: true,
    // what was kept is read from its text, and not taken for the usual
    values: Object.fromEntries(Object.entries(usual).filter(([name]) => !(name in kept))),
    texts: kept,
    isAsked: (name, { hasHelper, leaveOn, backOn }) =>
      name === 'cans'
        ? hasHelper === 'on'
        : name !== 'comesBy' || ![leaveOn, backOn].every((day) => isRoundDay(day, roundDays)),
    check: (values) => problemsOf(values, now),
  };
}

/** What does not go together, or cannot be told. */
export function problemsOf(
  { leaveOn, leaveAt, backOn, backAt }: Partial<AwayValues>,
  now: string,
): readonly FieldProblem<keyof AwayValues & string>[] {
  const today = dayOf(now);
  if (leaveOn === undefined) return [];
  if (leaveOn < today) return [{ at: 'leaveOn', problem: 'That day is past.' }];
  if (daysBetween(today, leaveOn) > FURTHEST_DAYS)
    return [
      {
        at: 'leaveOn',
        problem: 'More than two weeks ahead the plants will be others; ask again nearer the day.',
      },
    ];
  if (leaveOn === today && leaveAt !== undefined && leaveAt + ROUND_TAKES < hourNow(now))
    return [{ at: 'leaveAt', problem: 'That time is past.' }];
  if (backOn === undefined || leaveAt === undefined || backAt === undefined) return [];
  if (hoursAway({ leaveOn, leaveHour: leaveAt, backOn, backHour: backAt }) <= 0)
    return [{ at: backOn < leaveOn ? 'backOn' : 'backAt', problem: 'Back after leaving, please.' }];
  return daysBetween(leaveOn, backOn) > LONGEST_DAYS
    ? [
        {
          at: 'backOn',
          problem: `At most ${LONGEST_DAYS} days: beyond that no estimate is worth its name.`,
        },
      ]
    : [];
}

/** Days between leaving and coming back on which a helper may be needed: the day of coming back is one's own. */
export function daysBetweenOf({
  leaveOn,
  backOn,
}: Pick<AwayQuestion, 'leaveOn' | 'backOn'>): readonly string[] {
  return Array.from({ length: Math.max(0, daysBetween(leaveOn, backOn) - 1) }, (_, i) =>
    addDays(leaveOn, i + 1),
  );
}

/** The form's question, with the time in which really nobody is there. */
export function questionOf(
  values: AwayValues,
  { allowed, busyDays }: AwaySets,
  canLitres: number,
  { roundHours, roundDays }: Pick<Settings, 'roundHours' | 'roundDays'>,
  now: string,
): AwayQuestion {
  const said = {
    leaveOn: values.leaveOn,
    leaveHour: values.leaveAt,
    backOn: values.backOn,
    backHour: values.backAt,
  };
  const days = values.comesBy ? undefined : roundDays;
  const { isFromNow, ...alone } = withoutRounds(said, { hours: roundHours, days }, now);
  return {
    ...alone,
    helperDays: values.hasHelper ? daysBetweenOf(alone).filter((day) => !busyDays.includes(day)) : [],
    helperLitres: values.hasHelper ? values.cans * canLitres : 0,
    acceptedRisk: Number(values.risk) / 100,
    // a round that is over waters nothing any more
    isSoaked: values.isSoaked && !isFromNow,
    allowed,
  };
}
