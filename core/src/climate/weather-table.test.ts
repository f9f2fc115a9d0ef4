import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import { describe, expect, it } from 'vitest';
import { readCsv } from '../csv/index.ts';
import { completeWeather } from './weather.ts';
import { defaultNormals } from './normals.ts';
import {
  guessColumns,
  guessMapping,
  readWeatherTable,
  withWeatherColumn,
  writeWeatherTable,
  type ColumnMapping,
} from './weather-table.ts';

const metric: ColumnMapping = {
  date: 'd',
  dateOrder: 'ymd',
  min: 'lo',
  max: 'hi',
  rain: 'r',
  temperature: 'celsius',
  rainUnit: 'millimetre',
};
const row = (d: string, lo = '9', hi = '19', r = '0') => ({ d, lo, hi, r });

describe('dates in a weather table', () => {
  it.each([
    ['2026-07-16', 'ymd'],
    ['2026/7/16', 'ymd'],
    ['20260716', 'dmy'],
    ['2026-07-16 00:00', 'ymd'],
    ['2026-07-16T00:00:00Z', 'ymd'],
    ['16.07.2026', 'dmy'],
    ['16/7/26', 'dmy'],
    ['7/16/2026', 'mdy'],
  ] as const)('%s written %s', (text, dateOrder) => {
    expect(readWeatherTable([row(text)], { ...metric, dateOrder }).days[0]?.day).toBe('2026-07-16');
  });

  it.each(['16.07.2026', '2026-13-01', '2026-02-30', '', 'Thursday'])(
    '"%s" is refused where the year comes first',
    (text) => {
      const { days, refused } = readWeatherTable([row(text)], metric);
      expect(days).toEqual([]);
      expect(refused).toEqual([{ line: 1, reason: `"${text}" is not a date` }]);
    },
  );
});

describe('rows of a weather table', () => {
  it('are taken into °C and mm', () => {
    const mapping: ColumnMapping = { ...metric, temperature: 'fahrenheit', rainUnit: 'inch' };
    const [day] = readWeatherTable([row('2026-07-16', '50', '86', '0.5')], mapping).days;
    expect(day?.minCelsius).toBeCloseTo(10, 9);
    expect(day?.maxCelsius).toBeCloseTo(30, 9);
    expect(day?.rainMillimetres).toBeCloseTo(12.7, 9);
  });

  it('say as much as is known: a gauge no degrees, a dash nothing', () => {
    const read = (...cells: Parameters<typeof row>) => readWeatherTable([row(...cells)], metric).days;
    expect(read('2026-07-16', '', '', '12')).toEqual([{ day: '2026-07-16', rainMillimetres: 12 }]);
    expect(read('2026-07-16', '-', '19', '')).toEqual([{ day: '2026-07-16', maxCelsius: 19 }]);
    expect(read('2026-07-16', '4', 'n/a', '')).toEqual([{ day: '2026-07-16', minCelsius: 4 }]);
  });

  it('may have decimal commas and no rain', () => {
    const [day] = readWeatherTable([row('2026-07-16', '9,5', '19,25', '')], metric).days;
    expect(day).toEqual({ day: '2026-07-16', minCelsius: 9.5, maxCelsius: 19.25 });
  });

  it('need no rain column', () => {
    const { rain: _, ...without } = metric;
    expect(readWeatherTable([row('2026-07-16', '9', '19', '900')], without).days).toHaveLength(1);
  });

  it.each([
    [row('2026-07-16', '', '', ''), /nothing but its date/],
    [row('2026-07-16', 'cold', '19'), /not a number/],
    [row('2026-07-16', '', '86'), /is the unit right/],
    [row('2026-07-16', '20', '19'), /coldest is warmer/],
    [row('2026-07-16', '50', '86'), /is the unit right/],
    [row('2026-07-16', '9', '19', '900'), /rain no day has/],
    [row('2026-07-16', '9', '19', '-1'), /rain no day has/],
  ])('%o is refused', (bad, reason) => {
    const { days, refused } = readWeatherTable([row('2026-07-15'), bad, row('2026-07-17')], metric);
    expect(days.map((d) => d.day)).toEqual(['2026-07-15', '2026-07-17']);
    expect(refused).toHaveLength(1);
    expect(refused[0]?.line).toBe(2);
    expect(refused[0]?.reason).toMatch(reason);
  });

  it('of one day twice the later counts and the earlier is named', () => {
    const { days, refused } = readWeatherTable(
      [row('2026-07-16', '9'), row('2026-07-15'), row('2026-07-16', '10')],
      metric,
    );
    expect(days.map((d) => [d.day, d.minCelsius])).toEqual([
      ['2026-07-15', 9],
      ['2026-07-16', 10],
    ]);
    expect(refused).toEqual([{ line: 1, reason: '2026-07-16 stands again in line 3; the later is used' }]);
  });
});

