import type { Entry } from './entry.ts';

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
  const known = remembered.get(entries);
  if (known?.length === entries.length) return known.live;
  const live = whatCounts(entries);
  remembered.set(entries, { length: entries.length, live });
  return live;
}

type LiveEntries = readonly Exclude<Entry, { kind: 'removed' }>[];

/** What counts of a diary, worked out once for each list. */
const remembered = new WeakMap<readonly Entry[], { readonly length: number; readonly live: LiveEntries }>();

function whatCounts(entries: readonly Entry[]): LiveEntries {
  const superseders = new Map<string, Entry[]>();
  for (const entry of entries) {
    for (const target of entry.kind === 'removed'
      ? [entry.removes]
      : entry.replaces
        ? [entry.replaces]
        : []) {
      const list = superseders.get(target);
      if (list) list.push(entry);
      else superseders.set(target, [entry]);
    }
  }
  const counts = standing(entries, superseders);
  const isLive = (entry: Entry) => counts.get(entry.id) === true;
  const latestCorrection = latestCorrections(entries, isLive);
  return entries
    .filter((e): e is Exclude<Entry, { kind: 'removed' }> => e.kind !== 'removed' && isLive(e))
    .filter((e) => e.replaces === undefined || latestCorrection.get(e.replaces) === e.id)
    .sort(byTime);
}

/**
 * Whether each entry counts: one does not when anything that supersedes it counts. Followed by a list of its own and not by
 * calls within calls: a chain of removals may be as long as the diary. In a ring of entries that remove one another, which
 * can only come from a damaged file, the first one asked for counts.
 */
function standing(
  entries: readonly Entry[],
  superseders: ReadonlyMap<string, readonly Entry[]>,
): ReadonlyMap<string, boolean> {
  const counts = new Map<string, boolean>();
  for (const first of entries) {
    if (counts.has(first.id)) continue;
    counts.set(first.id, true);
    const open = [{ id: first.id, asked: 0 }];
    for (let last = open.at(-1); last !== undefined; last = open.at(-1)) {
      const next = superseders.get(last.id)?.[last.asked];
      if (next === undefined) open.pop();
      else if (!counts.has(next.id)) {
        counts.set(next.id, true);
        open.push({ id: next.id, asked: 0 });
      } else if (counts.get(next.id)) {
        counts.set(last.id, false);
        open.pop();
      } else last.asked += 1;
    }
  }
  return counts;
}

function latestCorrections(
  entries: readonly Entry[],
  isLive: (entry: Entry) => boolean,
): Map<string, string> {
  const latest = new Map<string, Entry>();
  for (const entry of entries) {
    if (entry.replaces === undefined || !isLive(entry)) continue;
    const other = latest.get(entry.replaces);
    if (!other || byRecorded(other, entry) < 0) latest.set(entry.replaces, entry);
  }
  return new Map([...latest].map(([target, entry]) => [target, entry.id]));
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
/** The last list of each container, whichever diary it came from. */
const lastLists = new Map<string, readonly Entry[]>();

/**
 * The entries of one container, in the order of the diary that they come from. Grouped once for each diary; a container
 * about which nothing was written keeps the very same list from one diary to the next, so that what was worked out from
 * it need not be worked out again.
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
  const groups: Groups = new Map(
    [...found].map(([id, list]) => {
      const before = lastLists.get(id);
      if (before?.length === list.length && list.every((entry, i) => entry === before[i]))
        return [id, before];
      lastLists.set(id, list);
      return [id, list];
    }),
  );
  grouped.set(live, { length: live.length, groups });
  return groups;
}
