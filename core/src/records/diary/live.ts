import type { Entry, EntryKind, EntryOf } from './entry.ts';

/** The entries that count, oldest first. */
export type LiveEntries = readonly Exclude<Entry, { kind: 'removed' }>[];

/**
 * The entries that count: those that no counting tombstone removes and no counting correction replaces, oldest
 * first. Depends on the set of entries alone and not on their order, so that two devices' diaries merge by union.
 * Of two corrections of one entry the later recorded counts (then the greater id); a correction that was itself
 * removed gives way to what it replaced. Tombstones are not among the result.
 *
 * @example
 * liveEntries([check, { ...check, id: 'ent_correction', grade: 3, replaces: check.id }]).length
 * // => 1
 */
export function liveEntries(entries: readonly Entry[]): LiveEntries {
  const removals = new Map<string, Entry[]>();
  const corrections = new Map<string, Entry[]>();
  const put = (map: Map<string, Entry[]>, target: string, entry: Entry) => {
    const list = map.get(target);
    if (list) list.push(entry);
    else map.set(target, [entry]);
  };
  for (const entry of entries) {
    if (entry.kind === 'removed') put(removals, entry.removes, entry);
    else if (entry.replaces !== undefined) put(corrections, entry.replaces, entry);
  }
  const of = (map: Map<string, Entry[]>) => (id: string) => (map.get(id) ?? []).map((e) => e.id);
  // in a ring, which can only come from a damaged file, the first one asked for counts
  const isRemoved = settled(of(removals), (_, by) => by.some((removed) => !removed), false);
  // one that was replaced in its turn still holds: what took its place took the place of the first as well
  const holds = settled(of(corrections), (id, by) => !isRemoved(id) || by.some(Boolean), true);
  const isReplaced = (id: string) => (corrections.get(id) ?? []).some((e) => holds(e.id));
  const counting = entries.filter(
    (e): e is Exclude<Entry, { kind: 'removed' }> =>
      // most entries are named by no other
      e.kind !== 'removed' &&
      !(removals.has(e.id) && isRemoved(e.id)) &&
      !(corrections.has(e.id) && isReplaced(e.id)),
  );
  const latest = latestCorrections(counting);
  return counting.filter((e) => e.replaces === undefined || latest.get(e.replaces) === e.id).sort(byTime);
}

/** How many entries have come at a diary's end; undefined where what was there before is not there as it was. */
export function addedSince(before: readonly Entry[], after: readonly Entry[]): number | undefined {
  const isThere = before.length <= after.length && before.every((entry, i) => entry === after[i]);
  return isThere ? after.length - before.length : undefined;
}

/**
 * The entries that count once some have come to a diary: as {@link liveEntries} of all of them, without going through the whole
 * where what has come takes nothing back and is named by nothing.
 *
 * @param live the entries that counted before
 * @param entries the diary as it is now, with what has come at its end
 * @param added how many have come
 */
export function liveWith(live: LiveEntries, entries: readonly Entry[], added: number): LiveEntries {
  if (added === 0) return live;
  const fresh = entries.slice(entries.length - added);
  const ids = new Set(fresh.map(({ id }) => id));
  const names = (e: Entry) => (e.kind === 'removed' ? e.removes : e.replaces);
  const isPlain = fresh.every((e) => names(e) === undefined) && !entries.some((e) => ids.has(names(e) ?? ''));
  return isPlain ? [...live, ...(fresh as LiveEntries)].sort(byTime) : liveEntries(entries);
}

/**
 * A yes or no of each id that hangs on the same of others. Followed by a list of its own and not by calls within calls: a
 * chain of removals or corrections may be as long as the diary.
 *
 * @param inRing what is taken of an id that comes to hang on itself
 */
function settled(
  others: (id: string) => readonly string[],
  decide: (id: string, ofOthers: readonly boolean[]) => boolean,
  inRing: boolean,
): (id: string) => boolean {
  const known = new Map<string, boolean>();
  return (asked) => {
    const open = known.has(asked) ? [] : [asked];
    for (let id = open.at(-1); id !== undefined; id = open.at(-1)) {
      const hangsOn = others(id);
      const next = hangsOn.find((other) => !known.has(other));
      if (next !== undefined && !known.has(id)) known.set(id, inRing);
      if (next !== undefined) open.push(next);
      else {
        known.set(
          id,
          decide(
            id,
            hangsOn.map((other) => known.get(other) ?? inRing),
          ),
        );
        open.pop();
      }
    }
    return known.get(asked) ?? inRing;
  };
}

