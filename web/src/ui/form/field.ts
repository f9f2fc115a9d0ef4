import { fieldUnit, show, showParts, trimmed, UNITS, type Purpose } from '@rundel/core/units';
import { isDay } from '@rundel/core/calendar';
import {
  readAmount,
  readNumber,
  readPrice,
  refused,
  type AmountRule,
  type NumberRule,
  type Read,
} from '../../text/amount-text.ts';
import { timeIn, type TimeUnit } from '../../text/minutes-text.ts';
import type { UnitFormat } from '../../store/index.ts';

/** What a field is read and written with: the grower's units, measures and sign of money. */
export interface FieldContext {
  readonly unitFormat: UnitFormat;
  readonly measures: NonNullable<AmountRule['measures']>;
  readonly currency: string;
}

export interface Option {
  readonly id: string;
  readonly label: string;
}

/** What a field looks like. */
export type FieldInput =
  | {
      readonly kind: 'number';
      readonly unit?: (context: FieldContext) => string;
      readonly isBefore?: boolean;
    }
  | { readonly kind: 'text'; readonly lines?: number; readonly longest: number }
  | { readonly kind: 'choice'; readonly options: readonly Option[]; readonly isRow?: boolean }
  | { readonly kind: 'switch' }
  | { readonly kind: 'day'; readonly latest?: string };

/**
 * One field of a form, described: what is asked, how what is typed becomes a value and a value becomes text again. A form holds
 * texts alone, so that nothing half typed is lost; this is the one bridge between them and what is stored.
 */
export interface Field<T> {
  readonly label: string;
  /** the label in full, where what is shown is a sign */
  readonly spoken?: string | undefined;
  readonly help?: string | undefined;
  readonly input: FieldInput;
  read(text: string, context: FieldContext): Read<T>;
  write(value: NonNullable<T>, context: FieldContext): string;
}

// each form has fields of many types, and a field is both read and written by its own
// oxlint-disable-next-line typescript/no-explicit-any
export type Fields = Readonly<Record<string, Field<any>>>;
export type ValueOf<F> = F extends Field<infer T> ? T : never;
export type ValuesOf<F extends Fields> = { readonly [K in keyof F]: ValueOf<F[K]> };
export type Texts<F extends Fields> = { [K in keyof F]: string };

interface Words {
  readonly label: string;
  readonly spoken?: string | undefined;
  readonly help?: string | undefined;
  /** what is said where it is left out and may not be */
  readonly missing?: string | undefined;
}

type Optional<W, T> = W extends { readonly isOptional: true } ? T | undefined : T;

const needed = <T>(read: Read<T | undefined>, text: string, missing: string | undefined): Read<T> =>
  text.trim() === '' && missing !== undefined ? refused(missing) : (read as Read<T>);

/** An amount in any unit; a bare number has the unit of the field. Its value is in inner units. */
export function amountField<
  W extends Words &
    Pick<AmountRule, 'purpose' | 'low' | 'high' | 'isOptional'> & {
      readonly inMeasures?: boolean;
      /** its unit stands elsewhere, at the head of a table */
      readonly isBare?: boolean;
    },
>(words: W): Field<Optional<W, number>> {
  const { label, help, missing, inMeasures, isBare, ...rule } = words as Words & W;
  const purpose: Purpose = words.purpose;
  return {
    label,
    help,
    input: {
      kind: 'number',
      unit: ({ unitFormat }) => UNITS[fieldUnit(unitFormat.system, purpose)].symbol,
    },
    read(text, { unitFormat: { system }, measures }) {
      const read = readAmount(text, {
        ...(rule as unknown as AmountRule),
        system,
        ...(inMeasures ? { measures } : {}),
      });
      const value = read.ok ? { ok: true as const, value: read.value?.siValue } : read;
      return needed(value, text, missing) as Read<Optional<W, number>>;
    },
    write: (value, { unitFormat: { system } }) =>
      isBare ? showParts(value, purpose, system).number : show(value, purpose, system),
  };
}

/** A plain number. */
export function numberField<W extends Words & NumberRule & { readonly unit?: string }>(
  words: W,
): Field<Optional<W, number>> {
  const { label, spoken, help, missing, unit, ...rule } = words as Words & W;
  return {
    label,
    spoken,
    help,
    input: { kind: 'number', ...(unit === undefined ? {} : { unit: () => unit }) },
    read: (text, { unitFormat: { system } }) =>
      needed(readNumber(text, { ...(rule as NumberRule), system }), text, missing) as Read<
        Optional<W, number>
      >,
    write: (value) => trimmed(value as number, 6),
  };
}

