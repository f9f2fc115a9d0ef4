import { problemOf } from '@rundel/core/garden-file';
import { mergeRecord, momentAfter, withChanges } from '@rundel/core/merge';
import {
  RECORD_TABLES,
  entrySchema,
  RECORD_SCHEMAS,
  settingsSchema,
  type Entry,
  type Garden,
  type RecordOf,
  type Settings,
  type TableName,
} from '@rundel/core/records';
import type * as z from '@rundel/core/schema';
import { BUILD } from './build.ts';
import { reconnecting } from './connection.ts';
import { ConflictError } from './conflict.ts';
import { databaseOf, goBack, moveTo, nextDatabase, settle } from './directory.ts';
import { GardenDb, type DeviceNote } from './garden-db.ts';
import {
  CHECKED,
  countRows,
  MOVED,
  readFolded,
  readOlderEntries,
  rowsOf,
  stampOf,
  writeGarden,
  WRITES,
  type Beside,
  type Checked,
  type FoldedGarden,
} from './garden-rows.ts';
import { paced } from './pause.ts';
import { walkSchema, type Walk } from './walk-note.ts';
import { MovedError, StorageError } from './storage-error.ts';

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

/** These are of the garden that was; what else this device noted stays when another takes its place. */
const OF_THE_GARDEN: ReadonlySet<string> = new Set([
  'walk',
  'planting',
  'fillPlan',
  'lastStates',
  'autoSave',
]);

const MOVED_WORDS =
  'The garden was opened from a file in another tab. Nothing was changed, and what you entered is still on the screen.';

/**
 * One garden in the browser's database: the only way in and out of it. Everything is checked by its schema before
 * it is written, and what is stored is what the schema returned.
 */
export class GardenStore {
  private db: Promise<GardenDb> | undefined;
  /** how often the database had been written to when this store last read it or wrote to it; undefined before the first */
  private seen: number | undefined;
  /** of the database that is open */
  private openName: string | undefined;

  /** @param name of the garden; it is in a database of this name, or in one that the directory names */
  constructor(readonly name: string) {}

  private opened(): Promise<GardenDb> {
    return (this.db ??= databaseOf(this.name).then((name) => {
      this.openName = name;
      return new GardenDb(name);
    }));
  }

  /** Which rows the garden stands in, as this store knows them: other rows have other words. */
  get stamp(): string {
    return stampOf(this.openName ?? this.name, this.seen ?? 0);
  }

  /** The name of the database that holds the garden. */
  async databaseName(): Promise<string> {
    return (await this.opened()).name;
  }

  /**
   * The garden, or undefined before the first settings are written. Rows that do not read are set aside; pages of its diary that
   * need not be checked are still folded.
   *
   * @param from a month, `2026-01`: the part of the diary that only older seasons ask for may be left out, to be read later
   * @param canTrust whether what this app has checked once need not be checked again
   */
  async load(from?: string, canTrust?: boolean): Promise<FoldedGarden | undefined> {
    // another tab may have opened the garden anew
    const name = await this.guarded(() => databaseOf(this.name));
    if (this.db && (await this.opened()).name !== name) this.close();
    const stored = await this.guarded((db) => readFolded(db, paced, from, canTrust));
    // where no garden is there is nothing that another tab could have written to it
    this.seen = stored?.writes;
    return stored;
  }

  /** Whether the garden stands as this store last read it: nobody has written since, or put it into another database. */
  async isAsRead(): Promise<boolean> {
    return this.guarded(async (db) => {
      const [name, writes] = await Promise.all([databaseOf(this.name), db.device.get(WRITES)]);
      return name === db.name && (writes?.value ?? 0) === this.seen;
    });
  }

  /** What a reading from a month on has left out. */
  async loadOlder(until: string): Promise<readonly Entry[]> {
    return this.guarded((db) => readOlderEntries(db, paced, until));
  }

  /** Fills the garden's database for the first time, with notes for this device; what was noted before stays. */
  async begin(garden: Garden, notes: Readonly<Record<string, unknown>>): Promise<void> {
    await this.guarded((db) => writeGarden(db, garden, { notes }));
  }

