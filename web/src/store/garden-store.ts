import {
  type Garden,
  entrySchema,
  type Entry,
  RECORD_SCHEMAS,
  settingsSchema,
  type RecordOf,
  type Settings,
  type TableName,
} from '@rundel/core/records';
import type * as z from '@rundel/core/schema';
import { GardenDb, RECORD_TABLES } from './db.ts';
import { problemOf, readRows, ROWS_A_PART, type SetAside } from './garden-file.ts';
import { StorageError } from './storage-error.ts';

/** A record that was written, with what stood there before (undefined when it is new). */
export interface RecordChange<T extends TableName = TableName> {
  readonly table: T;
  readonly before: RecordOf<T> | undefined;
  readonly after: RecordOf<T>;
}

/** What a schema makes of a row; what does not pass is told in a sentence and not as the schema's own report. */
function checkedBy<S extends z.ZodMiniType>(schema: S, row: unknown): z.output<S> {
  const read = schema.safeParse(row);
  if (read.success) return read.data;
  throw new StorageError(`This cannot be stored (${problemOf(read.error)}). Nothing was changed.`, {
    cause: read.error,
  });
}

/** How long a garden that was begun with is on the screen before it is written, ms. */
const WRITTEN_AFTER = 1200;

/**
 * One garden in the browser's database: the only way in and out of it. Everything is checked by its schema before
 * it is written, and what is stored is what the schema returned.
 */
export class GardenStore {
  private readonly db: GardenDb;

  constructor(readonly name: string) {
    this.db = new GardenDb(name);
  }

  /** What was begun with and is not written yet: everything else waits for it. */
  private begun: Promise<void> | undefined;

  /**
   * Takes a garden as this one's beginning and writes it when the screen has had its turn, with notes for this device; what
   * was noted meanwhile stays.
   */
  beginWith(garden: Garden, notes: Readonly<Record<string, unknown>>, then: () => void): void {
    const rested = new Promise((resolve) => setTimeout(resolve, WRITTEN_AFTER));
    const written = rested.then(() => this.written(garden, notes));
    this.begun = written.catch(() => undefined);
    void written.then(then).catch(() => undefined);
  }

  /** The whole garden, or undefined before the first settings are written. Rows that do not read are set aside. */
  async load(): Promise<{ readonly garden: Garden; readonly setAside: readonly SetAside[] } | undefined> {
    await this.begun;
    return this.guarded(async () => {
      // all tables are asked for at once: one after another each waits for the one before
      const names = [...RECORD_TABLES, 'entries'];
      const [row, ...found] = await this.db.transaction('r', [...names, 'settings'], () =>
        Promise.all([
          this.db.settings.get('settings'),
          ...names.map((table): PromiseLike<unknown[]> => this.db.table(table).toArray()),
        ]),
      );
      if (!row) return undefined;
      const tables = Object.fromEntries(names.map((table, i) => [table, found[i]]));
      const { rows, setAside } = await readRows(tables);
      return { garden: { ...rows, settings: settingsSchema.parse(row) }, setAside };
    });
  }

  /** Appends entries, all or none. */
  async append(entries: readonly Entry[]): Promise<readonly Entry[]> {
    const checked = entries.map((entry) => checkedBy(entrySchema, entry));
    await this.begun;
    // a bulk write by itself keeps the rows that went well; inside a transaction it is all or none
    await this.guarded(() => this.db.transaction('rw', 'entries', () => this.db.entries.bulkAdd(checked)));
    return checked;
  }

  /** Writes records and entries together, all or none. */
  async write(records: readonly RecordChange[], entries: readonly Entry[] = []): Promise<void> {
    const rows = records.map(({ table, after }) => ({ table, row: checkedBy(RECORD_SCHEMAS[table], after) }));
    const checked = entries.map((entry) => checkedBy(entrySchema, entry));
    await this.begun;
    await this.guarded(() =>
      this.db.transaction('rw', [...RECORD_TABLES, 'entries'], async () => {
        for (const { table, row } of rows) await this.db.table(table).put(row);
        if (checked.length > 0) await this.db.entries.bulkAdd(checked);
      }),
    );
  }

  async writeSettings(settings: Settings): Promise<Settings> {
    const checked = checkedBy(settingsSchema, settings);
    await this.begun;
    await this.guarded(() => this.db.settings.put({ ...checked, id: 'settings' }));
    return checked;
  }

  /** Puts another garden in this one's place, in one transaction: either all of it or nothing changes. */
  async replace(garden: Garden): Promise<void> {
    await this.begun;
    // these name bags of the garden that was; what else this device noted stays
    await this.written(garden, {}, ['walk', 'planting', 'fillPlan', 'lastStates']);
  }

  private async written(
    garden: Garden,
    notes: Readonly<Record<string, unknown>>,
    forgotten: readonly string[] = [],
  ): Promise<void> {
    await this.guarded(() =>
      this.db.transaction('rw', [...RECORD_TABLES, 'entries', 'settings', 'device'], async () => {
        for (const table of [...RECORD_TABLES, 'entries']) await this.db.table(table).clear();
        await this.db.device.bulkDelete([...forgotten]);
        for (const [key, value] of Object.entries(notes)) await this.db.device.put({ key, value });
        for (const table of RECORD_TABLES) await this.db.table(table).bulkAdd([...garden[table]]);
        // in parts, so that the screen answers meanwhile
        for (let from = 0; from < garden.entries.length; from += ROWS_A_PART)
          await this.db.entries.bulkAdd(garden.entries.slice(from, from + ROWS_A_PART));
        await this.db.settings.put({ ...garden.settings, id: 'settings' });
      }),
    );
  }

  async readNote(key: string): Promise<unknown> {
    return this.guarded(async () => (await this.db.device.get(key))?.value);
  }

  async writeNote(key: string, value: unknown): Promise<void> {
    await this.guarded(() => this.db.device.put({ key, value }));
  }

  close(): void {
    this.db.close();
  }

  /** A foreign error is wrapped once, with its cause, in words for a person. */
  private async guarded<T>(work: () => PromiseLike<T>): Promise<T> {
    try {
      return await work();
    } catch (cause) {
      if (cause instanceof StorageError) throw cause;
      const why = cause instanceof Error ? cause.message : String(cause);
      throw new StorageError(
        `The browser could not store or read this garden (${why}). Nothing was changed.`,
        {
          cause,
        },
      );
    }
  }
}
