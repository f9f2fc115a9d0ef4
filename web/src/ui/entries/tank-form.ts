import type { Tank } from '@rundel/core/records';
import { amountField, switchField, type Field } from '../form/index.ts';
import { entryForm, typedWithUnit } from './entry-form.ts';
import { METER_FIELDS } from './feeding-forms.ts';

/** How full a tank looks from above, for who has no rule to dip. */
export const GLANCES = [
  { words: 'empty', share: 0 },
  { words: 'a quarter', share: 0.25 },
  { words: 'half', share: 0.5 },
  { words: 'three quarters', share: 0.75 },
  { words: 'full', share: 1 },
] as const;

/** The share that words say, "half", or "40 %"; undefined where they say none. */
function glanceOf(text: string): number | undefined {
  const plain = text.trim().toLowerCase();
  const percent = /^(\d{1,3})\s*%$/.exec(plain)?.[1];
  if (percent !== undefined) return Number(percent) <= 100 ? Number(percent) / 100 : undefined;
  return GLANCES.find(({ words }) => plain === words || plain === `${words} full`)?.share;
}

/** An amount in a tank, which may be said as a share of it. */
function withGlances(
  field: Field<number | undefined>,
  litres: number | undefined,
): Field<number | undefined> {
  return {
    ...field,
    read(text, context) {
      const share = glanceOf(text);
      return share === undefined || litres === undefined
        ? field.read(text, context)
        : { ok: true, value: share * litres };
    },
  };
}

/** What is asked of a tank: what was found, what was done, what the meter shows afterwards. */
export const tankFields = (tank: Pick<Tank, 'litres'> | undefined) => ({
  found: withGlances(
    amountField({
      label: 'Found in it',
      help: 'Before anything is poured. Empty: nobody looked.',
      purpose: 'water',
      low: 0,
      // a tank cannot be fuller than full
      high: tank?.litres ?? 20_000,
      inMeasures: true,
      isOptional: true,
    }),
    tank?.litres,
  ),
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
  facts: ({ found, isEmptied, added, ec, ph }, texts, entry) => ({
    foundLitres: found,
    // corrected in something else, what was seen by the eye stays so
    isAtAGlance:
      (found !== undefined &&
        (glanceOf(texts.found) !== undefined ||
          (entry?.isAtAGlance === true && found === entry.foundLitres))) ||
      undefined,
    isEmptied: isEmptied || undefined,
    addedLitres: added,
    ecMillisiemens: ec,
    ph,
    asEntered: added === undefined ? undefined : texts.added.trim(),
  }),
});
