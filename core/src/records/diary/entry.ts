import * as z from '../../schema/index.ts';
import {
  cleanedEntry,
  followedUpEntry,
  sprayedEntry,
  troubleEntry,
  trussEntry,
  warnedEntry,
  CARE_EFFECTS,
} from './kinds/care.ts';
import {
  fedEntry,
  feedSkippedEntry,
  regimeEntry,
  solutionEntry,
  teaEntry,
  teaTendedEntry,
  FEEDING_EFFECTS,
} from './kinds/feeding.ts';
import type { Effect } from './effect.ts';
import { movedEntry, noteEntry, removedEntry, weatherEntry, OTHER_EFFECTS } from './kinds/others.ts';
import {
  boughtEntry,
  countedEntry,
  filledEntry,
  pricedEntry,
  spentEntry,
  usedEntry,
  workedEntry,
  STOCK_EFFECTS,
} from './kinds/shed.ts';
import {
  clearedEntry,
  heightEntry,
  pickingEntry,
  plantedEntry,
  stageEntry,
  supportedEntry,
  tendedEntry,
  toppedUpEntry,
  warmthEntry,
  PLANT_EFFECTS,
} from './kinds/plants.ts';
import { shelfCheckEntry, shelvedEntry, SHELF_EFFECTS } from './kinds/shelf.ts';
import { tankEntry, TANK_EFFECTS } from './kinds/tank.ts';
import { wateringEntry, dripEntry, checkEntry, skippedEntry, WATER_EFFECTS } from './kinds/water.ts';

/** The schema of each kind, in the order in which they are told of. */
export const ENTRY_SCHEMAS = [
  checkEntry,
  wateringEntry,
  dripEntry,
  skippedEntry,
  plantedEntry,
  clearedEntry,
  movedEntry,
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
  tankEntry,
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
  trussEntry,
  troubleEntry,
  followedUpEntry,
  sprayedEntry,
  cleanedEntry,
  warnedEntry,
  shelvedEntry,
  shelfCheckEntry,
  weatherEntry,
  removedEntry,
] as const;

/**
 * A diary entry: the only truth there is. Entries are never changed or erased; what counts follows from
 * {@link liveEntries}. A new kind is one schema in `kinds/` and one line here.
 */
export const entrySchema = z.discriminatedUnion('kind', ENTRY_SCHEMAS);

export type Entry = z.infer<typeof entrySchema>;
export type EntryKind = Entry['kind'];
export type EntryOf<K extends EntryKind> = Extract<Entry, { kind: K }>;
/** An entry without what the store adds to it. */
export type Draft<K extends EntryKind = EntryKind> = { [P in K]: Omit<EntryOf<P>, 'id' | 'recordedAt'> }[K];

/**
 * What each kind of entry bears on. What is worked out from the diary asks here, so that a kind that says nothing does not
 * compile.
 */
export const ENTRY_EFFECTS: Readonly<Record<EntryKind, readonly Effect[]>> = {
  ...WATER_EFFECTS,
  ...FEEDING_EFFECTS,
  ...TANK_EFFECTS,
  ...PLANT_EFFECTS,
  ...STOCK_EFFECTS,
  ...CARE_EFFECTS,
  ...SHELF_EFFECTS,
  ...OTHER_EFFECTS,
};

/** Whether an entry bears on something. */
export function affects(entry: Pick<Entry, 'kind'>, effect: Effect): boolean {
  return ENTRY_EFFECTS[entry.kind].includes(effect);
}

/** Whether an entry bears on what is worked out of its bag. */
export function affectsBag(entry: Pick<Entry, 'kind'>): boolean {
  return ENTRY_EFFECTS[entry.kind].some((e) => e !== 'money' && e !== 'plan');
}
