import { RECORD_TABLES } from '@rundel/core/garden-file';
import type { Entry, Garden, TableName } from '@rundel/core/records';
import type { RecordChange } from './garden-store.ts';
import { newId } from './ids.ts';

/** One thing that the grower did: what was written, and what to call it ("watering at 7"). It can be undone whole. */
export interface Change {
  readonly label: string;
  readonly entries: readonly Entry[];
  readonly records: readonly RecordChange[];
}

/**
 * The change that takes another back: a tombstone for each of its entries (a tombstone's tombstone brings the entry
 * back, so undoing an undo is a redo), records as they were, and new records put in the bin.
 */
export function inverse(change: Change, now: string): Change {
  return {
    label: change.label,
    entries: change.entries.map((entry) => ({
      id: newId('entry'),
      kind: 'removed',
      at: now,
      recordedAt: now,
      removes: entry.id,
    })),
    records: [...change.records].reverse().map((record) => takenBack(record, now)),
  };
}

function takenBack<T extends TableName>(record: RecordChange<T>, now: string): RecordChange<T> {
  const { table, before, after } = record;
  return {
    table,
    before: after,
    after: before ? { ...before, changedAt: now } : { ...after, binnedAt: now, changedAt: now },
  };
}

interface Stamped {
  readonly id: string;
  readonly changedAt: string;
}

/**
 * A garden without what one step put in its place (a file that was opened, a merge, a clearing): the garden before that
 * step, with everything that was written since by anybody, in this tab or another.
 *
 * @param before as it was before the step
 * @param after as the step left it
 * @param current as it is now
 */
export function withoutStep(before: Garden, after: Garden, current: Garden): Garden {
  const tables = Object.fromEntries(
    RECORD_TABLES.map((table) => {
      const rowsOf = (garden: Garden): readonly Stamped[] => garden[table];
      const left = new Map(rowsOf(after).map((row) => [row.id, row.changedAt]));
      const since = rowsOf(current).filter((row) => left.get(row.id) !== row.changedAt);
      return [table, [...without(rowsOf(before), since), ...since]];
    }),
  );
  const known = new Set(after.entries.map(({ id }) => id));
  const since = current.entries.filter(({ id }) => !known.has(id));
  const isChanged = current.settings.changedAt !== after.settings.changedAt;
  return {
    ...before,
    ...tables,
    settings: isChanged ? current.settings : before.settings,
    entries: [...without(before.entries, since), ...since],
  };
}

function without<T extends { readonly id: string }>(
  rows: readonly T[],
  others: readonly { readonly id: string }[],
): readonly T[] {
  const ids = new Set(others.map(({ id }) => id));
  return rows.filter(({ id }) => !ids.has(id));
}
