import type { Entry, Garden, Settings } from '@rundel/core/records';
import type { Remote } from 'comlink';
import {
  ConflictError,
  StorageError,
  type GardenStore,
  type LoosePhotos,
  type RecordChange,
  type StoredGarden,
  type StoredPhoto,
} from '../db/index.ts';
import { apiOf, asked } from './asked.ts';
import { entriesOf, textsOf } from './entry-texts.ts';
import type { GardenAndTexts, PlainWork, StoreAnswer, StoreApi } from './store.worker.ts';

/** `early.js` starts it before anything of the app is there, and notes it where that failed. */
const early = (globalThis as { readonly rundelStore?: Worker & { readonly hasFailed?: boolean } })
  .rundelStore;

let remote: Remote<StoreApi> | undefined;

function theWorker(): Remote<StoreApi> {
  return (remote ??= apiOf<StoreApi>(started(), () => {
    remote = undefined;
    return new StorageError(BROKEN);
  }));
}

function started(): Worker {
  return early && !early.hasFailed
    ? early
    : new Worker(new URL('./store.worker.ts', import.meta.url), { type: 'module', name: 'store' });
}

const BROKEN =
  'The part of Rundel that reads and writes this browser’s storage did not start. Nothing was changed, and what you entered is still on the screen. Load the page again.';

/** The worker that all gardens of a page are stored by; in one place, so that a test can put another there. */
export const storeWorker = { api: theWorker };

/** How long a garden that was begun with is on the screen before it is written, ms. */
const WRITTEN_AFTER = 1200;

/** What stands beside a garden can be had before it is written. */
const BESIDE: ReadonlySet<PlainWork> = new Set(['readNote', 'readWalk', 'writeNote']);

async function unfolded(found: GardenAndTexts | undefined): Promise<StoredGarden | undefined> {
  if (!found) return undefined;
  const { stored, texts } = found;
  return { ...stored, garden: { ...stored.garden, entries: await entriesOf(texts) } };
}

type Given<K extends PlainWork> = Parameters<GardenStore[K]>;
type Gives<K extends PlainWork> = ReturnType<GardenStore[K]>;

/**
 * One garden in the browser's database, as the page has it: what it asks is done in a worker, so that neither reading nor writing
 * holds up a tap. Every promise rejects with a StorageError when the browser refuses.
 */
export class StoreInWorker {
  /** Which rows the garden stands in, as it was told last: other rows have other words. */
  stamp = '';

  /** What was begun with and is not written yet: whoever reads or writes the garden waits for it. */
  private begun: Promise<void> | undefined;

  /** @param name of the garden */
  constructor(readonly name: string) {}

  /**
   * Takes a garden as this one's beginning and writes it when the screen has had its turn, with notes for this device; what
   * was noted meanwhile stays.
   */
  beginWith(garden: Garden, notes: Readonly<Record<string, unknown>>, then: () => void): void {
    const rested = new Promise((resolve) => setTimeout(resolve, WRITTEN_AFTER));
    const written = rested.then(async () => {
      const texts = await textsOf(garden.entries);
      this.valueOf(await storeWorker.api().begin(this.name, { ...garden, entries: [] }, texts, notes));
    });
    this.begun = written.catch(() => undefined);
    void written.then(then).catch(() => undefined);
  }

  /**
   * The garden, or undefined before the first settings are written. Rows that do not read are set aside.
   *
   * @param from a month, `2026-01`: the part of the diary that only older seasons ask for may be left out, to be read later
   */
  async load(from?: string): Promise<StoredGarden | undefined> {
    const found = await this.asked((api) => api.load(this.name, from));
    // what of it is damaged is set aside, and the rest of it shown
    return unfolded(found).catch(async () => unfolded(await this.asked((api) => api.loadChecked(this.name))));
  }

  /** What a reading from a month on has left out. */
  async loadOlder(until: string): Promise<readonly Entry[]> {
    return entriesOf(await this.asked((api) => api.loadOlder(this.name, until)));
  }

