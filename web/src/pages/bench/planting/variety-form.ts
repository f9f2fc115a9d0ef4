import { cropOf, CROPS, habitOf, type KnownVariety } from '@rundel/core/plants';
import { BEARINGS } from '@rundel/core/records';
import {
  amountField,
  choiceField,
  dayField,
  namedOptions,
  numberField,
  optionsOf,
  switchField,
  textField,
  type Field,
  type FieldProblem,
  type ValuesOf,
} from '../../../ui/form/index.ts';
import { habitIdOf } from '../../../ui/planting-form.ts';
import { AGAIN_WORDS, BEARING_WORDS } from '../../../text/variety-text.ts';

/** Days to a crop outside of these are a slip of the pen. */
const LEAST_DAYS = 15;
const MOST_DAYS = 365;

const days = (label: string, help: string) =>
  numberField({
    label,
    help,
    low: LEAST_DAYS,
    high: MOST_DAYS,
    isWhole: true,
    isOptional: true,
    problem: `From ${LEAST_DAYS} to ${MOST_DAYS} days: no fruit is sooner, and no season longer.`,
  });

const ofSet = (label: string, help: string) =>
  numberField({
    label,
    help,
    low: 3,
    high: 150,
    isOptional: true,
    problem: 'From 3 to 150 days.',
  });

/** What is asked of a variety. */
export function varietyFields(
  texts: { readonly cropId?: string; readonly habitId?: string },
  taken: readonly string[],
) {
  const crop = cropOf(texts.cropId || 'tomato');
  const usual = habitOf(crop.id, habitIdOf({ cropId: crop.id, habitId: texts.habitId ?? '' }));
  const { low, high } = usual.daysToPicking;
  return {
    name: textField({ label: 'Name', longest: 60, missing: 'What is it called?', taken }),
    cropId: choiceField({ label: 'Crop', options: namedOptions(CROPS) }),
    habitId: choiceField({ label: 'Growth', options: namedOptions(crop.habits) }),
    bearing: choiceField({
      label: 'It bears',
      options: [
        { id: '', label: `As usual: ${BEARING_WORDS[usual.bearing]}` },
        ...BEARINGS.map((id) => ({ id, label: BEARING_WORDS[id] })),
      ],
    }),
    daysFrom: choiceField<'planting' | 'sowing'>({
      label: 'Days counted from',
      options: [
        { id: 'planting', label: 'planting out' },
        { id: 'sowing', label: 'sowing' },
      ],
    }),
    ripeLow: days('Days to ripe', `Usual from planting: ${low} to ${high}.`),
    ripeHigh: days('to', 'If the packet says two.'),
    greenLow: days('Days to green', 'Full-sized: peppers, green tomatoes.'),
    greenHigh: days('to', 'If there are two.'),
    setLow: ofSet('Days from set fruit to ripe', 'Empty: as usual, until your trusses show it.'),
    setHigh: ofSet('to', 'If it is a range.'),
    height: amountField({
      label: 'How tall it gets',
      help: 'Empty: as its growth usually does.',
      purpose: 'height',
      low: 50,
      high: 5000,
      isOptional: true,
    }),
    fruit: amountField({ label: 'A fruit weighs', purpose: 'crop', low: 0.0005, high: 5, isOptional: true }),
    keepsMonths: numberField({
      label: 'Keeps so many months',
      help: 'For keepers on a cool shelf. Empty: eaten as it ripens.',
      low: 0.1,
      high: 12,
      isOptional: true,
    }),
    colour: textField({ label: 'Colour', longest: 40 }),
    use: textField({ label: 'What for', longest: 80 }),
    isGrafted: switchField({ label: 'I have it grafted' }),
    seedSource: choiceField<'' | 'bought' | 'saved'>({
      label: 'Seed',
      options: [
        { id: '', label: 'none, or not said' },
        { id: 'bought', label: 'bought' },
        { id: 'saved', label: 'saved' },
      ],
    }),
    seedYear: numberField({
      label: 'Of the year',
      low: 1950,
      high: 2200,
      isWhole: true,
      isOptional: true,
      problem: 'A year, as 2025.',
    }),
    seedAmount: textField({ label: 'How much', help: 'As "20 seeds" or "half a packet".', longest: 40 }),
    germination: numberField({
      label: 'Came up when tried',
      unit: '%',
      sign: '%',
      low: 0,
      high: 100,
      isOptional: true,
      problem: 'From 0 to 100 %.',
    }),
    growAgain: choiceField<'' | 'yes' | 'no' | 'perhaps'>({
      label: 'Grow it again?',
      options: [{ id: '', label: 'not said' }, ...optionsOf(AGAIN_WORDS)],
    }),
    note: textField({ label: 'Note', help: 'Taste, trouble, how it did.', longest: 500, lines: 2 }),
  };
}

export type VarietyFields = ReturnType<typeof varietyFields>;
type Values = ValuesOf<VarietyFields>;

/** The fields that stand under one line until they are wanted. */
export const REST: readonly (keyof VarietyFields)[] = [
  'setLow',
  'setHigh',
  'fruit',
  'keepsMonths',
  'colour',
  'use',
  'isGrafted',
  'seedSource',
  'seedYear',
  'seedAmount',
  'germination',
];

