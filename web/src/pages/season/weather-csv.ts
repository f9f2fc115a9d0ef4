import {
  guessMapping,
  readWeatherTable,
  WIND_UNITS,
  type ColumnMapping,
  type WeatherRow,
} from '@rundel/core/climate';
import { addDays, dayOf } from '@rundel/core/calendar';
import type { Entry, EntryOf } from '@rundel/core/records';
import * as z from '@rundel/core/schema';
import { readCsv, type CsvTable } from '@rundel/core/csv';

type WindUnit = keyof typeof WIND_UNITS;

/** A mapping as this device remembered it. */
export const mappingSchema = z.object({
  date: z.string(),
  dateOrder: z.enum(['ymd', 'dmy', 'mdy']),
  min: z.string(),
  max: z.string(),
  rain: z.optional(z.string()),
  temperature: z.enum(['celsius', 'fahrenheit']),
  rainUnit: z.enum(['millimetre', 'inch']),
  humidity: z.optional(z.string()),
  wind: z.optional(z.string()),
  sun: z.optional(z.string()),
  windUnit: z.optional(z.enum(Object.keys(WIND_UNITS) as [WindUnit, ...WindUnit[]])),
});

export interface WeatherFile extends CsvTable {
  readonly name: string;
}

/** A CSV as a table, or what is wrong with it. */
export function readWeatherFile(name: string, text: string): WeatherFile | { readonly problem: string } {
  const table = readCsv(text);
  const { headings, rows } = table;
  if (headings.length < 3) {
    return {
      problem: `"${name}" does not look like a table with a date and two temperatures: I found ${headings.length} ${headings.length === 1 ? 'column' : 'columns'}.`,
    };
  }
  if (rows.length === 0) return { problem: `"${name}" has headings but no rows.` };
  return { name, ...table };
}

/** The remembered mapping if its columns are in this file and read some of it, else a guess by headings and rows. */
export function firstMapping(
  { headings, rows }: Pick<CsvTable, 'headings' | 'rows'>,
  remembered: ColumnMapping | undefined,
): ColumnMapping {
  const isHere =
    remembered && [remembered.date, remembered.min, remembered.max].every((h) => headings.includes(h));
  return isHere && readWeatherTable(rows, remembered).days.length > 0
    ? remembered
    : guessMapping(headings, rows);
}

export function isWhole(mapping: ColumnMapping): boolean {
  return mapping.date !== '' && mapping.min !== '' && mapping.max !== '';
}

/** Whether a day's weather was put down before the day: what is measured takes its place without a word. */
const isForetold = (e: EntryOf<'weather'>) => dayOf(e.at) < e.day;

/** What of a file is new, the same, or at odds with what is here. */
/** So many days ahead a forecast is taken. */
export const FORECAST_DAYS = 10;

export function sortDays(days: readonly WeatherRow[], live: readonly Entry[], today: string) {
  const known = new Map(
    live.flatMap((e) => (e.kind === 'weather' && !isForetold(e) ? [[e.day, e] as const] : [])),
  );
  // a file may tell of the days to come too: as far ahead as a forecast is worth anything
  const past = days.filter((row) => row.day <= addDays(today, FORECAST_DAYS));
  const isSame = (row: WeatherRow) => {
    const here = known.get(row.day);
    const near = (a: number | undefined, b: number | undefined) =>
      a === b || (a !== undefined && b !== undefined && Math.abs(a - b) < 0.05);
    return (
      here !== undefined &&
      near(here.minCelsius, row.minCelsius) &&
      near(here.maxCelsius, row.maxCelsius) &&
      near(here.rainMillimetres, row.rainMillimetres) &&
      near(here.humidityPercent, row.humidityPercent) &&
      near(here.windMetresPerSecond, row.windMetresPerSecond) &&
      near(here.sunHours, row.sunHours)
    );
  };
  return {
    fresh: past.filter((row) => !known.has(row.day)),
    same: past.filter(isSame).length,
    different: past.filter((row) => known.has(row.day) && !isSame(row)),
    future: days.length - past.length,
  };
}
