import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import { describe, expect, it } from 'vitest';
import { gannetSlip } from '../../demo/index.ts';
import { liveEntries, type Draft, type Entry, type Container } from '../records/index.ts';
import { scoopsOf } from '../products/index.ts';
import { priceLogs } from './prices.ts';
import { costOf, kilowattHours, unitPrices } from './cost.ts';

const garden = gannetSlip(7);
const bag = { ...(garden.containers.find((c) => c.label === '6') as Container), price: 6 };
const on = (day: string) => `${day}T11:00:00.000+01:00`;
const diary = (drafts: readonly Draft[]): Entry[] =>
  drafts.map(
    (draft, i) => ({ ...draft, id: `ent_cost${String(i).padStart(3, '0')}`, recordedAt: draft.at }) as Entry,
  );
const scoops = scoopsOf({ settings: { units: 'metric', assumptions: {} }, measures: [] });
const money = { mixes: [], products: [], scoops, settings: { latitudeDegrees: 51 }, bagsInUse: 12 };
const prices = (productId: string) => ({ 'bought-mix': 0.2, lime: 2, string: 0.05 })[productId];
const lineOf = (cost: ReturnType<typeof costOf>, what: string) => cost.lines.find((l) => l.what === what);

const filling: Draft = {
  kind: 'filled',
  at: on('2026-05-16'),
  containerId: bag.id,
  layers: [{ mixId: 'bought', litres: 40 }],
  keptLitres: 0,
  amendments: [{ productId: 'lime', grams: 50, where: 'mixed' }],
};

