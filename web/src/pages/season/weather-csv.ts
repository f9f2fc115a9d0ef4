import {
  guessMapping,
  readWeatherTable,
  WIND_UNITS,
  type ColumnMapping,
  type WeatherRow,
} from '@rundel/core/climate';
import { addDays, dayOf } from '@rundel/core/calendar';
import { knownWeather } from '@rundel/core/garden-state';
import { WEATHER_PARTS, type Entry, type EntryOf } from '@rundel/core/records';
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
  if (headings.length < 2) {
    return {
      problem: `"${name}" does not look like a table with a date and the weather of each: I found ${headings.length === 1 ? 'one column' : 'no column'}.`,
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
    remembered && columnsOf(remembered).every((heading) => heading === '' || headings.includes(heading));
  return isHere && readWeatherTable(rows, remembered).days.length > 0
    ? remembered
    : guessMapping(headings, rows);
}

const columnsOf = ({ date, min, max, rain = '', humidity = '', wind = '', sun = '' }: ColumnMapping) => [
  date,
  min,
  max,
  rain,
  humidity,
  wind,
  sun,
];

/** A date and anything of the day are enough. */
export function isWhole(mapping: ColumnMapping): boolean {
  const [date, ...measured] = columnsOf(mapping);
  return date !== '' && measured.some((column) => column !== '');
}

/** Whether a day's weather was put down before the day: what is measured takes its place without a word. */
const isForetold = (e: EntryOf<'weather'>) => dayOf(e.at) < e.day;

/** So many days ahead a forecast is taken. */
export const FORECAST_DAYS = 10;

/** What of a file is new, the same, more than is here, or at odds with it. */
export function sortDays(days: readonly WeatherRow[], live: readonly Entry[], today: string) {
  const measured = live.filter((e) => e.kind === 'weather' && !isForetold(e));
  const known = new Map(knownWeather(measured).map((each) => [each.day, each]));
  // a file may tell of the days to come too: as far ahead as a forecast is worth anything
  const past = days.filter((row) => row.day <= addDays(today, FORECAST_DAYS));
  const sorted = {
    fresh: [] as WeatherRow[],
    same: 0,
    /** what the file knows of days of which other parts are here, and that goes with those */
    more: [] as WeatherRow[],
    different: [] as WeatherRow[],
    future: days.length - past.length,
  };
  for (const row of past) {
    const here = known.get(row.day);
    if (!here) {
      sorted.fresh.push(row);
      continue;
    }
    const isNew = (part: (typeof WEATHER_PARTS)[number]) =>
      here[part] === undefined && row[part] !== undefined;
    const low = here.minCelsius ?? row.minCelsius ?? -Infinity;
    const high = here.maxCelsius ?? row.maxCelsius ?? Infinity;
    const isAtOdds =
      low > high ||
      WEATHER_PARTS.some((part) => {
        const [own, read] = [here[part], row[part]];
        return own !== undefined && read !== undefined && Math.abs(own - read) >= 0.05;
      });
    const fresh = low > high ? [] : WEATHER_PARTS.filter(isNew);
    if (isAtOdds) sorted.different.push(row);
    if (fresh.length > 0)
      sorted.more.push({ day: row.day, ...Object.fromEntries(fresh.map((part) => [part, row[part]])) });
    if (!isAtOdds && fresh.length === 0) sorted.same += 1;
  }
  return sorted;
}
