import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import { pouringOrder } from './pouring.ts';

const trough = { kind: { id: 'trough' } };
const ring = { kind: { id: 'ring-pillow' } };
const wells = { count: 2, litres: 1.5 };
const grown = { daysSincePlanting: 60, isEstablishing: false };

describe('the order of pouring', () => {
  it('is first the plants and then the wells, in fills of each', () => {
    expect(
      pouringOrder({ stations: [1, 2], wells }, trough, { litres: 8, ...grown }, DEFAULT_ASSUMED),
    ).toEqual([
      { into: 'plants', litres: 2, eachLitres: 1 },
      { into: 'wells', litres: 6, fills: 2, count: 2 },
    ]);
  });

  it('is all to the plants while they root, and plain where there are no wells', () => {
    const young = { litres: 3, daysSincePlanting: 3, isEstablishing: true };
    expect(pouringOrder({ stations: [1], wells }, trough, young, DEFAULT_ASSUMED)).toEqual([
      { into: 'plants', litres: 3, eachLitres: 3 },
    ]);
    expect(pouringOrder({ stations: [1] }, trough, { litres: 3, ...grown }, DEFAULT_ASSUMED)).toEqual([]);
  });

  it('is inside the ring until so many days after planting, then outside', () => {
    const on = (daysSincePlanting: number) =>
      pouringOrder(
        { stations: [1] },
        ring,
        { litres: 2, daysSincePlanting, isEstablishing: false },
        DEFAULT_ASSUMED,
      )[0]?.into;
    const { ringInsideDays } = DEFAULT_ASSUMED;
    expect([on(0), on(ringInsideDays - 1), on(ringInsideDays), on(90)]).toEqual([
      'rings',
      'rings',
      'outside',
      'outside',
    ]);
  });

  it('gives out just what was asked for', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 60, noNaN: true }),
        fc.integer({ min: 1, max: 8 }),
        fc.double({ min: 0.1, max: 6, noNaN: true }),
        fc.boolean(),
        (litres, count, each, isEstablishing) => {
          const pours = pouringOrder(
            { stations: [1, 2], wells: { count, litres: each } },
            trough,
            { litres, daysSincePlanting: 30, isEstablishing },
            DEFAULT_ASSUMED,
          );
          expect(pours.reduce((sum, pour) => sum + pour.litres, 0)).toBeCloseTo(litres, 9);
        },
      ),
    );
  });
});
