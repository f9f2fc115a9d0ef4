import { toSi } from '../units/index.ts';
import type { Day } from '../calendar/index.ts';
import { columnOfDates, guessDateOrder, readDate, writeCsv, type DateOrder } from '../csv/index.ts';
import type { KnownDay } from './weather.ts';

/** Which column of a table holds what; one that is not there is '' or left out. Dates may be written in three orders. */
export interface ColumnMapping {
  readonly date: string;
  readonly dateOrder: DateOrder;
  readonly min: string;
  readonly max: string;
  readonly rain?: string | undefined;
  readonly humidity?: string | undefined;
  readonly wind?: string | undefined;
  readonly sun?: string | undefined;
  readonly temperature: 'celsius' | 'fahrenheit';
  readonly rainUnit: 'millimetre' | 'inch';
  /** m/s when left out */
  readonly windUnit?: keyof typeof WIND_UNITS | undefined;
}

/** Metres a second in one of each. */
export const WIND_UNITS = { 'm/s': 1, 'km/h': 1 / 3.6, mph: 0.44704, knots: 0.514444 } as const;

export interface WeatherRow {
  readonly day: Day;
  readonly minCelsius?: number;
  readonly maxCelsius?: number;
  readonly rainMillimetres?: number;
  readonly humidityPercent?: number;
  readonly windMetresPerSecond?: number;
  readonly sunHours?: number;
}

/** What came out of a table: the days that can be used, and each row that cannot, with the reason. */
export interface TableReading {
  readonly days: readonly WeatherRow[];
  /** `line` counts from 1 at the first row under the headings */
  readonly refused: readonly { readonly line: number; readonly reason: string }[];
}

/**
 * Reads a table of daily weather by a mapping of its columns. Every row is read or refused by itself; of a day
 * that stands twice the later row counts and the earlier is named among the refused.
 *
 * @see docs/model.md, 6. Weather
 * @example
 * readWeatherTable([{ d: '16/7/2026', lo: '55', hi: '84' }], { date: 'd', dateOrder: 'dmy', min: 'lo', max: 'hi', temperature: 'fahrenheit', rainUnit: 'inch' }).days[0].day
 * // => '2026-07-16'
 */
export function readWeatherTable(
  rows: readonly Readonly<Record<string, string>>[],
  mapping: ColumnMapping,
): TableReading {
  const byDay = new Map<Day, { row: WeatherRow; line: number }>();
  const refused: { line: number; reason: string }[] = [];
  rows.forEach((raw, index) => {
    const line = index + 1;
    const read = readRow(raw, mapping);
    if ('reason' in read) {
      refused.push({ line, reason: read.reason });
      return;
    }
    const earlier = byDay.get(read.day);
    if (earlier) {
      refused.push({
        line: earlier.line,
        reason: `${read.day} stands again in line ${line}; the later is used`,
      });
    }
    byDay.set(read.day, { row: read, line });
  });
  const days = [...byDay.values()].map(({ row }) => row).sort((a, b) => (a.day < b.day ? -1 : 1));
  return { days, refused: refused.sort((a, b) => a.line - b.line) };
}

/** What a table of weather is written with. */
const WRITTEN = {
  minCelsius: 'min_celsius',
  maxCelsius: 'max_celsius',
  rainMillimetres: 'rain_mm',
  humidityPercent: 'humidity_percent',
  windMetresPerSecond: 'wind_m_per_s',
  sunHours: 'sun_hours',
} as const satisfies Partial<Record<keyof WeatherRow, string>>;

/**
 * The days that were measured as a CSV, a row each, in °C and mm; what is not known of a day is empty. Read again by `guessMapping`
 * it is the same.
 *
 * @param days what was only foretold is left out
 * @example
 * writeWeatherTable([{ day: '2026-07-16', maxCelsius: 21.5, rainMillimetres: 0 }])
 * // => 'date,min_celsius,max_celsius,rain_mm,humidity_percent,wind_m_per_s,sun_hours\r\n2026-07-16,,21.5,0,,,'
 */
