import { deriveBag } from '@rundel/core/garden-state';
import { gannetSlip } from '@rundel/core/demo';
import { liveEntries, type Product } from '@rundel/core/records';
import { FEEDING_PRACTICES } from '@rundel/core/feeding';
import { FEEDS, findProduct, scoopsOf } from '@rundel/core/products';
import { describe, expect, it } from 'vitest';
import { bagOf, type Bag } from '../../../store/bags.ts';
import { bagFeeds, mixedBatch, waterFor } from '@rundel/core/garden-state';
import { productFormOf, readProductForm, withForm, type ProductForm } from '../product-form.ts';
import { feedsAsCsv, readFeedsCsv, shedUnit } from './feeds-csv.ts';
import { readRegime, readStep, stepFormOf, type StepForm } from './regime-form.ts';

const scoops = scoopsOf({ settings: { units: 'metric', assumptions: {} }, measures: [] });
const garden = gannetSlip(4);
const live = liveEntries(garden.entries);
const now = '2026-07-16T18:00:00.000+01:00';

function bagAt(label: string): Bag {
  const container = garden.containers.find((c) => c.label === label);
  if (!container) throw new Error(`no bag ${label}`);
  return bagOf(container, garden, live, deriveBag(garden, container, now));
}

describe('the batch of some bags', () => {
  const bags = ['1', '6', '17'].map(bagAt);

  it('takes what each bag’s regime asks for next', () => {
    const feeds = bagFeeds(bags, [], undefined);
    expect(feeds.map((f) => f.product.id)).toEqual(['tomato-liquid', 'tomato-liquid', 'nutrient-a']);
    expect(feeds[0]?.step).toEqual({ regimeId: 'potash-from-set', stepId: 'liquid' });
  });

  it('or one product for all, which then answers no step', () => {
    const feeds = bagFeeds(bags, [], 'fish-liquid');
    expect(feeds).toHaveLength(3);
    expect(feeds.every((f) => f.product.id === 'fish-liquid' && f.step === undefined)).toBe(true);
  });

  it('gives every bag some water, and a dry one more', () => {
    for (const bag of bags) expect(waterFor(bag)).toBeGreaterThanOrEqual(1);
    const [bag] = bags as [Bag];
    expect(waterFor({ ...bag, water: undefined })).toBeCloseTo(bag.occupants.length, 9);
  });

  it('tells what a litre brings, both parts together, and the EC of minerals alone', () => {
    const feeds = bagFeeds(bags, [], undefined);
    const parts = mixedBatch(feeds, [], 9, scoops, {});
    const nutrient = parts.find((p) => p.product.id === 'nutrient-a');
    expect(nutrient?.partner?.id).toBe('nutrient-b');
    // 4 mL × 1.2 kg/L = 4.8 g of each: (5 + 1) % N
    expect(nutrient?.mgPerLitre?.n).toBeCloseTo(288, 6);
    expect(nutrient?.ec?.low).toBeGreaterThan(1);
    const fish = mixedBatch(bagFeeds(bags, [], 'fish-liquid'), [], 9, scoops, {})[0];
    expect(fish?.ec).toBeUndefined();
    const tea = mixedBatch(bagFeeds(bags, [], 'weed-tea'), [], 9, scoops, {})[0];
    expect(tea?.mgPerLitre).toBeUndefined();
  });

  it('a dose of one’s own is compared with the label', () => {
    const feeds = bagFeeds(bags, [], 'tomato-liquid');
    expect(mixedBatch(feeds, [], 9, scoops, { 'tomato-liquid': 40 })[0]?.check?.kind).toBe('ten-times');
    expect(mixedBatch(feeds, [], 9, scoops, {})[0]?.check?.kind).toBe('as-label');
  });
});

describe('a product’s form', () => {
  const liquid = productFormOf(findProduct('tomato-liquid'), 'metric');
  const refused = (change: Partial<ProductForm>) => {
    const read = readProductForm({ ...liquid, ...change }, 'metric');
    return read.kind === 'refused' ? { ...read.problems, codes: read.remarks.map((r) => r.code) } : undefined;
  };

  it.each(
    FEEDS.flatMap((product) =>
      (['metric', 'us', 'uk'] as const).map((system) => [product.id, system, product] as const),
    ),
  )('%s reads back as it was, in %s units', (_, system, product) => {
    const read = readProductForm(productFormOf(product, system), system, product.feed?.steep);
    expect(read).toMatchObject({ kind: 'read', feed: product.feed, label: product.label });
  });

  it('takes a US label as it is printed: a spoon in each gallon', () => {
    const typed = { ...liquid, dose: '1', unit: 'spoon', per: 'litre' } as const;
    const read = readProductForm(typed, 'us');
    expect(read.kind === 'read' && read.feed?.dose.amount).toBeCloseTo(1 / 3.785412, 4);
    if (read.kind !== 'read') throw new Error('not read');
    const product = { ...(findProduct('tomato-liquid') as Product), feed: read.feed };
    expect(productFormOf(product, 'us').dose).toBe('1');
    expect(productFormOf(product, 'metric').dose).toBe('0.264172');
  });

  it('takes a unit that is typed with the dose before the one that was chosen', () => {
    const read = readProductForm({ ...liquid, dose: '1½ us tablespoons', per: 'litre' }, 'metric');
    if (read.kind !== 'read' || read.feed?.dose.unit !== 'millilitre') throw new Error('not read in mL');
    expect(read.feed.dose.amount).toBeCloseTo(1.5 * 14.787, 2);
    const dry = { ...withForm(liquid, 'granular'), dose: '2 us tablespoons' };
    const granules = readProductForm(dry, 'metric');
    if (granules.kind !== 'read' || granules.feed?.dose.unit !== 'spoon')
      throw new Error('not read in spoons');
    expect(granules.feed.dose.amount).toBeCloseTo((2 * 14.787) / 15, 2);
    expect(refused({ dose: '3 shovels' })?.dose).toMatch(/unit/);
    expect(refused({ dose: '0' })?.dose).toMatch(/more than nothing/);
  });

  it('says what is wrong beside its field', () => {
    expect(refused({ name: ' ' })?.name).toBe('Give it a name.');
    expect(refused({ k2o: '120' })?.k2o).toBe('From 0 to 100 %.');
    expect(refused({ dose: '' })?.dose).toMatch(/label ask/);
    expect(refused({ intervalDays: '7.5' })?.intervalDays).toMatch(/Whole days/);
    expect(refused({ packAmount: '1', packPrice: '' })?.packPrice).toMatch(/both/);
    expect(refused({ n: '0', p2o5: '0', k2o: '0', mg: '' })?.codes).toContain('promises-nothing');
    expect(refused({ unit: 'gram' })?.codes).toContain('mass-for-liquid');
  });

  it('a missing density is a remark and not a refusal', () => {
    const read = readProductForm({ ...liquid, density: '' }, 'metric');
    expect(read).toMatchObject({ kind: 'read', remarks: [{ code: 'no-density' }] });
  });

  it('another kind of product gets a unit that suits it', () => {
    expect(withForm(liquid, 'granular')).toMatchObject({ unit: 'spoon', per: 'bag' });
    expect(withForm(liquid, 'soluble')).toMatchObject({ unit: 'gram', per: 'litre' });
    expect(withForm(withForm(liquid, 'spike'), 'liquid')).toMatchObject({ unit: 'millilitre', per: 'litre' });
    expect(shedUnit('soluble')).toBe('kilogram');
    expect(shedUnit('foliar')).toBe('litre');
  });
});

