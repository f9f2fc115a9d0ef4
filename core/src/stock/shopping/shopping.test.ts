import { DEFAULT_ASSUMED } from '../../assumed/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { mixOf } from '../../mixes/index.ts';
import { coverOnGrid } from './grid.ts';
import { coverBySearch } from './search.ts';
import { cheapestCover, type OfferedPack } from './cover.ts';
import { needsOf, shoppingList } from './plan.ts';

/** The slow, obvious way: every count of every pack up to what covers the need alone. */
function bruteForce(need: number, packs: readonly OfferedPack[]): { price: number; amount: number } {
  let best = { price: Infinity, amount: Infinity };
  const search = (at: number, amount: number, price: number): void => {
    if (amount >= need - 1e-9) {
      if (price < best.price - 1e-9 || (price < best.price + 1e-9 && amount < best.amount))
        best = { price, amount };
      return;
    }
    const pack = packs[at];
    if (!pack) return;
    for (let count = 0; count <= Math.ceil(need / pack.amount); count++) {
      search(at + 1, amount + count * pack.amount, price + count * pack.price);
    }
  };
  search(0, 0, 0);
  return best;
}

const offers = fc
  .array(fc.record({ amount: fc.integer({ min: 3, max: 70 }), price: fc.integer({ min: 0, max: 2000 }) }), {
    minLength: 1,
    maxLength: 4,
  })
  .map((list) => list.map((p, i) => ({ id: `p${i}`, amount: p.amount, price: p.price / 100 })));

describe('the cheapest cover', () => {
  it('is feasible, and no cheaper one exists: against brute force', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 160 }), offers, (need, packs) => {
        const cover = cheapestCover(need, packs);
        const slow = bruteForce(need, packs);
        const sum = (of: 'amount' | 'price') =>
          (cover?.packs ?? []).reduce(
            (s, c) => s + c.count * (packs.find((p) => p.id === c.id)?.[of] ?? NaN),
            0,
          );
        expect(sum('amount')).toBeGreaterThanOrEqual(need - 1e-9);
        expect(sum('price')).toBeCloseTo(slow.price, 6);
        expect(cover?.price).toBeCloseTo(slow.price, 6);
        expect(cover?.amount).toBeCloseTo(slow.amount, 6);
      }),
      { numRuns: 400 },
    );
  });

  it('is the same by either way of finding it, whatever the sizes', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 160 }), offers, (need, packs) => {
        const sorted = [...packs].sort((a, b) => a.price / a.amount - b.price / b.amount);
        const by = (counts: readonly number[] | undefined, of: 'amount' | 'price') =>
          sorted.reduce((sum, pack, i) => sum + pack[of] * (counts?.[i] ?? NaN), 0);
        const grid = coverOnGrid(need, sorted);
        const search = coverBySearch(need, sorted);
        expect(by(search, 'price')).toBeCloseTo(by(grid, 'price'), 6);
        expect(by(search, 'amount')).toBeCloseTo(by(grid, 'amount'), 6);
      }),
    );
    // cubic feet have no common measure with litres: the search takes over
    const odd = [
      { id: 'foot', amount: 28.316847, price: 5 },
      { id: 'litres', amount: 20, price: 4 },
    ];
    expect(coverOnGrid(100, odd)).toBeUndefined();
    expect(cheapestCover(100, odd)?.price).toBeCloseTo(bruteForce(100, odd).price, 9);
  });

  it('is not "round up the biggest": 100 L in sixties and twenties', () => {
    const packs = [
      { id: 'large', amount: 60, price: 9 },
      { id: 'small', amount: 20, price: 4 },
    ];
    expect(cheapestCover(100, packs)).toMatchObject({ price: 17, over: 0 });
    expect(cheapestCover(0, packs)).toEqual({ packs: [], price: 0, amount: 0, over: 0 });
  });

  it('takes a bigger pack when it costs no more, and the lesser rest of two equal prices', () => {
    expect(
      cheapestCover(30, [
        { id: 'a', amount: 30, price: 5 },
        { id: 'b', amount: 60, price: 4 },
      ]),
    ).toMatchObject({
      packs: [{ id: 'b', count: 1 }],
      over: 30,
    });
    expect(
      cheapestCover(30, [
        { id: 'a', amount: 50, price: 6 },
        { id: 'b', amount: 15, price: 3 },
      ]),
    ).toMatchObject({
      packs: [{ id: 'b', count: 2 }],
      over: 0,
    });
  });

  it('counts thirds exactly enough: three packs of 0.1 cover 0.3', () => {
    expect(cheapestCover(0.3, [{ id: 'a', amount: 0.1, price: 1 }])?.packs).toEqual([{ id: 'a', count: 3 }]);
  });

  it('refuses a pack without a size and a need that is no number; without packs there is nothing', () => {
    expect(() => cheapestCover(3, [{ id: 'odd', amount: 0, price: 1 }])).toThrow(/pack odd/);
    expect(() => cheapestCover(NaN, [])).toThrow(/need/);
    expect(cheapestCover(3, [])).toBeUndefined();
  });
});

describe('a shopping list', () => {
  const bags = [
    { mix: mixOf('third-each'), looseLitres: 46, amendments: new Map([['balanced-organic', 0.09]]) },
    { mix: mixOf('third-each'), looseLitres: 46 },
    { mix: mixOf('peat-perlite'), looseLitres: 20 },
  ];

  it('sums ingredients over all bags, with lime and amendments', () => {
    const needs = needsOf(bags, DEFAULT_ASSUMED);
    expect(needs.get('coir')).toBeCloseTo(92 / 3 / 0.92, 9);
    expect(needs.get('perlite')).toBeCloseTo(92 / 3 / 0.92 + 5 / 0.92, 9);
    expect(needs.get('lime')).toBeCloseTo(0.06, 9);
    expect(needs.get('balanced-organic')).toBe(0.09);
  });

  it('takes from the shed first, buys the rest, and says what has no price or pack', () => {
    const packs = [
      { id: 'c70', productId: 'coir', amount: 70, price: 13.5 },
      { id: 'c9', productId: 'coir', amount: 9, price: 2.6 },
      { id: 'p10', productId: 'perlite', amount: 10 },
    ];
    const list = shoppingList(
      needsOf(bags, DEFAULT_ASSUMED),
      packs,
      new Map([
        ['coir', 25],
        ['peat', 500],
        ['lime', -2],
      ]),
    );
    const line = (productId: string) => list.lines.find((l) => l.productId === productId);
    expect(line('coir')).toMatchObject({ fromShed: 25, plan: { kind: 'packs', cover: { price: 2.6 } } });
    expect(line('peat')).toMatchObject({ toBuy: 0, plan: { kind: 'enough' } });
    expect(line('perlite')?.plan).toMatchObject({
      kind: 'unpriced',
      cover: { packs: [{ id: 'p10', count: 4 }] },
    });
    expect(line('lime')).toMatchObject({ fromShed: 0, plan: { kind: 'no-packs' } });
    expect(list.price).toBe(2.6);
    expect(list.unpriced).toContain('garden-compost');
    expect(list.unpriced).not.toContain('peat');
  });
});
