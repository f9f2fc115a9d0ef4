import { INGREDIENTS } from '../mixes/index.ts';
import { isGivenInWater, type FeedFacts, type Product } from '../records/index.ts';
import { FEEDS } from './feeds.ts';

const amendment = (
  id: string,
  name: string,
  [n, p2o5, k2o, ca]: readonly [number, number, number, number?],
  kilogramsPerLitre: number,
  description: string,
  feed: FeedFacts,
  more: Partial<Product> = {},
): Product => ({
  id,
  name,
  kind: 'amendment',
  unit: 'kilogram',
  label: { n, p2o5, k2o, ...(ca === undefined ? {} : { ca }) },
  kilogramsPerLitre,
  isOrganic: true,
  isDusty: true,
  description,
  feed,
  ...more,
});

/**
 * Generic products to begin with; nobody's brand. Labels and densities are *typical*: a grower's own sack goes
 * before them, as a product of their own.
 */
export const AMENDMENTS: readonly Product[] = [
  amendment(
    'balanced-organic',
    'Balanced organic feed 5-5-5',
    [5, 5, 5],
    0.75,
    'Slow; feeds for two to three months.',
    { form: 'granular', months: 2.5, dose: { amount: 3, unit: 'spoon', per: 'bag' }, intervalDays: 28 },
  ),
  amendment('tomato-organic', 'Organic tomato feed 5-4-6', [5, 4, 6], 0.75, 'Slow, with more potash.', {
    form: 'granular',
    months: 2.5,
    dose: { amount: 3, unit: 'spoon', per: 'bag' },
    intervalDays: 28,
  }),
  amendment(
    'balanced-mineral',
    'Balanced mineral feed 7-7-7',
    [7, 7, 7],
    1.05,
    'Quick; less of it does.',
    { form: 'granular', months: 0.5, dose: { amount: 2, unit: 'spoon', per: 'bag' }, intervalDays: 28 },
    {
      isOrganic: false,
      isDusty: false,
    },
  ),
  amendment(
    'slow-release',
    'Slow-release grains 14-13-13',
    [14, 13, 13],
    1,
    'Coated grains; they feed for months.',
    { form: 'slow-release', months: 5, dose: { amount: 3, unit: 'gram', per: 'mix-litre' } },
    {
      isOrganic: false,
      isDusty: false,
    },
  ),
  amendment('blood-meal', 'Blood meal 12-0-0', [12, 0, 0], 0.65, 'Quick nitrogen; dogs dig for it.', {
    form: 'meal',
    months: 1.5,
    dose: { amount: 1, unit: 'spoon', per: 'bag' },
    intervalDays: 28,
  }),
  amendment(
    'bone-meal',
    'Bone meal 3-15-0',
    [3, 15, 0, 20],
    0.85,
    'Phosphate and lime for roots, slowly; dogs dig for it.',
    { form: 'meal', months: 8, dose: { amount: 2, unit: 'spoon', per: 'bag' } },
  ),
  amendment(
    'fish-meal',
    'Fish meal 9-5-0',
    [9, 5, 0, 5],
    0.6,
    'Smells for a week; dogs and foxes dig for it.',
    { form: 'meal', months: 2, dose: { amount: 2, unit: 'spoon', per: 'bag' }, intervalDays: 28 },
  ),
  amendment('seaweed-meal', 'Seaweed meal 1-0-2', [1, 0, 2, 1.5], 0.55, 'Gentle; mostly potash.', {
    form: 'meal',
    months: 3,
    dose: { amount: 2, unit: 'spoon', per: 'bag' },
    intervalDays: 28,
  }),
  amendment(
    'casts',
    'Worm casts 2-1-1',
    [2, 1, 1],
    0.6,
    'Gentle enough for the planting hole.',
    { form: 'meal', months: 4, dose: { amount: 1, unit: 'handful', per: 'bag' }, intervalDays: 28 },
    {
      isDusty: false,
    },
  ),
  amendment(
    'poultry-pellets',
    'Poultry pellets 4-2.5-2.5',
    [4, 2.5, 2.5, 8],
    0.7,
    'Pressed and dried; strong, so little of it.',
    { form: 'granular', months: 2, dose: { amount: 2, unit: 'handful', per: 'bag' }, intervalDays: 42 },
  ),
  amendment(
    'compost-added',
    'Garden compost, to add',
    [1, 0.5, 1, 1.5],
    0.45,
    'A spadeful on top or mixed through; what it brings comes over years.',
    { form: 'manure', months: 40, dose: { amount: 60, unit: 'gram', per: 'mix-litre' } },
    { isDusty: false },
  ),
  amendment(
    'lime',
    'Garden lime',
    [0, 0, 0, 36],
    1.3,
    'Sweetens sour mix and brings calcium.',
    { form: 'meal', months: 6, dose: { amount: 2, unit: 'spoon', per: 'bag' } },
    {
      isOrganic: true,
    },
  ),
  amendment(
    'shell',
    'Crushed shell',
    [0, 0, 0, 34],
    1.1,
    'Calcium over years.',
    { form: 'meal', months: 30, dose: { amount: 1, unit: 'handful', per: 'bag' } },
    { isDusty: false },
  ),
];

const support = (id: string, name: string, unit: Product['unit'] = 'piece'): Product => ({
  id,
  name,
  kind: 'support',
  unit,
});

export const PRODUCTS: readonly Product[] = [
  ...INGREDIENTS.map(({ id, name, description, isOrganic, dryKilogramsPerLitre }): Product => ({
    id,
    name,
    kind: 'ingredient',
    unit: 'litre',
    isOrganic,
    kilogramsPerLitre: dryKilogramsPerLitre,
    description,
  })),
  ...AMENDMENTS,
  ...FEEDS,
  { ...support('cane-short', 'Canes, 90 cm'), seasons: 3 },
  { ...support('cane-long', 'Canes, 1.8 m'), seasons: 3 },
  { ...support('cane-caps', 'Cane caps'), seasons: 5 },
  support('ties', 'Soft ties'),
  { ...support('cage', 'Cages'), seasons: 8 },
  { ...support('tower', 'Towers'), seasons: 8 },
  { ...support('bag-frame', 'Frames for pillow bags'), seasons: 8 },
  support('string', 'Soft string', 'metre'),
  { ...support('rings', 'Rings or bottomless pots'), seasons: 5 },
  { id: 'mulch', name: 'Mulch, chopped straw or bark', kind: 'other', unit: 'litre', isOrganic: true },
  { id: 'bags', name: 'Bags put by', kind: 'bag', unit: 'piece' },
];

/** Everything that there is to choose from: the grower's own that are not in the bin, then what ships with the app. */
export function productsIn(
  own: readonly (Product & { readonly binnedAt?: string | undefined })[],
): readonly Product[] {
  return [...own.filter((product) => !product.binnedAt), ...PRODUCTS];
}

/** Whether a product feeds plants: its label says how it is given. */
export function isFeed(product: Product): boolean {
  return product.feed !== undefined;
}

/** Whether a product is something to work into a mix: not given in water, and with a label or made for it. */
export function isWorkedIn({ kind, label, feed }: Product): boolean {
  if (feed && isGivenInWater(feed.form)) return false;
  return kind === 'amendment' || (kind === 'feed' && label !== undefined);
}

/**
 * The product with an id among the grower's own and those that ship with the app.
 *
 * @example
 * findProduct('lime')?.name
 * // => 'Garden lime'
 */
export function findProduct(id: string, own: readonly Product[] = []): Product | undefined {
  return own.find((g) => g.id === id) ?? PRODUCTS.find((g) => g.id === id);
}
