export { columnOf } from './columns.ts';
export { namedColumns, numbersIn, readCsv, writeCsv, type CsvTable } from './csv.ts';
export { gardenTables } from './garden-tables.ts';
export { behindDate, columnOfDates, guessDateOrder, readDate, type DateOrder } from './dates.ts';
