import type { EntryOf, Garden } from '@rundel/core/records';
import { litresIn, timedIn, type NamedMeasure } from '@rundel/core/units';
import { FINGER_GRADES, LIFT_GRADES } from '@rundel/core/water';
import { SKIP_WORDS } from '../../text/water-text.ts';
import { LEVELS, levelShare } from '../../text/check-text.ts';
import { measuresInUse, wateringMeasure, type UnitFormat } from '../../store/index.ts';
import {
  amountField,
  choiceField,
  gradeField,
  numberField,
  optionsOf,
  switchField,
  timeField,
} from '../form/index.ts';
import { entryForm, typedWithUnit } from './entry-form.ts';

type Check = EntryOf<'check'>['check'];

const WATERING_AMOUNT = { purpose: 'water', low: 0.01, high: 200, inMeasures: true } as const;

/** What a watering brought: from a spoonful to a soaking, in litres, the grower's own measures or another unit. */
export const wateringAmount = (label: string, help?: string) =>
  amountField({ ...WATERING_AMOUNT, label, help });

/** The same where there may have been none. */
export const laterWatering = (label: string) =>
  amountField({ ...WATERING_AMOUNT, label, help: 'Empty for none.', isOptional: true });

type Through = 'none' | 'some' | 'little' | 'most';

const THROUGH: readonly { readonly id: Through; readonly label: string }[] = [
  { id: 'none', label: 'nothing' },
  { id: 'little', label: 'a little' },
  { id: 'most', label: 'most of it' },
  { id: 'some', label: 'some, I cannot say how much' },
];

/** Ways in which an amount may be given, with what is in the grower's own measures. */
function amountHelp(garden: Garden, unitFormat: UnitFormat): string {
  const { kind, name, litres } = wateringMeasure(garden);
  const [timed] = timedIn([{ kind, name, litres }, ...measuresInUse(garden)]);
  const aMinute = (measure: NamedMeasure) => unitFormat.show(litresIn(60, measure) ?? 0, 'water');
  if (timed?.name === name)
    return `As "5 L", "1 gal" or "40 s" (your ${name} gives ${aMinute(timed)} a minute).`;
  const ran = timed ? `, or as long as your ${timed.name} ran: "40 s"` : '';
  return `As "5 L", "1 gal" or "½ can" (your ${name} holds ${unitFormat.show(litres, 'water')})${ran}.`;
}

export const wateringForm = entryForm<'watering'>()({
  fields({ garden, unitFormat }) {
    return {
      amount: wateringAmount('How much', amountHelp(garden, unitFormat)),
      through: choiceField<Through>({ label: 'Ran through at the bottom', options: THROUGH }),
      isInGoes: switchField({ label: 'Poured in goes, with pauses' }),
      spilt: amountField({
        label: 'Ran off over the edge',
        help: 'It never got into the mix, and does not count. Empty for none.',
        purpose: 'water',
        low: 0.01,
        high: 200,
        inMeasures: true,
        isOptional: true,
      }),
      isByEye: switchField({ label: 'Judged by eye' }),
    };
  },
  start: ({ litres, ranThrough, through, isInGoes, spiltLitres, isMeasured, asEntered }) => ({
    values: {
      amount: litres + (spiltLitres ?? 0),
      through: (ranThrough ? (through ?? 'some') : 'none') as Through,
      isInGoes: isInGoes ?? false,
      spilt: spiltLitres,
      isByEye: !isMeasured,
    },
    texts: { amount: typedWithUnit(asEntered) },
  }),
  check: ({ amount, spilt }) =>
    amount !== undefined && spilt !== undefined && spilt >= amount
      ? [{ at: 'spilt', problem: 'That is all of it: then nothing was watered.' }]
      : [],
  facts: ({ amount, through, isInGoes, spilt, isByEye }, texts) => ({
    litres: amount - (spilt ?? 0),
    ranThrough: through !== 'none',
    through: through === 'little' || through === 'most' ? through : undefined,
    isInGoes: isInGoes || undefined,
    spiltLitres: spilt,
    isMeasured: !isByEye,
    asEntered: texts.amount.trim(),
  }),
});