  /** Puts another garden in this one's place, all of it or nothing. */
  async replace(garden: Garden): Promise<void> {
    const texts = await textsOf(garden.entries);
    await this.asked((api) => api.replace(this.name, { ...garden, entries: [] }, texts));
  }

  /** Appends entries, all or none. */
  append(entries: readonly Entry[]): Gives<'append'> {
    return this.ask('append', entries);
  }

  /**
   * Writes records and entries together, all or none; with what another tab has changed meanwhile, where the two do not meet.
   *
   * @throws ConflictError where both changed the same field
   */
  write(records: readonly RecordChange[], entries: readonly Entry[]): Gives<'write'> {
    return this.ask('write', records, entries);
  }

  /** Changes settings field by field; gives them as they are stored now. */
  writeSettings(before: Settings, after: Settings, now: string): Gives<'writeSettings'> {
    return this.ask('writeSettings', before, after, now);
  }

  /** Takes a database that a worker has filled for the one that the garden is in. */
  moveTo(database: string, isSame: boolean): Gives<'moveTo'> {
    return this.ask('moveTo', database, isSame);
  }

  /** The name of the database that holds the garden. */
  databaseName(): Gives<'databaseName'> {
    return this.ask('databaseName');
  }

  /** How many entries stand in rows of their own. */
  looseEntries(): Gives<'looseEntries'> {
    return this.ask('looseEntries');
  }

  /** The garden has been shown: where it was before is let go of. */
  settled(): Gives<'settled'> {
    return this.ask('settled');
  }

  /** Goes back to the garden before the last opening. */
  goBack(): Gives<'goBack'> {
    return this.ask('goBack');
  }

  /** A small thing that belongs to this device's copy and to no file. */
  readNote(key: string): Gives<'readNote'> {
    return this.ask('readNote', key);
  }

  /** The walk in progress, if there is one. */
  readWalk(): Gives<'readWalk'> {
    return this.ask('readWalk');
  }

  writeNote(key: string, value: unknown): Gives<'writeNote'> {
    return this.ask('writeNote', key, value);
  }

  /** Whether the garden has a second copy beside the databases. */
  hasCopy(): Promise<boolean> {
    return asked(storeWorker.api(), (api) => api.hasCopy(this.name));
  }

  /** Whether the second copy is to be made whole. */
  isCopyDue(): Promise<boolean> {
    return this.asked((api) => api.isCopyDue(this.name));
  }

  addPhotos(photos: readonly StoredPhoto[]): Promise<void> {
    return this.asked((api) => api.addPhotos(this.name, photos));
  }

  /** The bytes of a photograph; undefined: it is not on this device. */
  photo(photoId: string): Promise<ArrayBuffer | undefined> {
    return this.asked((api) => api.photo(this.name, photoId));
  }

  /** Photographs that none of these is; what rows name that do not read is left alone. */
  loosePhotos(named: ReadonlySet<string>, unread: string): Promise<LoosePhotos> {
    return this.asked((api) => api.loosePhotos(this.name, named, unread));
  }

  letPhotosGo(ids: readonly string[]): Promise<void> {
    return this.asked((api) => api.letPhotosGo(this.name, ids));
  }

  private ask<K extends PlainWork>(what: K, ...given: Given<K>): Gives<K> {
    const work = (api: Remote<StoreApi>) => api.ask(this.name, what, given);
    return (BESIDE.has(what) ? this.askedBeside(work) : this.asked(work)) as Gives<K>;
  }

  private async askedBeside<T>(work: (api: Remote<StoreApi>) => Promise<StoreAnswer<T>>): Promise<T> {
    return this.valueOf(await asked(storeWorker.api(), work));
  }

  private async asked<T>(work: (api: Remote<StoreApi>) => Promise<StoreAnswer<T>>): Promise<T> {
    await this.begun;
    return this.askedBeside(work);
  }

  private valueOf<T>(answer: StoreAnswer<T>): T {
    this.stamp = answer.stamp;
    if ('value' in answer) return answer.value;
    if (answer.conflict) throw new ConflictError(answer.conflict);
    throw new StorageError(answer.problem);
  }
}
