export {
  guessDiaryMapping,
  isWholeMapping,
  readDiaryTable,
  TABLE_UNITS,
  type DiaryMapping,
  type DiaryReading,
} from './read.ts';
export { COLUMNS, DIARY_TABLES, writeDiaryTable, type ColumnId, type DiaryTable } from './tables.ts';
