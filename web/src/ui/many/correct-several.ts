import type { Draft, Entry, EntryOf, Garden } from '@rundel/core/records';
import type { RecordChange, UnitFormat } from '../../store/index.ts';
import { formOf } from '../entries/correct-forms.ts';
import { checkOf, correctionOf } from '../entries/entry-form.ts';
import {
  correctedPlantingFields,
  correctedPlantingStart,
  plantingCorrection,
} from '../entries/planting-correction.ts';
import { beginning, readForm, type FieldContext, type Fields, type FormStart } from '../form/index.ts';
import { alikeFields, alikeTexts, typedFor, type Texts } from './alike-fields.ts';

/** What several entries are put right with. */
export interface CorrectionContext {
  readonly garden: Garden;
  readonly unitFormat: UnitFormat;
  readonly fieldContext: FieldContext;
  readonly now: string;
  readonly today: string;
}

export type CorrectedEntries =
  | { readonly ok: true; readonly changes: readonly RecordChange[]; readonly drafts: readonly Draft[] }
  | { readonly ok: false; readonly at: string; readonly entry: Entry; readonly problem: string };

/** Several entries of one kind as one form: what is typed in it is said of all of them, what is left is as it is at each. */
export interface SeveralEntries {
  fields(texts: Texts): Fields;
  readonly start: FormStart<Fields> & { readonly texts: Texts };
  /**
   * The entries that take their place; one of which nothing changes is left out.
   *
   * @param typed what stands in the form
   * @param at when all of them were; left out: each when it was
   */
  correct(typed: Texts, at?: string): CorrectedEntries;
}

/** What one entry's own form says, and the entry that takes its place. */
interface OneEntry {
  fields(texts: Texts): Fields;
  readonly start: FormStart<Fields>;
  /** the number of an amount, as it was typed, by its field */
  readonly typedAmounts: Texts;
  correct(
    read: { readonly fields: Fields; readonly values: Record<string, unknown>; readonly texts: Texts },
    at: string | undefined,
    garden: Garden,
  ): { readonly changes: readonly RecordChange[]; readonly draft: Draft };
}

export function severalEntries(
  entries: readonly [Entry, ...Entry[]],
  context: CorrectionContext,
): SeveralEntries {
  const ones = entries.map((entry) => oneEntry(entry, context));
  const each = ones.map((one) => beginning(one.fields, one.start, context.fieldContext).texts);
  const [first] = ones as [OneEntry, ...OneEntry[]];
  const fields = (texts: Texts) => {
    // a name is one plant's own
    const { plantName: _, ...shared } = first.fields(texts);
    return alikeFields(shared, each);
  };
  const start = alikeTexts(fields(each[0] ?? {}), each);
  return {
    fields,
    start: { texts: start, ...(first.start.isAsked ? { isAsked: first.start.isAsked } : {}) },
    correct(typed, at) {
      const asked = fields(typed);
      const changed = Object.keys(asked).filter((name) => typed[name] !== start[name]);
      let { garden } = context;
      const changes: RecordChange[] = [];
      const drafts: Draft[] = [];
      for (const [i, one] of ones.entries()) {
        const entry = entries[i] as Entry;
        if (changed.length === 0 && (at === undefined || at === entry.at)) continue;
        const own = each[i] ?? {};
        const texts = Object.fromEntries(
          changed.map((name) => [
            name,
            typedFor(
              first.fields(typed)[name] as Fields[string],
              typed[name] ?? '',
              one.typedAmounts[name] ?? own[name] ?? '',
            ),
          ]),
        );
        const read = readForm(one.fields, one.start, texts, context.fieldContext);
        if (!read.ok) {
          const [where = '', problem = ''] = Object.entries(read.problems)[0] ?? [];
          return { ok: false, at: where, entry, problem };
        }
        const { changes: made, draft } = one.correct({ ...read, texts: { ...own, ...texts } }, at, garden);
        changes.push(...made);
        drafts.push(draft);
        garden = withMade(garden, made);
      }
      return { ok: true, changes, drafts };
    },
  };
}

function oneEntry(entry: Entry, context: CorrectionContext): OneEntry {
  return entry.kind === 'planted' ? onePlanting(entry, context) : oneByForm(entry, context);
}

function oneByForm(entry: Entry, { garden, unitFormat }: CorrectionContext): OneEntry {
  const form = formOf(entry.kind);
  const start = form?.start(entry);
  const { asEntered } = entry as { readonly asEntered?: string };
  return {
    fields: () => form?.fields({ garden, unitFormat }, entry) ?? {},
    start: { ...start, ...checkOf(form) },
    typedAmounts:
      asEntered === undefined
        ? {}
        : Object.fromEntries(Object.keys(start?.texts ?? {}).map((name) => [name, asEntered])),
    correct: ({ values, texts }, at) => ({
      changes: [],
      draft: correctionOf(entry, at ?? entry.at, form?.facts(values, texts, entry) ?? {}),
    }),
  };
}

function onePlanting(entry: EntryOf<'planted'>, context: CorrectionContext): OneEntry {
  const { unitFormat, today, now } = context;
  return {
    fields: (texts) => correctedPlantingFields(texts, unitFormat, today),
    start: correctedPlantingStart(entry, context.garden) as FormStart<Fields>,
    typedAmounts: {},
    correct({ fields, values }, _, garden) {
      type Form = Parameters<typeof plantingCorrection>[1];
      const right = plantingCorrection(entry, { fields, values } as unknown as Form, garden, now);
      // every field was read before, and a planting has its day
      if (!right) throw new Error('A planting that reads is a planting.');
      return right;
    },
  };
}

/** The garden with varieties and batches that were just made: the next entry of the same finds them. */
function withMade(garden: Garden, made: readonly RecordChange[]): Garden {
  const added = <T>(table: 'varieties' | 'batches') =>
    made.flatMap((c) => (c.table === table && !c.before && c.after ? [c.after as unknown as T] : []));
  return {
    ...garden,
    varieties: [...garden.varieties, ...added<Garden['varieties'][number]>('varieties')],
    batches: [...garden.batches, ...added<Garden['batches'][number]>('batches')],
  };
}
