import { carriedTo, mixesBack, movesOf, placeAt } from '@rundel/core/garden-state';
import { mergeRecord } from '@rundel/core/merge';
import {
  liveWith,
  RECORD_TABLES,
  type Container,
  type Entry,
  type Garden,
  type LiveEntries,
  type TableName,
} from '@rundel/core/records';
import type { Conflict, RecordChange } from '../db/index.ts';
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

/**
 * A change with the bags as its moves and fillings leave them: where they stand, when a move is put down late, corrected or taken
 * away, and the mix that they held, when the filling that changed it is taken away.
 *
 * @param now when it is made
 */
export function withBagsFollowing(
  change: Change,
  { garden: { containers, entries: known }, live }: { readonly garden: Garden; readonly live: LiveEntries },
  now: string,
): Change {
  if (!change.entries.some(({ kind }) => kind === 'moved' || kind === 'removed')) return change;
  const entries = change.entries.map((entry): Entry => {
    const bag = containers.find((c) => 'containerId' in entry && c.id === entry.containerId);
    return entry.kind === 'moved' && bag
      ? { ...entry, fromPlaceId: placeAt(bag, movesOf(bag.id, live), entry.at) }
      : entry;
  });
  const next = liveWith(live, [...known, ...entries], entries.length);
  const places = carriedTo(containers, live, next);
  const mixes = mixesBack(containers, live, next);
  const following = (bag: Container): Container => {
    const placeId = places.get(bag.id) ?? bag.placeId;
    const mix = mixes.get(bag.id);
    if (!mix) return { ...bag, placeId };
    const { layers: _, ...rest } = bag;
    return { ...rest, placeId, ...mix };
  };
  const records = change.records.map((record): RecordChange =>
    record.table === 'containers' ? { ...record, after: following(record.after as Container) } : record,
  );
  const written = new Set(change.records.map(({ after }) => after.id));
  const others = containers.flatMap((before): readonly RecordChange[] =>
    written.has(before.id) || !(places.has(before.id) || mixes.has(before.id))
      ? []
      : [{ table: 'containers', before, after: { ...following(before), changedAt: now } }],
  );
  return { ...change, entries, records: [...records, ...others] };
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

/** A change as the grower settled it: what nobody disputes from both, the rest from whom they said. */
export function decided(
  { table, before, after, current, disputed }: Conflict,
  whose: 'mine' | 'theirs',
): RecordChange {
  const { merged } = mergeRecord(before, after, current);
  const theirs = Object.fromEntries(disputed.map((field) => [field, (current as unknown as Row)[field]]));
  const chosen = whose === 'mine' ? merged : { ...merged, ...theirs };
  return { table, before: current, after: chosen };
}

type Row = Readonly<Record<string, unknown>>;

/** Whether a record was written as it was to be, but for its moment. */
export function isSameRow(written: object, wanted: object | undefined): boolean {
  return JSON.stringify(written) === JSON.stringify(wanted);
}

/**
 * A garden with a change's entries appended and its records in place. What was read again meanwhile (another tab wrote too)
 * may hold the entries already: they stand in it once.
 */
export function withChange(garden: Garden, change: Change): Garden {
  const own = new Set(change.entries.map(({ id }) => id));
  const others = garden.entries.filter(({ id }) => !own.has(id));
  let next: Garden = { ...garden, entries: [...others, ...change.entries] };
  for (const { table, after } of change.records) {
    const rows = garden[table] as readonly { readonly id: string }[];
    const current = (next[table] ?? rows) as readonly { readonly id: string }[];
    const at = current.findIndex((row) => row.id === after.id);
    next = {
      ...next,
      [table]: at < 0 ? [...current, after] : current.map((row, i) => (i === at ? after : row)),
    };
  }
  return next;
}
