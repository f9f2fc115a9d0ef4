import { describe, expect, it } from 'vitest';
import { sharedAmong, splitByFruits } from './sharing.ts';

describe('an amount that several bags share', () => {
  it('comes to the same in all, with whole fruits, and is not told as typed of each', () => {
    const shares = sharedAmong({ kilograms: 1, count: 7, asEntered: '1 kg' }, 3);
    expect(shares.reduce((sum, { kilograms = 0 }) => sum + kilograms, 0)).toBeCloseTo(1, 12);
    expect(shares.map(({ count }) => count)).toEqual([3, 2, 2]);
    expect(shares.some((share) => 'asEntered' in share)).toBe(false);
  });

  it('what was got for all of it is not got for each', () => {
    expect(sharedAmong({ kilograms: 2, soldFor: 6 }, 2).map(({ soldFor }) => soldFor)).toEqual([3, 3]);
    expect(sharedAmong({ count: 3, soldFor: 6 }, 2).map(({ soldFor }) => soldFor)).toEqual([4, 2]);
    expect(splitByFruits({ kilograms: 2, soldFor: 6 }, [1, 0, 2]).map(({ soldFor }) => soldFor)).toEqual([
      2,
      undefined,
      4,
    ]);
  });

  it('says nothing of a bag to which none fell, and keeps what is no amount', () => {
    expect(sharedAmong({ count: 1 }, 2)).toEqual([{ count: 1 }, {}]);
    expect(sharedAmong({ litres: 10, ranThrough: true }, 4)).toEqual(
      Array.from({ length: 4 }, () => ({ litres: 2.5, ranThrough: true })),
    );
  });
});

describe('one bowl by the fruits of each', () => {
  it('gives each its part of the weight, loses nothing of it, and leaves the typed words out', () => {
    const parts = splitByFruits({ kilograms: 1.3, count: 6, asEntered: '1.3 kg', stage: 'ripe' }, [4, 0, 2]);
    expect(parts.map(({ count }) => count)).toEqual([4, undefined, 2]);
    expect(parts.reduce((sum, { kilograms = 0 }) => sum + kilograms, 0)).toBeCloseTo(1.3, 10);
    expect(parts.every((part) => !('asEntered' in part) && part.stage === 'ripe')).toBe(true);
  });

  it('by count alone has no weight', () => {
    expect(splitByFruits({ count: 3 }, [1, 2])).toEqual([{ count: 1 }, { count: 2 }]);
  });
});
