import { CHANGE_IDS, type AwayQuestion, type ChangeId } from '@rundel/core/away';
import { addDays, daysBetween, isDay } from '@rundel/core/calendar';
import * as z from '@rundel/core/schema';
import { readNumber } from '../../../text/amount-text.ts';

/** What the form of a time away holds. */
export const awayFormSchema = z.object({
  leaveOn: z.string(),
  backOn: z.string(),
  /** days of the week on which a helper could come, 1 Monday to 7 Sunday; none: nobody comes */
  hasHelper: z.boolean(),
  /** days on which the helper cannot come */
  busyDays: z.array(z.string()),
  cans: z.string(),
  riskPercent: z.number(),
  isSoaked: z.boolean(),
  allowed: z.array(z.enum(CHANGE_IDS)),
});

export type AwayForm = z.infer<typeof awayFormSchema>;

/** The longest time away that the check into the weather is worth anything for. */
export const LONGEST_DAYS = 21;

export function usualAwayForm(today: string): AwayForm {
  return {
    leaveOn: today,
    backOn: addDays(today, 4),
    hasHelper: false,
    busyDays: [],
    cans: '4',
    riskPercent: 10,
    isSoaked: true,
    allowed: ['shade', 'mulch', 'saucer'] satisfies ChangeId[],
  };
}

/** Days between leaving and coming back on which a helper may be needed: the day of coming back is one's own. */
export function daysBetweenOf(form: Pick<AwayForm, 'leaveOn' | 'backOn'>): readonly string[] {
  if (!isDay(form.leaveOn) || !isDay(form.backOn)) return [];
  const count = Math.min(LONGEST_DAYS, daysBetween(form.leaveOn, form.backOn)) - 1;
  return Array.from({ length: Math.max(0, count) }, (_, i) => addDays(form.leaveOn, i + 1));
}

export type AwayReading =
  | { readonly kind: 'asked'; readonly question: AwayQuestion }
  | {
      readonly kind: 'refused';
      readonly problems: { readonly leaveOn?: string; readonly backOn?: string; readonly cans?: string };
    };

/** The form read, or what is wrong beside each field. */
export function readAwayForm(form: AwayForm, today: string, canLitres: number): AwayReading {
  const problems: { leaveOn?: string; backOn?: string; cans?: string } = {};
  if (!isDay(form.leaveOn)) problems.leaveOn = 'Which day do you leave?';
  else if (form.leaveOn < today) problems.leaveOn = 'That day is past.';
  else if (daysBetween(today, form.leaveOn) > 14)
    problems.leaveOn = 'More than two weeks ahead the plants will be others; ask again nearer the day.';
  if (!isDay(form.backOn)) problems.backOn = 'Which day are you back?';
  else if (problems.leaveOn === undefined && form.backOn <= form.leaveOn)
    problems.backOn = 'Back after leaving, please.';
  else if (problems.leaveOn === undefined && daysBetween(form.leaveOn, form.backOn) > LONGEST_DAYS)
    problems.backOn = `At most ${LONGEST_DAYS} days: beyond that no estimate is worth its name.`;
  const cans = readNumber(form.cans, { low: 0.1, high: 40 });
  if (form.hasHelper && !cans.ok) problems.cans = 'How many cans in one visit, up to 40?';
  if (Object.keys(problems).length > 0) return { kind: 'refused', problems };
  const helperDays = form.hasHelper ? daysBetweenOf(form).filter((day) => !form.busyDays.includes(day)) : [];
  return {
    kind: 'asked',
    question: {
      leaveOn: form.leaveOn,
      backOn: form.backOn,
      helperDays,
      helperLitres: form.hasHelper && cans.ok ? cans.value * canLitres : 0,
      acceptedRisk: form.riskPercent / 100,
      isSoaked: form.isSoaked,
      allowed: form.allowed,
    },
  };
}
