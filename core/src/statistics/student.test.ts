import { describe, expect, it } from 'vitest';
import {
  chanceFrom,
  gammaQuantile,
  groupedBy,
  studentBelow,
  studentPower,
  studentQuantile,
} from './index.ts';

describe('Student’s t', () => {
  // tables of any statistics book
  it.each([
    [1, 0.95, 6.3138],
    [2, 0.975, 4.3027],
    [5, 0.95, 2.015],
    [10, 0.975, 2.2281],
    [30, 0.995, 2.75],
    [1e6, 0.975, 1.96],
  ])('with %d degrees of freedom lies below its %f quantile as often', (df, p, t) => {
    expect(studentQuantile(p, df)).toBeCloseTo(t, 2);
    expect(studentBelow(t, df)).toBeCloseTo(p, 4);
  });

  it('is even, and its quantiles turn back', () => {
    for (const df of [1, 2.5, 7, 40])
      for (const p of [0.03, 0.2, 0.5, 0.9]) {
        expect(studentBelow(studentQuantile(p, df), df)).toBeCloseTo(p, 8);
        expect(studentQuantile(1 - p, df)).toBeCloseTo(-studentQuantile(p, df), 6);
      }
  });

  it('finds a difference as often as drawing says that it does', () => {
    const chance = chanceFrom(4);
    const [df, ratio, rounds] = [6, 2.2, 20_000];
    const critical = studentQuantile(0.975, df);
    let found = 0;
    for (let i = 0; i < rounds; i++) {
      const spread = Math.sqrt(chance.gamma(df / 2, 2) / df);
      if (Math.abs((ratio + chance.normal()) / spread) > critical) found += 1;
    }
    expect(studentPower(ratio, df, 0.05)).toBeCloseTo(found / rounds, 2);
  });

  it('calls nothing real more often than it may, whatever the degrees', () => {
    for (const df of [1, 2, 5, 20, 100]) expect(studentPower(0, df, 0.05)).toBeCloseTo(0.05, 2);
  });
});

describe('gamma quantiles', () => {
  it.each([1, 3, 12, 60])('of shape %d part nine tenths from the rest', (shape) => {
    const chance = chanceFrom(9);
    const draws = Array.from({ length: 20_000 }, () => chance.gamma(shape, 2)).sort((a, b) => a - b);
    for (const p of [0.05, 0.5, 0.95] as const) {
      const drawn = draws[Math.floor(p * draws.length)] as number;
      expect(Math.abs(gammaQuantile(p, shape, 2) - drawn) / (2 * shape)).toBeLessThan(0.05);
    }
  });
});

describe('rows by a key', () => {
  it('keep their order and their number', () => {
    const groups = groupedBy(['bag', 'can', 'bowl', 'cane'], (word) => word[0]);
    expect([...groups.keys()]).toEqual(['b', 'c']);
    expect(groups.get('b')).toEqual(['bag', 'bowl']);
    expect([...groups.values()].flat()).toHaveLength(4);
  });
});
