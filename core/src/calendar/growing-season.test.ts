import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, growingSeason, seasonName, seasonYearOf } from './index.ts';

describe('a growing season', () => {
  it.each([
    ['2026-01-01', 51, 2026],
    ['2026-12-31', 51, 2026],
    ['2026-06-30', -33, 2025],
    ['2026-07-01', -33, 2026],
    ['2027-02-14', -33, 2026],
    ['2026-03-01', 0, 2026],
  ])('of %s at %d° begins in %d', (day, latitude, year) => {
    expect(seasonYearOf(day, latitude)).toBe(year);
  });

  it('holds every day of which it is said to be, and the next day is of it or of the next', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 20_000 }),
        fc.integer({ min: -66, max: 66 }),
        (after, latitude) => {
          const day = addDays('1990-01-01', after);
          const year = seasonYearOf(day, latitude);
          const { from, to } = growingSeason(year, latitude);
          expect(day >= from && day <= to).toBe(true);
          expect(seasonYearOf(addDays(to, 1), latitude)).toBe(year + 1);
          expect(addDays(to, 1)).toBe(growingSeason(year + 1, latitude).from);
        },
      ),
    );
  });

  it('is called by one year in the north, and by two in the south', () => {
    expect([seasonName(2026, 51), seasonName(2026, -33), seasonName(2099, -33)]).toEqual([
      '2026',
      '2026/27',
      '2099/00',
    ]);
  });
});
