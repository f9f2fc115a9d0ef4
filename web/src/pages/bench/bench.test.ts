import { DEFAULT_ASSUMED } from '@rundel/core/assumed';
import { containerKind } from '@rundel/core/bags';
import { cropOf, habitOf } from '@rundel/core/plants';
import { gannetSlip } from '@rundel/core/demo';
import { liveEntries, type Entry, type Product } from '@rundel/core/records';
import { findProduct, scoopsOf } from '@rundel/core/products';
import { mixOf } from '@rundel/core/mixes';
import { shoppingList } from '@rundel/core/stock';
import { readCsv } from '@rundel/core/csv';
import { describe, expect, it } from 'vitest';
import { productAmount, grams, priceUnit } from '../../text/product-text.ts';
import { moneyIn, unitFormatIn, type Bag } from '../../store/index.ts';
import {
  EMPTY_PLAN,
  fillsOf,
  readDoseText,
  withoutDoubled,
  withRefresh,
  readKept,
  type DoseText,
} from './bags-and-mix/fill-plan.ts';
import { FILM_FIELDS, filmStart, orderOf } from './bags-and-mix/film-form.ts';
import { productUnitSymbol, readProductAmount } from '../../text/product-amount.ts';
import { floorFields, showArea, showLoad } from './bags-and-mix/load-texts.ts';
import { mixPricePerLitre } from '@rundel/core/stock';
import { listAsCsv, listAsText, packsWords } from './money/shop-text.ts';
import { isFilled, troubleIn, trySizes } from '@rundel/core/garden-state';
import { readForm } from '../../ui/form/index.ts';
import { fieldsIn } from '../../../test/field-context.ts';
import { bagOf } from '../../store/bags.ts';

const garden = gannetSlip(3);
const live = liveEntries(garden.entries);
const metric = unitFormatIn('metric');
const us = unitFormatIn('us');
const money = moneyIn('£');
const NOW = '2026-07-16T18:00:00.000+01:00';

function bagAt(label: string): Bag {
  const container = garden.containers.find((c) => c.label === label);
  if (!container) throw new Error(`no bag ${label}`);
  return bagOf(container, garden, live, undefined);
}

describe('sizes tried', () => {
  const question = {
    kind: containerKind('round-fabric'),
    crop: cropOf('tomato'),
    habit: habitOf('tomato', 'tall'),
    cover: 'open' as const,
    roundsPerDay: 1,
    exceptions: [],
    practiceId: 'even' as const,
  };

  it('gives every class from #3 up, bigger ones wanting fewer drinks', () => {
    const { sizes } = trySizes(question, garden);
    expect(sizes.map((s) => s.name)).toEqual(['#3', '#5', '#7', '#10', '#15', '#20']);
    expect(sizes.map((s) => s.fit)).toEqual(['too-small', 'borderline', 'works', 'easy', 'easy', 'easy']);
    expect(sizes.filter((s) => s.isRecommended).map((s) => s.name)).toEqual(['#7', '#10', '#15', '#20']);
    const waterings = sizes.map((s) => s.hotDay.waterings.likely);
    expect([...waterings].sort((a, b) => b - a)).toEqual(waterings);
  });

  it('tries pillow bags with as many plants as they have room for', () => {
    const { sizes } = trySizes({ ...question, kind: containerKind('pillow') }, garden);
    expect(sizes.map((s) => s.plants)).toEqual([1, 1, 2, 2, 3]);
    const peppers = trySizes(
      {
        ...question,
        kind: containerKind('pillow'),
        crop: cropOf('pepper'),
        habit: habitOf('pepper', 'bush'),
      },
      garden,
    );
    expect(peppers.sizes.map((s) => s.plants)).toEqual([1, 2, 2, 3, 4]);
  });

  it('under glass, and with more rounds, more sizes are kept through heat', () => {
    const kept = (more: object) =>
      trySizes({ ...question, ...more }, garden).sizes.filter((s) => s.kept !== 'not-kept').length;
    expect(kept({ cover: 'glass' })).toBeGreaterThanOrEqual(kept({}));
    expect(kept({ roundsPerDay: 2 })).toBeGreaterThan(kept({}));
  });
});

const scoops = scoopsOf({ settings: { units: 'metric', assumptions: {} }, measures: [] });

