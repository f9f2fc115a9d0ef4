import {
  checkingRows,
  RECORD_TABLES,
  usableSettings,
  type Progress,
  type RowsRead,
  type SetAside,
} from '@rundel/core/garden-file';
import type { Garden } from '@rundel/core/records';
import type { GardenDb } from './garden-db.ts';

/** A garden as it lies in a database, with what in it does not read. */
export interface StoredGarden {
  readonly garden: Garden;
  readonly setAside: readonly SetAside[];
  /** grows by one with each write, so that two tabs know of one another */
  readonly writes: number;
}

/** So many rows are written at once; between them the screen answers. */
const ROWS_A_PART = 1000;
const ALL_ROWS = [...RECORD_TABLES, 'entries'] as const;

/** A note that the database was left for another; what comes later is written there. */
export const MOVED = 'movedTo';
export const WRITES = 'writes';

/**
 * Everything in a database, or undefined before the first settings are written. Rows that do not read are set aside.
 *
 * @param draw draws the checking to its end: with pauses where somebody waits for the screen
 */
export async function readGarden(
  db: GardenDb,
  draw: (work: Generator<Progress, RowsRead, undefined>) => Promise<RowsRead>,
): Promise<StoredGarden | undefined> {
  // all tables are asked for at once: one after another each waits for the one before
  const [row, unread, writes, ...found] = await db.transaction(
    'r',
    [...ALL_ROWS, 'settings', 'unread', 'device'],
    () =>
      Promise.all([
        db.settings.get('settings'),
        db.unread.toArray(),
        db.device.get(WRITES),
        ...ALL_ROWS.map((table): PromiseLike<unknown[]> => db.table(table).toArray()),
      ]),
  );
  if (!row) return undefined;
  const { rows, setAside } = await draw(
    checkingRows(Object.fromEntries(ALL_ROWS.map((table, i) => [table, found[i]]))),
  );
  const { id: _, ...raw } = row;
  const { settings, problem } = usableSettings(raw, FIRST);
  const broken =
    problem === undefined ? [] : [{ table: 'settings', id: 'settings', problem, text: JSON.stringify(raw) }];
  return {
    garden: { ...rows, settings },
    setAside: [...broken, ...setAside, ...unread],
    writes: typeof writes?.value === 'number' ? writes.value : 0,
  };
}

const FIRST = '1950-01-01T00:00:00.000Z';

/** What is written with a garden. */
export interface Beside {
  /** notes for this device */
  readonly notes?: Readonly<Record<string, unknown>>;
  readonly unread?: readonly SetAside[];
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
  { notes = {}, unread = [] }: Beside = {},
  onProgress?: (progress: Progress) => void,
): Promise<void> {
  await db.transaction('rw', [...ALL_ROWS, 'settings', 'device', 'unread'], async () => {
    for (const table of [...ALL_ROWS, 'unread']) await db.table(table).clear();
    for (const [key, value] of Object.entries(notes)) await db.device.put({ key, value });
    for (const table of RECORD_TABLES) await db.table(table).bulkAdd([...garden[table]]);
    const all = garden.entries.length;
    for (let from = 0; from < all; from += ROWS_A_PART) {
      await db.entries.bulkAdd(garden.entries.slice(from, from + ROWS_A_PART));
      onProgress?.({ done: Math.min(from + ROWS_A_PART, all), all });
    }
    if (unread.length > 0) await db.unread.bulkAdd([...unread]);
    await db.settings.put({ ...garden.settings, id: 'settings' });
  });
}

/** How many rows of each table a database has: what was written is counted before anything relies on it. */
export async function countRows(db: GardenDb): Promise<number> {
  const counts = await Promise.all(ALL_ROWS.map((table) => db.table(table).count()));
  return counts.reduce((sum, count) => sum + count, 0);
}

export function rowsOf(garden: Garden): number {
  return ALL_ROWS.reduce((sum, table) => sum + garden[table].length, 0);
}
