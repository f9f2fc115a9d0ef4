import {
  readingGardenFile,
  writeGardenFile,
  type Progress,
  type ReadableFile,
  type SetAside,
} from '@rundel/core/garden-file';
import { mergeGardens, whatWouldChange, type MergeReport } from '@rundel/core/merge';
import { liveEntries, type Garden } from '@rundel/core/records';
import { expose, transfer } from 'comlink';
import {
  countRows,
  GardenDb,
  nextDatabase,
  PhotoDb,
  privateFiles,
  readGarden,
  rowsOf,
  SecondCopy,
  StorageError,
  retryUnread,
  storageError,
  tidyDiary,
  writeGarden,
  type Draw,
  type PrivateFiles,
  type StoredGarden,
} from '../db/index.ts';
import { packGarden, unpackGarden } from './archive.ts';
import { copied, copyPhotos, photoIdsOf } from './copied.ts';

/** What is in a file that was read, without its rows: those stay in the worker. */
export interface FileFound {
  readonly kind: 'readable';
  readonly gardenName: string;
  readonly bags: number;
  readonly plants: number;
  readonly entries: number;
  readonly photos: number;
  readonly savedAt: string;
  /** days of the oldest and the newest entry; undefined where there is none */
  readonly from: string | undefined;
  readonly until: string | undefined;
  readonly warnings: readonly string[];
  /** the first of the rows that do not read, and how many there are */
  readonly setAside: readonly SetAside[];
  readonly setAsideCount: number;
}

export type FileAnswer = FileFound | { readonly kind: 'refused'; readonly problem: string };

export type HowToOpen = 'replace' | 'merge';

/** So many rows that do not read are told one by one. */
const TOLD = 50;
/** Progress is told at most so often, ms. */
const TOLD_EVERY = 60;

/** Progress as it is told, not more often than anybody can see. */
function seldom(onProgress: (progress: Progress) => void): (progress: Progress) => void {
  let last = 0;
  return (progress) => {
    if (Date.now() - last < TOLD_EVERY) return;
    last = Date.now();
    onProgress(progress);
  };
}

function drawn<T>(work: Generator<Progress, T, undefined>, onProgress: (progress: Progress) => void): T {
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
    onProgress(step.value);
  }
}

const drawnQuietly: Draw = (work) => Promise.resolve(drawn(work, () => undefined));

/**
 * One file on its way in or out: read once, looked at, and put where it is to be.
 *
 * @param files where second copies are
 */