describe('weather that was written', () => {
  it('is read again as it was, half days too, and a forecast is none of it', () => {
    const days = [
      { day: '2026-07-14', minCelsius: -1.5, maxCelsius: 20.25, rainMillimetres: 0, humidityPercent: 71 },
      { day: '2026-07-15', rainMillimetres: 12.7 },
      { day: '2026-07-16', maxCelsius: 31, windMetresPerSecond: 2.5, sunHours: 9 },
    ];
    const { headings, rows } = readCsv(
      writeWeatherTable([...days, { day: '2026-07-18', maxCelsius: 30, leadDays: 2 }]),
    );
    expect(readWeatherTable(rows, guessMapping(headings, rows))).toEqual({ days, refused: [] });
  });
});

describe('guessing columns', () => {
  it.each([
    [['date', 'tmin', 'tmax', 'rain'], { date: 'date', min: 'tmin', max: 'tmax', rain: 'rain' }],
    [['DATE', 'Low °F', 'High °F', 'PRCP'], { date: 'DATE', min: 'Low °F', max: 'High °F', rain: 'PRCP' }],
    [['a', 'b'], { date: undefined, min: undefined, max: undefined, rain: undefined }],
  ])('%o', (headings, guess) => {
    expect(guessColumns(headings)).toEqual(guess);
  });
});

it('another column of days is read in the order in which its dates are written', () => {
  const rows = [{ a: '7/16/2026', b: '2026-07-16', max: '84' }];
  const mapping = guessMapping(['max', 'b'], rows);
  expect(mapping).toMatchObject({ date: 'b', dateOrder: 'ymd' });
  expect(withWeatherColumn(mapping, 'date', 'a', rows)).toMatchObject({ date: 'a', dateOrder: 'mdy' });
  expect(withWeatherColumn(mapping, 'rain', 'a', rows)).toMatchObject({ date: 'b', dateOrder: 'ymd' });
});

