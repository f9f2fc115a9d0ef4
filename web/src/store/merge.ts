import type { Garden, RecordOf, TableName } from '@rundel/core/records';
import { RECORD_TABLES } from './db.ts';

/**
 * Two copies of gardens as one: entries by union of their ids (they never change), records by the later change.
 * Settings stay those of `mine`. Merging the same file twice changes nothing.
 */
export function mergeGardens(mine: Garden, theirs: Garden): Garden {
  const tables = Object.fromEntries(
    RECORD_TABLES.map((table) => [table, mergeRecords(mine[table], theirs[table])]),
  );
  const known = new Set(mine.entries.map((entry) => entry.id));
  return {
    ...mine,
    ...tables,
    entries: [...mine.entries, ...theirs.entries.filter((entry) => !known.has(entry.id))],
  } as Garden;
}

function mergeRecords<T extends TableName>(
  mine: readonly RecordOf<T>[],
  theirs: readonly RecordOf<T>[],
): readonly RecordOf<T>[] {
  const merged = new Map(mine.map((record) => [record.id, record]));
  for (const record of theirs) {
    const other = merged.get(record.id);
    if (!other || Date.parse(record.changedAt) > Date.parse(other.changedAt)) merged.set(record.id, record);
  }
  return [...merged.values()];
}
