import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Belief } from './belief.ts';
import { WATER_CELLS } from './grid.ts';

describe('what is believed', () => {
  const prior = () => Belief.prior({ mean: 0.5, sd: 0.2 }, 0.3);
  const evenly = (share: number) => new Float64Array(WATER_CELLS).fill(share);

  it('stays as it is when everything is as likely, and when nothing is', () => {
    for (const share of [1, 0.3, 0]) {
      const belief = prior();
      const before = belief.waterQuantiles([0.1, 0.5, 0.9]);
      belief.observe(evenly(share));
      belief
        .waterQuantiles([0.1, 0.5, 0.9])
        .forEach((w, n) => expect(w).toBeCloseTo(before[n] as number, 12));
    }
  });

  it('is a whole after whatever is seen, however unlikely, and lies where that is likely', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: WATER_CELLS - 1 }),
        fc.double({ min: 1e-9, max: 1, noNaN: true }),
        (cell, likely) => {
          const belief = prior();
          const weights = evenly(0);
          weights[cell] = likely;
          belief.observe(weights);
          expect(belief.chanceOf(evenly(1))).toBeCloseTo(1, 9);
          expect(belief.moments().mean).toBeCloseTo((cell + 0.5) / WATER_CELLS, 9);
          const [low, high] = belief.waterQuantiles([0.01, 0.99]) as [number, number];
          expect(low).toBeGreaterThanOrEqual(cell / WATER_CELLS);
          expect(high).toBeLessThanOrEqual((cell + 1) / WATER_CELLS);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('is left as it was in a copy, whichever of the two is asked first', () => {
    const belief = prior();
    const copy = belief.copy();
    const before = copy.moments();
    const weights = evenly(0.01);
    weights[4] = 1;
    belief.observe(weights);
    expect(belief.moments().mean).toBeLessThan(before.mean);
    copy.observe(evenly(0.5));
    expect(copy.moments().mean).toBeCloseTo(before.mean, 12);
    expect(belief.moments().mean).toBeLessThan(before.mean);
  });
});
