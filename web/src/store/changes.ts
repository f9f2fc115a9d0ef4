import type { Entry, TableName } from '@rundel/core/records';
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
