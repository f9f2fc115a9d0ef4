import { entryWithNewNames, RENAMED_TABLES, withNewNames, type SetAside } from '@rundel/core/garden-file';
import type { Entry, RecordOf, Settings } from '@rundel/core/records';
import Dexie, { type Table } from 'dexie';
import type { DiaryPage } from './diary-pages.ts';

/** Small things that belong to this device's copy and to no file: the walk in progress, remembered columns. */
export interface DeviceNote {
  readonly key: string;
  readonly value: unknown;
}

/**
 * The browser's database of one garden. Dexie is named in this folder only.
 *
 * Version 1: one table a kind of record, the diary, the settings (one row) and notes of this device. Version 2 adds
 * the tables of mixes, products, packs and templates, version 3 that of plans, version 4 that of regimes, version 6 that of tanks, empty as the
 * migrations add them to an older file. Version 8 keeps rows of files that did not read, and has no index that nobody asks. Version 9 has
 * most of the diary in pages.
 */
export class GardenDb extends Dexie {
  places!: Table<RecordOf<'places'>, string>;
  containers!: Table<RecordOf<'containers'>, string>;
  varieties!: Table<RecordOf<'varieties'>, string>;
  batches!: Table<RecordOf<'batches'>, string>;
  plants!: Table<RecordOf<'plants'>, string>;
  measures!: Table<RecordOf<'measures'>, string>;
  mixes!: Table<RecordOf<'mixes'>, string>;
  products!: Table<RecordOf<'products'>, string>;
  packs!: Table<RecordOf<'packs'>, string>;
  templates!: Table<RecordOf<'templates'>, string>;
  plans!: Table<RecordOf<'plans'>, string>;
  regimes!: Table<RecordOf<'regimes'>, string>;
  tanks!: Table<RecordOf<'tanks'>, string>;
  trials!: Table<RecordOf<'trials'>, string>;
  entries!: Table<Entry, string>;
  settings!: Table<Settings & { readonly id: 'settings' }, string>;
  device!: Table<DeviceNote, string>;
  unread!: Table<SetAside, number>;
  /** the diary but for what was put down last, which stands in `entries` row by row */
  pages!: Table<DiaryPage, string>;

  /** Refused once another connection does not let go of this database; the opening goes on, and may yet come to its end. */
  private readonly blocked = new Promise<never>((_, refuse) => {
    this.on('blocked', () => refuse(Object.assign(new Error('It is held.'), { name: 'BlockedError' })));
  });

  constructor(name: string) {
    super(name);
    // told to whoever waits for it, and to nobody else
    this.blocked.catch(() => undefined);
    this.version(1).stores({
      stands: 'id',
      containers: 'id',
      varieties: 'id',
      batches: 'id',
      plants: 'id',
      measures: 'id',
      entries: 'id, kind, containerId',
      settings: 'id',
      device: 'key',
    });
    this.version(2).stores({ mixes: 'id', goods: 'id', packs: 'id', templates: 'id' });
    this.version(3).stores({ plans: 'id' });
    this.version(4).stores({ regimes: 'id' });
    this.version(5)
      .stores({ places: 'id', products: 'id', stands: null, goods: null })
      .upgrade(async (transaction) => {
        for (const [old, table] of Object.entries(RENAMED_TABLES)) {
          const rows: unknown[] = await transaction.table(old).toArray();
          await transaction.table(table).bulkAdd(rows.map(withNewNames));
        }
        const rewrite = async (table: string, renamed: (row: unknown) => unknown) => {
          const rows: unknown[] = await transaction.table(table).toArray();
          await transaction.table(table).bulkPut(rows.map(renamed));
        };
        for (const table of ['containers', 'mixes', 'packs', 'templates', 'regimes', 'settings', 'device'])
          await rewrite(table, withNewNames);
        await rewrite('entries', entryWithNewNames);
      });
    this.version(6).stores({ tanks: 'id' });
    this.version(7).stores({ trials: 'id' });
    this.version(8).stores({ unread: '++', entries: 'id' });
    this.version(9).stores({ pages: 'month' });
  }

  /**
   * Opens it, if it is not open.
   *
   * @throws an error of the name BlockedError where a tab with an older Rundel does not let go of it: the browser would wait, and say nothing
   */
  async ready(): Promise<this> {
    if (this.isOpen()) return this;
    await Promise.race([this.open(), this.blocked]);
    return this;
  }
}
