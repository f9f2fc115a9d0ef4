import type { Entry } from '@rundel/core/records';

/** An entry that was taken out of account, with the tombstone to remove to have it back. */
export interface Taken {
  readonly entry: Entry;
  readonly tombId: string;
}

/** Entries of a container that a tombstone takes out of account, with the tombstone to remove to have them back. */
export function removedFrom(
  all: readonly Entry[],
  live: readonly Entry[],
  containerId: string,
): readonly Taken[] {
  const counting = new Set(live.map((e) => e.id));
  const gone = new Set(all.flatMap((e) => (e.kind === 'removed' ? [e.removes] : [])));
  return all.flatMap((entry): Taken[] => {
    if (counting.has(entry.id) || !('containerId' in entry) || entry.containerId !== containerId) return [];
    const tomb = all.findLast((e) => e.kind === 'removed' && e.removes === entry.id && !gone.has(e.id));
    return tomb ? [{ entry, tombId: tomb.id }] : [];
  });
}
