import type { Entry } from './entry.ts';

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
      e.kind !== 'removed' && !isRemoved(e.id) && !isReplaced(e.id),
  );
  const latest = latestCorrections(counting);
  return counting.filter((e) => e.replaces === undefined || latest.get(e.replaces) === e.id).sort(byTime);
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

/** Reading a date costs more than looking it up, and a sort asks for each many times. Entries never change. */
const times = new WeakMap<Entry, { readonly at: number; readonly recordedAt: number }>();

function timesOf(entry: Entry): { readonly at: number; readonly recordedAt: number } {
  const known = times.get(entry);
  if (known) return known;
  const read = { at: Date.parse(entry.at), recordedAt: Date.parse(entry.recordedAt) };
  times.set(entry, read);
  return read;
}

function byRecorded(a: Entry, b: Entry): number {
  return timesOf(a).recordedAt - timesOf(b).recordedAt || (a.id < b.id ? -1 : 1);
}

/** Order in which things happened; ties by when they were recorded, then by id, so that it is the same everywhere. */
export function byTime(a: Entry, b: Entry): number {
  return timesOf(a).at - timesOf(b).at || byRecorded(a, b);
}

type Groups = ReadonlyMap<string, readonly Entry[]>;

const grouped = new WeakMap<readonly Entry[], { readonly length: number; readonly groups: Groups }>();

/**
 * The entries of one container, in the order of the diary that they come from. Grouped once for each diary.
 *
 * @param live the garden's live entries, oldest first
 */
export function entriesAt<E extends Entry>(live: readonly E[], containerId: string): readonly E[] {
  const known = grouped.get(live);
  const groups = known?.length === live.length ? known.groups : groupsOf(live);
  return (groups.get(containerId) ?? NOTHING) as readonly E[];
}

const NOTHING: readonly Entry[] = [];

function groupsOf(live: readonly Entry[]): Groups {
  const found = new Map<string, Entry[]>();
  for (const entry of live) {
    if (!('containerId' in entry) || entry.containerId === undefined) continue;
    const list = found.get(entry.containerId);
    if (list) list.push(entry);
    else found.set(entry.containerId, [entry]);
  }
  const groups: Groups = found;
  grouped.set(live, { length: live.length, groups });
  return groups;
}