  /** Appends entries, all or none. */
  async append(entries: readonly Entry[]): Promise<readonly Entry[]> {
    const checked = entries.map((entry) => checkedBy(entrySchema, entry));
    await this.writing(['entries'], async (db) => {
      await db.entries.bulkAdd(checked);
    });
    return checked;
  }

  /**
   * Writes records and entries together, all or none. A record that somebody else has changed since is written with both changes
   * where they do not meet.
   *
   * @returns the records as they were written
   * @throws ConflictError where both changed the same field
   */
  async write(
    records: readonly RecordChange[],
    entries: readonly Entry[] = [],
  ): Promise<readonly RecordChange[]> {
    const rows = records.map((change) => ({
      ...change,
      after: checkedBy(RECORD_SCHEMAS[change.table], change.after),
    })) as RecordChange[];
    const checked = entries.map((entry) => checkedBy(entrySchema, entry));
    return this.writing([...RECORD_TABLES, 'entries'], async (db) => {
      const written: RecordChange[] = [];
      for (const change of rows) {
        const current = (await db.table(change.table).get(change.after.id)) as
          | RecordOf<TableName>
          | undefined;
        const after = { ...this.met(change, current) } as RecordOf<TableName>;
        await db.table(change.table).put(after);
        written.push({ ...change, after } as RecordChange);
      }
      if (checked.length > 0) await db.entries.bulkAdd(checked);
      return written;
    });
  }

  /** A change to a record with what somebody else made of it meanwhile. */
  private met({ table, before, after }: RecordChange, current: RecordOf<TableName> | undefined) {
    const changedAt = momentAfter(after.changedAt, current === before ? undefined : current?.changedAt);
    const isAsKnown = !before || !current || current.changedAt === before.changedAt;
    if (isAsKnown) return current && before ? { ...after, changedAt } : after;
    const { merged, disputed } = mergeRecord<RecordOf<TableName>>(before, after, current);
    if (disputed.length > 0) throw new ConflictError({ table, before, after, current, disputed });
    return checkedBy(RECORD_SCHEMAS[table], { ...merged, changedAt });
  }

  /**
   * Changes settings field by field: what another tab has changed meanwhile stays.
   *
   * @param before as they were when the change was begun
   * @returns as they are stored now
   */
  async writeSettings(before: Settings, after: Settings, now: string): Promise<Settings> {
    checkedBy(settingsSchema, after);
    return this.writing(['settings'], async (db) => {
      const row = await db.settings.get('settings');
      const current = row && settingsSchema.safeParse(row);
      const settings = checkedBy(
        settingsSchema,
        withChanges(current?.success ? current.data : before, before, after, now),
      );
      await db.settings.put({ ...settings, id: 'settings' });
      return settings;
    });
  }

  /**
   * Puts another garden in this one's place. It is written to a database of its own, counted, and only then is that one taken for
   * the other; until it has been shown once, the former stays.
   *
   * @param beside what goes with it; rows that were set aside before stay with the garden that they were in
   */
  async replace(garden: Garden, beside: Beside = {}): Promise<void> {
    await this.guarded(async (db) => {
      if ((await db.settings.count()) === 0) return writeGarden(db, garden, beside);
      const next = new GardenDb(nextDatabase(this.name));
      try {
        await writeGarden(next, garden, beside);
        if ((await countRows(next)) !== rowsOf(garden))
          throw new StorageError('What was written could not be read back. Nothing was changed.');
        await this.takeOver(next, false);
      } catch (error) {
        // why it was not written says more than why it could not be taken away
        await next.delete().catch(() => undefined);
        throw error;
      }
      return undefined;
    });
  }

  /**
   * Takes a database that was filled for the one that the garden is in: notes of this device go along.
   *
   * @param name of the database, filled by a worker
   * @param isSame the garden that was is in it: notes that name its bags go along too
   */
  async moveTo(name: string, isSame: boolean): Promise<void> {
    await this.guarded(() => this.takeOver(new GardenDb(name), isSame));
  }

