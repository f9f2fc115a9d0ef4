import { describe, expect, it } from 'vitest';
import { elementsIn } from '@rundel/core/products';
import { nutrientText } from './nutrient-text.ts';

describe('what so much brings', () => {
  it.each([
    [{ n: 5, p2o5: 5, k2o: 5 }, 'N 5 g, P₂O₅ 5 g (P 2.2 g), K₂O 5 g (K 4.2 g)'],
    // what is not in it is not listed
    [{ n: 0, p2o5: 0, k2o: 0, ca: 36 }, 'Ca 36 g'],
    [{ n: 0, p2o5: 0, k2o: 0 }, 'next to no nutrients'],
  ])('100 g of %j', (label, words) => {
    expect(nutrientText(elementsIn(100, label)).replaceAll('\u00a0', ' ')).toBe(words);
  });
});
