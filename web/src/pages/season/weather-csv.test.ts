import { DEMO_EVENING, gannetSlip } from '@rundel/core/demo';
import { liveEntries } from '@rundel/core/records';
import { describe, expect, it } from 'vitest';
import { firstMapping, isWhole, mappingSchema, readWeatherFile, sortDays } from './weather-csv.ts';

describe('a CSV as a table', () => {
  it.each([
    ['commas', 'Date,Min,Max\n2026-06-01,9,19\n'],
    ['semicolons and decimal commas', 'Date;Min;Max\n2026-06-01;9,5;19,1\n'],
    ['tabs', 'Date\tMin\tMax\n2026-06-01\t9\t19\n'],
    ['quotes and blank lines', '"Date","Min","Max"\n\n"2026-06-01","9","19"\n\n'],
    ['a byte order mark', '\ufeffDate,Min,Max\n2026-06-01,9,19\n'],
  ])('is read with %s', (_, text) => {
    const table = readWeatherFile('days.csv', text);
    if ('problem' in table) throw new Error(table.problem);
    expect(table.headings).toEqual(['Date', 'Min', 'Max']);
    expect(table.rows).toHaveLength(1);
    expect(table.rows[0]?.['Date']).toBe('2026-06-01');
  });

  it.each([
    ['', /no column/],
    ['just words', /one column/],
    ['Date,Min,Max\n', /no rows/],
  ])('"%s" is refused with the reason', (text, reason) => {
    const table = readWeatherFile('days.csv', text);
    expect('problem' in table && table.problem).toMatch(reason);
  });
});

describe('the columns', () => {
  const headings = ['Day', 'T low', 'T high', 'Precip'];
  const file = (names: readonly string[], rows: readonly (readonly string[])[] = []) => ({
    name: 'days.csv',
    headings: names,
    rows: rows.map((cells) => Object.fromEntries(names.map((name, i) => [name, cells[i] ?? '']))),
  });

  it('are guessed by their headings', () => {
    expect(firstMapping(file(headings), undefined)).toMatchObject({
      date: 'Day',
      min: 'T low',
      max: 'T high',
      rain: 'Precip',
    });
  });

  it('are as they were last time where this file has them', () => {
    const last = {
      date: 'Day',
      dateOrder: 'dmy',
      min: 'T high',
      max: 'T low',
      temperature: 'fahrenheit',
      rainUnit: 'inch',
    } as const;
    const rows = [['16.7.2026', '84', '55', '0']];
    expect(firstMapping(file(headings, rows), last)).toBe(last);
    // the day is found by what stands there, whatever it is called
    expect(firstMapping(file(['a', 'b', 'c'], rows), last)).toMatchObject({ date: 'a', dateOrder: 'dmy' });
  });

  it('are guessed anew where nothing of this file reads as it did last time', () => {
    const last = firstMapping(file(headings, [['2026-07-16', '9', '19']]), undefined);
    expect(firstMapping(file(headings, [['16.7.2026', '9', '19']]), last)).toEqual({
      ...last,
      dateOrder: 'dmy',
    });
  });

  it('are not whole until the date is chosen, and something of the day', () => {
    const gauge = firstMapping(file(['Date', 'Rain mm']), undefined);
    expect(isWhole(gauge)).toBe(true);
    expect(isWhole({ ...gauge, rain: '' })).toBe(false);
    expect(isWhole(firstMapping(file(headings), undefined))).toBe(true);
    expect(isWhole(firstMapping(file(['a', 'b', 'c']), undefined))).toBe(false);
  });

  it('remembered by another version in another shape are forgotten', () => {
    expect(mappingSchema.safeParse({ date: 'Day' }).success).toBe(false);
    expect(mappingSchema.safeParse(firstMapping(file(headings), undefined)).success).toBe(true);
  });
});

describe('a file against what is known', () => {
  const live = liveEntries(gannetSlip(3).entries);
  const known = live.find((e) => e.kind === 'weather');
  if (known?.kind !== 'weather') throw new Error('the demo has weather');
  const same = {
    day: known.day,
    minCelsius: known.minCelsius ?? NaN,
    maxCelsius: known.maxCelsius ?? NaN,
    rainMillimetres: known.rainMillimetres ?? 0,
  };

  it('sorts its days into new, the same, at odds and to come', () => {
    const rows = [
      same,
      { day: '2026-06-13', minCelsius: 8, maxCelsius: 18 },
      { ...same, day: '2026-06-15', maxCelsius: 44 },
      { day: '2026-08-01', minCelsius: 8, maxCelsius: 18 },
    ];
    const sorted = sortDays(rows, live, DEMO_EVENING.slice(0, 10));
    expect(sorted.fresh.map((r) => r.day)).toEqual(['2026-06-13']);
    expect(sorted.same).toBe(1);
    expect(sorted.different.map((r) => r.day)).toEqual(['2026-06-15']);
    expect(sorted.future).toBe(1);
  });

  it('a file that knows less of a day is not at odds with it', () => {
    const { rainMillimetres: _, ...dry } = same;
    expect(sortDays([dry], live, '2026-07-16')).toMatchObject({ same: 1, different: [], more: [] });
  });

  it('what a file knows more of a day is taken, and only that', () => {
    const gauge = live.map((e) =>
      e === known ? { ...e, minCelsius: undefined, maxCelsius: undefined, rainMillimetres: 4 } : e,
    ) as typeof live;
    const row = { ...same, rainMillimetres: 6 };
    expect(sortDays([row], gauge, '2026-07-16')).toMatchObject({
      different: [row],
      more: [{ day: same.day, minCelsius: same.minCelsius, maxCelsius: same.maxCelsius }],
    });
    // a warmest below the coldest that is here goes with nothing
    const night = live.map((e) =>
      e === known ? { ...e, minCelsius: 30, maxCelsius: undefined } : e,
    ) as typeof live;
    expect(sortDays([{ day: same.day, maxCelsius: 18 }], night, '2026-07-16')).toMatchObject({
      different: [{ maxCelsius: 18 }],
      more: [],
    });
  });
});
