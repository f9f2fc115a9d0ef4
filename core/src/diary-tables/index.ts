export { guessDiaryMapping, isWholeMapping, TABLE_UNITS, withColumn, type DiaryMapping } from './mapping.ts';
export { readDiaryTable, type DiaryReading } from './read.ts';
export { COLUMNS_READ, DIARY_TABLES, writeDiaryTable, type ColumnId, type DiaryTable } from './tables.ts';