  private async takeOver(next: GardenDb, isSame: boolean): Promise<void> {
    const db = await this.opened();
    const notes = await db.device.toArray();
    const known = new Set((await next.device.toArray()).map(({ key }) => key));
    const stays = ({ key }: DeviceNote) =>
      !known.has(key) && ![MOVED, WRITES, CHECKED].includes(key) && (isSame || !OF_THE_GARDEN.has(key));
    await next.device.bulkPut(notes.filter(stays));
    await db.transaction('rw', 'device', async () => {
      if (this.seen !== undefined && ((await db.device.get(WRITES))?.value ?? 0) !== this.seen)
        throw new StorageError(
          'Something was written in another tab meanwhile. Nothing was changed here. Look at it, and try again.',
        );
      await db.device.put({ key: MOVED, value: next.name });
    });
    await moveTo(this.name, next.name);
    db.close();
    this.db = Promise.resolve(next);
    this.openName = next.name;
    this.seen = 0;
  }

  /** How many entries stand in rows of their own. */
  async looseEntries(): Promise<number> {
    return this.guarded((db) => db.entries.count());
  }

  /** The garden has been shown: where it was before is let go of. */
  async settled(): Promise<void> {
    await this.guarded(() => settle(this.name));
  }

  /** Goes back to the garden before the last opening. */
  async goBack(): Promise<boolean> {
    const isBack = await this.guarded(async () => {
      this.close();
      return goBack(this.name);
    });
    if (isBack) await this.guarded((db) => db.device.delete(MOVED));
    return isBack;
  }

  /** The walk in progress, if what was noted of it reads as one. It is checked here: the first page has no need of schemas for it. */
  async readWalk(): Promise<Walk | undefined> {
    return walkSchema.safeParse(await this.readNote('walk')).data;
  }

  async readNote(key: string): Promise<unknown> {
    return this.guarded(async (db) => (await db.device.get(key))?.value);
  }

  async writeNote(key: string, value: unknown): Promise<void> {
    await this.guarded((db) => db.device.put({ key, value }));
  }

  close(): void {
    void this.db?.then((db) => db.close());
    this.db = undefined;
  }

  /** One write, all or none, counted; not into a database that the garden has left. */
  private async writing<T>(tables: readonly string[], work: (db: GardenDb) => Promise<T>): Promise<T> {
    const once = () =>
      this.guarded(async (db) => {
        const { product, count } = await db.transaction('rw', [...tables, 'device'], async () => {
          const [moved, writes, noted] = await db.device.bulkGet([MOVED, WRITES, CHECKED]);
          if (moved) throw new MovedError(MOVED_WORDS);
          const written = await work(db);
          const before = Number(writes?.value ?? 0);
          await db.device.put({ key: WRITES, value: before + 1 });
          const checked = noted?.value as Checked | undefined;
          // what is written here was checked by this app as all else in it
          if (checked?.build === BUILD && checked.writes === before)
            await db.device.put({ key: CHECKED, value: { build: BUILD, writes: before + 1 } });
          return { product: written, count: before };
        });
        if (count === this.seen) this.seen = count + 1;
        return product;
      });
    try {
      return await once();
    } catch (error) {
      if (!(error instanceof MovedError) || (await this.hasMoved())) throw error;
      // the page was closed in the midst of a move, which was never made
      await this.guarded((db) => db.device.delete(MOVED));
      return once();
    }
  }

  /** Whether the garden is in another database than this store believes; if so, it goes there from now on. */
  private async hasMoved(): Promise<boolean> {
    const isElsewhere = (await databaseOf(this.name)) !== (await this.databaseName());
    if (isElsewhere) this.close();
    return isElsewhere;
  }

  /** A foreign error is wrapped once, with its cause, in words for a person. */
  private guarded<T>(work: (db: GardenDb) => PromiseLike<T>): Promise<T> {
    return reconnecting(
      async () => work(await (await this.opened()).ready()),
      () => this.close(),
    );
  }
}
