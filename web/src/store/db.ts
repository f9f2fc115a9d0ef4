import type { Entry } from '@rundel/core/diary';
import type { RecordOf, Settings, TableName } from '@rundel/core/garden';
import Dexie, { type Table } from 'dexie';

/** Small things that belong to this device's copy and to no file: the walk in progress, remembered columns. */
export interface DeviceNote {
  readonly key: string;
  readonly value: unknown;
}

/**
 * The browser's database of one garden. Dexie is named in this folder only.
 *
 * Version 1: one table a kind of record, the diary, the settings (one row) and notes of this device. A later version
 * adds a `this.version(n)` with the same migration that files go through (`migrations.ts`).
 */
export class GardenDb extends Dexie {
  stands!: Table<RecordOf<'stands'>, string>;
  containers!: Table<RecordOf<'containers'>, string>;
  varieties!: Table<RecordOf<'varieties'>, string>;
  batches!: Table<RecordOf<'batches'>, string>;
  plants!: Table<RecordOf<'plants'>, string>;
  measures!: Table<RecordOf<'measures'>, string>;
  entries!: Table<Entry, string>;
  settings!: Table<Settings & { readonly id: 'settings' }, string>;
  device!: Table<DeviceNote, string>;

  constructor(name: string) {
    super(name);
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
  }
}

export const RECORD_TABLES: readonly TableName[] = [
  'stands',
  'containers',
  'varieties',
  'batches',
  'plants',
  'measures',
];
