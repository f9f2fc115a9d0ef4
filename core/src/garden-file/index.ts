export { entryWithNewNames, RENAMED_TABLES, withNewNames } from './migrations.ts';
export { readGardenFile, readingGardenFile, type FileReading, type ReadableFile } from './read.ts';
export {
  checkingRows,
  finished,
  problemOf,
  usableSettings,
  type Progress,
  type RowsRead,
  type RowTable,
  type SetAside,
} from './rows.ts';
export { writeGardenFile } from './write.ts';
export { LATEST_VERSION } from './version.ts';
