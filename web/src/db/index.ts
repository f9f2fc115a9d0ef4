export { databaseOf, formerOf, goBack, moveTo, nextDatabase, settle } from './directory.ts';
export { retryUnread } from './retry-unread.ts';
export { PhotoDb, PhotoStore, type LoosePhotos, type StoredPhoto } from './photo-db.ts';
export { GardenStore, type RecordChange } from './garden-store.ts';
export { ConflictError, type Conflict } from './conflict.ts';
export { pause } from './pause.ts';
export type { Walk } from './walk-note.ts';
export { BUILD } from './build.ts';
export { LOOSE, tidyDiary } from './diary-pages.ts';
export { GardenDb, type DeviceNote } from './garden-db.ts';
export {
  CHECKED,
  countRows,
  MOVED,
  readGarden,
  readOlderEntries,
  rowsOf,
  stampOf,
  writeGarden,
  WRITES,
  type Beside,
  type Checked,
  type Draw,
  type StoredGarden,
} from './garden-rows.ts';
export { MovedError, StorageError, storageError, told } from './storage-error.ts';