export function writeWeatherTable(days: readonly KnownDay[]): string {
  const parts = Object.keys(WRITTEN) as (keyof typeof WRITTEN)[];
  return writeCsv(
    ['date', ...parts.map((part) => WRITTEN[part])],
    days
      .filter(({ leadDays }) => !leadDays)
      .map((day) => [
        day.day,
        ...parts.map((part) => {
          const value = day[part];
          return value === undefined ? '' : Number(value.toFixed(2));
        }),
      ]),
  );
}

function readRow(
  raw: Readonly<Record<string, string>>,
  mapping: ColumnMapping,
): WeatherRow | { readonly reason: string } {
  const day = readDate(raw[mapping.date] ?? '', mapping.dateOrder);
  if (day === undefined) return { reason: `"${raw[mapping.date] ?? ''}" is not a date` };
  const warmth = readWarmth(raw, mapping);
  if ('reason' in warmth) return warmth;
  const more = readMore(raw, mapping);
  if ('reason' in more) return more;
  const row = { day, ...warmth, ...more };
  return Object.keys(row).length === 1 ? { reason: 'nothing but its date' } : row;
}

/** The temperatures, as far as there are any: a dash is none. */
function readWarmth(
  raw: Readonly<Record<string, string>>,
  mapping: ColumnMapping,
): Pick<WeatherRow, 'minCelsius' | 'maxCelsius'> | { readonly reason: string } {
  const [min, max] = [mapping.min, mapping.max].map((column) => {
    const text = (raw[column] ?? '').trim();
    return /^(?:[-–—.]*|n\/?a)$/i.test(text) ? undefined : (readNumber(text) ?? NaN);
  });
  if (Number.isNaN(min) || Number.isNaN(max)) return { reason: 'a temperature is not a number' };
  const minCelsius = min === undefined ? undefined : toSi(min, mapping.temperature);
  const maxCelsius = max === undefined ? undefined : toSi(max, mapping.temperature);
  const low = minCelsius ?? maxCelsius ?? 0;
  const high = maxCelsius ?? low;
  if (low < -40 || high > 55) return { reason: 'a temperature no garden has; is the unit right?' };
  if (low > high) return { reason: 'the coldest is warmer than the warmest' };
  return {
    ...(minCelsius === undefined ? {} : { minCelsius }),
    ...(maxCelsius === undefined ? {} : { maxCelsius }),
  };
}

/** The optional columns, each only where it holds a number; one that no day has refuses the row. */
function readMore(
  raw: Readonly<Record<string, string>>,
  mapping: ColumnMapping,
): Omit<WeatherRow, 'day' | 'minCelsius' | 'maxCelsius'> | { readonly reason: string } {
  const number = (column: string | undefined) => (column === undefined ? undefined : readNumber(raw[column]));
  const [rain, humidity, wind, sun] = [mapping.rain, mapping.humidity, mapping.wind, mapping.sun].map(number);
  const rainMillimetres = rain === undefined ? undefined : toSi(rain, mapping.rainUnit);
  const windMetresPerSecond = wind === undefined ? undefined : wind * WIND_UNITS[mapping.windUnit ?? 'm/s'];
  const isOutside = (value: number | undefined, low: number, high: number) =>
    value !== undefined && (value < low || value > high);
  if (isOutside(rainMillimetres, 0, 500)) return { reason: 'an amount of rain no day has' };
  if (isOutside(humidity, 1, 100)) return { reason: 'a humidity that is not from 1 to 100 %' };
  if (isOutside(windMetresPerSecond, 0, 40)) return { reason: 'a wind no garden stands; is the unit right?' };
  if (isOutside(sun, 0, 24)) return { reason: 'more hours of sunshine than a day has' };
  return {
    ...(rainMillimetres === undefined ? {} : { rainMillimetres }),
    ...(humidity === undefined ? {} : { humidityPercent: humidity }),
    ...(windMetresPerSecond === undefined ? {} : { windMetresPerSecond }),
    ...(sun === undefined ? {} : { sunHours: sun }),
  };
}

function readNumber(text: string | undefined): number | undefined {
  // "0x10" and "1e3" are slips and no numbers that a grower writes
  const decimal = /^[+-]?(\d+([.,]\d*)?|[.,]\d+)$/.exec((text ?? '').trim());
  return decimal ? Number(decimal[0].replace(',', '.')) : undefined;
}