describe('a plan for filling', () => {
  const dose: DoseText = { productId: 'bone-meal', amount: '2', unit: 'spoon', per: 'bag', where: 'hole' };

  it('gives each bag its mix, old and new, and what is worked in', () => {
    const plan = { ...EMPTY_PLAN, keptPercent: '50', doses: [dose] };
    const [fill] = fillsOf([bagAt('7')], plan, live, garden, 'metric', scoops);
    expect(fill?.newLitres).toBeCloseTo((fill?.bag.properties.fill.looseLitres ?? 0) / 2, 9);
    expect(fill?.amendments[0]?.grams).toBeCloseTo(2 * 15 * 0.85, 9);
    expect(fill?.amendments[0]?.asEntered).toBe('2 spoons per bag');
  });

  it('with another mix for all takes that mix’s own settling', () => {
    const plan = { ...EMPTY_PLAN, mixId: 'loam-compost' };
    const [fill] = fillsOf([bagAt('7')], plan, live, garden, 'metric', scoops);
    const settling = mixOf('loam-compost').settling;
    expect(fill?.newLitres).toBeCloseTo((fill?.bag.properties.fill.mixLitres ?? 0) / (1 - settling), 9);
  });

  it('keeps a bag’s own layers, and one mix for all takes their place', () => {
    const bag = bagAt('7');
    const layers = [
      { mixId: 'loam-compost', share: 0.4 },
      { mixId: 'bought', share: 0.6 },
    ];
    const layered = { ...bag, container: { ...bag.container, layers } };
    expect(fillsOf([layered], EMPTY_PLAN, live, garden, 'metric', scoops)[0]?.layers).toEqual(layers);
    // also where the mix chosen is the one on top
    const plan = { ...EMPTY_PLAN, mixId: 'bought' };
    expect(fillsOf([layered], plan, live, garden, 'metric', scoops)[0]?.layers).toEqual([
      { mixId: 'bought', share: 1 },
    ]);
  });

  it('takes any unit of a dose, whatever is chosen beside it', () => {
    const plan = { ...EMPTY_PLAN, doses: [{ ...dose, amount: '1/2 cup' }] };
    const [fill] = fillsOf([bagAt('7')], plan, live, garden, 'us', scoops);
    expect(fill?.amendments[0]).toMatchObject({
      amount: { unit: 'millilitre' },
      asEntered: '1/2 cup per bag',
    });
    expect(fill?.amendments[0]?.grams).toBeCloseTo(0.5 * 236.588 * 0.85, 3);
  });

  it('proposes what refreshes old mix as rows, and never beside one of the grower’s own for the same', () => {
    const proposed = withRefresh([], 0, 0.5, [], DEFAULT_ASSUMED);
    expect(proposed.map(({ productId, per }) => `${productId} ${per}`)).toEqual([
      'balanced-organic old-litre',
      'lime old-litre',
    ]);
    const mine: DoseText = { ...dose, productId: 'fish-meal' };
    expect(withRefresh([mine], 0, 0.5, [], DEFAULT_ASSUMED).map((d) => d.productId)).toEqual([
      'fish-meal',
      'lime',
    ]);
    // a row that was taken out stays out while the share is changed, and all go when no old mix stays
    expect(withRefresh([mine], 0.5, 0.4, [], DEFAULT_ASSUMED)).toEqual([mine]);
    expect(withRefresh([mine, ...proposed], 0.5, 0, [], DEFAULT_ASSUMED)).toEqual([mine]);
    expect(withoutDoubled([...proposed, mine], []).map((d) => d.productId)).toEqual(['lime', 'fish-meal']);
  });

  it('adds nothing by itself to old mix that stays: the diary has the rows and no more', () => {
    const plan = { ...EMPTY_PLAN, keptPercent: '50' };
    expect(fillsOf([bagAt('7')], plan, live, garden, 'metric', scoops)[0]?.amendments).toEqual([]);
    const doses = withRefresh([], 0, 0.5, [], DEFAULT_ASSUMED);
    const [fill] = fillsOf([bagAt('7')], { ...plan, doses }, live, garden, 'metric', scoops);
    const kept = fill?.reuse.kind === 'refresh' ? fill.reuse.keptLitres : 0;
    expect(fill?.amendments.map((a) => a.grams)).toEqual([
      expect.closeTo(2 * kept, 6),
      expect.closeTo(kept, 6),
    ]);
  });

  it('does not use the mix of a sick bag again, until it was filled anew', () => {
    const bag = bagAt('7');
    const sick: Entry = {
      id: 'ent_sick0001',
      kind: 'trouble',
      at: NOW,
      recordedAt: NOW,
      containerId: bag.container.id,
      what: 'root-rot',
      livesInMix: true,
    };
    expect(troubleIn(bag.container.id, [...live, sick])?.entry).toBe(sick);
    const plan = { ...EMPTY_PLAN, keptPercent: '50' };
    const [fill] = fillsOf([bag], plan, [...live, sick], garden, 'metric', scoops);
    expect(fill?.reuse).toMatchObject({ kind: 'refused', trouble: expect.anything() as unknown });
    expect(fill?.newLitres).toBeCloseTo(bag.properties.fill.looseLitres, 9);
    const before = live.find((e) => e.kind === 'filled' && e.containerId === bag.container.id) as Entry;
    const filled = { ...before, id: 'ent_filled001', at: NOW.replace('2026', '2027') };
    expect(troubleIn(bag.container.id, [...live, sick, filled])).toBeUndefined();
  });

  it.each([
    [{ amount: '' }, 'number'],
    [{ amount: '-2' }, 'more than nothing'],
    [{ amount: 'a few' }, 'does not read'],
    [{ amount: '3 shovels' }, 'unit'],
    [{ productId: 'gone' }, 'no longer'],
  ])('says what is wrong with %o', (patch, words) => {
    const read = readDoseText({ ...dose, ...patch }, [], 'metric');
    expect(!read.ok && read.problem).toContain(words);
  });

  it('a product without a density cannot be given by the spoon', () => {
    const ash: Product = { id: 'goo_ash000', name: 'Ash', kind: 'amendment', unit: 'kilogram' };
    const read = readDoseText({ ...dose, productId: ash.id }, [ash], 'metric');
    expect(!read.ok && read.problem).toContain('by weight');
    expect(readDoseText({ ...dose, productId: ash.id, unit: 'gram' }, [ash], 'metric').ok).toBe(true);
  });

  it('keeps from none to 70 %', () => {
    expect(readKept('50 %', 0.7)).toEqual({ share: 0.5 });
    expect(readKept('', 0.7)).toEqual({ share: 0 });
    expect(readKept('90', 0.7).problem).toContain('70');
    expect(isFilled(bagAt('7').container.id, live, NOW)).toBe(true);
    expect(isFilled(bagAt('7').container.id, live, '2027-03-01T10:00:00.000+00:00')).toBe(false);
  });
});