export function varietyProblems(values: Partial<Values>): readonly FieldProblem<keyof VarietyFields>[] {
  const { ripeLow, ripeHigh, greenLow, greenHigh, setLow, setHigh } = values;
  if (setHigh !== undefined && setHigh < (setLow ?? Infinity))
    return [{ at: 'setHigh', problem: 'Give the earlier number first, and the later one here.' }];
  if (greenHigh !== undefined && greenHigh < (greenLow ?? Infinity))
    return [{ at: 'greenHigh', problem: 'Give the earlier number first, and the later one here.' }];
  if (ripeHigh !== undefined && ripeLow === undefined)
    return [{ at: 'ripeLow', problem: 'Give the earlier number too.' }];
  if (ripeLow !== undefined && ripeHigh !== undefined && ripeHigh < ripeLow)
    return [{ at: 'ripeHigh', problem: 'The later number cannot be smaller than the earlier one.' }];
  if (greenLow !== undefined && ripeLow !== undefined && greenLow > ripeLow)
    return [{ at: 'greenLow', problem: 'It is green before it is ripe.' }];
  return [];
}

/** A variety's values, as its form begins. */
export function startOfVariety(v: KnownVariety): Partial<Values> {
  const { seed, daysToRipe, daysToGreen } = v;
  const some = <K extends string, T>(key: K, value: T | undefined) =>
    (value === undefined ? {} : { [key]: value }) as Partial<Record<K, T>>;
  return {
    name: v.name,
    cropId: v.cropId,
    habitId: v.habitId,
    bearing: v.bearing ?? '',
    daysFrom: daysToRipe?.from ?? daysToGreen?.from ?? 'planting',
    ...some('ripeLow', daysToRipe?.low),
    ...some('ripeHigh', daysToRipe && daysToRipe.high !== daysToRipe.low ? daysToRipe.high : undefined),
    ...some('greenLow', daysToGreen?.low),
    ...some('greenHigh', daysToGreen && daysToGreen.high !== daysToGreen.low ? daysToGreen.high : undefined),
    ...some('setLow', v.setToRipe?.low),
    ...some('setHigh', v.setToRipe && v.setToRipe.high !== v.setToRipe.low ? v.setToRipe.high : undefined),
    ...some('keepsMonths', v.keepsMonths),
    ...some('height', v.heightMillimetres),
    ...some('fruit', v.fruitGrams === undefined ? undefined : v.fruitGrams / 1000),
    ...some('colour', v.colour),
    ...some('use', v.use),
    isGrafted: v.isGrafted ?? false,
    seedSource: seed?.source ?? '',
    ...some('seedYear', seed?.year),
    ...some('seedAmount', seed?.amount),
    ...some('germination', seed?.germination === undefined ? undefined : Math.round(seed.germination * 100)),
    growAgain: v.growAgain ?? '',
    ...some('note', v.note),
  };
}

/** The variety that a form comes to. */
export function varietyOf(values: Values): KnownVariety {
  const {
    ripeLow,
    ripeHigh,
    greenLow,
    greenHigh,
    daysFrom: from,
    bearing,
    growAgain,
    fruit,
    germination,
  } = values;
  const { seedSource, seedYear, seedAmount } = values;
  const seed = {
    ...(seedSource ? { source: seedSource } : {}),
    ...(seedYear === undefined ? {} : { year: seedYear }),
    ...(seedAmount ? { amount: seedAmount } : {}),
    ...(germination === undefined ? {} : { germination: germination / 100 }),
  };
  return {
    name: values.name,
    cropId: values.cropId,
    habitId: habitIdOf(values),
    ...(bearing ? { bearing: bearing as NonNullable<KnownVariety['bearing']> } : {}),
    ...(ripeLow === undefined ? {} : { daysToRipe: { low: ripeLow, high: ripeHigh ?? ripeLow, from } }),
    ...(greenLow === undefined ? {} : { daysToGreen: { low: greenLow, high: greenHigh ?? greenLow, from } }),
    ...(values.setLow === undefined
      ? {}
      : { setToRipe: { low: values.setLow, high: values.setHigh ?? values.setLow } }),
    ...(values.keepsMonths === undefined ? {} : { keepsMonths: values.keepsMonths }),
    ...(values.height === undefined ? {} : { heightMillimetres: values.height }),
    ...(fruit === undefined ? {} : { fruitGrams: fruit * 1000 }),
    ...(values.colour ? { colour: values.colour } : {}),
    ...(values.use ? { use: values.use } : {}),
    ...(values.isGrafted ? { isGrafted: true } : {}),
    ...(Object.keys(seed).length > 0 ? { seed } : {}),
    ...(growAgain ? { growAgain } : {}),
    ...(values.note ? { note: values.note } : {}),
  };
}

/** The fields of plants that were sown together. */
export function batchFields(today: string) {
  const count = (label: string, help?: string) =>
    numberField({
      label,
      ...(help ? { help } : {}),
      low: 0,
      high: 5000,
      isWhole: true,
      isOptional: true,
      problem: 'A whole number, please.',
    }) as Field<number | undefined>;
  return {
    sownOn: dayField({ label: 'Sown on', latest: today, isOptional: true }) as Field<string | undefined>,
    cameUpOn: dayField({
      label: 'Came up on',
      help: 'Empty: not yet.',
      latest: today,
      isOptional: true,
    }) as Field<string | undefined>,
    name: textField({ label: 'Name', help: 'If you like: "the sill ones".', longest: 60 }),
    seeds: count('Seeds sown'),
    cameUp: count('Came up'),
    givenAway: count('Given away, or lost'),
    raisedAt: amountField({
      label: 'How warm it is there',
      purpose: 'temperature',
      low: -5,
      high: 45,
      isOptional: true,
    }),
    light: choiceField<'' | 'lamp' | 'sill' | 'glass' | 'outdoors'>({
      label: 'Light',
      options: [
        { id: '', label: 'not said' },
        { id: 'lamp', label: 'under a lamp' },
        { id: 'sill', label: 'on a sill' },
        { id: 'glass', label: 'under glass' },
        { id: 'outdoors', label: 'outdoors' },
      ],
    }),
  };
}
