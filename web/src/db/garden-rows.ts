import {
  checkingRows,
  usableSettings,
  type Progress,
  type RowsRead,
  type SetAside,
} from '@rundel/core/garden-file';
import { RECORD_TABLES, type Entry, type Garden } from '@rundel/core/records';
import { BUILD } from './build.ts';
import { entriesOf, LOOSE, pagesOf, type DiaryPage } from './diary-pages.ts';
import type { GardenDb } from './garden-db.ts';

/** A garden as it lies in a database, with what in it does not read. */
export interface StoredGarden {
  readonly garden: Garden;
  readonly setAside: readonly SetAside[];
  /** grows by one with each write, so that two tabs know of one another */
  readonly writes: number;
  /** which rows it was read from (stampOf) */
  readonly stamp: string;
  /** whether all of its diary is there; if not, the older part is still to be read */
  readonly isWhole: boolean;
}

/** Draws a piece of work to its end: with pauses where somebody waits for the screen. */
export type Draw = <T>(work: Generator<Progress, T, undefined>) => Promise<T>;

/** So many rows are written at once; between them the screen answers. */
const ROWS_A_PART = 1000;
const ALL_ROWS = [...RECORD_TABLES, 'entries'] as const;

/** A note that the database was left for another; what comes later is written there. */
export const MOVED = 'movedTo';
export const WRITES = 'writes';
/** A note that every row has been read through its schema, by which app and after how many writes. */
export const CHECKED = 'checked';

export interface Checked {
  readonly build: string;
  readonly writes: number;
}

/** An app that was not built is changed while it runs. */
const CAN_TRUST = BUILD !== 'unbuilt';

/** A garden whose diary is as it lies there: what stands in pages is still folded. */
export interface FoldedGarden extends StoredGarden {
  /** of each page, beside the entries that stand in rows of their own */
  readonly texts: readonly string[];
}

/**
 * Everything in a database, or undefined before the first settings are written. Rows that do not read are set aside; they are not
 * checked again where this very app has checked them and nobody but Rundel has written since.
 *
 * @param from a month, `2026-01`: what is of older seasons only is left out where it need not be checked
 */
export async function readGarden(
  db: GardenDb,
  draw: Draw,
  from?: string,
  canTrust = CAN_TRUST,
): Promise<StoredGarden | undefined> {
  return readStored(db, draw, await findRows(db, from, canTrust), canTrust);
}

/** The same, its pages as they are where they need not be checked: another thread can unfold them. */
export async function readFolded(
  db: GardenDb,
  draw: Draw,
  from?: string,
  canTrust = CAN_TRUST,
): Promise<FoldedGarden | undefined> {
  const found = await findRows(db, from, canTrust);
  const texts = found.isChecked ? found.pages.map(({ text }) => text) : [];
  const stored = await readStored(db, draw, found.isChecked ? { ...found, pages: [] } : found, canTrust);
  return stored && { ...stored, texts };
}

/** All tables are asked for at once: one after another each waits for the one before. */
async function findRows(db: GardenDb, from: string | undefined, canTrust: boolean) {
  return db.transaction('r', [...ALL_ROWS, 'pages', 'settings', 'unread', 'device'], async () => {
    const [row, unread, [written, noted], recent, olderPages, ...rows] = await Promise.all([
      db.settings.get('settings'),
      db.unread.toArray(),
      db.device.bulkGet([WRITES, CHECKED]),
      from === undefined ? db.pages.toArray() : db.pages.where('month').aboveOrEqual(from).toArray(),
      from === undefined ? 0 : db.pages.where('month').below(from).count(),
      ...ALL_ROWS.map((table): PromiseLike<unknown[]> => db.table(table).toArray()),
    ]);
    const writes = typeof written?.value === 'number' ? written.value : 0;
    const checked = noted?.value as Checked | undefined;
    const isChecked = canTrust && checked?.build === BUILD && checked.writes === writes;
    const isWhole = isChecked ? olderPages === 0 : true;
    const older = from === undefined || isChecked ? [] : await db.pages.where('month').below(from).toArray();
    return { row, unread, writes, isChecked, isWhole, pages: [...older, ...recent], rows };
  });
}

async function readStored(
  db: GardenDb,
  draw: Draw,
  found: Awaited<ReturnType<typeof findRows>>,
  canTrust: boolean,
): Promise<StoredGarden | undefined> {
  const { row, unread, writes, isChecked, isWhole } = found;
  if (!row) return undefined;
  const tables = Object.fromEntries(ALL_ROWS.map((table, i) => [table, found.rows[i]]));
  const { rows, setAside } = await draw(readingRows(tables, found.pages, isChecked));
  const { id: _, ...raw } = row;
  const { settings, problem } = usableSettings(raw, FIRST);
  const broken =
    problem === undefined ? [] : [{ table: 'settings', id: 'settings', problem, text: JSON.stringify(raw) }];
  if (canTrust && !isChecked && setAside.length === 0) await noteChecked(db, writes);
  return {
    garden: { ...rows, settings },
    setAside: [...broken, ...setAside, ...unread],
    writes,
    stamp: stampOf(db.name, writes),
    isWhole,
  };
}