describe('what a bag costs in a season', () => {
  it('spreads the bag over its seasons and the mix over its lives', () => {
    const cost = costOf(bag, diary([filling]), 2026, money, prices, DEFAULT_ASSUMED);
    // 6 over four seasons of a fabric bag; 40 L at 0.20 over two
    expect(lineOf(cost, 'bag')).toMatchObject({ price: 1.5, how: { kind: 'spread', over: 4, whole: 6 } });
    expect(lineOf(cost, 'mix')).toMatchObject({ price: 4, how: { over: 2, whole: 8 } });
    expect(lineOf(cost, 'amendments')?.price).toBeCloseTo(0.1, 9);
    expect(cost.total).toBeCloseTo(5.6, 9);
    expect(cost.unpriced).toEqual([]);
  });

  it('takes a home mix at the price that it is said to have, and not by its parts', () => {
    const mixes = [
      { id: 'mix_home01', name: 'Home', parts: [{ ingredientId: 'coir', parts: 1 }], pricePerLitre: 0.05 },
    ];
    const home = { ...filling, layers: [{ mixId: 'mix_home01', litres: 40 }], amendments: [] } as Draft;
    const cost = costOf(bag, diary([home]), 2026, { ...money, mixes }, () => undefined, DEFAULT_ASSUMED);
    expect(lineOf(cost, 'mix')).toMatchObject({ price: 1, how: { whole: 2 } });
    expect(cost.unpriced).toEqual([]);
  });

  it('spreads what lasts over its seasons, and no further', () => {
    const drip = {
      kind: 'spent',
      at: on('2026-05-01'),
      on: 'water',
      price: 60,
      containerIds: [bag.id],
      seasons: 3,
    } as Draft;
    const cane = {
      kind: 'used',
      at: on('2026-05-01'),
      productId: 'cane-long',
      amount: 3,
      containerId: bag.id,
    } as Draft;
    const priceOf = (id: string) => (id === 'cane-long' ? 1 : prices(id));
    const in_ = (year: number) => costOf(bag, diary([drip, cane]), year, money, priceOf, DEFAULT_ASSUMED);
    for (const year of [2026, 2027, 2028]) {
      expect(lineOf(in_(year), 'water')).toMatchObject({ price: 20, how: { over: 3, whole: 60 } });
      expect(lineOf(in_(year), 'supplies')).toMatchObject({ price: 1, how: { kind: 'spread', over: 3 } });
    }
    expect(lineOf(in_(2029), 'water')).toBeUndefined();
    expect(lineOf(in_(2025), 'water')).toBeUndefined();
  });

  it('counts the feeds that were bought, and not the tea that was steeped', () => {
    const feed = (productId: string, amount: number): Draft => ({
      kind: 'fed',
      at: on('2026-07-01'),
      containerId: bag.id,
      productId,
      amount,
      unit: 'millilitre',
      litres: 5,
    });
    const bottle = (productId: string) => (productId === 'tomato-liquid' ? 4 : prices(productId));
    const cost = costOf(
      bag,
      diary([feed('tomato-liquid', 50), feed('weed-tea', 500)]),
      2026,
      money,
      bottle,
      DEFAULT_ASSUMED,
    );
    // 0.05 L at 4 a litre
    expect(lineOf(cost, 'feeds')).toMatchObject({ price: 0.2, how: { kind: 'as-used' } });
    expect(cost.unpriced).toEqual([]);
    const unknown = costOf(bag, diary([feed('tomato-liquid', 50)]), 2026, money, prices, DEFAULT_ASSUMED);
    expect(unknown.unpriced).toEqual(['tomato-liquid']);
  });

  it('counts last year’s mix again, but not what was used up', () => {
    const cost = costOf(bag, diary([filling]), 2027, money, prices, DEFAULT_ASSUMED);
    expect(lineOf(cost, 'mix')?.price).toBe(4);
    expect(lineOf(cost, 'amendments')).toBeUndefined();
  });

  it('shares what was spent among the bags that it was for, or among all', () => {
    const spent = (containerIds: string[], price: number): Draft => ({
      kind: 'spent',
      at: on('2026-03-01'),
      on: 'seed',
      price,
      containerIds,
    });
    const shares = costOf(
      bag,
      diary([spent([], 24), spent([bag.id, 'con_other0'], 5), spent(['con_other0'], 99)]),
      2026,
      money,
      prices,
      DEFAULT_ASSUMED,
    );
    expect(shares.lines.filter((l) => l.what === 'seed').map((l) => l.price)).toEqual([2, 2.5]);
    expect(
      costOf(bag, diary([spent([], 24)]), 2025, money, prices, DEFAULT_ASSUMED).lines.map((l) => l.what),
    ).toEqual(['bag']);
  });

  it('counts work only for who wants it counted', () => {
    const worked: Draft = { kind: 'worked', at: on('2026-06-01'), minutes: 30, containerIds: [bag.id] };
    expect(
      lineOf(costOf(bag, diary([worked]), 2026, money, prices, DEFAULT_ASSUMED), 'work'),
    ).toBeUndefined();
    const valued = costOf(
      bag,
      diary([worked]),
      2026,
      { ...money, settings: { latitudeDegrees: 51, hourValue: 12 } },
      prices,
      DEFAULT_ASSUMED,
    );
    expect(lineOf(valued, 'work')).toMatchObject({ price: 6, how: { minutes: 30 } });
  });

  it('says what has no price', () => {
    const { price: _, ...unpricedBag } = bag;
    const used: Draft = {
      kind: 'used',
      at: on('2026-06-01'),
      productId: 'cage',
      amount: 1,
      containerId: bag.id,
    };
    const cost = costOf(unpricedBag, diary([filling, used]), 2026, money, () => undefined, DEFAULT_ASSUMED);
    expect([...cost.unpriced].sort()).toEqual(['bag', 'bought-mix', 'cage', 'lime']);
    expect(cost.total).toBe(0);
  });

  it('looks a price up by the latest in the log, then by the cheapest pack', () => {
    const logs = priceLogs(
      diary([
        { kind: 'priced', at: on('2026-01-01'), productId: 'coir', amount: 10, price: 4 },
        { kind: 'priced', at: on('2026-02-01'), productId: 'coir', amount: 10, price: 3 },
      ]),
    );
    const priceOf = unitPrices(logs, [
      { productId: 'coir', amount: 1, price: 9 },
      { productId: 'bark', amount: 40, price: 8 },
      { productId: 'bark', amount: 80, price: 12 },
      { productId: 'loam', amount: 20 },
    ]);
    expect([priceOf('coir'), priceOf('bark'), priceOf('loam')]).toEqual([0.3, 0.15, undefined]);
  });

  it('every bag of the demo has a cost with nothing unpriced', () => {
    const live = liveEntries(garden.entries);
    const priceOf = unitPrices(priceLogs(live), garden.packs);
    for (const container of garden.containers) {
      const cost = costOf(
        container,
        live,
        2026,
        { ...garden, scoops, bagsInUse: garden.containers.length },
        priceOf,
        DEFAULT_ASSUMED,
      );
      expect(cost.unpriced, container.label).toEqual([]);
      expect(cost.total).toBeGreaterThan(1);
      expect(cost.total).toBeLessThan(20);
    }
  });

  it('lamps: 60 W for 14 hours over six weeks', () => {
    expect(kilowattHours(60, 14, 42)).toBeCloseTo(35.28, 9);
  });
});