describe('guessing how a table is written', () => {
  const table = (headings: readonly string[], ...lines: readonly string[]) => {
    const rows = lines.map((line) =>
      Object.fromEntries(line.split(' ').map((cell, i) => [headings[i] ?? '', cell])),
    );
    return { mapping: guessMapping(headings, rows), rows };
  };
  const plain = ['date', 'min', 'max', 'rain'];

  it.each([
    ['the year first', ['2026-07-16 9 19 0', '2026-07-17 9 19 0'], 'ymd'],
    ['the day first', ['15.07.2026 9 19 0', '16.07.2026 9 19 0'], 'dmy'],
    ['the month first', ['7/15/2026 9 19 0', '7/16/2026 9 19 0'], 'mdy'],
    ['the month first, in days that could be either', ['7/1/2026 9 19 0', '7/2/2026 9 19 0'], 'mdy'],
    ['the day first, in days that could be either', ['1/7/2026 9 19 0', '2/7/2026 9 19 0'], 'dmy'],
    ['the newest on top', ['2/7/2026 9 19 0', '1/7/2026 9 19 0'], 'dmy'],
    ['without any date', ['Thursday 9 19 0'], 'ymd'],
  ])('dates with %s', (_, lines, order) => {
    expect(table(plain, ...lines).mapping.dateOrder).toBe(order);
  });

  it.each([
    ['celsius', plain, '2026-07-16 9 19 0'],
    ['celsius', ['date', 'min C', 'max C'], '2026-07-16 20 44'],
    ['fahrenheit', plain, '2026-07-16 55 84 0'],
    ['fahrenheit', ['date', 'Low °F', 'High °F'], '2026-01-16 20 33'],
    ['fahrenheit', ['date', 'tmin_f', 'tmax_f'], '2026-01-16 20 33'],
  ])('%s, by the headings %o and how warm it was', (unit, headings, line) => {
    expect(table(headings, line).mapping.temperature).toBe(unit);
  });

  it.each([
    ['rain', 'millimetre'],
    ['Rain in mm', 'millimetre'],
    ['Precip in', 'inch'],
    ['rain (inches)', 'inch'],
    ['rain_in', 'inch'],
    ['Rain (mm)', 'millimetre'],
  ])('rain under "%s" in %s', (heading, unit) => {
    expect(table(['date', 'min', 'max', heading], '2026-07-16 9 19 0').mapping.rainUnit).toBe(unit);
  });

  it.each([
    ['wind', 'm/s'],
    ['wind km/h', 'km/h'],
    ['Wind (mph)', 'mph'],
    ['wind kt', 'knots'],
  ])('wind under "%s" in %s', (heading, unit) => {
    expect(table(['date', 'min', 'max', heading], '2026-07-16 9 19 2').mapping.windUnit).toBe(unit);
  });

  it('makes a table read that has everything the other way about', () => {
    const { mapping, rows } = table(['Day', 'T max (F)', 'T min (F)', 'Precip in'], '7/2/2026 80.6 59 0.1');
    const [day] = readWeatherTable(rows, mapping).days;
    expect(day).toMatchObject({ day: '2026-07-02' });
    expect(day?.minCelsius).toBeCloseTo(15, 9);
    expect(day?.maxCelsius).toBeCloseTo(27, 9);
    expect(day?.rainMillimetres).toBeCloseTo(2.54, 9);
  });
});

describe('columns beyond temperatures and rain', () => {
  const mapping: ColumnMapping = {
    date: 'date',
    dateOrder: 'ymd',
    min: 'lo',
    max: 'hi',
    temperature: 'celsius',
    rainUnit: 'millimetre',
    humidity: 'rh',
    wind: 'wind',
    sun: 'sun',
    windUnit: 'km/h',
  };
  const row = { date: '2026-07-06', lo: '12.3', hi: '21.5', rh: '73', wind: '7.5', sun: '9.25' };

  it('are read in their units, each only where it holds a number', () => {
    expect(
      readWeatherTable([row, { ...row, date: '2026-07-07', wind: '', sun: 'n/a' }], mapping).days,
    ).toEqual([
      {
        day: '2026-07-06',
        minCelsius: 12.3,
        maxCelsius: 21.5,
        humidityPercent: 73,
        windMetresPerSecond: expect.closeTo(2.083, 3),
        sunHours: 9.25,
      },
      { day: '2026-07-07', minCelsius: 12.3, maxCelsius: 21.5, humidityPercent: 73 },
    ]);
  });

  it.each([
    [{ rh: '140' }, /humidity/],
    [{ wind: '900' }, /wind/],
    [{ sun: '25' }, /sunshine/],
  ])('refuse a row with %o, with the reason', (wrong, reason) => {
    const { days, refused } = readWeatherTable([{ ...row, ...wrong }], mapping);
    expect(days).toEqual([]);
    expect(refused[0]?.reason).toMatch(reason);
  });

  it('bring the day to Penman and Monteith; without them it goes by its temperatures', () => {
    const site = { latitudeDegrees: 50.8, normals: defaultNormals(50.8) };
    const [known] = readWeatherTable([row], mapping).days;
    if (!known) throw new Error('the row reads');
    const by = (days: Parameters<typeof completeWeather>[0]) =>
      completeWeather(days, site, '2026-07-06', '2026-07-06', DEFAULT_ASSUMED)[0];
    expect(by([known])?.by).toBe('penman-monteith');
    // near FAO-56 Example 18, whose air is about as moist
    expect(Math.abs((by([known])?.etoMillimetres ?? 0) - 3.9)).toBeLessThan(0.2);
    const { day, minCelsius, maxCelsius } = known;
    expect(by([{ day, minCelsius, maxCelsius }])?.by).toBe('hargreaves');
  });
});