/** Names the rows of a database: after each write they are others. */
export function stampOf(database: string, writes: number): string {
  return `${database} ${writes}`;
}

const FIRST = '1950-01-01T00:00:00.000Z';

/** What was written since the rows were read has been checked when it was written, but is not in this count. */
async function noteChecked(db: GardenDb, writes: number): Promise<void> {
  await db.device.put({ key: CHECKED, value: { build: BUILD, writes } satisfies Checked });
}

/** The older part of a diary of which a garden was read without, oldest first. */
export async function readOlderEntries(db: GardenDb, draw: Draw, until: string): Promise<readonly Entry[]> {
  const pages = await db.pages.where('month').below(until).toArray();
  return (await draw(unfolding(pages))).inPages;
}

function* readingRows(
  tables: Readonly<Record<string, unknown>>,
  pages: readonly DiaryPage[],
  isChecked: boolean,
): Generator<Progress, RowsRead, undefined> {
  const { inPages, broken } = yield* unfolding(pages);
  const rows = { ...tables, entries: [...inPages, ...(tables['entries'] as readonly Entry[])] };
  if (isChecked) return { rows: rows as unknown as RowsRead['rows'], setAside: broken };
  const read = yield* checkingRows(rows);
  return { ...read, setAside: [...broken, ...read.setAside] };
}

/** The entries of pages one after another; a page that cannot be unfolded is set aside whole. */
function* unfolding(
  pages: readonly DiaryPage[],
): Generator<
  Progress,
  { readonly inPages: readonly Entry[]; readonly broken: readonly SetAside[] },
  undefined
> {
  const inPages: Entry[] = [];
  const broken: SetAside[] = [];
  const all = pages.reduce((sum, { count }) => sum + count, 0);
  for (const page of pages) {
    try {
      for (const entry of entriesOf(page)) inPages.push(entry);
    } catch {
      const { month, text } = page;
      broken.push({ table: 'entries', id: month, problem: 'a page of the diary that is damaged', text });
    }
    yield { done: inPages.length, all };
  }
  return { inPages, broken };
}

/** What is written with a garden. */
export interface Beside {
  /** notes for this device */
  readonly notes?: Readonly<Record<string, unknown>>;
  readonly unread?: readonly SetAside[];
  /** its rows come from a reading that checked each of them */
  readonly isChecked?: boolean;
}

/**
 * Fills a database with a garden, in one transaction: either all of it or nothing changes. Notes of the device that stand in it
 * stay.
 *
 * @param onProgress hears how many entries are written
 */
export async function writeGarden(
  db: GardenDb,
  garden: Garden,
  { notes = {}, unread = [], isChecked = false }: Beside = {},
  onProgress?: (progress: Progress) => void,
): Promise<void> {
  await db.transaction('rw', [...ALL_ROWS, 'pages', 'settings', 'device', 'unread'], async () => {
    for (const table of [...ALL_ROWS, 'pages', 'unread']) await db.table(table).clear();
    for (const [key, value] of Object.entries(notes)) await db.device.put({ key, value });
    for (const table of RECORD_TABLES)
      for (let from = 0; from < garden[table].length; from += ROWS_A_PART)
        await db.table(table).bulkAdd(garden[table].slice(from, from + ROWS_A_PART));
    const all = garden.entries.length;
    let done = 0;
    if (all <= LOOSE) await db.entries.bulkAdd([...garden.entries]);
    else
      for (const page of pagesOf(garden.entries)) {
        await db.pages.add(page);
        onProgress?.({ done: (done += page.count), all });
      }
    if (unread.length > 0) await db.unread.bulkAdd([...unread]);
    await db.settings.put({ ...garden.settings, id: 'settings' });
    if (isChecked) await noteChecked(db, 0);
  });
}

/** How many rows a database has, each entry of a page for one: what was written is counted before anything relies on it. */
export async function countRows(db: GardenDb): Promise<number> {
  const counts = await Promise.all(ALL_ROWS.map((table) => db.table(table).count()));
  let inPages = 0;
  await db.pages.each(({ count }) => (inPages += count));
  return counts.reduce((sum, count) => sum + count, inPages);
}

export function rowsOf(garden: Garden): number {
  return ALL_ROWS.reduce((sum, table) => sum + garden[table].length, 0);
}
