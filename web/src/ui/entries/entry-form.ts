import type { Draft, Entry, EntryKind, EntryOf, Garden } from '@rundel/core/records';
import type { UnitFormat } from '../../store/index.ts';
import type { FieldProblem, Fields, FormStart, Texts, ValuesOf } from '../form/index.ts';

/** What an entry's form is made for. */
export interface EntryContext {
  readonly garden: Garden;
  readonly unitFormat: UnitFormat;
}

/** The fields of a kind of entry that its form decides; undefined takes one out. */
export type EntryFacts<K extends EntryKind> = {
  readonly [P in keyof EntryOf<K>]?: EntryOf<K>[P] | undefined;
};

/**
 * What is asked about a kind of entry. The same form makes a new one and corrects one that is there.
 */
export interface EntryForm<K extends EntryKind, F extends Fields> {
  /** @param entry the one that is corrected; left out: a new one */
  fields(context: EntryContext, entry?: EntryOf<K>): F;
  start(entry: EntryOf<K>): FormStart<F>;
  check?(values: Partial<ValuesOf<F>>): readonly FieldProblem<keyof F & string>[];
  /** what the entry says of it */
  facts(values: ValuesOf<F>, texts: Texts<F>, entry?: EntryOf<K>): EntryFacts<K>;
}

/** Types a form by what its fields are. */
export function entryForm<K extends EntryKind>() {
  return <F extends Fields>(form: EntryForm<K, F>) => form;
}

/** The part of a form's start that watches over its values. */
export function checkOf<K extends EntryKind, F extends Fields>(
  form: EntryForm<K, F> | undefined,
): Pick<FormStart<F>, 'check'> {
  return form?.check ? { check: form.check.bind(form) } : {};
}

/** What was typed for an amount, as far as it says its own unit: without one it would read otherwise in other units. */
export function typedWithUnit(asEntered: string | undefined): string | undefined {
  return asEntered !== undefined && /\p{L}/u.test(asEntered) ? asEntered : undefined;
}

/** A draft with facts in place; what is undefined is left out of it. */
export function draftOf(base: object, facts: object): Draft {
  return Object.fromEntries(
    Object.entries({ ...base, ...facts }).filter(([, value]) => value !== undefined),
  ) as unknown as Draft;
}

/** The entry that takes the place of another one; the store gives it an id of its own. */
export function correctionOf(entry: Entry, at: string, facts: object): Draft {
  const { id, recordedAt: _, ...rest } = entry;
  return draftOf(rest, { ...facts, at, replaces: id });
}
