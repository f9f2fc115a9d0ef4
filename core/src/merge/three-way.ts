import type { RecordOf, TableName } from '../records/index.ts';
import { canonical } from './canonical.ts';

/** What comes of two changes that were made to one record at the same time. */
export interface RecordMerge<T> {
  /** what both said together; where both said something of one field, what the later one said */
  readonly merged: T;
  /** the fields of which each said something else */
  readonly disputed: readonly string[];
}

/** Of a record and not of what it tells of. */
const STAMPS = new Set(['id', 'createdAt', 'changedAt']);

/**
 * Two changes of one record that began from the same: each field as whoever changed it left it.
 *
 * @param before what both began from
 * @param after what this change makes of it
 * @param current what the other made of it, and what is stored
 * @example
 * mergeRecord({ id: 'a', x: 1, y: 1 }, { id: 'a', x: 2, y: 1 }, { id: 'a', x: 1, y: 5 })
 * // => { merged: { id: 'a', x: 2, y: 5 }, disputed: [] }
 */
export function mergeRecord<T extends RecordOf<TableName> | { readonly id: string }>(
  before: T,
  after: T,
  current: T,
): RecordMerge<T> {
  const of = (row: T, field: string): unknown => (row as Record<string, unknown>)[field];
  const isSame = (a: T, b: T, field: string) => canonical(of(a, field)) === canonical(of(b, field));
  const merged: Record<string, unknown> = { ...current };
  const disputed: string[] = [];
  for (const field of new Set([before, after, current].flatMap((row) => Object.keys(row)))) {
    if (STAMPS.has(field)) {
      if (field in after) merged[field] = of(after, field);
      continue;
    }
    if (isSame(before, after, field)) continue;
    if (!isSame(before, current, field) && !isSame(after, current, field)) disputed.push(field);
    merged[field] = of(after, field);
  }
  // what was emptied is gone, and not there without a value
  const kept = Object.fromEntries(Object.entries(merged).filter(([, value]) => value !== undefined));
  return { merged: kept as T, disputed };
}
