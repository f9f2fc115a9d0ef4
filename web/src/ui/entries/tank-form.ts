import type { Tank } from '@rundel/core/records';
import { amountField, switchField } from '../form/index.ts';
import { entryForm, typedWithUnit } from './entry-form.ts';
import { METER_FIELDS } from './feeding-forms.ts';

/** What is asked of a tank: what was found, what was done, what the meter shows afterwards. */
export const tankFields = (tank: Pick<Tank, 'litres'> | undefined) => ({
  found: amountField({
    label: 'Found in it',
    help: 'Before anything is poured. Empty: nobody looked.',
    purpose: 'water',
    low: 0,
    // a tank cannot be fuller than full
    high: tank?.litres ?? 20_000,
    inMeasures: true,
    isOptional: true,
  }),
  isEmptied: switchField({ label: 'The rest was poured out, to make it up new' }),
  added: amountField({
    label: 'Went in',
    help: 'As "30 L" or "3 cans". Empty for nothing.',
    purpose: 'water',
    low: 0.01,
    high: 20_000,
    inMeasures: true,
    isOptional: true,
  }),
  ...METER_FIELDS,
});

export const tankForm = entryForm<'tank'>()({
  fields: ({ garden }, entry) => tankFields(garden.tanks.find(({ id }) => id === entry?.tankId)),
  start: ({ foundLitres, isEmptied, addedLitres, ecMillisiemens, ph, asEntered }) => ({
    values: { found: foundLitres, isEmptied: isEmptied ?? false, added: addedLitres, ec: ecMillisiemens, ph },
    texts: { added: typedWithUnit(asEntered) },
  }),
  check: ({ found, isEmptied, added, ec, ph }) =>
    [found, added, ec, ph].every((value) => value === undefined) && !isEmptied
      ? [{ at: 'found', problem: 'Say what was found in it, what went in, or what the meter shows.' }]
      : [],
  facts: ({ found, isEmptied, added, ec, ph }, texts) => ({
    foundLitres: found,
    isEmptied: isEmptied || undefined,
    addedLitres: added,
    ecMillisiemens: ec,
    ph,
    asEntered: added === undefined ? undefined : texts.added.trim(),
  }),
});
