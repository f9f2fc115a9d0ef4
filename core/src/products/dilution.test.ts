import { describe, expect, it } from 'vitest';
import { FEEDS, findProduct } from '../products/index.ts';
import { feedFactsSchema, type FeedFacts, type Product, type LabelDose } from '../records/index.ts';
import { checkDose, ecOf, feedProblems, milligramsPerLitre } from './dilution.ts';
import { gramsOf, scoopsOf } from './dose.ts';
import { elementsIn } from './nutrients.ts';

const scoops = scoopsOf({ settings: { units: 'metric', assumptions: {} }, measures: [] });
const feed = (id: string) => findProduct(id) as Product;
const dose = (amount: number, unit: LabelDose['unit'], per: LabelDose['per'] = 'litre') => ({
  amount,
  unit,
  per,
});

describe('from a label to what a plant gets', () => {
  it('100 g of 4-3-8 by hand: 4 g N, 3 × 0.4364 g P, 8 × 0.8301 g K', () => {
    const found = elementsIn(100, { n: 4, p2o5: 3, k2o: 8 });
    expect(found.n).toBe(4);
    expect(found.p).toBeCloseTo(1.3092, 4);
    expect(found.k).toBeCloseTo(6.6408, 4);
  });

  it('4 mL of it in a litre by hand: 4 × 1.18 = 4.72 g, so 189 N, 62 P and 313 K mg/L', () => {
    const grams = gramsOf({ amount: 4, unit: 'millilitre' }, feed('tomato-liquid'), scoops);
    expect(grams).toBeCloseTo(4.72, 9);
    const mg = milligramsPerLitre(grams as number, feed('tomato-liquid').label);
    expect(mg.n).toBeCloseTo(188.8, 1);
    expect(mg.p).toBeCloseTo(61.8, 1);
    expect(mg.k).toBeCloseTo(313.4, 1);
  });

  it('1 g of 20-20-20 in a litre by hand: 200 N, 87 P, 166 K mg/L', () => {
    const mg = milligramsPerLitre(1, { n: 20, p2o5: 20, k2o: 20 });
    expect([mg.n, Math.round(mg.p), Math.round(mg.k)]).toEqual([200, 87, 166]);
  });

  it.each([
    ['a spoon of casts', 1, 'spoon', 'casts', 9],
    ['three teaspoons', 3, 'teaspoon', 'casts', 9],
    ['a handful of 60 mL', 1, 'handful', 'casts', 36],
    ['two spikes of 4 g', 2, 'piece', 'feed-spikes', 8],
    ['half a litre of part A', 0.5, 'litre', 'nutrient-a', 600],
  ] as const)('%s weighs what it should', (_, amount, unit, id, grams) => {
    expect(gramsOf({ amount, unit }, feed(id), { ...scoops, handful: 0.06 })).toBeCloseTo(grams, 9);
  });

  it('cannot weigh a volume without a density, and says so by giving nothing', () => {
    expect(gramsOf({ amount: 4, unit: 'millilitre' }, {}, scoops)).toBeUndefined();
    expect(gramsOf({ amount: 2, unit: 'piece' }, {}, scoops)).toBeUndefined();
  });

  it('EC by hand: 1 mmol/L of calcium nitrate is 2 meq of cations, 0.2 mS/cm', () => {
    expect(ecOf({ n: 0, p: 0, k: 0, ca: 40.078, mg: 0 }).low).toBeCloseTo(0.2, 9);
    const { low, high } = ecOf({ n: 140.07, p: 0, k: 195.49, ca: 0, mg: 0 });
    expect(low).toBeCloseTo(0.5, 4);
    expect(high).toBeCloseTo(1.5, 4);
  });
});

describe('slips of the spoon', () => {
  const label = dose(4, 'millilitre');
  it.each([
    [dose(4, 'millilitre'), 'as-label'],
    [dose(1.5, 'millilitre'), 'weak'],
    [dose(5.5, 'millilitre'), 'strong'],
    [dose(8, 'millilitre'), 'double'],
    [dose(40, 'millilitre'), 'ten-times'],
    [dose(18.184, 'millilitre'), 'per-gallon'],
    [dose(15.14, 'millilitre'), 'per-gallon'],
  ] as const)('%o against 4 mL a litre is %s', (given, kind) => {
    expect(checkDose(given, label, feed('tomato-liquid'), scoops)?.kind).toBe(kind);
  });

  it('a tablespoon where the label says a teaspoon', () => {
    const found = checkDose(dose(1, 'spoon'), dose(1, 'teaspoon'), feed('balanced-soluble'), scoops);
    expect(found?.kind).toBe('spoons-mixed');
    expect(found?.times).toBeCloseTo(3, 9);
  });

  it('does not compare a litre with a bag, nor grams with what has no density', () => {
    expect(checkDose(dose(4, 'millilitre', 'bag'), label, {}, scoops)).toBeUndefined();
    expect(checkDose(dose(4, 'gram'), label, {}, scoops)).toBeUndefined();
  });
});

describe('what is wrong with a feed, as it is typed', () => {
  const facts = (form: FeedFacts['form'], more: Partial<FeedFacts> = {}): FeedFacts => ({
    form,
    dose: dose(4, form === 'soluble' ? 'gram' : 'millilitre'),
    ...more,
  });
  const label = { n: 4, p2o5: 3, k2o: 8 };
  it.each([
    [{ label: { n: 0, p2o5: 0, k2o: 0 }, feed: facts('soluble') }, 'promises-nothing', true],
    [{ label: { n: 60, p2o5: 30, k2o: 20 }, feed: facts('soluble') }, 'over-100', true],
    [{ label, feed: facts('liquid') }, 'no-density', false],
    [
      { label, kilogramsPerLitre: 1.2, feed: facts('liquid', { dose: dose(4, 'gram') }) },
      'mass-for-liquid',
      true,
    ],
    [{ label, feed: facts('granular') }, 'volume-for-dry', true],
    [{ label, feed: facts('slow-release', { dose: dose(3, 'gram', 'mix-litre') }) }, 'no-months', true],
    [{ label, kilogramsPerLitre: 1.2, feed: facts('two-part') }, 'no-partner', true],
    [{ feed: facts('tea') }, 'no-steep', false],
    [{ label, feed: facts('spike', { dose: dose(2, 'piece', 'plant') }) }, 'no-weight', false],
  ] as const)('%o: %s', (product, code, isFatal) => {
    expect(feedProblems(product)).toContainEqual(expect.objectContaining({ code, isFatal }));
  });

  it('a label of calcium alone promises something', () => {
    expect(feedProblems({ label: { n: 0, p2o5: 0, k2o: 0, ca: 36 }, feed: facts('soluble') })).toEqual([]);
  });

  it.each(FEEDS.map((product) => [product.id, product] as const))(
    'nothing is wrong with %s, which ships',
    (_, product) => {
      expect(feedFactsSchema.parse(product.feed)).toEqual(product.feed);
      expect(feedProblems({ ...product, feed: product.feed as FeedFacts })).toEqual([]);
    },
  );
});
