export { databaseOf, formerOf, goBack, moveTo, nextDatabase, settle } from './directory.ts';
export { PhotoDb, type StoredPhoto } from './photo-db.ts';
export { GardenDb, type DeviceNote } from './garden-db.ts';
export {
  countRows,
  MOVED,
  readGarden,
  rowsOf,
  writeGarden,
  WRITES,
  type Beside,
  type StoredGarden,
} from './garden-rows.ts';
export { MovedError, StorageError, storageError, told } from './storage-error.ts';
