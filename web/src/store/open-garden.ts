import { dayOf, offsetMinutesOf } from '@rundel/core/calendar';
import type { SetAside } from '@rundel/core/garden-file';
import {
  addedSince,
  liveEntries,
  liveWith,
  type Draft,
  type Entry,
  type Garden,
  type LiveEntries,
  type RecordOf,
  type Settings,
  type TableName,
} from '@rundel/core/records';
import { clockSetTo, realClock, type Clock } from './clock.ts';
import { demoMoment, fetchDemo, fetchDemoStates, noteDemoStored, SHIPPED } from './demo.ts';
import { readLastStates } from './kept-states.ts';
import { bringBack } from './bring-back.ts';
import type { LastStates } from './last-states.ts';
import { pause, recentFrom, type Conflict, type GardenId, type RecordChange } from '../db/index.ts';
import type { StoreInWorker } from '../workers/store.ts';

/** What was done last, for the word at the foot of the screen. */
export interface LastChange {
  readonly label: string;
  readonly canUndo: boolean;
  /** grows by one with each change, so that the same label twice are two changes */
  readonly number: number;
}

/** Two tabs that changed the same thing: the grower says which of the two counts. */
export interface AskedConflict extends Conflict {
  choose(whose: 'mine' | 'theirs'): void;
}

/** What every place works with. */
export interface OpenGarden {
  readonly gardenId: GardenId;
  readonly clock: Clock;
  readonly garden: Garden;
  /** the entries that count, oldest first */
  readonly live: LiveEntries;
  readonly setAside: readonly SetAside[];
  /** how its bags stood when they were last worked out on this device */
  readonly lastStates: LastStates | undefined;
  /** which rows it stands in; what was worked out of the same still holds */
  readonly stamp: string;
  /** whether all of its diary is there; if not, what only older seasons ask for is still to be read */
  readonly isWhole: boolean;
  /** Reads the rest of it, once; what is done meanwhile waits for that. */
  readRest(): Promise<void>;
  readonly store: StoreInWorker;
  /** Writes entries; the promise rejects with a StorageError and nothing is changed when the browser refuses. */
  record(drafts: readonly Draft[], label: string): Promise<readonly Entry[]>;
  /** Takes entries out of account; they stay on record and can be brought back. */
  remove(entryIds: readonly string[], label: string): Promise<void>;
  /** Writes records, with entries that belong to the same act. */
  saveRecords(records: readonly RecordChange[], drafts: readonly Draft[], label: string): Promise<void>;
  /** Puts records in the bin, from which they can be taken out again. */
  bin<T extends TableName>(table: T, records: readonly RecordOf<T>[], label: string): Promise<void>;
  saveSettings(settings: Settings): Promise<void>;
  /** Another garden in this one's place (clear); the former can be had back until the page is left. */
  replaceGarden(next: Garden, label: string): Promise<void>;
  /**
   * The garden from a database that a worker filled (open a file); the former can be had back likewise.
   *
   * @param isSame what was here is in it too
   */
  moveTo(database: string, isSame: boolean, label: string): Promise<void>;
  undo(): Promise<void>;
  redo(): Promise<void>;
  /** Puts the demo back to its first evening, whatever was done in it. */
  restartDemo(): Promise<void>;
  /** Moves the demo's clock to a later moment; nothing else has a clock to move. */
  moveDemoTo(moment: string): Promise<void>;
  readonly lastChange: LastChange | undefined;
  /** waits for an answer, where another tab has changed what is being saved */
  readonly conflict: AskedConflict | undefined;
}

export type GardenState =
  | { readonly kind: 'loading' }
  | {
      readonly kind: 'failed';
      readonly error: Error;
      /** the garden's own name */
      readonly name: string;
      retry(): void;
      goBack(): Promise<boolean>;
    }
  | {
      readonly kind: 'none';
      start(garden: Garden): Promise<void>;
      /** with a garden that a worker has put in a database */
      startFrom(database: string): Promise<void>;
      /** the garden's own name, by which a worker writes beside it */
      readonly name: string;
    }
  | { readonly kind: 'ready'; readonly open: OpenGarden };

