import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CLIMATES } from '../../hidden/index.ts';
import { mixedBags } from '../../bench/season/bags.ts';
import { daily } from '../../bench/season/growers.ts';
import { FIRST_DAY, play, seasonOf } from '../../bench/season/play.ts';
import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import { learnCapacity } from './learn-capacity.ts';
import { runFilter, timelineOf, type Move, type WaterEvent } from './index.ts';

const { throughShare } = DEFAULT_ASSUMED;

/** Waterings in goes into a bag of 10 L that was known to have half of it left, each of so many litres. */
function poured(litres: readonly number[], more: Partial<Extract<WaterEvent, { kind: 'watering' }>> = {}) {
  const events = litres.map((each, n): WaterEvent => ({
    kind: 'watering',
    id: `w${n}`,
    at: '2026-07-01T18:00:00.000Z',
    litres: each,
    isMeasured: true,
    ranThrough: true,
    isInGoes: true,
    through: 'little',
    ...more,
  }));
  const moves = events.map(({ id, at }): Move => ({
    entryId: id,
    at,
    kind: 'watering',
    beforeLitres: 5,
    afterLitres: 10,
    beforeSdLitres: 0.8,
  }));
  return learnCapacity(events, moves, 10, DEFAULT_ASSUMED);
}

const fits = 5 + 10 * throughShare;

describe('what a bag holds, by what it takes', () => {
  it('is as reckoned while nothing is known, or what was poured fits', () => {
    expect(poured([]).factor).toBe(1);
    expect(poured([fits, fits, fits]).factor).toBe(1);
  });

  it('comes nearer to what is poured with each watering, and is never surer than a habit of stopping allows', () => {
    const [one, ten] = [poured([fits * 0.75]), poured(Array.from({ length: 10 }, () => fits * 0.75))];
    expect(one.factor).toBeLessThan(1);
    expect(ten.factor).toBeLessThan(one.factor);
    expect(ten.factor).toBeGreaterThan(0.75);
    expect(ten.logSd).toBeLessThan(one.logSd);
    expect(poured(Array.from({ length: 500 }, () => fits)).logSd).toBeGreaterThan(0.05);
  });

  it('learns nothing from one pour, from most run through, or from what went into a store', () => {
    for (const more of [
      { isInGoes: false },
      { through: 'most' },
      { into: 'store' },
      { ranThrough: false },
    ] as const)
      expect(poured([3, 3, 3], more)).toMatchObject({ factor: 1, waterings: 0 });
  });

  it('never leaves the prior for the sake of any litres', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0.1, max: 60, noNaN: true }), { maxLength: 30 }), (litres) => {
        const { factor, logSd } = poured(litres);
        expect(factor).toBeGreaterThan(0);
        expect(logSd).toBeLessThanOrEqual(DEFAULT_ASSUMED.capacitySpread + 1e-12);
      }),
    );
  });

  it('finds out a size that is entered a fifth too large within a month', () => {
    const season = seasonOf(77, CLIMATES.hot, 40);
    const errors = mixedBags(5, 12, FIRST_DAY).map((test) => {
      const bag = { ...test.seen, availableLitres: test.hidden().make.availableLitres * 1.2 };
      const events: WaterEvent[] = [];
      const at = (n: number, minute: string) => `${season.known[n]?.day ?? ''}T18:${minute}:00.000+01:00`;
      const grower = daily(2);
      play(
        test,
        season,
        {
          ...grower,
          pours: (n, grade) => {
            events.push({ kind: 'check', id: `c${n}`, at: at(n, '00'), check: { method: 'finger', grade } });
            return grower.pours(n, grade);
          },
          poured: (n, litres, through, isInGoes) =>
            events.push({
              kind: 'watering',
              id: `w${n}`,
              at: at(n, '05'),
              litres,
              isMeasured: true,
              ranThrough: through !== 'none',
              ...(through === 'none' ? {} : { through }),
              isInGoes,
            }),
        },
        30,
      );
      const steps = timelineOf(
        bag,
        season.known,
        season.site.latitudeDegrees,
        DEFAULT_ASSUMED,
      )(events, `${FIRST_DAY}T08:00:00.000+01:00`, at(29, '45'));
      const { moves } = runFilter(bag, steps, DEFAULT_ASSUMED).estimate;
      return Math.log(1.2 * learnCapacity(events, moves, bag.availableLitres, DEFAULT_ASSUMED).factor);
    });
    const mean = errors.reduce((sum, e) => sum + e, 0) / errors.length;
    // most of the fifth is found; what is left is the prior's share and this grower's habit of stopping
    expect(Math.abs(mean)).toBeLessThan(Math.log(1.2) / 2);
  });
});