const HINTS = {
  date: /date|day|datum|tag/i,
  min: /min|low|night/i,
  max: /max|high|day.?temp/i,
  rain: /rain|precip|mm$|prcp/i,
  humidity: /humid|^rh\b/i,
  wind: /wind/i,
  sun: /sun/i,
};

/**
 * A first guess at the columns by their headings; whatever it does not find is left empty for the person to choose.
 *
 * @example
 * guessColumns(['Date', 'T min', 'T max', 'Rain (mm)']).rain
 * // => 'Rain (mm)'
 */
export function guessColumns(headings: readonly string[]): {
  readonly [K in keyof typeof HINTS]: string | undefined;
} {
  const find = (hint: RegExp) => headings.find((heading) => hint.test(heading));
  return {
    date: find(HINTS.date),
    min: find(HINTS.min),
    max: find(HINTS.max),
    rain: find(HINTS.rain),
    humidity: find(HINTS.humidity),
    wind: find(HINTS.wind),
    sun: find(HINTS.sun),
  };
}

/** So warm it is by day in no garden most of the year, but in degrees Fahrenheit it is in nearly every one. */
const WARM_IN_FAHRENHEIT = 45;

const UNIT_HINTS = {
  fahrenheit: /°\s?f\b|\(f\)|[_ ]f$|fahrenheit/i,
  inch: /inch|[\s_(]in\)?$/i,
} as const;

const WIND_HINTS: readonly (readonly [keyof typeof WIND_UNITS, RegExp])[] = [
  ['km/h', /km\s?\/?\s?h|kph/i],
  ['mph', /mph/i],
  ['knots', /knots?|\bkts?\b/i],
];

/**
 * A first guess at a whole mapping: columns and units by their headings, the order in which dates are written by which of the
 * three reads the most rows and, between two that read as many, by which has the days follow one another. A column that is
 * not found is ''.
 *
 * @example
 * guessMapping(['Date', 'Low (F)', 'High (F)'], [{ Date: '7/16/2026', 'Low (F)': '55', 'High (F)': '84' }])
 * // => { date: 'Date', min: 'Low (F)', max: 'High (F)', dateOrder: 'mdy', temperature: 'fahrenheit', rainUnit: 'millimetre', windUnit: 'm/s', rain: undefined, humidity: undefined, wind: undefined, sun: undefined }
 */
export function guessMapping(
  headings: readonly string[],
  rows: readonly Readonly<Record<string, string>>[],
): ColumnMapping {
  const { date: named, min = '', max = '', ...rest } = guessColumns(headings);
  const date = named || (columnOfDates({ headings, rows }) ?? '');
  const warmest = rows.flatMap((row) => readNumber(row[max]) ?? []).sort((a, b) => a - b);
  const isFahrenheit =
    (warmest[Math.floor(warmest.length / 2)] ?? 0) > WARM_IN_FAHRENHEIT || UNIT_HINTS.fahrenheit.test(max);
  return {
    date,
    dateOrder: orderIn(date, rows, isFahrenheit),
    min,
    max,
    ...rest,
    temperature: isFahrenheit ? 'fahrenheit' : 'celsius',
    rainUnit: UNIT_HINTS.inch.test(rest.rain ?? '') ? 'inch' : 'millimetre',
    windUnit: WIND_HINTS.find(([, hint]) => hint.test(rest.wind ?? ''))?.[0] ?? 'm/s',
  };
}

/** Where both read alike: who counts in Fahrenheit writes the month first. */
const orderIn = (
  heading: string,
  rows: readonly Readonly<Record<string, string>>[],
  isFahrenheit: boolean,
): DateOrder =>
  guessDateOrder(
    rows.map((row) => row[heading] ?? ''),
    isFahrenheit ? ['ymd', 'mdy', 'dmy'] : ['ymd', 'dmy', 'mdy'],
  );

/** A mapping with another column for something; of dates the order is guessed anew. */
export function withWeatherColumn(
  mapping: ColumnMapping,
  key: 'date' | 'min' | 'max' | 'rain' | 'humidity' | 'wind' | 'sun',
  heading: string,
  rows: readonly Readonly<Record<string, string>>[],
): ColumnMapping {
  const isFahrenheit = mapping.temperature === 'fahrenheit';
  const order = key === 'date' ? { dateOrder: orderIn(heading, rows, isFahrenheit) } : {};
  return { ...mapping, [key]: heading, ...order };
}
