import type { Variety } from '../records/index.ts';

/** What is known of a variety, without what makes it a record. */
export type KnownVariety = Omit<Variety, 'id' | 'createdAt' | 'changedAt' | 'binnedAt'>;

const days = (low: number, high: number, from: 'sowing' | 'planting' = 'planting') => ({ low, high, from });

/**
 * Invented varieties to begin with, one of each way of growing and bearing; a grower takes one up by its name and changes what is
 * otherwise with theirs.
 */
export const STARTER_VARIETIES: readonly KnownVariety[] = [
  {
    name: 'Harbour Red',
    cropId: 'tomato',
    habitId: 'tall',
    bearing: 'all-season',
    daysToRipe: days(65, 72),
    heightMillimetres: 2200,
    fruitGrams: 80,
    colour: 'red',
    use: 'salad',
  },
  {
    name: 'Lamp Yellow',
    cropId: 'tomato',
    habitId: 'tall',
    bearing: 'all-season',
    daysToRipe: days(58, 65),
    heightMillimetres: 2400,
    fruitGrams: 14,
    colour: 'yellow',
    use: 'cherry, eaten from the plant',
  },
  {
    name: 'Keel Plum',
    cropId: 'tomato',
    habitId: 'bush',
    bearing: 'one-flush',
    daysToRipe: days(72, 78),
    heightMillimetres: 900,
    fruitGrams: 70,
    colour: 'red',
    use: 'sauce',
  },
  {
    name: 'Stout Ned',
    cropId: 'tomato',
    habitId: 'dwarf',
    bearing: 'all-season',
    daysToRipe: days(65, 75),
    heightMillimetres: 800,
    fruitGrams: 120,
    colour: 'dark red',
    use: 'slicing',
  },
  {
    name: 'Thimble',
    cropId: 'tomato',
    habitId: 'micro',
    bearing: 'all-season',
    daysToRipe: days(85, 95, 'sowing'),
    heightMillimetres: 220,
    fruitGrams: 6,
    colour: 'red',
    use: 'sill',
  },
  {
    name: 'Green Lantern',
    cropId: 'pepper',
    habitId: 'bush',
    bearing: 'all-season',
    daysToGreen: days(60, 65),
    daysToRipe: days(80, 90),
    heightMillimetres: 700,
    fruitGrams: 150,
    colour: 'green, then red',
    use: 'stuffing',
  },
  {
    name: 'Ember Tip',
    cropId: 'pepper',
    habitId: 'dwarf',
    bearing: 'all-season',
    daysToGreen: days(55, 60),
    daysToRipe: days(75, 85),
    heightMillimetres: 400,
    fruitGrams: 5,
    colour: 'red',
    use: 'hot, for drying',
  },
  {
    name: 'Slate Plum',
    cropId: 'aubergine',
    habitId: 'bush',
    bearing: 'all-season',
    daysToRipe: days(68, 75),
    heightMillimetres: 800,
    fruitGrams: 250,
    colour: 'black',
    use: 'roasting',
  },
  {
    name: 'Rill',
    cropId: 'cucumber',
    habitId: 'climbing',
    bearing: 'all-season',
    daysToRipe: days(45, 52),
    heightMillimetres: 2000,
    fruitGrams: 300,
    colour: 'green',
    use: 'salad',
  },
  {
    name: 'Jar Mate',
    cropId: 'cucumber',
    habitId: 'bush',
    bearing: 'one-flush',
    daysToRipe: days(50, 55, 'sowing'),
    heightMillimetres: 450,
    fruitGrams: 60,
    colour: 'green',
    use: 'pickling',
  },
];

/**
 * The varieties that can be named: the grower's own, and those to begin with that they have none of the same name of.
 *
 * @param own the garden's, those in the bin left out
 */
export function varietiesIn(own: readonly Variety[]): readonly KnownVariety[] {
  const mine = own.filter((v) => !v.binnedAt);
  return [
    ...mine,
    ...STARTER_VARIETIES.filter((s) => mine.every((v) => v.name !== s.name || v.cropId !== s.cropId)),
  ];
}
