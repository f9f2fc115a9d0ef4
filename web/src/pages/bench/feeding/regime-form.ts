import {
  type Regime,
  type RegimeStep,
  type StopRule,
  type Trigger,
  regimeStepSchema,
  type FeedUnit,
  type LabelDose,
} from '@rundel/core/records';
import type { Assumed } from '@rundel/core/assumed';
import { parseNumber, type UnitSystem } from '@rundel/core/units';
import { SHARES } from '../../../text/feed-text.ts';
import { readDose } from '../../../text/amount-text.ts';
import { parseDose, displayDose } from '../../../text/dose-text.ts';

/** A step as it is typed into its sentence. */
export interface StepForm {
  readonly id: string;
  readonly start: Trigger['on'];
  readonly weeks: string;
  readonly monthDay: string;
  readonly productId: string;
  readonly isAsLabel: boolean;
  readonly amount: string;
  readonly unit: FeedUnit;
  readonly per: LabelDose['per'];
  readonly often: 'once' | 'every' | 'watering';
  /** of the dose that goes into every watering, percent */
  readonly percent: string;
  readonly isOverLeaves: boolean;
  readonly fromDays: string;
  readonly toDays: string;
  readonly shortensWithGrowth: boolean;
  readonly until: 'plant' | StopRule['on'];
  readonly untilNumber: string;
  readonly untilDay: string;
}

export interface RegimeForm {
  readonly name: string;
  readonly description: string;
  readonly suits: string;
  readonly steps: readonly StepForm[];
}

export function stepFormOf(
  step: RegimeStep,
  labelDose: LabelDose | undefined,
  system: UnitSystem,
  { weakShare }: Pick<Assumed, 'weakShare'>,
): StepForm {
  const dose = step.dose ?? labelDose;
  const { start, until, every } = step;
  return {
    id: step.id,
    start: start.on,
    weeks: start.on === 'weeks' ? weeksText(start.weeks) : '2',
    monthDay: start.on === 'date' ? start.monthDay : '06-01',
    productId: step.productId,
    isAsLabel: step.dose === undefined,
    amount: dose ? String(displayDose(dose, system)) : '1',
    unit: dose?.unit ?? 'gram',
    per: dose?.per ?? 'litre',
    often: step.withWatering ? 'watering' : every ? 'every' : 'once',
    percent: String(Math.round((step.withWatering?.share ?? weakShare) * 100)),
    isOverLeaves: step.into === 'leaves',
    fromDays: String(every?.fromDays ?? 7),
    toDays: String(every?.toDays ?? 10),
    shortensWithGrowth: step.shortensWithGrowth,
    until: until?.on ?? 'plant',
    untilNumber:
      until?.on === 'times' ? String(until.times) : until?.on === 'weeks' ? weeksText(until.weeks) : '3',
    untilDay: until?.on === 'date' ? until.monthDay : '09-01',
  };
}

/** A number as typed; what is none is left for the schema to refuse. */
const numberOf = (text: string) => parseNumber(text)?.value ?? NaN;

/** Weeks as typed, "2" or "2 weeks", or days: "10 days". */
function weeksOf(text: string): number {
  const [, number = '', unit = ''] = /^(.*?)\s*(days?|d|weeks?|w)?$/i.exec(text.trim()) ?? [];
  return numberOf(number) / (/^d/i.test(unit) ? 7 : 1);
}

/** Weeks as they are typed again: in days where they are not whole. */
const weeksText = (weeks: number) =>
  Number.isInteger(weeks) ? String(weeks) : `${Math.round(weeks * 7)} days`;

/** A part of a dose as typed: "25", "25 %", "1/4", "a quarter". */
function shareOf(text: string): number {
  const said = SHARES.find(({ words }) => text.trim().toLowerCase() === words);
  if (said) return said.share;
  const number = numberOf(text.replace('%', '').trim());
  return number > 1 || text.includes('%') ? number / 100 : number;
}

const triggerOf = (on: Trigger['on'], weeks: string, monthDay: string): unknown =>
  on === 'weeks' ? { on, weeks: weeksOf(weeks) } : on === 'date' ? { on, monthDay } : { on };

/** A step of a sentence, or what is wrong with it in words. */
export function readStep(form: StepForm, system: UnitSystem): RegimeStep | string {
  const until =
    form.until === 'plant'
      ? undefined
      : form.until === 'times'
        ? { on: 'times', times: numberOf(form.untilNumber) }
        : triggerOf(form.until, form.untilNumber, form.untilDay);
  const days = { fromDays: numberOf(form.fromDays), toDays: numberOf(form.toDays) };
  if (form.often === 'every' && !(Number.isInteger(days.fromDays) && Number.isInteger(days.toDays)))
    return 'Days between two feeds are whole numbers.';
  if (form.often === 'every' && days.fromDays > days.toDays)
    return 'The longest time between two feeds is shorter than the shortest.';
  // a unit that is typed goes before the one that was chosen
  const dose = form.isAsLabel ? undefined : readDose(form.amount, form.unit, system);
  const read = regimeStepSchema.safeParse({
    id: form.id,
    start: triggerOf(form.start, form.weeks, form.monthDay),
    productId: form.productId,
    ...(form.isAsLabel
      ? {}
      : {
          dose: {
            amount: parseDose(dose?.ok ? dose.value.amount : NaN, form.per, system),
            unit: dose?.ok ? dose.value.unit : form.unit,
            per: form.per,
          },
        }),
    ...(form.often === 'every' ? { every: days } : {}),
    ...(form.often === 'watering' ? { withWatering: { share: shareOf(form.percent) } } : {}),
    ...(form.isOverLeaves && form.often !== 'watering' ? { into: 'leaves' } : {}),
    shortensWithGrowth: form.often === 'every' && form.shortensWithGrowth,
    ...(until ? { until } : {}),
  });
  if (read.success) return read.data;
  const at = read.error.issues[0]?.path[0];
  return (
    {
      start:
        'Weeks go from 0 to 52, days are written as "10 days", and a day of the year as 06-15, the month first.',
      dose: 'The dose is a number above 0.',
      withWatering: 'The part of the dose in every watering goes from 2 to 100 %, or as a fraction: 1/4.',
      every: 'Days between two feeds go from 1 to 180.',
      until: 'Its end does not read: times from 1 to 60, weeks from 0 to 52, a day as 09-01.',
    }[String(at)] ?? 'This step does not read.'
  );
}

/** A regime from its form, or the first thing that is wrong. */
export function readRegime(
  form: RegimeForm,
  system: UnitSystem,
): Omit<Regime, 'id'> | { readonly problem: string; readonly stepId?: string } {
  if (form.name.trim() === '') return { problem: 'Give it a name.' };
  if (form.steps.length === 0) return { problem: 'A regime without a step feeds nothing.' };
  const steps: RegimeStep[] = [];
  for (const step of form.steps) {
    const read = readStep(step, system);
    if (typeof read === 'string') return { problem: read, stepId: step.id };
    steps.push(read);
  }
  return { name: form.name.trim(), description: form.description.trim(), suits: form.suits.trim(), steps };
}