const DRIP_FIELDS = {
  emitters: numberField({
    label: 'Drippers',
    low: 1,
    high: 50,
    isWhole: true,
    problem: 'From 1 to 50 drippers.',
  }),
  litresPerHourEach: amountField({ label: 'Each gives in an hour', purpose: 'water', low: 0.01, high: 60 }),
  minutes: timeField({
    label: 'Minutes each time',
    in: 'minute',
    low: 1,
    high: 600,
    problem: 'From 1 to 600 minutes.',
  }),
  timesADay: numberField({
    label: 'Times a day',
    low: 1,
    high: 12,
    isWhole: true,
    problem: 'From 1 to 12 times.',
  }),
} as const;

const FELT = 'What it felt like';

/** A finding by each way of checking: its field, the value that it has, and the check that a value makes. */
const FINDINGS = {
  finger: {
    field: gradeField({ label: FELT, grades: FINGER_GRADES }),
    value: (check: Extract<Check, { method: 'finger' }>) => check.grade,
    check: (grade: number): Check => ({ method: 'finger', grade }),
  },
  lift: {
    field: gradeField({ label: FELT, grades: LIFT_GRADES }),
    value: (check: Extract<Check, { method: 'lift' }>) => check.grade,
    check: (grade: number): Check => ({ method: 'lift', grade }),
  },
  level: {
    field: gradeField({ label: FELT, grades: LEVELS }),
    value: (check: Extract<Check, { method: 'level' }>) => 1 + Math.round(check.share * (LEVELS.length - 1)),
    check: (grade: number): Check => ({ method: 'level', share: levelShare(grade) }),
  },
  scale: {
    field: amountField({
      label: 'The whole bag weighs',
      help: 'Slide it on with two people, or use a hanging scale: wet bags are heavy.',
      missing: 'What does the scale show?',
      purpose: 'crop',
      low: 0.1,
      high: 500,
    }),
    value: (check: Extract<Check, { method: 'scale' }>) => check.kilograms,
    check: (kilograms: number): Check => ({ method: 'scale', kilograms }),
  },
  probe: {
    field: numberField({
      label: 'The probe shows',
      help: 'From 0 to 100. Its two points are set on the bag’s page.',
      missing: 'The number that it shows.',
      low: 0,
      high: 100,
      sign: '%',
      problem: 'From 0 to 100, as its bag is calibrated; is the probe in the mix?',
    }),
    value: (check: Extract<Check, { method: 'probe' }>) => check.reading,
    check: (reading: number): Check => ({ method: 'probe', reading }),
  },
} as const;

/** The field that asks what a check by some way found, and the check that its value makes. */
export function findingOf(method: keyof typeof FINDINGS) {
  return FINDINGS[method];
}

export const checkForm = entryForm<'check'>()({
  fields: (_, entry) =>
    ({
      ...(entry && entry.check.method !== 'wilted' ? { found: FINDINGS[entry.check.method].field } : {}),
    }) as { found: typeof FINDINGS.finger.field },
  start({ check }) {
    if (check.method === 'wilted') return {};
    const value = FINDINGS[check.method].value as (check: Check) => number;
    return { values: { found: value(check) } };
  },
  facts: ({ found }, _, entry) => {
    const check = entry?.check;
    if (!check || check.method === 'wilted' || found === undefined) return {};
    return { check: { ...check, ...FINDINGS[check.method].check(found) } };
  },
});

export const skippedForm = entryForm<'skipped'>()({
  fields: () => ({ reason: choiceField({ label: 'Why it was left', options: optionsOf(SKIP_WORDS) }) }),
  start: ({ reason }) => ({ values: { reason } }),
  facts: ({ reason }) => ({ reason }),
});

/** A drip's setting; one that was turned off has nothing but its time. */
export const dripForm = entryForm<'drip'>()({
  fields: (_, entry) => (entry && !entry.setting ? {} : DRIP_FIELDS) as typeof DRIP_FIELDS,
  start: ({ setting }) => (setting ? { values: setting } : {}),
  facts: (values, _, entry) => (entry?.setting ? { setting: { ...entry.setting, ...values } } : {}),
});
