export { databaseOf, nextDatabase } from './directory.ts';
export { retryUnread } from './retry-unread.ts';
export { PhotoDb, PhotoStore, type LoosePhotos, type StoredPhoto } from './photo-db.ts';
export { GardenStore, type RecordChange } from './garden-store.ts';
export { ConflictError, type Conflict } from './conflict.ts';
export { privateFiles, type PrivateFiles } from './private-files.ts';
export { SecondCopy, type CopyFound, type Written } from './second-copy.ts';
export { pause } from './pause.ts';
export type { Walk } from './walk-note.ts';
export { DATABASE_NAMES, recentFrom, type GardenId } from './garden-names.ts';
export { BUILD } from './build.ts';
export { LOOSE, tidyDiary } from './diary-pages.ts';
export { GardenDb, type DeviceNote } from './garden-db.ts';
export {
  countRows,
  readGarden,
  rowsOf,
  writeGarden,
  type Draw,
  type FoldedGarden,
  type StoredGarden,
} from './garden-rows.ts';
export { StorageError, storageError, told } from './storage-error.ts';