describe('a mix', () => {
  it('has a price when all its parts have one', () => {
    const priceOf = (id: string) => ({ coir: 0.2, 'garden-compost': 0, perlite: 0.3 })[id];
    expect(mixPricePerLitre(mixOf('third-each'), priceOf, DEFAULT_ASSUMED)).toBeCloseTo(
      (0.2 + 0.3) / 3 / 0.92,
      9,
    );
    expect(mixPricePerLitre(mixOf('loam-compost'), priceOf, DEFAULT_ASSUMED)).toBeUndefined();
  });
});

describe('film as typed', () => {
  const asked = (typed: object, system: 'metric' | 'us' | 'uk' = 'metric') =>
    readForm(FILM_FIELDS, filmStart(unitFormatIn(system)), typed, fieldsIn(system));

  it('begins with an order that works out, in every system', () => {
    for (const system of ['metric', 'us', 'uk'] as const) {
      const read = asked({}, system);
      expect(read.ok && orderOf(read.values)).toMatchObject({ filmWidthMillimetres: 450, sideBySide: 1 });
    }
  });

  it('lets the plan speak about a negative seam, and says itself what does not read', () => {
    const seam = asked({ seam: '-2' });
    expect(!seam.ok && seam.problems).toEqual({ seam: expect.stringContaining('less than nothing') });
    const bad = asked({ filmWidth: 'wide', hoped: '3 m' });
    expect(!bad.ok && Object.keys(bad.problems).sort()).toEqual(['filmWidth', 'hoped']);
    expect(orderOf({ film: 'tube', base: 'open' })).toBeUndefined();
  });

  it('asks a flat sheet for the width of a sleeve, and a tube for how many lie side by side', () => {
    const flat = asked({ film: 'flat', filmWidth: '2 m', flatWidth: '18 in' });
    const order = flat.ok ? orderOf(flat.values) : undefined;
    expect(order).toMatchObject({ film: 'flat', flatMillimetres: expect.closeTo(457.2, 6) });
    expect(order).not.toHaveProperty('sideBySide');
  });
});

