import { sentence } from '../../text/text.ts';
import { CAUSES, dilution } from '@rundel/core/care';
import { OUTCOMES, SPRAY_AGENTS, type SprayAgent } from '@rundel/core/records';
import { AGENT_WORDS, causeName, OUTCOME_WORDS, TRUSS_WORDS } from '../../text/trouble-text.ts';
import {
  amountField,
  choiceField,
  dayField,
  numberField,
  timeField,
  optionsOf,
  switchField,
  textField,
  type Field,
  type FieldContext,
} from '../form/index.ts';
import type { Read } from '../../text/amount-text.ts';
import { trimmed } from '@rundel/core/units';
import { entryForm } from './entry-form.ts';

/** Every cause that can be named, the unknown first; one that was named by an earlier version stays to be chosen. */
export function causeOptions(known?: string) {
  const ids = ['unknown', ...CAUSES.map(({ id }) => id)];
  return (known === undefined || ids.includes(known) ? ids : [known, ...ids]).map((id) => ({
    id,
    label: sentence(causeName(id)),
  }));
}

const optionalWords = (text: string) => (text === '' ? undefined : text);

export const troubleForm = entryForm<'trouble'>()({
  fields: (_, entry) => ({
    what: choiceField({ label: 'What I take it for', options: causeOptions(entry?.what) }),
    livesInMix: switchField({ label: 'It may live on in the mix' }),
    checkOn: dayField({ label: 'Look again on', isOptional: true }),
    note: textField({ label: 'What you saw', longest: 2000, lines: 2 }),
  }),
  start: ({ what, livesInMix, note, checkOn }) => ({ values: { what, livesInMix, note, checkOn } }),
  facts: ({ what, livesInMix, note, checkOn }) => ({
    what,
    livesInMix,
    checkOn,
    note: optionalWords(note),
  }),
});

const SAME = 'same';

export const followedUpForm = entryForm<'followed-up'>()({
  fields: (_, entry) => ({
    outcome: choiceField({
      label: 'How it is now',
      options: OUTCOMES.map((id) => ({ id, label: sentence(OUTCOME_WORDS[id]) })),
    }),
    what: choiceField({
      label: 'What it turned out to be',
      options: [{ id: SAME, label: 'As I took it before' }, ...causeOptions(entry?.what)],
    }),
    note: textField({ label: 'What you saw', longest: 2000, lines: 2 }),
  }),
  start: ({ outcome, what, note }) => ({ values: { outcome, what: what ?? SAME, note } }),
  facts: ({ outcome, what, note }) => ({
    outcome,
    what: what === SAME ? undefined : what,
    note: optionalWords(note),
  }),
});

/** So much of a product: a liquid in litres, a powder in kilograms. */
export type SmallAmount = { readonly litres: number } | { readonly kilograms: number };

/**
 * What is measured by a spoon, a syringe or on a scale: a bare number is in millilitres, or in tablespoons where those are
 * usual; grams and ounces are of a powder.
 */
function smallAmountField(words: {
  readonly label: string;
  readonly help: string;
}): Field<SmallAmount | undefined> {
  const liquid = amountField({ ...words, purpose: 'water', low: 0.000_01, high: 5, isOptional: true });
  const powder = amountField({ ...words, purpose: 'crop', low: 0.000_01, high: 5, isOptional: true });
  const unit = ({ unitFormat }: FieldContext) => (unitFormat.system === 'us' ? 'tbsp' : 'mL');
  return {
    ...words,
    input: { kind: 'number', unit },
    read(text, context) {
      const isBare = /^[\d\s.,/¼½¾⅓⅔⅛]+$/.test(text.trim());
      const read = liquid.read(isBare ? `${text.trim()} ${unit(context)}` : text, context);
      if (read.ok) return { ok: true, value: read.value === undefined ? undefined : { litres: read.value } };
      const mass = powder.read(text, context);
      return mass.ok && mass.value !== undefined
        ? { ok: true, value: { kilograms: mass.value } }
        : (read as Read<undefined>);
    },
    write: (amount) =>
      'litres' in amount
        ? `${trimmed(amount.litres * 1000, 2)} mL`
        : `${trimmed(amount.kilograms * 1000, 2)} g`,
  };
}

/** How strong so much in so much water is: of a liquid in mL, of a powder in g to the litre. */
export function strengthOf(
  product: SmallAmount,
  litres: number,
): { readonly millilitresPerLitre?: number; readonly gramsPerLitre?: number } {
  return 'litres' in product
    ? { millilitresPerLitre: dilution(product.litres * 1000, litres) }
    : { gramsPerLitre: dilution(product.kilograms * 1000, litres) };
}

/** The amount again that a strength came from. */
function amountAgain(
  {
    millilitresPerLitre,
    gramsPerLitre,
  }: { readonly millilitresPerLitre?: number | undefined; readonly gramsPerLitre?: number | undefined },
  litres: number,
): SmallAmount | undefined {
  if (millilitresPerLitre !== undefined) return { litres: (millilitresPerLitre * litres) / 1000 };
  return gramsPerLitre === undefined ? undefined : { kilograms: (gramsPerLitre * litres) / 1000 };
}

/** What is sprayed for now and not against anything named. */
const NOTHING = 'nothing';

