import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { gannetSlip } from '../../demo/index.ts';
import { liveEntries, type Draft, type Entry } from '../records/index.ts';
import { scoopsOf } from '../products/index.ts';
import { priceLogs } from './prices.ts';
import { stockOf, takenByFeed, takenByFilling } from './stock.ts';

const CONTEXT = {
  mixes: [],
  products: [],
  scoops: scoopsOf({ settings: { units: 'metric', assumptions: {} }, measures: [] }),
  assumed: DEFAULT_ASSUMED,
};
const on = (day: string) => `${day}T11:00:00.000+01:00`;
const diary = (drafts: readonly Draft[]): Entry[] =>
  drafts.map(
    (draft, i) => ({ ...draft, id: `ent_shed${String(i).padStart(3, '0')}`, recordedAt: draft.at }) as Entry,
  );
const bought = (day: string, amount: number, paid?: number): Draft => ({
  kind: 'bought',
  at: on(day),
  productId: 'coir',
  amount,
  ...(paid === undefined ? {} : { paid }),
});
const filled = (day: string, litres: number): Draft => ({
  kind: 'filled',
  at: on(day),
  containerId: 'con_abcdef',
  layers: [{ mixId: 'third-each', litres }],
  keptLitres: 0,
  amendments: [{ productId: 'lime', grams: 60, where: 'mixed' }],
});

describe('the shed', () => {
  it('is what was bought less what was used, the oldest sack first', () => {
    const [coir] = stockOf(
      diary([
        bought('2026-03-01', 20),
        bought('2026-05-01', 70),
        { kind: 'used', at: on('2026-05-02'), productId: 'coir', amount: 25 },
      ]),
      CONTEXT,
    );
    expect(coir).toMatchObject({
      productId: 'coir',
      left: 65,
      lots: [{ boughtAt: on('2026-05-01'), left: 65 }],
    });
  });

  it('is counted down by fillings, through their recipes', () => {
    const [coir] = stockOf(diary([bought('2026-03-01', 70), filled('2026-05-01', 46)]), CONTEXT);
    expect(coir?.left).toBeCloseTo(70 - 46 / 3 / 0.92, 9);
    expect(
      takenByFilling(
        { layers: [], amendments: [{ productId: 'lime', grams: 60, where: 'mixed' }] },
        [],
        DEFAULT_ASSUMED,
      ),
    ).toEqual(new Map([['lime', 0.06]]));
  });

  it('gives the lime that belongs to a mix, beside what is worked in', () => {
    const layers = [{ mixId: 'peat-perlite', litres: 20 }];
    const taken = takenByFilling(
      { layers, amendments: [{ productId: 'lime', grams: 40, where: 'mixed' }] },
      [],
      DEFAULT_ASSUMED,
    );
    expect(taken.get('lime')).toBeCloseTo(20 * 0.003 + 0.04, 9);
  });

  it('a count sets it right, whatever was reckoned, and goods never put in make no debt', () => {
    const stocks = stockOf(
      diary([
        bought('2026-03-01', 20),
        { kind: 'used', at: on('2026-03-05'), productId: 'coir', amount: 50 },
        { kind: 'counted', at: on('2026-03-09'), productId: 'coir', amount: 8 },
        filled('2026-05-01', 9.2),
      ]),
      CONTEXT,
    );
    expect(stocks).toHaveLength(1);
    expect(stocks[0]?.left).toBeCloseTo(8 - 9.2 / 3 / 0.92, 9);
    expect(stocks[0]?.moves.map((m) => m.change)).toEqual([20, -50, 38, expect.closeTo(-9.2 / 3 / 0.92, 9)]);
  });

  it('lots sum to what is left as long as no more is used than there is', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ isIn: fc.boolean(), amount: fc.double({ min: 0.1, max: 90, noNaN: true }) }), {
          maxLength: 25,
        }),
        (steps) => {
          let there = 0;
          const drafts: Draft[] = [bought('2026-01-01', 1)];
          there = 1;
          for (const { isIn, amount } of steps) {
            if (isIn) drafts.push(bought('2026-02-01', amount));
            else if (amount <= there)
              drafts.push({ kind: 'used', at: on('2026-02-01'), productId: 'coir', amount });
            else continue;
            there += isIn ? amount : -amount;
          }
          const [coir] = stockOf(diary(drafts), CONTEXT);
          expect(coir?.left).toBeCloseTo(there, 6);
          expect(coir?.lots.reduce((sum, lot) => sum + lot.left, 0)).toBeCloseTo(there, 6);
        },
      ),
    );
  });

  it('at Gannet Slip has sacks left and nothing below nothing', () => {
    const live = liveEntries(gannetSlip(7).entries);
    const stocks = stockOf(live, CONTEXT);
    expect(stocks.length).toBeGreaterThan(8);
    for (const stock of stocks) expect(stock.left, stock.productId).toBeGreaterThanOrEqual(-1e-9);
  });
});

describe('prices', () => {
  const seen = (day: string, price: number): Draft => ({
    kind: 'priced',
    at: on(day),
    productId: 'coir',
    amount: 50,
    price,
  });

  it('are per unit, with the middle as usual and the month in which it is cheapest', () => {
    const [log] = priceLogs(
      diary([seen('2025-03-10', 10), seen('2025-10-04', 6), bought('2026-03-20', 50, 9)]),
    );
    expect(log).toMatchObject({
      usualPerUnit: 0.18,
      latest: { perUnit: 0.18, isPaid: true },
      cheapestMonth: { month: 10, perUnit: 0.12 },
    });
  });

  it('of one month alone say nothing of when it is cheap, and a gift has no price', () => {
    expect(priceLogs(diary([seen('2025-03-10', 10)]))[0]?.cheapestMonth).toBeUndefined();
    expect(priceLogs(diary([bought('2026-03-20', 50)]))).toEqual([]);
  });
});

describe('what a feed takes from the shed', () => {
  it.each([
    ['45 mL of a liquid', { productId: 'tomato-liquid', amount: 45, unit: 'millilitre' }, 0.045],
    ['a spoon of a liquid', { productId: 'tomato-liquid', amount: 1, unit: 'spoon' }, 0.015],
    ['grams of a powder', { productId: 'balanced-soluble', amount: 3, unit: 'gram' }, 0.003],
    // 3 × 15 mL × 0.6
    ['spoons of casts', { productId: 'casts', amount: 3, unit: 'spoon' }, 0.027],
    ['spikes', { productId: 'feed-spikes', amount: 2, unit: 'piece' }, 2],
    ['what nobody knows', { productId: 'nothing', amount: 2, unit: 'gram' }, undefined],
    ['spikes by the gram', { productId: 'feed-spikes', amount: 2, unit: 'gram' }, undefined],
  ] as const)('%s', (_, fed, taken) => {
    const found = takenByFeed(fed, [], CONTEXT.scoops);
    if (taken === undefined) expect(found).toBeUndefined();
    else expect(found).toBeCloseTo(taken, 9);
  });

  it('counts the bottle down', () => {
    const [bottle] = stockOf(
      diary([
        { kind: 'bought', at: on('2026-05-01'), productId: 'tomato-liquid', amount: 1 },
        {
          kind: 'fed',
          at: on('2026-06-01'),
          containerId: 'con_abcdef',
          productId: 'tomato-liquid',
          amount: 40,
          unit: 'millilitre',
          litres: 10,
        },
      ]),
      CONTEXT,
    );
    expect(bottle?.left).toBeCloseTo(0.96, 9);
    expect(bottle?.moves.at(-1)).toMatchObject({ kind: 'fed', change: -0.04 });
  });
});
