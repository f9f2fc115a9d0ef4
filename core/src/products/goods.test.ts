import { describe, expect, it } from 'vitest';
import { INGREDIENTS } from '../mixes/index.ts';
import * as z from '../schema/index.ts';
import { K_IN_K2O } from '../units/index.ts';
import { AMENDMENTS, findProduct, PRODUCTS } from './starter.ts';
import {
  FEED_FORMS,
  feedFactsSchema,
  productSchemaOf,
  isGivenInWater,
  nutrientLabelSchema,
  type Product,
} from '../records/index.ts';
import { FEEDS } from './feeds.ts';

const named = (products: readonly Product[]) => products.map((product) => [product.id, product] as const);
const inWater = FEEDS.filter(({ feed }) => feed && isGivenInWater(feed.form));

describe('products that ship with the app', () => {
  it.each(named(PRODUCTS))('%s is what a grower could have entered', (_, product) => {
    expect(productSchemaOf(z.string()).parse(product)).toEqual(product);
    expect(product.name).toBe(product.name.trim());
  });

  it('have each an id and a name of its own', () => {
    for (const key of ['id', 'name'] as const)
      expect(new Set(PRODUCTS.map((product) => product[key])).size).toBe(PRODUCTS.length);
  });

  it('hold every ingredient of a mix, every amendment and every feed', () => {
    for (const { id } of [...INGREDIENTS, ...AMENDMENTS, ...FEEDS]) expect(findProduct(id)?.id).toBe(id);
  });

  it('give way to a good of the grower’s own, and unknown ids give nothing', () => {
    const own = { ...(FEEDS[0] as Product), id: 'good_0123456789ab', name: 'Mine' };
    expect(findProduct(own.id, [own])?.name).toBe('Mine');
    expect(findProduct('nothing-of-the-kind')).toBeUndefined();
  });

  it.each(named(PRODUCTS.filter(({ name }) => /\d-\d/.test(name))))(
    '%s is named by its label',
    (_, product) => {
      const [, n, p, k] = /(\d+(?:\.\d+)?)-(\d+(?:\.\d+)?)-(\d+(?:\.\d+)?)$/.exec(product.name) ?? [];
      expect(product.label).toMatchObject({ n: Number(n), p2o5: Number(p), k2o: Number(k) });
    },
  );

  it('what is dusty is said to be, in powders and grains', () => {
    for (const product of FEEDS.filter(({ feed }) => feed?.form === 'soluble'))
      expect(product.isDusty).toBe(true);
    for (const product of FEEDS.filter(({ feed }) => feed?.form === 'liquid'))
      expect(product.isDusty).toBeUndefined();
  });
});

describe('feeds given in water', () => {
  it.each(named(inWater.filter(({ label, kilogramsPerLitre }) => label && kilogramsPerLitre)))(
    '%s at its label’s dose brings a strength that plants are fed with',
    (_, { label, feed, kilogramsPerLitre }) => {
      const { amount, unit } = feed?.dose ?? { amount: 0, unit: 'gram' as const };
      const grams = unit === 'millilitre' ? amount * (kilogramsPerLitre ?? 1) : amount;
      // mg in a litre: nitrogen and potassium by the element
      const nitrogen = ((label?.n ?? 0) / 100) * grams * 1000;
      const potassium = ((label?.k2o ?? 0) / 100) * K_IN_K2O * grams * 1000;
      expect(nitrogen).toBeLessThan(400);
      expect(potassium).toBeLessThan(600);
      expect(nitrogen + potassium).toBeGreaterThan(40);
    },
  );

  it('are dosed by the litre, and no others are', () => {
    for (const { feed } of PRODUCTS)
      if (feed) expect(feed.dose.per === 'litre').toBe(isGivenInWater(feed.form));
  });

  it('of two parts name each other, and the one with calcium holds no phosphate to fall out with', () => {
    const parts = FEEDS.filter(({ feed }) => feed?.form === 'two-part');
    expect(parts).toHaveLength(2);
    for (const part of parts) {
      const partner = findProduct(part.feed?.partnerId ?? '');
      expect(partner?.feed?.partnerId).toBe(part.id);
      if ((part.label?.ca ?? 0) > 0) expect(part.label?.p2o5).toBe(0);
    }
    expect(parts.some(({ label }) => (label?.ca ?? 0) > 0)).toBe(true);
  });

  it('a tea promises nothing, and says how long it stands', () => {
    for (const tea of FEEDS.filter(({ feed }) => feed?.form === 'tea')) {
      expect(tea.label).toBeUndefined();
      const steep = tea.feed?.steep;
      expect(steep && steep.fromDays < steep.toDays).toBe(true);
      expect(steep && steep.stirEveryDays < steep.fromDays).toBe(true);
    }
  });
});

describe('what cannot be is refused', () => {
  it('a label that promises more than all of it', () => {
    expect(nutrientLabelSchema.safeParse({ n: 40, p2o5: 40, k2o: 30 }).success).toBe(false);
    expect(nutrientLabelSchema.safeParse({ n: 40, p2o5: 40, k2o: 20 }).success).toBe(true);
    expect(nutrientLabelSchema.safeParse({ n: -1, p2o5: 0, k2o: 0 }).success).toBe(false);
    expect(nutrientLabelSchema.safeParse({ n: 60, p2o5: 0, k2o: 0, ca: 30, mg: 20 }).error?.message).toMatch(
      /more than 100 %/,
    );
  });

  it.each([
    ['no dose', { amount: 0 }],
    ['a dose of nothing known', { unit: 'pinch' }],
    ['a dose to the acre', { per: 'acre' }],
    ['a barrel of it', { amount: 6000 }],
  ])('%s', (_, change) => {
    const dose = { amount: 4, unit: 'millilitre', per: 'litre', ...change };
    expect(feedFactsSchema.safeParse({ form: 'liquid', dose }).success).toBe(false);
  });

  it.each([
    ['a name of spaces', { name: '   ' }],
    ['a kind of its own', { kind: 'gadget' }],
    ['a litre that weighs as much as lead', { kilogramsPerLitre: 11 }],
    ['a unit that nobody sells by', { unit: 'barrel' }],
  ])('%s', (_, change) => {
    expect(productSchemaOf(z.string()).safeParse({ ...FEEDS[0], ...change }).success).toBe(false);
  });
});

describe('forms of feed', () => {
  it('each is either given in water or laid on', () => {
    const water = FEED_FORMS.filter(isGivenInWater);
    expect(water).toEqual(['soluble', 'liquid', 'two-part', 'tea', 'foliar']);
    expect(FEED_FORMS.length - water.length).toBe(5);
  });

  it('slow ones say how long they last, quick ones do not', () => {
    for (const product of PRODUCTS) {
      const { form, months } = product.feed ?? {};
      if (form === 'slow-release' || form === 'meal' || form === 'manure' || form === 'spike')
        expect(months, product.id).toBeGreaterThan(0);
      if (form === 'soluble' || form === 'two-part') expect(months, product.id).toBeUndefined();
    }
  });
});