/** Of several corrections of one entry the one that was recorded last. */
function latestCorrections(counting: readonly Entry[]): ReadonlyMap<string, string> {
  const latest = new Map<string, Entry>();
  for (const entry of counting) {
    if (entry.replaces === undefined) continue;
    const other = latest.get(entry.replaces);
    if (!other || byRecorded(other, entry) < 0) latest.set(entry.replaces, entry);
  }
  return new Map([...latest].map(([target, entry]) => [target, entry.id]));
}

/**
 * Corrections that gave way to another of the same entry, as when two devices put right one slip: by the id of the one that counts.
 *
 * @param live the entries that count, of the same diary
 */
export function correctionsThatGaveWay(
  entries: readonly Entry[],
  live: LiveEntries,
): ReadonlyMap<string, readonly Entry[]> {
  const removed = new Set(entries.flatMap((e) => (e.kind === 'removed' ? e.removes : [])));
  const counts = new Map(
    live.flatMap((e) => (e.replaces === undefined ? [] : [[e.replaces, e.id] as const])),
  );
  const found = new Map<string, Entry[]>();
  for (const entry of entries) {
    if (entry.kind === 'removed' || entry.replaces === undefined || removed.has(entry.id)) continue;
    const winner = counts.get(entry.replaces);
    if (winner !== undefined && winner !== entry.id) found.set(winner, [...(found.get(winner) ?? []), entry]);
  }
  return found;
}

/** How long the end of a moment is that says how far it is from Greenwich: `+01:00`. */
const OFFSET = 6;

/** Which of two moments comes first. A sort asks many times, and most moments of a diary have the same offset: those stand in order as texts. */
function byMoment(a: string, b: string): number {
  if (a === b) return 0;
  const isAlike = a.length === b.length && a.slice(-OFFSET) === b.slice(-OFFSET);
  if (isAlike) return a < b ? -1 : 1;
  return Date.parse(a) - Date.parse(b);
}

function byRecorded(a: Entry, b: Entry): number {
  return byMoment(a.recordedAt, b.recordedAt) || (a.id < b.id ? -1 : 1);
}

/** Order in which things happened; ties by when they were recorded, then by id, so that it is the same everywhere. */
export function byTime(a: Entry, b: Entry): number {
  return byMoment(a.at, b.at) || byRecorded(a, b);
}

interface Groups {
  readonly length: number;
  readonly byContainer: ReadonlyMap<string, readonly Entry[]>;
  readonly byKind: ReadonlyMap<string, readonly Entry[]>;
}

const grouped = new WeakMap<readonly Entry[], Groups>();

/**
 * The entries of one container, in the order of the diary that they come from. Grouped once for each diary.
 *
 * @param live the garden's live entries, oldest first
 */
export function entriesAt<E extends Entry>(live: readonly E[], containerId: string): readonly E[] {
  return (groupsOf(live).byContainer.get(containerId) ?? NOTHING) as readonly E[];
}

/**
 * The entries of one kind likewise: who asks for a garden's weather bag by bag does not go through its whole diary each time.
 *
 * @param live the garden's live entries, oldest first
 */
export function entriesOfKind<K extends EntryKind>(live: readonly Entry[], kind: K): readonly EntryOf<K>[] {
  return (groupsOf(live).byKind.get(kind) ?? NOTHING) as readonly EntryOf<K>[];
}

const NOTHING: readonly Entry[] = [];

function groupsOf(live: readonly Entry[]): Groups {
  const known = grouped.get(live);
  if (known?.length === live.length) return known;
  const byContainer = new Map<string, Entry[]>();
  const byKind = new Map<string, Entry[]>();
  const put = (groups: Map<string, Entry[]>, key: string, entry: Entry) => {
    const list = groups.get(key);
    if (list) list.push(entry);
    else groups.set(key, [entry]);
  };
  for (const entry of live) {
    put(byKind, entry.kind, entry);
    if ('containerId' in entry && entry.containerId !== undefined) put(byContainer, entry.containerId, entry);
  }
  const groups = { length: live.length, byContainer, byKind };
  grouped.set(live, groups);
  return groups;
}
