import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, dayOf, isRoundDay, roundDayShare, roundsAfter, type RoundDays } from './index.ts';

const NOW = '2026-07-16T12:00:00.000+01:00';
const days = (roundDays: RoundDays | undefined, count: number) =>
  roundsAfter(NOW, [9], count, roundDays).map((at) => dayOf(at).slice(8));

describe('rounds on some days only', () => {
  it('every third day are counted from the day that was chosen', () => {
    expect(days({ by: 'every', days: 3, from: '2026-07-14' }, 3)).toEqual(['17', '20', '23']);
    // also before it
    expect(days({ by: 'every', days: 3, from: '2026-07-29' }, 2)).toEqual(['17', '20']);
  });

  it('at weekends are the next Saturdays and Sundays', () => {
    expect(days({ by: 'weekdays', weekdays: [6, 7] }, 4)).toEqual(['18', '19', '25', '26']);
  });

  it('look no further than three weeks, but always to two rounds', () => {
    expect(days({ by: 'every', days: 7, from: '2026-07-16' }, 20)).toHaveLength(3);
    expect(days({ by: 'every', days: 31, from: '2026-07-16' }, 20)).toHaveLength(2);
  });

  it('come as often as their share says', () => {
    const some = fc.oneof(
      fc.record({
        by: fc.constant('every' as const),
        days: fc.constantFrom(2, 3, 6, 7),
        from: fc.constant('2026-07-16'),
      }),
      fc.record({
        by: fc.constant('weekdays' as const),
        weekdays: fc.uniqueArray(fc.integer({ min: 1, max: 7 }), { minLength: 1 }),
      }),
    );
    fc.assert(
      fc.property(some, (roundDays) => {
        const span = Array.from({ length: 42 }, (_, i) => addDays('2026-07-16', i));
        expect(span.filter((day) => isRoundDay(day, roundDays)).length).toBeCloseTo(
          42 * roundDayShare(roundDays),
          9,
        );
      }),
    );
  });
});