/** A length of time, as "40", "1 h 20" or "90 s"; a bare number is in the field's own unit, as its value is. */
export function timeField<W extends Words & NumberRule & { readonly in: TimeUnit }>(
  words: W,
): Field<Optional<W, number>> {
  const field = numberField({ ...words, unit: words.in === 'minute' ? 'min' : 's' });
  return {
    ...field,
    read(text, context) {
      const time = timeIn(words.in, text);
      if (text.trim() !== '' && time === undefined)
        return refused(
          words.problem ?? 'This does not read as a length of time. Write it as "40", "1 h 20" or "90 s".',
        );
      // a plain number is read as in any other field
      return field.read(time === undefined || /^[\d.,\s]*$/.test(text) ? text : String(time), context);
    },
  };
}

/** Money, in the grower's own sign. */
export function priceField(words: Words): Field<number | undefined> {
  return {
    ...words,
    input: { kind: 'number', unit: ({ currency }) => currency, isBefore: true },
    read: (text, { unitFormat: { system } }) => needed(readPrice(text, system), text, words.missing),
    write: (value) => (Number.isInteger(value) ? String(value) : value.toFixed(2)),
  };
}

/** A line or a few of the grower's own words; empty is an empty text. */
export function textField(
  words: Words & { readonly longest: number; readonly lines?: number; readonly taken?: readonly string[] },
): Field<string> {
  const { label, help, missing, longest, lines, taken } = words;
  return {
    label,
    help,
    input: { kind: 'text', longest, ...(lines ? { lines } : {}) },
    read(text) {
      const value = text.trim();
      if (value === '' && missing !== undefined) return refused(missing);
      if (value.length > longest)
        return refused(
          `This has ${value.length} letters, and ${longest} can be kept. Shorten it: nothing is cut off unasked.`,
        );
      if (taken?.includes(value)) return refused(`There is something called "${value}" already.`);
      return { ok: true, value };
    },
    write: (value) => value,
  };
}

/** One of a few; a value that is not among them (any more) is kept until another is chosen. */
export function choiceField<Id extends string>(
  words: Words & { readonly options: readonly { readonly id: Id; readonly label: string }[] },
): Field<Id> & { readonly options: readonly Option[] } {
  const { label, help, options } = words;
  return {
    label,
    help,
    options,
    input: { kind: 'choice', options },
    read: (text) => ({ ok: true, value: text as Id }),
    write: (value) => value,
  };
}

/** One of a few as buttons for a thumb, or none: a second press takes it back. */
export function rowField<Id extends string>(
  words: Words & { readonly options: readonly { readonly id: Id; readonly label: string }[] },
): Field<Id | undefined> {
  const { label, help, options } = words;
  return {
    label,
    help,
    input: { kind: 'choice', options, isRow: true },
    read: (text) => ({ ok: true, value: text === '' ? undefined : (text as Id) }),
    write: (value) => value,
  };
}

/** One of a few grades, as its number from 1. */
export function gradeField(words: Words & { readonly grades: readonly string[] }): Field<number> {
  const choice = choiceField({
    ...words,
    options: words.grades.map((label, i) => ({ id: String(i + 1), label })),
  });
  return { ...choice, read: (text) => ({ ok: true, value: Number(text) }), write: String };
}

/** A field that may be left out, and then has no value. */
export function optionalField<T>(field: Field<T>): Field<T | undefined> {
  return {
    ...field,
    read: (text, context) =>
      text.trim() === '' ? { ok: true, value: undefined } : field.read(text, context),
  };
}

const ON = 'on';

/** Yes or no. */
export function switchField(words: Words): Field<boolean> {
  return {
    ...words,
    input: { kind: 'switch' },
    read: (text) => ({ ok: true, value: text === ON }),
    write: (value) => (value ? ON : ''),
  };
}

/** A day, `YYYY-MM-DD`. */
export function dayField<W extends Words & { readonly latest?: string; readonly isOptional?: boolean }>(
  words: W,
): Field<Optional<W, string>> {
  const { label, help, latest, isOptional, missing } = words;
  return {
    label,
    help,
    input: { kind: 'day', ...(latest ? { latest } : {}) },
    read(text) {
      if (text === '' && isOptional) return { ok: true, value: undefined as Optional<W, string> };
      if (text === '' && missing) return refused(missing);
      return isDay(text)
        ? { ok: true, value: text as Optional<W, string> }
        : refused('This is not a whole date.');
    },
    write: (value) => value as string,
  };
}

/** The options of a choice among things that have a name. */
export function namedOptions<Id extends string>(
  all: readonly { readonly id: Id; readonly name: string }[],
): readonly { readonly id: Id; readonly label: string }[] {
  return all.map(({ id, name }) => ({ id, label: name }));
}

/** The options of a choice from the words of its ids, as a sentence begins. */
export function optionsOf<Id extends string>(words: Readonly<Record<Id, string>>) {
  return (Object.entries(words) as [Id, string][]).map(([id, label]) => ({
    id,
    label: label.charAt(0).toUpperCase() + label.slice(1),
  }));
}
