import { CROPS } from '@rundel/core/plants';
import { PICK_STAGE_WORDS } from '../../text/plant-text.ts';
import {
  amountField,
  choiceField,
  namedOptions,
  numberField,
  optionsOf,
  rowField,
  switchField,
  textField,
} from '../form/index.ts';
import { causeOptions } from './care-forms.ts';
import { entryForm, typedWithUnit } from './entry-form.ts';

const NOT_SAID = 'not-said';
const fruits = (label: string, help?: string) =>
  numberField({
    label,
    ...(help ? { help } : {}),
    low: 0,
    high: 5000,
    isWhole: true,
    isOptional: true,
    problem: 'A whole number of fruits, please.',
  });

/** How a lot lies, for one that is there: what it is called, how warm, how fast it is drawn. */
export const lotFields = {
  name: textField({ label: 'What you call it', longest: 40 }),
  celsius: amountField({
    label: 'How warm it is there',
    purpose: 'temperature',
    low: -5,
    high: 40,
    isOptional: true,
  }),
  isWithFruit: switchField({ label: 'In a paper bag with a ripe apple or banana' }),
  fruitsAWeek: numberField({
    label: 'Drawn so many a week',
    help: 'For keepers, through winter. Left empty: eaten as it ripens.',
    low: 0.25,
    high: 200,
    isOptional: true,
  }),
  keepsMonths: numberField({
    label: 'Keeps so many months',
    help: 'As its packet says, or as you know it.',
    low: 0.1,
    high: 12,
    isOptional: true,
  }),
} as const;

export const shelvedForm = entryForm<'shelved'>()({
  fields: ({ garden }) => ({
    cropId: choiceField({
      label: 'Crop',
      options: [{ id: NOT_SAID, label: 'As it was picked' }, ...namedOptions(CROPS)],
    }),
    varietyId: choiceField({
      label: 'Variety',
      options: [
        { id: NOT_SAID, label: 'Not said' },
        ...namedOptions(garden.varieties.filter((v) => !v.binnedAt)),
      ],
    }),
    count: fruits('How many'),
    kilograms: amountField({ label: 'Weight', purpose: 'crop', low: 0.001, high: 500, isOptional: true }),
    stage: rowField({ label: 'How ripe', options: optionsOf(PICK_STAGE_WORDS) }),
    ...lotFields,
  }),
  start: (e) => ({
    values: {
      ...{ cropId: e.cropId ?? NOT_SAID, varietyId: e.varietyId ?? NOT_SAID, count: e.count, stage: e.stage },
      ...{
        kilograms: e.kilograms,
        name: e.name ?? '',
        celsius: e.celsius,
        isWithFruit: e.isWithFruit ?? false,
      },
      ...{ fruitsAWeek: e.fruitsAWeek, keepsMonths: e.keepsMonths },
    },
    texts: { kilograms: typedWithUnit(e.asEntered) },
  }),
  facts: (v, texts) => ({
    cropId: v.cropId === NOT_SAID ? undefined : v.cropId,
    varietyId: v.varietyId === NOT_SAID ? undefined : v.varietyId,
    count: v.count || undefined,
    kilograms: v.kilograms,
    stage: v.stage,
    asEntered: v.kilograms === undefined ? undefined : texts.kilograms.trim(),
    name: v.name || undefined,
    celsius: v.celsius,
    isWithFruit: v.isWithFruit || undefined,
    fruitsAWeek: v.fruitsAWeek,
    keepsMonths: v.keepsMonths,
  }),
});

export const shelfCheckForm = entryForm<'shelf-check'>()({
  fields: (_, entry) => ({
    eaten: fruits('Taken to eat'),
    given: fruits('Given away'),
    sold: fruits('Sold'),
    lost: fruits('Thrown out'),
    lostTo: choiceField({
      label: 'Thrown out for',
      options: [{ id: NOT_SAID, label: 'Not said' }, ...causeOptions(entry?.lostTo).slice(1)],
    }),
    left: fruits('That are left, counted', 'Goes before what I worked out.'),
    ripe: fruits('Of those, coloured'),
  }),
  start: ({ eaten, given, sold, lost, lostTo, left, ripe }) => ({
    values: { eaten, given, sold, lost, lostTo: lostTo ?? NOT_SAID, left, ripe },
  }),
  facts: ({ lostTo, ...counts }) => ({
    ...counts,
    lostTo: counts.lost && lostTo !== NOT_SAID ? lostTo : undefined,
  }),
});
