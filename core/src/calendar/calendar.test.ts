import * as fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, dayOfYear, daysBetween, isDay } from './index.ts';

const DAY = 86_400_000;
const dayOfDate = (number: number) => new Date(number * DAY).toISOString().slice(0, 10);
/** days since 1970, from the year 1600 to 2600 */
const number = fc.integer({ min: -135_000, max: 230_000 });

describe('the calendar', () => {
  it('counts days as dates do, over leap years, centuries and turns of the year', () => {
    fc.assert(
      fc.property(number, fc.integer({ min: -40_000, max: 40_000 }), (from, days) => {
        const day = dayOfDate(from);
        expect(addDays(day, days)).toBe(dayOfDate(from + days));
        expect(daysBetween(day, dayOfDate(from + days))).toBe(days);
      }),
      { numRuns: 2000 },
    );
  });

  it.each([
    ['2000-02-28', 1, '2000-02-29'],
    ['1900-02-28', 1, '1900-03-01'],
    ['2100-02-28', 1, '2100-03-01'],
    ['2027-12-31', 1, '2028-01-01'],
    ['2028-03-01', -1, '2028-02-29'],
    ['2026-05-05', 0, '2026-05-05'],
  ])('%s and %i days is %s', (day, days, then) => {
    expect(addDays(day, days)).toBe(then);
    expect(daysBetween(day, then)).toBe(days);
  });

  it('numbers the days of a year, and knows which exist', () => {
    expect(['2026-01-01', '2026-12-31', '2028-12-31'].map(dayOfYear)).toEqual([1, 365, 366]);
    expect(['2028-02-29', '2026-02-29', '2026-13-01', '26-01-01'].map(isDay)).toEqual([
      true,
      false,
      false,
      false,
    ]);
  });
});
