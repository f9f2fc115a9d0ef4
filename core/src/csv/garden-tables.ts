import { RECORD_TABLES, type Garden } from '../records/index.ts';
import { writeCsv } from './csv.ts';

/**
 * Every table of a garden as CSV, for whoever has no other program than a spreadsheet: a row a line, a field a column, what has
 * parts as JSON in its cell. They are to look at; the JSON beside them is what is opened again.
 *
 * @returns texts by the name of their file
 */
export function gardenTables(garden: Garden): Readonly<Record<string, string>> {
  return Object.fromEntries(
    ([...RECORD_TABLES, 'entries'] as const).flatMap((table) => {
      const rows = garden[table] as readonly Readonly<Record<string, unknown>>[];
      if (rows.length === 0) return [];
      const fields = [...new Set(rows.flatMap((row) => Object.keys(row)))];
      const cells = rows.map((row) => fields.map((field) => cellOf(row[field])));
      return [[`${table}.csv`, writeCsv(fields, cells)]];
    }),
  );
}

function cellOf(value: unknown): string | number | boolean | undefined {
  if (value === undefined || typeof value === 'string' || typeof value === 'number') return value;
  return typeof value === 'boolean' ? value : JSON.stringify(value);
}
