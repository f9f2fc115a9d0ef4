import type { Entry, EntryKind } from './entry.ts';

/**
 * Kinds of which nothing but their own season asks once that is over, and which make up most of a diary. What stands on is
 * everything else: plants, fillings, the shed and its money, feeds that were taken from it, notes.
 */
const OF_THEIR_SEASON: ReadonlySet<EntryKind> = new Set([
  'check',
  'watering',
  'picking',
  'tended',
  'height',
  'weather',
]);

/** Whether a later season's rounds can do without an entry; tallies and the bag's own story cannot. */
export function isOfItsSeason({ kind }: Entry): boolean {
  return OF_THEIR_SEASON.has(kind);
}
