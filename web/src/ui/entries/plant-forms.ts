import { SUPPORTS, type Occupant } from '@rundel/core/plants';
import { LEAVING_WORDS, PICK_SIZE_WORDS, PICK_STAGE_WORDS, PICK_USE_WORDS } from '../../text/plant-text.ts';
import { causeOptions } from './care-forms.ts';
import { TENDED_WORDS } from '../../text/tended-text.ts';
import {
  amountField,
  choiceField,
  namedOptions,
  numberField,
  optionalField,
  optionsOf,
  priceField,
  rowField,
  switchField,
  textField,
} from '../form/index.ts';
import { entryForm, typedWithUnit } from './entry-form.ts';

/** Crops that are picked by their size, and those by their colour; peppers by both. */
const BY_SIZE: readonly string[] = ['cucumber', 'aubergine', 'pepper'];
const BY_COLOUR: readonly string[] = ['tomato', 'pepper'];

/** What a picking from these bags is asked: how ripe or how large by its crop, what took it where it was lost. */
export function pickingAsked(bags: readonly { readonly occupants: readonly Occupant[] }[]) {
  const crops = bags.flatMap(({ occupants }) => occupants.map((o) => o.crop.id));
  const some = (of: readonly string[]) => crops.length === 0 || crops.some((id) => of.includes(id));
  return (name: string, texts: Readonly<Record<string, string>>): boolean =>
    name === 'stage'
      ? some(BY_COLOUR)
      : name === 'size'
        ? some(BY_SIZE)
        : name === 'soldFor'
          ? texts.use === 'sold'
          : name === 'lostTo'
            ? texts.use === 'lost'
            : true;
}

/** Not lost to anything named. */
const NOBODY = 'nobody';

export const pickingForm = entryForm<'picking'>()({
  fields: (_, entry) => ({
    kilograms: amountField({
      label: 'Weight',
      help: 'As "0.45", "450 g" or "1 lb". A count alone will do, and neither where nobody took one.',
      purpose: 'crop',
      // from a single small fruit to all of a planter; who counts need not weigh
      low: 0.001,
      high: 100,
      isOptional: true,
    }),
    count: numberField({
      label: 'How many',
      low: 1,
      high: 5000,
      isWhole: true,
      isOptional: true,
      problem: 'A whole number of fruits, please.',
    }),
    stage: rowField({ label: 'How ripe', options: optionsOf(PICK_STAGE_WORDS) }),
    size: rowField({ label: 'How large', options: optionsOf(PICK_SIZE_WORDS) }),
    use: rowField({ label: 'What becomes of it', options: optionsOf(PICK_USE_WORDS) }),
    soldFor: optionalField(priceField({ label: 'Sold for' })),
    lostTo: choiceField({
      label: 'Lost to',
      options: [{ id: NOBODY, label: 'Not said' }, ...causeOptions(entry?.lostTo).slice(1)],
    }),
  }),
  start: ({ kilograms, count, asEntered, stage, size, use, soldFor, lostTo }) => ({
    values: { kilograms, count, stage, size, use, soldFor, lostTo: lostTo ?? NOBODY },
    texts: { kilograms: typedWithUnit(asEntered) },
  }),
  facts: ({ kilograms, count, stage, size, use, soldFor, lostTo }, texts) => ({
    kilograms,
    count,
    isUnmeasured: kilograms === undefined && count === undefined ? true : undefined,
    asEntered: kilograms === undefined ? undefined : texts.kilograms.trim(),
    stage,
    size,
    use,
    soldFor: use === 'sold' ? soldFor : undefined,
    lostTo: use === 'lost' && lostTo !== NOBODY ? lostTo : undefined,
  }),
});

export const clearedForm = entryForm<'cleared'>()({
  fields: () => ({ why: choiceField({ label: 'Why it left', options: optionsOf(LEAVING_WORDS) }) }),
  start: ({ why }) => ({ values: { why: why ?? 'finished' } }),
  facts: ({ why }) => ({ why: why === 'finished' ? undefined : why }),
});

export const movedForm = entryForm<'moved'>()({
  fields: ({ garden }) => {
    const options = namedOptions(garden.places.filter((place) => !place.binnedAt));
    return {
      fromPlaceId: choiceField({ label: 'Where it stood', options }),
      toPlaceId: choiceField({ label: 'Carried to', options }),
    };
  },
  start: ({ fromPlaceId, toPlaceId }) => ({ values: { fromPlaceId, toPlaceId } }),
  facts: ({ fromPlaceId, toPlaceId }) => ({ fromPlaceId, toPlaceId }),
});

export const heightField = (label: string, help: string) =>
  amountField({ label, help, purpose: 'height', low: 10, high: 5000, isOptional: true });

export const heightForm = entryForm<'height'>()({
  fields: () => ({
    height: amountField({
      label: 'Height above the mix',
      help: 'From the mix to the tip.',
      purpose: 'height',
      low: 10,
      high: 5000,
    }),
  }),
  start: ({ heightMillimetres, asEntered }) => ({
    values: { height: heightMillimetres },
    texts: { height: typedWithUnit(asEntered) },
  }),
  facts: ({ height }, texts) => ({ heightMillimetres: Math.round(height), asEntered: texts.height.trim() }),
});

export const warmthForm = entryForm<'warmth'>()({
  fields: () => ({
    mixCelsius: amountField({ label: 'How warm the mix is', purpose: 'temperature', low: -10, high: 60 }),
  }),
  start: ({ mixCelsius }) => ({ values: { mixCelsius } }),
  facts: ({ mixCelsius }) => ({ mixCelsius }),
});

export const toppedUpForm = entryForm<'topped-up'>()({
  fields: () => ({
    litres: amountField({ label: 'Mix added', purpose: 'bag', low: 0.01, high: 500 }),
    level: amountField({ label: 'Settled level afterwards', purpose: 'depth', low: 20, high: 1200 }),
  }),
  start: ({ litres, levelMillimetres }) => ({ values: { litres, level: levelMillimetres } }),
  facts: ({ litres, level }) => ({ litres, levelMillimetres: level }),
});

export const supportedForm = entryForm<'supported'>()({
  fields: () => ({
    supportId: choiceField({
      label: 'Support',
      options: namedOptions(SUPPORTS),
    }),
    height: amountField({
      label: 'Its top, from the ground',
      purpose: 'height',
      low: 0,
      high: 5000,
      isOptional: true,
    }),
  }),
  start: ({ supportId, heightMillimetres }) => ({ values: { supportId, height: heightMillimetres } }),
  facts: ({ supportId, height }) => ({ supportId, heightMillimetres: height ?? 0 }),
});

export const tendedForm = entryForm<'tended'>()({
  fields: () => ({
    task: choiceField({ label: 'What was done', options: optionsOf(TENDED_WORDS) }),
    isNothingThere: switchField({ label: 'I looked, and there was nothing to do' }),
  }),
  start: ({ task, isNothingThere }) => ({ values: { task, isNothingThere: isNothingThere ?? false } }),
  facts: ({ task, isNothingThere }) => ({ task, isNothingThere: isNothingThere || undefined }),
});

export const noteForm = entryForm<'note'>()({
  fields: () => ({
    text: textField({
      label: 'What you saw or did',
      missing: 'Write a word or two first.',
      longest: 2000,
      lines: 3,
    }),
  }),
  start: ({ text }) => ({ values: { text } }),
  facts: ({ text }) => ({ text }),
});
