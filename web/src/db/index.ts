export { databaseOf, formerOf, goBack, moveTo, nextDatabase, settle } from './directory.ts';
export { retryUnread } from './retry-unread.ts';
export { PhotoDb, type StoredPhoto } from './photo-db.ts';
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
