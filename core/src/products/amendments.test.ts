import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { AMENDMENTS, findProduct } from './starter.ts';
import { nutrientLabelSchema, type Product } from '../records/index.ts';
import {
  addNutrients,
  asElements,
  doseSchema,
  gramsForBag,
  gramsOf,
  NO_NUTRIENTS,
  nutrientsIn,
  substitute,
} from './dose.ts';

const bone = findProduct('bone-meal') as Product;
const bag = { looseLitres: 40, stations: 2 };

describe('doses', () => {
  it.each([
    // a metric tablespoon is 15 mL: 15 × 0.85 = 12.75 g
    [{ amount: 1, unit: 'spoon', per: 'bag' }, 12.75],
    [{ amount: 3, unit: 'teaspoon', per: 'bag' }, 12.75],
    // a handful of 45 mL: 38.25 g, for each of two holes
    [{ amount: 1, unit: 'handful', per: 'hole' }, 76.5],
    [{ amount: 3, unit: 'gram', per: 'litre' }, 120],
  ] as const)('%o is %d g', (dose, grams) => {
    expect(gramsForBag({ productId: 'bone-meal', ...dose }, bone, bag, 0.045)).toBeCloseTo(grams, 9);
  });

  it('by the spoon needs the product’s own density, by the gram does not', () => {
    expect(() => gramsOf(1, 'spoon', { name: 'ash' }, 0.05)).toThrow(/density of ash/);
    expect(gramsOf(12, 'gram', { name: 'ash' }, 0.05)).toBe(12);
    expect(doseSchema.safeParse({ productId: 'x', amount: 0, unit: 'gram', per: 'bag' }).success).toBe(false);
  });
});

describe('nutrients', () => {
  it('bone meal by hand: 100 g of 3-15-0 with 20 % Ca', () => {
    const brings = nutrientsIn(100, bone.label);
    expect(brings).toEqual({ n: 3, p2o5: 15, k2o: 0, ca: 20 });
    expect(asElements(brings).p).toBeCloseTo(6.546, 3);
    expect(addNutrients(brings, NO_NUTRIENTS)).toEqual(brings);
    expect(nutrientsIn(100, undefined)).toEqual(NO_NUTRIENTS);
  });

  it('a label beyond the whole is refused', () => {
    expect(nutrientLabelSchema.safeParse({ n: 60, p2o5: 30, k2o: 20 }).success).toBe(false);
    for (const { label } of AMENDMENTS) expect(nutrientLabelSchema.safeParse(label).success).toBe(true);
  });
});

describe('another label in place of the one asked for', () => {
  it('5-4-6 for 100 g of 5-5-5, by nitrogen: the same grams, a little less phosphate, more potash', () => {
    const wanted = nutrientsIn(100, { n: 5, p2o5: 5, k2o: 5 });
    const given = substitute(wanted, { n: 5, p2o5: 4, k2o: 6 }, 'n');
    expect(given).toEqual({
      grams: 100,
      brings: { n: 5, p2o5: 4, k2o: 6, ca: 0 },
      off: { n: 0, p2o5: -1, k2o: 1, ca: 0 },
    });
  });

  it('always brings exactly what was wanted of the nutrient it goes by', () => {
    const percent = fc.double({ min: 0.1, max: 30, noNaN: true });
    fc.assert(
      fc.property(
        percent,
        percent,
        percent,
        fc.double({ min: 1, max: 500, noNaN: true }),
        (n, p2o5, k2o, grams) => {
          const wanted = nutrientsIn(grams, { n: 5, p2o5: 5, k2o: 5 });
          for (const by of ['n', 'p2o5', 'k2o'] as const) {
            expect(substitute(wanted, { n, p2o5, k2o }, by)?.off[by]).toBeCloseTo(0, 9);
          }
        },
      ),
    );
  });

  it('cannot be done with a label that has none of it, and says so by giving nothing', () => {
    const wanted = nutrientsIn(100, { n: 5, p2o5: 5, k2o: 5 });
    expect(substitute(wanted, { n: 12, p2o5: 0, k2o: 0 }, 'k2o')).toBeUndefined();
    expect(() => substitute(NO_NUTRIENTS, { n: 12, p2o5: 0, k2o: 0 }, 'n')).toThrow(/n wanted/);
  });
});
