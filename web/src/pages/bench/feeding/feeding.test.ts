import { deriveBag } from '@rundel/core/garden-state';
import { gannetSlip } from '@rundel/core/demo';
import { liveEntries, type Product } from '@rundel/core/records';
import { FEEDING_PRACTICES } from '@rundel/core/feeding';
import { FEEDS, findProduct, scoopsOf } from '@rundel/core/products';
import { DEFAULT_ASSUMED } from '@rundel/core/assumed';
import { describe, expect, it } from 'vitest';
import { bagOf, type Bag } from '../../../store/bags.ts';
import { bagFeeds, mixedBatch, waterFor } from '@rundel/core/garden-state';
import { readForm } from '../../../ui/form/index.ts';
import { fieldsIn } from '../../../../test/field-context.ts';
import {
  feedOf,
  isProductAsked,
  productFields,
  productProblems,
  startOfProduct,
  suiting,
  type ProductFields,
} from '../product-form.ts';
import { feedsAsCsv, readFeedsCsv, shedUnit } from './feeds-csv.ts';
import { readRegime, readStep, stepFormOf, type StepForm } from './regime-form.ts';

const scoops = scoopsOf({ settings: { units: 'metric', assumptions: {} }, measures: [] });
const garden = gannetSlip(3);
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

  it('gives as much as the grower says, at every bag', () => {
    const feeds = bagFeeds(bags, [], 'tomato-liquid', 2.5);
    expect(feeds.map((f) => f.waterLitres)).toEqual([2.5, 2.5, 2.5]);
    expect(mixedBatch(feeds, [], 9, scoops, {})[0]?.part).toMatchObject({ litres: 7.5 });
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
  /** A product's form with some texts typed over, read. */
  const read = (
    product: Product | undefined,
    typed: Partial<Record<keyof ProductFields, string>> = {},
    system: 'metric' | 'us' | 'uk' = 'metric',
  ) => {
    const fields = (texts: Readonly<Record<string, string>>) =>
      productFields(texts, { system, taken: ['Taken'], partners: FEEDS, unit: product?.unit });
    const start = {
      values: startOfProduct(product, system),
      isAsked: isProductAsked,
      check: productProblems,
    };
    const form = readForm<ProductFields>(fields, start, typed, fieldsIn(system));
    return form.ok ? { ...form, ...feedOf(form.values, system, product?.feed?.steep) } : form;
  };
  const liquid = findProduct('tomato-liquid');
  const problems = (typed: Partial<Record<keyof ProductFields, string>>) => {
    const form = read(liquid, typed);
    return form.ok ? {} : form.problems;
  };

  it.each(
    FEEDS.flatMap((product) =>
      (['metric', 'us', 'uk'] as const).map((system) => [product.id, system, product] as const),
    ),
  )('%s reads back as it was, in %s units', (_, system, product) => {
    const form = read(product, {}, system);
    if (!form.ok) throw new Error(JSON.stringify(form.problems));
    expect(form).toMatchObject({ isWhole: true, feed: product.feed, label: product.label });
  });

  it('takes a US label as it is printed: a spoon in each gallon', () => {
    const form = read(liquid, { dose: '1', unit: 'spoon', per: 'litre' }, 'us');
    if (!form.ok || !form.feed) throw new Error('not read');
    expect(form.feed.dose.amount).toBeCloseTo(1 / 3.785412, 4);
    const product = { ...(liquid as Product), feed: form.feed };
    expect(startOfProduct(product, 'us').dose?.amount).toBe(1);
    expect(startOfProduct(product, 'metric').dose?.amount).toBe(0.264172);
  });

  it('takes a unit that is typed with the dose before the one that was chosen', () => {
    const form = read(liquid, { dose: '1½ us tablespoons', per: 'litre' });
    if (!form.ok || form.feed?.dose.unit !== 'millilitre') throw new Error('not read in mL');
    expect(form.feed.dose.amount).toBeCloseTo(1.5 * 14.787, 2);
    const dry = read(liquid, { form: 'granular', unit: 'spoon', per: 'bag', dose: '2 us tablespoons' });
    if (!dry.ok || dry.feed?.dose.unit !== 'spoon') throw new Error('not read in spoons');
    expect(dry.feed.dose.amount).toBeCloseTo((2 * 14.787) / 15, 2);
    expect(problems({ dose: '3 shovels' }).dose).toMatch(/unit/);
    expect(problems({ dose: '0' }).dose).toMatch(/more than nothing/);
  });

  it('takes a pack in another unit than its own', () => {
    const form = read(liquid, { packAmount: '1 us gal', packPrice: '£12' });
    expect(form.ok && form.values.packAmount).toBeCloseTo(3.785, 3);
  });

  it('says what is wrong beside its field', () => {
    expect(problems({ name: ' ' }).name).toBe('Give it a name.');
    expect(problems({ name: 'Taken' }).name).toMatch(/already/);
    expect(problems({ k2o: '120' }).k2o).toBe('From 0 to 100 %.');
    expect(problems({ dose: '' }).dose).toMatch(/label ask/);
    expect(problems({ intervalDays: '7.5' }).intervalDays).toMatch(/Whole days/);
    expect(problems({ packAmount: '1', packPrice: '' }).packPrice).toMatch(/both/);
    const codes = (typed: Partial<Record<keyof ProductFields, string>>) => {
      const form = read(liquid, typed);
      return form.ok && !form.isWhole ? form.remarks.map((remark) => remark.code) : [];
    };
    expect(codes({ n: '0', p2o5: '0', k2o: '0', mg: '' })).toContain('promises-nothing');
    expect(codes({ unit: 'gram' })).toContain('mass-for-liquid');
  });

  it('does not ask what feeds of what is only bought', () => {
    const canes = read(undefined, { name: 'Canes', use: 'support', dose: 'nonsense', n: 'nonsense' });
    expect(canes).toMatchObject({ ok: true, isWhole: true, feed: undefined, label: undefined });
  });

  it('a missing density is a remark and not a refusal', () => {
    expect(read(liquid, { density: '' })).toMatchObject({ isWhole: true, remarks: [{ code: 'no-density' }] });
  });

  it('another kind of product gets a unit that suits it', () => {
    const now = { unit: 'millilitre', per: 'litre' };
    expect(suiting('granular', now)).toEqual({ unit: 'spoon', per: 'bag' });
    expect(suiting('soluble', now)).toEqual({ unit: 'gram', per: 'litre' });
    expect(suiting('liquid', suiting('spike', now))).toEqual({ unit: 'millilitre', per: 'litre' });
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
    const steps = practice.steps.map((s) =>
      stepFormOf(s, findProduct(s.productId)?.feed?.dose, system, DEFAULT_ASSUMED),
    );
    const { id: _id, ...rest } = practice;
    expect(readRegime({ ...rest, steps }, system)).toEqual(rest);
  });

  const step = stepFormOf(FEEDING_PRACTICES[0]?.steps[0] as never, undefined, 'metric', DEFAULT_ASSUMED);
  it.each([
    [{ fromDays: '12', toDays: '8' }, /longest time .* shorter/],
    [{ fromDays: '7.5' }, /whole numbers/],
    [{ fromDays: '0' }, /from 1 to 180/],
    [{ isAsLabel: false, amount: 'some' }, /dose is a number/],
    [{ start: 'date', monthDay: '13-40' }, /day of the year/],
    [{ start: 'weeks', weeks: 'some days' }, /"10 days"/],
    [{ until: 'times', untilNumber: '0' }, /times from 1 to 60/],
    [{ often: 'watering', percent: '200' }, /2 to 100 %/],
  ] as const)('%o', (change, problem) => {
    expect(readStep({ ...step, ...(change as Partial<StepForm>) }, 'metric')).toMatch(problem);
  });

  it.each([
    ['2', 2, '2'],
    ['1.5 weeks', 1.5, '11 days'],
    ['10 days', 10 / 7, '10 days'],
    ['21 d', 3, '3'],
  ])('"%s" after planting is %f weeks, and is written as %s', (weeks, read, written) => {
    const kept = readStep({ ...step, start: 'weeks', weeks }, 'metric');
    expect(kept).toMatchObject({ start: { on: 'weeks', weeks: read } });
    expect(stepFormOf(kept as never, undefined, 'metric', DEFAULT_ASSUMED).weeks).toBe(written);
  });

  it.each(['25', '25 %', '1/4', '0.25', 'A quarter'])(
    'a part of the dose in every watering: %s',
    (percent) => {
      const kept = readStep({ ...step, often: 'watering', percent, isOverLeaves: true }, 'metric');
      expect(kept).toMatchObject({ withWatering: { share: 0.25 } });
      expect(kept).not.toHaveProperty('every');
      expect(kept).not.toHaveProperty('into');
    },
  );

  it('a step over the leaves, and one by the months on a label', () => {
    expect(
      readStep({ ...step, start: 'label-months', isOverLeaves: true, productId: 'seaweed-spray' }, 'metric'),
    ).toMatchObject({ start: { on: 'label-months' }, into: 'leaves', every: { fromDays: 7 } });
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