describe('products as a table', () => {
  it('what is saved reads back: label, dose, form and density', () => {
    const mine = FEEDS.filter((f) => f.feed?.form !== 'tea');
    const { feeds, refused } = readFeedsCsv(feedsAsCsv(mine, []), mine);
    expect(refused).toEqual([]);
    feeds.forEach((read, i) => {
      const { name, label, kilogramsPerLitre, feed } = mine[i] as (typeof mine)[number];
      expect(read).toMatchObject({ name, label, feed, ...(kilogramsPerLitre ? { kilogramsPerLitre } : {}) });
    });
  });

  it('a two-part nutrient whose other part is not there is refused', () => {
    const table = feedsAsCsv(
      FEEDS.filter((f) => f.id === 'nutrient-a'),
      [],
    );
    expect(readFeedsCsv(table).refused[0]?.problem).toMatch(/other part/);
  });

  it('a price is kept as a pack', () => {
    const text =
      'name,form,n,p2o5,k2o,dose,dose_unit,dose_per,pack_amount,pack_price\nA,soluble,20,20,20,1,gram,litre,0.5,"5,60"';
    expect(readFeedsCsv(text).feeds[0]?.pack).toEqual({ amount: 0.5, price: 5.6 });
  });

  it.each([
    ['A,odd,1,1,1,1,gram,litre', /form is none of/],
    ['A,soluble,1,1,1,1,pinch,litre', /dose_unit is none of/],
    ['A,soluble,1,1,1,1,gram,cupboard', /dose.*do not read/],
    ['A,soluble,60,30,20,1,gram,litre', /100 in all/],
    [',soluble,1,1,1,1,gram,litre', /no name/],
  ])('%s is refused with its line', (line, problem) => {
    const { feeds, refused } = readFeedsCsv(`name,form,n,p2o5,k2o,dose,dose_unit,dose_per\n${line}`);
    expect(feeds).toEqual([]);
    expect(refused).toEqual([
      expect.objectContaining({ line: 2, problem: expect.stringMatching(problem) as string }),
    ]);
  });

  it('a table without its columns says which', () => {
    expect(readFeedsCsv('product,price\nA,3').refused[0]?.problem).toMatch(/no column name, form, dose/);
  });
});

describe('a regime’s form', () => {
  it.each(
    FEEDING_PRACTICES.flatMap((r) => (['metric', 'us'] as const).map((system) => [r.id, system, r] as const)),
  )('%s reads back as it was, in %s units', (_, system, practice) => {
    const steps = practice.steps.map((s) => stepFormOf(s, findProduct(s.productId)?.feed?.dose, system));
    const { id: _id, ...rest } = practice;
    expect(readRegime({ ...rest, steps }, system)).toEqual(rest);
  });

  const step = stepFormOf(FEEDING_PRACTICES[0]?.steps[0] as never, undefined, 'metric');
  it.each([
    [{ fromDays: '12', toDays: '8' }, /longest time .* shorter/],
    [{ fromDays: '7.5' }, /whole numbers/],
    [{ fromDays: '0' }, /from 1 to 180/],
    [{ isAsLabel: false, amount: 'some' }, /dose is a number/],
    [{ start: 'date', monthDay: '13-40' }, /month first/],
    [{ until: 'times', untilNumber: '0' }, /times from 1 to 60/],
  ] as const)('%o', (change, problem) => {
    expect(readStep({ ...step, ...(change as Partial<StepForm>) }, 'metric')).toMatch(problem);
  });

  it('needs a name and a step', () => {
    expect(readRegime({ name: ' ', description: '', suits: '', steps: [step] }, 'metric')).toEqual({
      problem: 'Give it a name.',
    });
    expect(readRegime({ name: 'Mine', description: '', suits: '', steps: [] }, 'metric')).toEqual({
      problem: 'A regime without a step feeds nothing.',
    });
  });
});