export function createFileApi(files: () => Promise<PrivateFiles | undefined> = privateFiles) {
  let file: ReadableFile | undefined;
  let photos: ReadonlyMap<string, Uint8Array<ArrayBuffer>> = new Map();
  let here: StoredGarden | undefined;

  const read = async (chosen: ArrayBuffer, onProgress: (progress: Progress) => void): Promise<FileAnswer> => {
    const unpacked = unpackGarden(new Uint8Array(chosen));
    if ('problem' in unpacked) return { kind: 'refused', problem: unpacked.problem };
    photos = unpacked.photos;
    const reading = drawn(readingGardenFile(unpacked.text), seldom(onProgress));
    if (reading.kind === 'refused') return reading;
    const damage = 'The archive is damaged or cut short: photographs in it may be missing.';
    file = unpacked.isDamaged ? { ...reading, warnings: [damage, ...reading.warnings] } : reading;
    return foundIn(file, photos.size);
  };

  const stored = async (database: string): Promise<StoredGarden | undefined> => {
    const db = new GardenDb(database);
    try {
      return await readGarden(db, drawnQuietly);
    } catch (error) {
      throw storageError(error);
    } finally {
      db.close();
    }
  };
  const copyOf = async (garden: string): Promise<SecondCopy> => {
    const there = await files();
    if (!there) throw new StorageError('This browser keeps no second copy.');
    return new SecondCopy(garden, there);
  };
  const opened = (): ReadableFile => {
    if (!file) throw new StorageError('No file was read.');
    return file;
  };

  return {
    read,
    /** What opening the file would change, in either way; undefined where there is no garden yet. */
    async compare(
      database: string,
    ): Promise<
      { readonly replace: MergeReport; readonly gone: number; readonly merge: MergeReport } | undefined
    > {
      here = await stored(database);
      if (!here) return undefined;
      const { garden } = opened();
      const ids = new Set(garden.entries.map(({ id }) => id));
      return {
        replace: whatWouldChange(here.garden, garden),
        gone: here.garden.entries.filter(({ id }) => !ids.has(id)).length,
        merge: whatWouldChange(here.garden, mergeGardens(here.garden, garden)),
      };
    },
    /**
     * Writes the garden that the file gives to a database of its own, and reads it back.
     *
     * @param garden the garden's own name
     * @returns the name of the database
     */
    async put(how: HowToOpen, garden: string, onProgress: (progress: Progress) => void): Promise<string> {
      const from = opened();
      const name = nextDatabase(garden);
      const db = new GardenDb(name);
      try {
        const isMerged = how === 'merge' && here !== undefined;
        const next: Garden = isMerged && here ? mergeGardens(here.garden, from.garden) : from.garden;
        const unread = [...(isMerged && here ? here.setAside : []), ...from.setAside];
        const withoutKeys = unread.map(({ table, id, problem, text }) => ({
          table,
          id,
          problem,
          ...(text === undefined ? {} : { text }),
        }));
        await writeGarden(db, next, { unread: withoutKeys, isChecked: true }, seldom(onProgress));
        if ((await countRows(db)) !== rowsOf(next))
          throw new StorageError('What was written could not be read back. Nothing was changed.');
        await keepPhotos(garden, photos, from.savedAt);
        return name;
      } catch (error) {
        // why it was not written says more than why it could not be taken away
        await db.delete().catch(() => undefined);
        throw new Error(storageError(error).message);
      } finally {
        db.close();
      }
    },
    /**
     * Tries rows again that an earlier Rundel could not read, and puts what was written last into the pages of the diary.
     *
     * @returns how many rows read now that did not
     */
    async tidy(database: string): Promise<number> {
      const db = new GardenDb(database);
      try {
        const found = await retryUnread(db, drawnQuietly);
        await tidyDiary(db);
        return found;
      } finally {
        db.close();
      }
    },
    /** Makes a garden's second copy whole. */
    async makeCopy(database: string, garden: string, savedAt: string): Promise<void> {
      const copy = await copyOf(garden);
      await copy.make(database, async () => {
        const found = await stored(database);
        if (!found) throw new StorageError('There is no garden to copy.');
        await copyPhotos(copy, garden, photoIdsOf(found.garden));
        return jsonOf(found, savedAt);
      });
    },
    /**
     * Reads a garden's second copy as a file that was chosen; from then on it can be put into a database.
     *
     * @returns undefined where there is none
     */
    async readCopy(garden: string): Promise<FileAnswer | undefined> {
      const copy = await copied(await copyOf(garden));
      if (copy?.reading.kind !== 'readable') return copy?.reading;
      file = copy.reading;
      photos = copy.photos;
      return foundIn(file, photos.size);
    },
    /** What is left of a garden's second copy as a file, though it may not read; undefined where there is none. */
    async saveCopy(garden: string): Promise<Uint8Array<ArrayBuffer> | undefined> {
      const copy = await copied(await copyOf(garden));
      if (!copy) return undefined;
      const { reading, text } = copy;
      return reading.kind === 'readable' ? jsonOf(reading, reading.savedAt) : new TextEncoder().encode(text);
    },
    /** The garden in a database as a file: all of it as an archive, or the JSON alone. */
    async save(
      database: string,
      garden: string,
      savedAt: string,
      kind: 'zip' | 'json',
    ): Promise<Uint8Array<ArrayBuffer>> {
      const found = await stored(database);
      if (!found) throw new Error('There is no garden to save.');
      const bytes =
        kind === 'json'
          ? jsonOf(found, savedAt)
          : packGarden(found.garden, savedAt, found.setAside, await photosOf(garden, found.garden));
      return transfer(bytes, [bytes.buffer]);
    },
  };
}

/** What is told of a file that was read. */
function foundIn(file: ReadableFile, photos: number): FileFound {
  const { garden, setAside, savedAt, warnings } = file;
  const live = liveEntries(garden.entries);
  return {
    kind: 'readable',
    gardenName: garden.settings.gardenName,
    bags: garden.containers.filter((c) => !c.binnedAt).length,
    plants: garden.plants.length,
    entries: garden.entries.length,
    photos,
    savedAt,
    from: live[0]?.at.slice(0, 10),
    until: live.at(-1)?.at.slice(0, 10),
    warnings,
    setAside: setAside.slice(0, TOLD),
    setAsideCount: setAside.length,
  };
}

function jsonOf(
  { garden, setAside }: Pick<ReadableFile, 'garden' | 'setAside'>,
  savedAt: string,
): Uint8Array<ArrayBuffer> {
  return new TextEncoder().encode(writeGardenFile(garden, savedAt, setAside));
}

/** Photographs go where those of the garden are; one that is there already stays. */
async function keepPhotos(
  garden: string,
  photos: ReadonlyMap<string, Uint8Array<ArrayBuffer>>,
  addedAt: string,
): Promise<void> {
  if (photos.size === 0) return;
  const db = new PhotoDb(garden);
  await db.photos.bulkPut([...photos].map(([id, bytes]) => ({ id, bytes: bytes.slice().buffer, addedAt })));
  db.close();
}

/** The photographs that a garden's entries name. */
async function photosOf(garden: string, of: Garden): Promise<ReadonlyMap<string, Uint8Array<ArrayBuffer>>> {
  const ids = photoIdsOf(of);
  if (ids.length === 0) return new Map();
  const db = new PhotoDb(garden);
  const found = await db.photos.bulkGet([...ids]);
  db.close();
  return new Map(found.flatMap((photo) => (photo ? [[photo.id, new Uint8Array(photo.bytes)] as const] : [])));
}

export type FileApi = ReturnType<typeof createFileApi>;

expose(createFileApi());
