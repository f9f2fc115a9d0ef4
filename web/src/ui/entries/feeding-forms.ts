import { FEEDING_PRACTICES, type FedInto } from '@rundel/core/feeding';
import { isFeed, productsIn } from '@rundel/core/products';
import { FEED_UNITS, type FeedUnit } from '@rundel/core/records';
import { parseNumber } from '@rundel/core/units';
import { readDose, refused } from '../../text/amount-text.ts';
import { UNIT_WORDS } from '../../text/feed-amount-text.ts';
import { FEED_SKIP_WORDS } from '../../text/feed-text.ts';
import { STAGE_NAMES } from '../../text/plant-text.ts';
import {
  amountField,
  choiceField,
  namedOptions,
  numberField,
  optionsOf,
  switchField,
  type Field,
} from '../form/index.ts';
import { entryForm } from './entry-form.ts';

export const FEED_UNIT_OPTIONS = FEED_UNITS.map((id) => ({ id, label: UNIT_WORDS[id][1] }));

/** An amount of a product as it was typed; without a unit it is in the one that is chosen beside it. */
export interface TypedDose {
  readonly amount: number;
  readonly unit?: FeedUnit;
}

/** How much of a product; a unit that is typed goes before the one that is chosen. */
export function doseField(words: {
  readonly label: string;
  readonly missing?: string;
  readonly most?: number;
  readonly tooMuch?: string;
}): Field<TypedDose> {
  const { label, missing, most = Infinity, tooMuch = 'That much cannot be right here.' } = words;
  return {
    label,
    input: { kind: 'number' },
    read(text, { unitFormat }) {
      if (text.trim() === '' && missing) return refused(missing);
      const read = readDose(text, 'gram', unitFormat.system);
      if (!read.ok) return read;
      if (read.value.amount > most) return refused(tooMuch);
      const isBare = parseNumber(text)?.rest.trim() === '';
      return { ok: true, value: isBare ? { amount: read.value.amount } : read.value };
    },
    write: ({ amount }) => String(amount),
  };
}

/** The ways that a feed can go; the first two are there for whatever dissolves in water. */
export const FED_WAYS = [
  { id: 'mix', label: 'Over the mix' },
  { id: 'leaves', label: 'Over the leaves' },
  { id: 'store', label: 'Into its reservoir or drum' },
] as const;
export type FedWay = (typeof FED_WAYS)[number]['id'];
export const wayOf = (into: FedInto | undefined): FedWay => into ?? 'mix';

export const fedForm = entryForm<'fed'>()({
  fields: ({ garden }) => ({
    productId: choiceField({
      label: 'With what',
      options: productsIn(garden.products)
        .filter(isFeed)
        .map(({ id, name }) => ({ id, label: name })),
    }),
    amount: doseField({ label: 'How much of it' }),
    unit: choiceField({ label: 'Counted in', options: FEED_UNIT_OPTIONS }),
    way: choiceField<FedWay>({ label: 'How', options: FED_WAYS }),
    litres: amountField({
      label: 'In how much water',
      help: 'Empty: dry. Its watering is an entry of its own.',
      purpose: 'water',
      low: 0.01,
      high: 200,
      inMeasures: true,
      isOptional: true,
    }),
  }),
  start: ({ productId, amount, unit, litres, into }) => ({
    values: { productId, amount: { amount }, unit, litres, way: wayOf(into) },
  }),
  facts: ({ productId, amount, unit, litres, way }) => ({
    productId,
    amount: amount.amount,
    unit: amount.unit ?? unit,
    litres,
    into: way === 'mix' ? undefined : way,
    asEntered: undefined,
  }),
});

export const feedSkippedForm = entryForm<'feed-skipped'>()({
  fields: () => ({
    reason: choiceField({ label: 'Why it was left out', options: optionsOf(FEED_SKIP_WORDS) }),
  }),
  start: ({ reason }) => ({ values: { reason } }),
  facts: ({ reason }) => ({ reason }),
});

export const stageForm = entryForm<'stage'>()({
  fields: () => ({
    stage: choiceField({ label: 'Which stage', options: optionsOf(STAGE_NAMES) }),
    isNotYet: switchField({ label: 'I looked: not yet' }),
  }),
  start: ({ stage, isNotYet }) => ({ values: { stage, isNotYet: isNotYet ?? false } }),
  facts: ({ stage, isNotYet }) => ({ stage, isNotYet: isNotYet ? true : undefined }),
});

