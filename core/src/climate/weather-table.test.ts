import { describe, expect, it } from 'vitest';
import { guessColumns, readWeatherTable, type ColumnMapping } from './index.ts';

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

  it('may have decimal commas and no rain', () => {
    const [day] = readWeatherTable([row('2026-07-16', '9,5', '19,25', '')], metric).days;
    expect(day).toEqual({ day: '2026-07-16', minCelsius: 9.5, maxCelsius: 19.25 });
  });

  it('need no rain column', () => {
    const { rain: _, ...without } = metric;
    expect(readWeatherTable([row('2026-07-16', '9', '19', '900')], without).days).toHaveLength(1);
  });

  it.each([
    [row('2026-07-16', '', '19'), /missing or not a number/],
    [row('2026-07-16', 'cold', '19'), /missing or not a number/],
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

describe('guessing columns', () => {
  it.each([
    [['date', 'tmin', 'tmax', 'rain'], { date: 'date', min: 'tmin', max: 'tmax', rain: 'rain' }],
    [['DATE', 'Low °F', 'High °F', 'PRCP'], { date: 'DATE', min: 'Low °F', max: 'High °F', rain: 'PRCP' }],
    [['a', 'b'], { date: undefined, min: undefined, max: undefined, rain: undefined }],
  ])('%o', (headings, guess) => {
    expect(guessColumns(headings)).toEqual(guess);
  });
});
