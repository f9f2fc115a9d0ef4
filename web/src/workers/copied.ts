import {
  checkingRows,
  finished,
  readGardenFile,
  type FileReading,
  type Progress,
  type ReadableFile,
} from '@rundel/core/garden-file';
import { mergeGardens } from '@rundel/core/merge';
import { RECORD_TABLES, type Garden } from '@rundel/core/records';
import { PhotoDb, type SecondCopy, type Written } from '../db/index.ts';

/** A second copy as it was read. */
interface Copied {
  readonly text: string;
  readonly reading: FileReading;
  /** by their ids */
  readonly photos: ReadonlyMap<string, Uint8Array<ArrayBuffer>>;
}

/** A second copy with what was written since, as far as it reads; undefined where there is none. */
export async function copied(copy: SecondCopy): Promise<Copied | undefined> {
  const found = await copy.find();
  if (!found) return undefined;
  const { text, written } = found;
  const read = readGardenFile(text);
  if (read.kind === 'refused') return { text, reading: read, photos: new Map() };
  const reading = finished(withWritten(read, written));
  const photos = new Map<string, Uint8Array<ArrayBuffer>>();
  for (const id of photoIdsOf(reading.garden)) {
    const bytes = await copy.findPhoto(id);
    if (bytes) photos.set(id, bytes);
  }
  return { text, reading, photos };
}

/** Puts those of a garden's photographs beside its second copy that are not there, or not whole. */
export async function copyPhotos(copy: SecondCopy, garden: string, ids: readonly string[]): Promise<void> {
  const db = new PhotoDb(garden);
  try {
    for (const id of ids) {
      const photo = await db.photos.get(id);
      if (photo && (await copy.photoSize(id)) !== photo.bytes.byteLength)
        await copy.keepPhoto(id, photo.bytes);
    }
  } finally {
    db.close();
  }
}

/** The photographs that a garden's entries name. */
export function photoIdsOf({ entries }: Garden): readonly string[] {
  return [...new Set(entries.flatMap(({ photoIds = [] }) => photoIds))];
}

/**
 * A garden file with what was written to the same garden since: of each record the last, each entry once. What of it does not
 * read is set aside.
 */
function* withWritten(
  file: ReadableFile,
  written: readonly Written[],
): Generator<Progress, ReadableFile, undefined> {
  const latest = new Map<string, { readonly table: string; readonly row: { readonly id: string } }>();
  for (const { records = [] } of written) for (const one of records) latest.set(one.row.id, one);
  const tables = Object.fromEntries(
    RECORD_TABLES.map((table) => [
      table,
      [...latest.values()].flatMap((one) => (one.table === table ? [one.row] : [])),
    ]),
  );
  const entries = written.flatMap(({ entries: some = [] }) => some);
  const { rows, setAside } = yield* checkingRows({ ...tables, entries });
  const settings = written.findLast((one) => one.settings !== undefined)?.settings ?? file.garden.settings;
  const since: Garden = { ...rows, settings };
  return { ...file, garden: mergeGardens(file.garden, since), setAside: [...file.setAside, ...setAside] };
}