/** A garden as it was read. */
export interface Loaded {
  readonly garden: Garden;
  /** the entries that count */
  readonly live: LiveEntries;
  readonly setAside: readonly SetAside[];
  readonly clock: Clock;
  readonly lastStates: LastStates | undefined;
  readonly stamp: string;
  /** the month from which on its diary is there; undefined: all of it is */
  readonly recentFrom: string | undefined;
}

/** Reads a garden, and puts its diary in order while nothing is drawn yet: the first drawing has enough to do. */
export async function openGarden(
  store: StoreInWorker,
  gardenId: GardenId,
  known: Loaded | null | undefined,
): Promise<Loaded | null> {
  const loaded = await loadGarden(store, gardenId, known);
  await pause();
  const live = loaded && liveEntries(loaded.garden.entries);
  await pause();
  return loaded && live && { ...loaded, live };
}

/**
 * The same with its garden as it became; a diary that is the same is not put in order again.
 *
 * @param stamp of the rows that it stands in now
 */
export function withGarden(loaded: Loaded, garden: Garden, stamp: string): Loaded {
  const { entries } = garden;
  const added = addedSince(loaded.garden.entries, entries);
  const live = added === undefined ? liveEntries(entries) : liveWith(loaded.live, entries, added);
  return { ...loaded, garden, live, stamp };
}

/** The same with the part of its diary that it was read without. */
export function madeWhole(loaded: Loaded, older: readonly Entry[]): Loaded {
  const { garden, live } = loaded;
  // what was in a row of its own may have been put into a page meanwhile
  const known = new Set(garden.entries.map(({ id }) => id));
  const missing = older.filter(({ id }) => !known.has(id));
  const entries = [...garden.entries, ...missing];
  return {
    ...loaded,
    garden: { ...garden, entries },
    live: liveWith(live, entries, missing.length),
    recentFrom: undefined,
  };
}

/** @param known what is shown already when a garden is read again: its clock never goes back, and nothing of it is missed */
async function loadGarden(
  store: StoreInWorker,
  gardenId: GardenId,
  known: Loaded | null | undefined,
): Promise<Omit<Loaded, 'live'> | null> {
  const running = known?.clock;
  if (gardenId === 'own') {
    const from = known ? undefined : recentFrom(gardenId, dayOf(realClock.now()));
    const [found, lastStates] = await Promise.all([store.load(from), readLastStates(store)]);
    // what the browser has lost may be in the second copy; one that cannot be brought back is told on the first page
    const own = found ?? ((await bringBack(store).catch(() => false)) ? await store.load(from) : undefined);
    if (!own) return null;
    const { isWhole, ...rest } = own;
    return {
      ...rest,
      ...{ clock: realClock, lastStates },
      recentFrom: isWhole ? undefined : from,
    };
  }
  // notes stand beside the garden: in which database that is, is known once it is read
  const found = await store.load();
  const [[demo, lastStates], noted, movedTo] = await Promise.all([
    found
      ? readLastStates(store).then((last) => [undefined, last] as const)
      : Promise.all([fetchDemo(), fetchDemoStates()]),
    store.readNote('demoStart'),
    store.readNote('demoMoment') as Promise<string | undefined>,
  ]);
  if (demo) {
    // it is stored once it is on the screen; what is written meanwhile waits for that
    store.beginWith(demo.garden, { demoStart: demo.savedAt }, noteDemoStored);
  }
  const garden = found?.garden ?? demo?.garden;
  if (!garden) return null;
  const start = String(demo?.savedAt ?? noted ?? garden.settings.changedAt);
  const moment = demoMoment(start, demo ? undefined : movedTo, garden);
  const isAhead = running !== undefined && Date.parse(running.now()) >= Date.parse(moment);
  const clock = isAhead ? running : clockSetTo(moment, offsetMinutesOf(start));
  const stamp = found?.stamp ?? store.stamp;
  const shipped = lastStates?.stamp === SHIPPED && !found ? { ...lastStates, stamp } : lastStates;
  return {
    garden,
    setAside: found?.setAside ?? [],
    clock,
    lastStates: shipped,
    stamp,
    recentFrom: undefined,
  };
}