export const sprayedForm = entryForm<'sprayed'>()({
  fields: (_, entry) => ({
    agent: choiceField<SprayAgent>({
      label: 'What kind',
      options: SPRAY_AGENTS.map((id) => ({ id, label: sentence(AGENT_WORDS[id]) })),
    }),
    name: textField({ label: 'What its bottle says', help: 'Its name, if you like.', longest: 80 }),
    extent: choiceField({
      label: 'On what',
      options: [
        { id: 'test-leaf', label: 'One leaf, to try it' },
        { id: 'whole', label: 'The whole plant' },
      ],
    }),
    product: smallAmountField({
      label: 'So much of it',
      help: 'As its label says: "20 mL", "1 tsp", "½ fl oz".',
    }),
    litres: amountField({
      label: 'In so much water',
      purpose: 'water',
      low: 0.01,
      high: 200,
      isOptional: true,
    }),
    harvestDays: numberField({
      label: 'Days until picking',
      help: 'By its label. Ripe fruit is held back until then.',
      low: 0,
      high: 120,
      isWhole: true,
      isOptional: true,
    }),
    repeatDays: numberField({
      label: 'Again after so many days',
      help: 'By its label; empty: not again.',
      low: 1,
      high: 120,
      isWhole: true,
      isOptional: true,
    }),
    against: choiceField({
      label: 'Against',
      options: [{ id: NOTHING, label: 'Not said' }, ...causeOptions(entry?.against).slice(1)],
    }),
    note: textField({ label: 'Note', longest: 2000, lines: 2 }),
  }),
  start: ({
    agent,
    name,
    extent,
    millilitresPerLitre,
    gramsPerLitre,
    litres,
    harvestDays,
    repeatDays,
    against,
    note,
    asEntered,
  }) => ({
    values: {
      agent,
      name,
      extent,
      product: amountAgain({ millilitresPerLitre, gramsPerLitre }, litres ?? 1),
      litres: litres ?? (millilitresPerLitre === undefined && gramsPerLitre === undefined ? undefined : 1),
      harvestDays,
      repeatDays,
      against: against ?? NOTHING,
      note,
    },
    texts: { product: asEntered },
  }),
  // a bait is put out as it is
  check: ({ agent, product, litres }) =>
    agent !== 'bait' && product !== undefined && litres === undefined
      ? [{ at: 'litres', problem: 'In how much water? Without it nothing is known of its strength.' }]
      : [],
  facts: ({ agent, name, extent, product, litres, harvestDays, repeatDays, against, note }, texts) => ({
    agent,
    name: optionalWords(name),
    // neither bait nor plain water is tried on a leaf
    extent: agent === 'bait' || agent === 'water' ? 'whole' : extent,
    ...(product === undefined || litres === undefined
      ? { millilitresPerLitre: undefined, gramsPerLitre: undefined }
      : { millilitresPerLitre: undefined, gramsPerLitre: undefined, ...strengthOf(product, litres) }),
    asEntered: product === undefined ? undefined : texts.product.trim(),
    litres,
    harvestDays,
    repeatDays,
    against: against === NOTHING ? undefined : against,
    note: optionalWords(note),
  }),
});

export const cleanedForm = entryForm<'cleaned'>()({
  fields: () => ({
    isWashed: switchField({ label: 'Washed' }),
    isDried: switchField({ label: 'Dried right through' }),
    isDisinfected: switchField({ label: 'Disinfected, by its label' }),
    celsius: amountField({
      label: 'Heated to',
      help: 'Fabric alone, and no hotter than its maker says.',
      purpose: 'temperature',
      low: 30,
      high: 120,
      isOptional: true,
    }),
    minutes: timeField({
      label: 'For so many minutes',
      in: 'minute',
      low: 1,
      high: 20_000,
      isOptional: true,
    }),
    note: textField({ label: 'Note', longest: 2000, lines: 2 }),
  }),
  start: ({ isWashed, isDried, isDisinfected, heated, note }) => ({
    values: {
      isWashed: isWashed ?? false,
      isDried: isDried ?? false,
      isDisinfected: isDisinfected ?? false,
      celsius: heated?.celsius,
      minutes: heated?.minutes,
      note,
    },
  }),
  check: ({ isWashed, isDried, isDisinfected, celsius, minutes }) => {
    if (celsius !== undefined && minutes === undefined) return [{ at: 'minutes', problem: 'For how long?' }];
    if (minutes !== undefined && celsius === undefined) return [{ at: 'celsius', problem: 'How hot?' }];
    return isWashed || isDried || isDisinfected || celsius !== undefined
      ? []
      : [{ at: 'minutes', problem: 'Say at least one thing that was done.' }];
  },
  facts: ({ isWashed, isDried, isDisinfected, celsius, minutes, note }) => ({
    isWashed: isWashed || undefined,
    isDried: isDried || undefined,
    isDisinfected: isDisinfected || undefined,
    heated: celsius === undefined || minutes === undefined ? undefined : { celsius, minutes },
    note: optionalWords(note),
  }),
});

export const trussForm = entryForm<'truss'>()({
  fields: () => ({
    number: numberField({
      label: 'Which truss, from below',
      low: 1,
      high: 60,
      isWhole: true,
      missing: 'Which one? The lowest is 1.',
    }),
    stage: choiceField({ label: 'How far it is', options: optionsOf(TRUSS_WORDS) }),
    count: numberField({ label: 'Fruit on it', low: 0, high: 500, isWhole: true, isOptional: true }),
  }),
  start: ({ number, stage, count }) => ({ values: { number, stage, count } }),
  facts: ({ number, stage, count }) => ({ number, stage, count }),
});

export const warnedForm = entryForm<'warned'>()({
  fields: (_, entry) => ({
    what: choiceField({ label: 'What was seen nearby', options: causeOptions(entry?.what) }),
    note: textField({ label: 'Where, and by whom', longest: 2000, lines: 2 }),
  }),
  start: ({ what, note }) => ({ values: { what, note } }),
  facts: ({ what, note }) => ({ what, note: optionalWords(note) }),
});
