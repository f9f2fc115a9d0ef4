import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anotherRound } from './index.ts';

const HOT = { day: '2026-07-10', litres: 6 };

describe('another round a day', () => {
  it('halves what goes between rounds for who comes once, when it falls opposite the first in the day’s use', () => {
    const evening = anotherRound([HOT, { day: '2026-07-11', litres: 2 }], [18], 51, DEFAULT_ASSUMED);
    expect(evening?.litresNow).toBe(6);
    expect(evening?.litresThen).toBeCloseTo(3, 0);
    // most of a July day's use is done by six: half of it lies before noon or soon after
    expect(evening?.atHour).toBeGreaterThanOrEqual(11);
    expect(evening?.atHour).toBeLessThanOrEqual(13);
  });

  it('is at midday for who comes in the morning and in the evening', () => {
    const noon = anotherRound([HOT], [8, 18], 51, DEFAULT_ASSUMED);
    expect(noon?.atHour).toBeGreaterThanOrEqual(12);
    expect(noon?.atHour).toBeLessThanOrEqual(13.5);
    expect(noon?.litresThen).toBeLessThan(0.65 * (noon?.litresNow ?? 0));
  });

  it('is at an hour at which the grower would go', () => {
    const early = anotherRound([HOT], [20], 51, { earliestRound: 6, latestRound: 8 });
    expect(early?.atHour).toBe(8);
    expect(early?.litresThen).toBeGreaterThan(
      anotherRound([HOT], [20], 51, DEFAULT_ASSUMED)?.litresThen ?? Infinity,
    );
  });

  it('never makes it worse, and is none where nothing is used', () => {
    const hours = fc.array(fc.integer({ min: 0, max: 95 }), { minLength: 1, maxLength: 4 });
    fc.assert(
      fc.property(hours, fc.integer({ min: -60, max: 60 }), (quarters, latitude) => {
        const found = anotherRound(
          [HOT],
          quarters.map((q) => q / 4),
          latitude,
          DEFAULT_ASSUMED,
        );
        if (found) expect(found.litresThen).toBeLessThan(found.litresNow);
      }),
    );
    expect(anotherRound([{ ...HOT, litres: 0 }], [18], 51, DEFAULT_ASSUMED)).toBeUndefined();
    expect(anotherRound([], [18], 51, DEFAULT_ASSUMED)).toBeUndefined();
  });
});