export const regimeForm = entryForm<'regime'>()({
  fields: ({ garden }) => ({
    regimeId: choiceField({
      label: 'Fed by',
      options: [
        { id: '', label: 'No regime' },
        ...namedOptions([...garden.regimes.filter((r) => !r.binnedAt), ...FEEDING_PRACTICES]),
      ],
    }),
  }),
  start: ({ regimeId }) => ({ values: { regimeId: regimeId ?? '' } }),
  facts: ({ regimeId }) => ({ regimeId: regimeId || undefined }),
});

/** Conductivity and pH as a meter shows them. */
export const METER_FIELDS = {
  ec: numberField({
    label: 'EC',
    help: 'If you measured it.',
    unit: 'mS/cm',
    low: 0,
    high: 20,
    isOptional: true,
    problem: 'In mS/cm, as 2.1. A number above 20 is in µS/cm: divide it by 1000.',
  }),
  ph: numberField({ label: 'pH', low: 0, high: 14, isOptional: true, problem: 'pH goes from 0 to 14.' }),
} as const;

export const SOLUTION_WHAT = [
  { id: 'reading', label: 'Measured' },
  { id: 'changed', label: 'Made up new' },
  { id: 'topped-up', label: 'Topped up' },
] as const;

export const solutionForm = entryForm<'solution'>()({
  fields: () => ({
    what: choiceField({ label: 'What was done', options: SOLUTION_WHAT }),
    litres: amountField({
      label: 'How much went in',
      purpose: 'water',
      low: 0.01,
      high: 200,
      inMeasures: true,
      isOptional: true,
    }),
    ...METER_FIELDS,
  }),
  start: ({ what, litres, ecMillisiemens, ph }) => ({
    values: { what, litres, ec: ecMillisiemens, ph },
    isAsked: (name, texts) => name !== 'litres' || texts.what !== 'reading',
  }),
  check: ({ what, ec, ph, litres }) =>
    what === 'reading' && ec === undefined && ph === undefined
      ? [{ at: 'ec', problem: 'Give an EC, a pH, or both.' }]
      : what !== 'reading' && litres === undefined
        ? [{ at: 'litres', problem: 'How much went in?' }]
        : [],
  facts: ({ what, litres, ec, ph }) => ({ what, litres, ecMillisiemens: ec, ph }),
});

export const teaForm = entryForm<'tea'>()({
  fields: ({ garden }) => ({
    productId: choiceField({
      label: 'What steeps',
      options: productsIn(garden.products)
        .filter((product) => isFeed(product) && product.feed?.form === 'tea')
        .map(({ id, name }) => ({ id, label: name })),
    }),
    litres: amountField({
      label: 'Water',
      missing: 'How much water?',
      purpose: 'water',
      low: 0.5,
      high: 1000,
      inMeasures: true,
    }),
    waterParts: numberField({
      label: 'Parts of water to one part of it',
      help: 'As its recipe says: 8 makes 1 in 9. Empty: as its product is dosed.',
      low: 0.5,
      high: 200,
      isOptional: true,
      problem: 'From half a part to 200 parts of water.',
    }),
    perBag: amountField({
      label: 'Diluted, for each bag',
      help: 'Empty: not said.',
      purpose: 'water',
      low: 0.05,
      high: 50,
      inMeasures: true,
      isOptional: true,
    }),
  }),
  start: ({ productId, litres, waterParts, litresPerBag }) => ({
    values: { productId, litres, waterParts, perBag: litresPerBag },
  }),
  facts: ({ productId, litres, waterParts, perBag }) => ({
    productId,
    litres,
    waterParts,
    litresPerBag: perBag,
  }),
});

export const teaTendedForm = entryForm<'tea-tended'>()({
  fields: () => ({
    litres: amountField({
      label: 'How much came off',
      help: 'The rest goes on the heap. Gloves, and outdoors.',
      missing: 'How much came off?',
      purpose: 'water',
      low: 0.1,
      high: 1000,
      inMeasures: true,
    }),
  }),
  start: ({ what, litres }) => ({ values: { litres }, isAsked: () => what === 'strained' }),
  facts: ({ litres }) => ({ litres }),
});
