import { gardenTables } from '@rundel/core/csv';
import { writeGardenFile, type SetAside } from '@rundel/core/garden-file';
import type { Garden } from '@rundel/core/records';
import { strFromU8, strToU8, Unzip, UnzipInflate, unzipSync, zipSync, type Zippable } from 'fflate';

/** What is in a garden's archive (docs/garden-file.md). */
export interface Archive {
  readonly text: string;
  /** photographs by their ids */
  readonly photos: ReadonlyMap<string, Uint8Array<ArrayBuffer>>;
  /** it is cut short or broken: what stands at its beginning was read all the same */
  readonly isDamaged?: boolean;
}

const GARDEN = 'garden.json';
const PHOTO = /^photos\/(pho_[0-9A-Za-z]{6,30})\.jpg$/;
/** No garden is larger; a file that would unpack to more is not one. In bytes. */
const LARGEST = { garden: 400_000_000, photo: 12_000_000 };

const README = `This is a garden saved by Rundel.

garden.json   everything: bags, plants, diary, settings. Rundel opens this file, alone or in this archive.
tables/       the same as tables for a spreadsheet, to look at.
photos/       the photographs that entries name.
`;

/** A garden with its tables and photographs as one .zip. */
export function packGarden(
  garden: Garden,
  savedAt: string,
  unread: readonly SetAside[],
  photos: ReadonlyMap<string, Uint8Array<ArrayBuffer>>,
): Uint8Array<ArrayBuffer> {
  // the time in the archive is of its own day and no other, so that two saves of one garden are the same bytes
  const mtime = new Date(savedAt.slice(0, 19));
  const packed = { level: 6, mtime } as const;
  const files: Zippable = {
    'README.txt': [strToU8(README), packed],
    [GARDEN]: [strToU8(writeGardenFile(garden, savedAt, unread)), packed],
  };
  for (const [name, text] of Object.entries(gardenTables(garden)))
    files[`tables/${name}`] = [strToU8(text), packed];
  // photographs are packed as they are
  for (const [id, bytes] of photos) files[`photos/${id}.jpg`] = [bytes, { level: 0, mtime }];
  return zipSync(files) as Uint8Array<ArrayBuffer>;
}

const isZip = (bytes: Uint8Array) => bytes[0] === 0x50 && bytes[1] === 0x4b;

/** The text and the photographs of a file that was chosen: an archive or the plain JSON; or why there is none. */
export function unpackGarden(bytes: Uint8Array<ArrayBuffer>): Archive | { readonly problem: string } {
  if (!isZip(bytes)) return { text: new TextDecoder().decode(bytes), photos: new Map() };
  let files: Record<string, Uint8Array>;
  let isDamaged = false;
  try {
    files = unzipSync(bytes, {
      filter: ({ name, originalSize }) =>
        (name === GARDEN && originalSize <= LARGEST.garden) ||
        (PHOTO.test(name) && originalSize <= LARGEST.photo),
    });
  } catch {
    // the list of what is in an archive stands at its end; the garden itself stands near its beginning
    files = readAsFarAsItGoes(bytes);
    isDamaged = true;
  }
  const garden = files[GARDEN];
  if (!garden && isDamaged)
    return { problem: 'It is an archive that is damaged or cut short, before its garden begins.' };
  if (!garden) return { problem: 'It is an archive with no garden.json in it that could be read.' };
  const photos = Object.entries(files).flatMap(([name, photo]) => {
    const id = PHOTO.exec(name)?.[1];
    return id === undefined ? [] : [[id, photo as Uint8Array<ArrayBuffer>] as const];
  });
  return { text: strFromU8(garden), photos: new Map(photos), ...(isDamaged ? { isDamaged } : {}) };
}

/** The files of a broken archive, one after the other as far as they can be read; photographs only where they are whole. */
function readAsFarAsItGoes(bytes: Uint8Array<ArrayBuffer>): Record<string, Uint8Array> {
  const found: Record<string, Uint8Array> = {};
  const reader = new Unzip((file) => {
    if (file.name !== GARDEN && !PHOTO.test(file.name)) return;
    const parts: Uint8Array[] = [];
    file.ondata = (error, part, isLast) => {
      if (!error) parts.push(part);
      if (file.name === GARDEN || isLast) found[file.name] = joined(parts);
    };
    file.start();
  });
  reader.register(UnzipInflate);
  try {
    // in pieces: what was read before the break is not lost with what comes after it
    for (let from = 0; from < bytes.length; from += PIECE)
      reader.push(bytes.subarray(from, from + PIECE), false);
  } catch {
    // what was found until then is what there is
  }
  return found;
}

const PIECE = 65_536;

function joined(parts: readonly Uint8Array[]): Uint8Array {
  const whole = new Uint8Array(parts.reduce((sum, part) => sum + part.length, 0));
  let at = 0;
  for (const part of parts) {
    whole.set(part, at);
    at += part.length;
  }
  return whole;
}
