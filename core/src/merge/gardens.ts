import {
  RECORD_SCHEMAS,
  type Entry,
  type Garden,
  type RecordOf,
  type Settings,
  type TableName,
} from '../records/index.ts';
import { canonical } from './canonical.ts';
import { fieldsChanged, mergeSettings } from './settings.ts';

const TABLES = Object.keys(RECORD_SCHEMAS) as TableName[];

/**
 * Two copies of a garden as one: every entry of either (they never change), of a record the later change, of each setting what was
 * said of it last. Which of the two is given first does not matter, nor in what order three are merged, and a copy merged twice
 * changes nothing. Two rows of one id that were changed at one instant, or two entries of one id that differ, are settled by
 * their text.
 */
export function mergeGardens(mine: Garden, theirs: Garden): Garden {
  const tables = Object.fromEntries(
    TABLES.map((table) => [table, mergeRows(mine[table], theirs[table], laterChanged)]),
  );
  return {
    ...mine,
    ...tables,
    settings: mergeSettings(mine.settings, theirs.settings),
    entries: mergeRows(mine.entries, theirs.entries, laterRecorded),
  } as Garden;
}

/** What opening another copy would do to each part of a garden. */
export interface MergeReport {
  readonly tables: readonly {
    readonly table: TableName | 'entries';
    readonly added: number;
    readonly changed: number;
  }[];
  readonly settings: readonly string[];
}

/**
 * What would be other in a garden after: rows that come, rows that are otherwise, settings that differ.
 *
 * @returns only the tables in which there is anything
 */
export function whatWouldChange(now: Garden, after: Garden): MergeReport {
  const tables = ([...TABLES, 'entries'] as const).map((table) => {
    const known = new Map((now[table] as readonly Row[]).map((row) => [row.id, row]));
    let [added, changed] = [0, 0];
    for (const row of after[table] as readonly Row[]) {
      const own = known.get(row.id);
      if (!own) added += 1;
      else if (own !== row && canonical(own) !== canonical(row)) changed += 1;
    }
    return { table, added, changed };
  });
  return {
    tables: tables.filter(({ added, changed }) => added + changed > 0),
    settings: fieldsChanged(now.settings, after.settings as Settings),
  };
}

interface Row {
  readonly id: string;
}

function mergeRows<T extends Row>(
  mine: readonly T[],
  theirs: readonly T[],
  isLater: (a: T, b: T) => number,
): readonly T[] {
  const merged = new Map(mine.map((row) => [row.id, row]));
  for (const row of theirs) {
    const own = merged.get(row.id);
    if (!own || (own !== row && isBefore(own, row, isLater))) merged.set(row.id, row);
  }
  return [...merged.values()];
}

/** Whether the other row takes the place of this one. */
function isBefore<T>(own: T, other: T, by: (a: T, b: T) => number): boolean {
  const later = by(other, own);
  return later === 0 ? canonical(other) > canonical(own) : later > 0;
}

const laterChanged = (a: RecordOf<TableName>, b: RecordOf<TableName>) =>
  Date.parse(a.changedAt) - Date.parse(b.changedAt);
const laterRecorded = (a: Entry, b: Entry) => Date.parse(a.recordedAt) - Date.parse(b.recordedAt);
