import * as z from '../../schema/index.ts';
import {
  fedEntry,
  feedSkippedEntry,
  regimeEntry,
  solutionEntry,
  stageEntry,
  teaEntry,
  teaTendedEntry,
} from './kinds/feeding.ts';
import { noteEntry, removedEntry, weatherEntry } from './kinds/others.ts';
import {
  boughtEntry,
  countedEntry,
  filledEntry,
  pricedEntry,
  spentEntry,
  troubleEntry,
  usedEntry,
  workedEntry,
} from './kinds/shed.ts';
import {
  clearedEntry,
  heightEntry,
  pickingEntry,
  plantedEntry,
  supportedEntry,
  tendedEntry,
  toppedUpEntry,
  warmthEntry,
} from './kinds/plants.ts';
import { wateringEntry, dripEntry, checkEntry, skippedEntry } from './kinds/water.ts';

/**
 * A diary entry: the only truth there is. Entries are never changed or erased; what counts follows from
 * {@link liveEntries}. A new kind is one schema in `kinds/` and one line here.
 */
export const entrySchema = z.discriminatedUnion('kind', [
  checkEntry,
  wateringEntry,
  dripEntry,
  skippedEntry,
  plantedEntry,
  clearedEntry,
  heightEntry,
  warmthEntry,
  toppedUpEntry,
  supportedEntry,
  tendedEntry,
  pickingEntry,
  fedEntry,
  feedSkippedEntry,
  regimeEntry,
  stageEntry,
  solutionEntry,
  teaEntry,
  teaTendedEntry,
  noteEntry,
  filledEntry,
  boughtEntry,
  usedEntry,
  countedEntry,
  pricedEntry,
  spentEntry,
  workedEntry,
  troubleEntry,
  weatherEntry,
  removedEntry,
]);

export type Entry = z.infer<typeof entrySchema>;
export type EntryKind = Entry['kind'];
export type EntryOf<K extends EntryKind> = Extract<Entry, { kind: K }>;
/** An entry without what the store adds to it. */
export type Draft<K extends EntryKind = EntryKind> = { [P in K]: Omit<EntryOf<P>, 'id' | 'recordedAt'> }[K];
