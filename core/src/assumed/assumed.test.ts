import { describe, expect, it } from 'vitest';
import { CROPS, expectedHeightMillimetres, grownShare, habitFigures, habitOf } from '../plants/index.ts';
import { MIXES, mixOf } from '../mixes/index.ts';
import {
  ASSUMPTION_THEMES,
  ASSUMPTIONS,
  DEFAULT_ASSUMED,
  resolveAssumed,
  type AssumptionName,
} from './index.ts';

const names = Object.keys(ASSUMPTIONS) as AssumptionName[];

describe('the table of assumptions', () => {
  it.each(names)('%s lies inside its own range and says why', (name) => {
    const { value, low, high, unit, reason } = ASSUMPTIONS[name];
    expect(value).toBeGreaterThanOrEqual(low);
    expect(value).toBeLessThanOrEqual(high);
    expect(low).toBeLessThan(high);
    expect(unit).not.toBe('');
    expect(reason.length).toBeGreaterThan(15);
  });

  it('takes the grower’s own inside the range and no other', () => {
    const mine = resolveAssumed({ risk: 0.3, headroom: 5000, nonsense: 1 });
    expect(mine.risk).toBe(0.3);
    expect(mine.headroom).toBe(DEFAULT_ASSUMED.headroom);
    expect('nonsense' in mine).toBe(false);
  });

  it('is read in themes that have every one of them once', () => {
    const read = ASSUMPTION_THEMES.flatMap(({ assumptions }) => Object.keys(assumptions));
    expect(read).toEqual(names);
    expect(new Set(read).size).toBe(read.length);
    expect(new Set(ASSUMPTION_THEMES.map(({ name }) => name)).size).toBe(ASSUMPTION_THEMES.length);
  });

  it('is not changed by what one garden overrides', () => {
    resolveAssumed({ risk: 0.3 });
    expect(DEFAULT_ASSUMED.risk).toBe(0.15);
  });
});

describe('crops as data', () => {
  it('have the mid and end coefficients of FAO-56 Table 12', () => {
    expect(CROPS.map((c) => [c.id, c.kcMid, c.kcEnd])).toEqual([
      ['tomato', 1.15, 0.8],
      ['pepper', 1.05, 0.9],
      ['aubergine', 1.05, 0.9],
      ['cucumber', 1, 0.75],
    ]);
  });

  it('bury only tomatoes', () => {
    expect(CROPS.filter((c) => c.depth === 'stem-roots').map((c) => c.id)).toEqual(['tomato']);
  });

  it.each(CROPS.flatMap((c) => c.habits.map((h) => [c.id, h.id] as const)))(
    '%s, %s has priors inside their ranges',
    (cropId, habitId) => {
      const habit = habitOf(cropId, habitId);
      for (const { value, low, high } of [
        habit.fullHeightMillimetres,
        habit.canopySquareMetres,
        habit.weeksToFull,
      ]) {
        expect(value).toBeGreaterThan(low);
        expect(value).toBeLessThan(high);
      }
      const own = habitFigures(cropId, habit, {
        [`${cropId}.${habitId}.weeksToFull`]: habit.weeksToFull.high,
      });
      expect(own.weeksToFull).toBe(habit.weeksToFull.high);
      expect(habitFigures(cropId, habit, { [`${cropId}.${habitId}.weeksToFull`]: 999 }).weeksToFull).toBe(
        habit.weeksToFull.value,
      );
    },
  );

  it('name what there is when asked for what is not there', () => {
    expect(() => mixOf('gravel')).toThrow(/gravel.*bought/);
  });
});

describe('growth', () => {
  it('only ever goes up, from a seedling to nine tenths at its weeks', () => {
    const shares = Array.from({ length: 150 }, (_, day) => grownShare(day, 10));
    expect([...shares].sort((a, b) => a - b)).toEqual(shares);
    expect(shares[70]).toBeCloseTo(0.9, 6);
    // seed that is not as large as a young plant yet
    expect(grownShare(-5, 10)).toBeLessThan(shares[0] ?? 0);
  });

  it('starts at the height at planting and never shrinks a tall seedling', () => {
    const micro = { fullHeightMillimetres: 250, weeksToFull: 6 };
    expect(expectedHeightMillimetres(micro, 300, 0)).toBeCloseTo(300, 6);
    // taller than its kind ever gets already: a fifth more at most
    expect(expectedHeightMillimetres(micro, 300, 100)).toBeGreaterThan(300);
    expect(expectedHeightMillimetres(micro, 300, 1000)).toBeLessThanOrEqual(360);
  });
});

describe('mixes as data', () => {
  it.each(MIXES.map((m) => [m.id, m] as const))('%s lies inside the published ranges', (_, mix) => {
    expect(mix.capacity).toBeGreaterThanOrEqual(0.45);
    expect(mix.capacity).toBeLessThanOrEqual(0.65);
    expect(mix.unavailable).toBeGreaterThanOrEqual(0.25);
    expect(mix.unavailable).toBeLessThanOrEqual(0.35);
    expect(mix.settling).toBeGreaterThanOrEqual(0.08);
    expect(mix.settling).toBeLessThanOrEqual(0.15);
  });
});