describe('amounts of products', () => {
  const string = findProduct('string') as Product;
  const cane = findProduct('cane-long') as Product;
  const coir = findProduct('coir') as Product;

  it('are typed and shown in their own unit', () => {
    expect(readProductAmount('2 cu ft', coir, 'us')).toMatchObject({
      value: { siValue: expect.closeTo(56.634, 2) as number },
    });
    expect(readProductAmount('50', string, 'metric')).toMatchObject({ value: { siValue: 50 } });
    expect(readProductAmount('100', string, 'us')).toMatchObject({
      value: { siValue: expect.closeTo(30.48, 6) as number },
    });
    expect(readProductAmount('12', cane, 'metric')).toMatchObject({ value: { siValue: 12 } });
    expect(readProductAmount('none', cane, 'metric').ok).toBe(false);
    expect(productAmount(string, 50, metric)).toBe('50\u00a0m');
    expect(productAmount(cane, 12, metric)).toBe('12');
    expect([string, cane, coir].map((g) => productUnitSymbol(g, 'metric'))).toEqual(['m', '', 'L']);
    expect(grams(1250, metric)).toBe('1.25\u00a0kg');
  });
});

describe('prices by the unit', () => {
  it('are by the litre, kilogram and metre, or by the gallon, pound and foot', () => {
    const product = (id: string) => findProduct(id) as Product;
    expect(priceUnit(product('coir'), metric)).toEqual({ label: 'a litre', amount: 1 });
    expect(priceUnit(product('coir'), us)).toEqual({ label: 'a gal', amount: 3.785412 });
    expect(priceUnit(product('lime'), us)).toEqual({
      label: 'a lb',
      amount: expect.closeTo(0.4536, 4) as number,
    });
    expect(priceUnit(product('string'), us)).toEqual({
      label: 'a foot',
      amount: expect.closeTo(0.3048, 6) as number,
    });
    expect(priceUnit(product('cage'), us)).toEqual({ label: 'each', amount: 1 });
  });
});

describe('floors', () => {
  it('are typed with or without their unit, in metres or feet', () => {
    const read = (system: 'metric' | 'us', typed: Record<string, string>) => {
      const context = fieldsIn(system);
      return readForm(floorFields(context.unitFormat), {}, typed, context);
    };
    expect(read('metric', { area: '2,4 m²' })).toMatchObject({ values: { area: 2.4, limit: undefined } });
    expect(read('metric', { area: '-3' })).toMatchObject({
      problems: { area: expect.any(String) as string },
    });
    const feet = read('us', { area: '40 sq ft', limit: '30' });
    expect(feet.ok && showArea(feet.values.area ?? NaN, us)).toBe('40\u00a0sq\u00a0ft');
    expect(feet.ok && feet.values.limit).toBeCloseTo(146.47, 1);
    expect(showLoad(150, metric)).toBe('150\u00a0kg/m²');
  });
});

describe('a shopping list in words', () => {
  const packs = [
    { id: 'pak_a00000', productId: 'coir', amount: 70, price: 13.5 },
    { id: 'pak_b00000', productId: 'coir', amount: 9, price: 2.6, name: 'brick' },
  ];
  const list = shoppingList(
    new Map([
      ['coir', 80],
      ['perlite', 20],
      ['loam', 10],
    ]),
    packs,
    new Map([['loam', 40]]),
  );

  it('names packs, and leaves out what the shed has', () => {
    const coir = list.lines[0] as (typeof list.lines)[number];
    expect(packsWords(coir, packs, [], metric)).toBe('1 × 70\u00a0L, 2 × brick, 9\u00a0L');
    const text = listAsText(list, packs, [], metric, money);
    expect(text).toContain('Coir: 80\u00a0L → 1 × 70\u00a0L, 2 × brick, 9\u00a0L, £18.70');
    expect(text).toContain('Perlite: 20\u00a0L (by the amount)');
    expect(text).not.toContain('Loam');
    expect(text).toMatch(/In all £18\.70, without what has no price$/);
  });

  it('names no sum while nothing has a price', () => {
    const bare = shoppingList(new Map([['perlite', 20]]), []);
    const text = listAsText(bare, [], [], metric, money);
    expect(text).toMatch(/No price is known yet$/);
    expect(text).not.toContain('£');
  });

  it('as CSV has every line, in SI units', () => {
    const rows = readCsv(listAsCsv(list, packs, [], us)).rows;
    expect(rows.map((r) => [r['product'], r['need'], r['from_shed'], r['price']])).toEqual([
      ['Coir', '80', '0', '18.70'],
      ['Perlite', '20', '0', ''],
      ['Loam', '10', '10', ''],
    ]);
  });
});

describe('money', () => {
  it('is shown with its pence, and in whole pounds once there are a thousand', () => {
    expect([money.show(6.9), money.show(1234.5)]).toEqual(['£6.90', '£1235']);
  });
});
