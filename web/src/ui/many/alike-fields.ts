import { parseNumber } from '@rundel/core/units';
import { choiceField, type Field, type Fields } from '../form/index.ts';

/** What one entry begins with in the form of its kind, as text. */
export type Texts = Readonly<Record<string, string>>;

const YES = 'on';
const NO = 'no';

/**
 * The fields that several entries share, for all of them at once: where they agree a field is as it is for one; where they do not
 * it begins empty, and empty leaves each as it is.
 */
export function alikeFields(fields: Fields, each: readonly Texts[]): Fields {
  return Object.fromEntries(
    Object.entries(fields)
      .filter(([name]) => each.every((texts) => name in texts))
      .map(([name, field]) => [name, isAlike(name, each) ? field : keepingField(field)]),
  );
}

/** What stands in such fields at first. */
export function alikeTexts(fields: Fields, each: readonly Texts[]): Texts {
  return Object.fromEntries(
    Object.keys(fields).map((name) => [name, isAlike(name, each) ? (each[0]?.[name] ?? '') : '']),
  );
}

const isAlike = (name: string, each: readonly Texts[]) =>
  each.every((texts) => texts[name] === each[0]?.[name]);

/** A field that leaves each entry as it is for as long as nothing stands in it. */
function keepingField(field: Field<unknown>): Field<unknown> {
  const { label, input } = field;
  const AS_IS = { id: '', label: 'each as it is' };
  if (input.kind === 'choice') return choiceField({ label, options: [AS_IS, ...input.options] });
  if (input.kind === 'switch')
    return choiceField({ label, options: [AS_IS, { id: YES, label: 'yes' }, { id: NO, label: 'no' }] });
  const help =
    input.kind === 'number' && input.unit
      ? 'They differ. Empty leaves each as it is; a unit alone, as "gal", reads each number again in it.'
      : 'They differ; empty leaves each as it is.';
  return {
    ...field,
    help,
    read: (text, context) =>
      text.trim() === '' || isUnit(text) ? { ok: true, value: undefined } : field.read(text, context),
  };
}

const isUnit = (text: string) => /^\s*[\p{L}. ]+\s*$/u.test(text);

/**
 * What is typed at one entry by what was typed for all: of a unit alone, its own number in that unit.
 *
 * @param own what stands in that field of this entry
 */
export function typedFor(field: Field<unknown>, text: string, own: string): string {
  if (field.input.kind === 'switch') return text === YES ? YES : '';
  if (field.input.kind !== 'number' || !isUnit(text)) return text;
  const number = parseNumber(own);
  return number ? `${own.slice(0, own.length - number.rest.length).trim()} ${text.trim()}` : own;
}
