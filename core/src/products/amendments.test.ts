import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { AMENDMENTS, findProduct } from './starter.ts';
import { nutrientLabelSchema, type Product } from '../records/index.ts';
import { parseDose } from './dose-text.ts';
import { amountForBag, doseSchema, gramsOf, scoopsOf, substitute } from './dose.ts';
import { addElements, asOxides, elementsIn, NO_ELEMENTS } from './nutrients.ts';

const bone = findProduct('bone-meal') as Product;
const bag = { looseLitres: 40, keptLitres: 10, stations: 2 };
const metric = { settings: { units: 'metric', assumptions: {} }, measures: [] } as const;
const scoops = scoopsOf(metric);

describe('doses', () => {
  it.each([
    // a metric tablespoon is 15 mL: 15 × 0.85 = 12.75 g
    [{ amount: 1, unit: 'spoon', per: 'bag' }, 12.75],
    [{ amount: 3, unit: 'teaspoon', per: 'bag' }, 12.75],
    // a handful of 45 mL: 38.25 g, for each of two holes
    [{ amount: 1, unit: 'handful', per: 'hole' }, 76.5],
    [{ amount: 3, unit: 'gram', per: 'litre' }, 120],
    [{ amount: 2, unit: 'gram', per: 'old-litre' }, 20],
  ] as const)('%o is %d g', (dose, grams) => {
    const amount = amountForBag({ productId: 'bone-meal', ...dose }, bag);
    expect(gramsOf(amount, bone, scoops)).toBeCloseTo(grams, 9);
  });

  it('by the spoon needs the product’s own density, by the gram does not', () => {
    expect(gramsOf({ amount: 1, unit: 'spoon' }, {}, scoops)).toBeUndefined();
    expect(gramsOf({ amount: 12, unit: 'gram' }, {}, scoops)).toBe(12);
    expect(doseSchema.safeParse({ productId: 'x', amount: 0, unit: 'gram', per: 'bag' }).success).toBe(false);
  });
});

describe('what a spoon and a hand hold', () => {
  const hand = (litres: number, more = {}) => ({
    id: 'mea_hand00000001',
    kind: 'handful' as const,
    name: 'mine',
    litres,
    createdAt: '2026-05-01T10:00:00.000+01:00',
    changedAt: '2026-05-01T10:00:00.000+01:00',
    ...more,
  });

  it('a tablespoon follows the system of units: 14.79 mL in the US, 15 mL elsewhere', () => {
    expect(scoopsOf({ ...metric, settings: { units: 'us', assumptions: {} } })).toMatchObject({
      spoon: 0.014787,
      teaspoon: 0.004929,
    });
    expect(scoops).toMatchObject({ spoon: 0.015, teaspoon: 0.005 });
  });

  it('a hand that was measured counts, one in the bin does not, and the grower’s own number stands in for it', () => {
    expect(scoopsOf({ ...metric, measures: [hand(0.06)] }).handful).toBe(0.06);
    const binned = [hand(0.06, { binnedAt: '2026-06-01T10:00:00.000+01:00' })];
    expect(scoopsOf({ ...metric, measures: binned }).handful).toBe(0.045);
    const own = { units: 'metric' as const, assumptions: { handful: 0.07 } };
    expect(scoopsOf({ settings: own, measures: binned }).handful).toBe(0.07);
  });
});

describe('an amount as people write it', () => {
  it.each([
    ['12', { amount: 12, unit: 'spoon' }],
    ['2½ handfuls', { amount: 2.5, unit: 'handful' }],
    ['1,5 kg', { amount: 1500, unit: 'gram' }],
    ['3 1/2 tbsp', { amount: 3.5, unit: 'spoon' }],
    ['3 us tablespoons', { amount: 44.361, unit: 'millilitre' }],
    ['4 oz', { amount: 113.398, unit: 'gram' }],
  ] as const)('%s', (text, value) => {
    const read = parseDose(text, 'spoon', 'metric');
    expect(read.ok && read.value.unit).toBe(value.unit);
    expect(read.ok && read.value.amount).toBeCloseTo(value.amount, 2);
  });

  it.each([
    ['', 'empty'],
    ['some', 'not-a-number'],
    ['3 shovels', 'unknown-unit'],
    ['3 cm', 'wrong-quantity'],
  ] as const)('"%s" is refused: %s', (text, reason) => {
    expect(parseDose(text, 'gram', 'metric')).toEqual({ ok: false, reason });
  });
});

describe('nutrients', () => {
  it('bone meal by hand: 100 g of 3-15-0 with 20 % Ca', () => {
    const brings = elementsIn(100, bone.label);
    expect(brings.p).toBeCloseTo(6.546, 3);
    expect(asOxides(brings)).toEqual({ n: 3, p2o5: 15, k2o: 0, ca: 20, mg: 0 });
    expect(addElements(brings, NO_ELEMENTS)).toEqual(brings);
    expect(elementsIn(100, undefined)).toEqual(NO_ELEMENTS);
  });

  it('a label beyond the whole is refused', () => {
    expect(nutrientLabelSchema.safeParse({ n: 60, p2o5: 30, k2o: 20 }).success).toBe(false);
    for (const { label } of AMENDMENTS) expect(nutrientLabelSchema.safeParse(label).success).toBe(true);
  });
});

describe('another label in place of the one asked for', () => {
  it('5-4-6 for 100 g of 5-5-5, by nitrogen: the same grams, a little less phosphate, more potash', () => {
    const wanted = elementsIn(100, { n: 5, p2o5: 5, k2o: 5 });
    const given = substitute(wanted, { n: 5, p2o5: 4, k2o: 6 }, 'n');
    expect(given?.grams).toBeCloseTo(100, 9);
    const off = asOxides(given?.off ?? NO_ELEMENTS);
    for (const [key, grams] of Object.entries({ n: 0, p2o5: -1, k2o: 1, ca: 0 }))
      expect(off[key as 'n']).toBeCloseTo(grams, 9);
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
          const wanted = elementsIn(grams, { n: 5, p2o5: 5, k2o: 5 });
          for (const by of ['n', 'p', 'k'] as const) {
            expect(substitute(wanted, { n, p2o5, k2o }, by)?.off[by]).toBeCloseTo(0, 9);
          }
        },
      ),
    );
  });

  it('cannot be done with a label that has none of it, and says so by giving nothing', () => {
    const wanted = elementsIn(100, { n: 5, p2o5: 5, k2o: 5 });
    expect(substitute(wanted, { n: 12, p2o5: 0, k2o: 0 }, 'k')).toBeUndefined();
    expect(() => substitute(NO_ELEMENTS, { n: 12, p2o5: 0, k2o: 0 }, 'n')).toThrow(/n wanted/);
  });
});
