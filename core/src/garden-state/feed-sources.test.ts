import { describe, expect, it } from 'vitest';
import { canBeSprayed, doseOfStep, usualInto, type LedgerSource } from '../feeding/index.ts';
import { findProduct, NO_ELEMENTS } from '../products/index.ts';
import type { EntryOf } from '../records/index.ts';
import { gannetSlip } from '../../demo/index.ts';
import { isFullDose, labelMonthsOver } from './feed-sources.ts';

const source = (day: string, months: number | undefined, n = 5): LedgerSource => ({
  id: day,
  day,
  kind: 'amendment',
  brings: { ...NO_ELEMENTS, n },
  months,
});

describe('the months on the labels of what is in a mix', () => {
  it('are over when the slowest of it has given by its label', () => {
    expect(labelMonthsOver([source('2026-04-20', 3), source('2026-05-01', 2)])).toBe('2026-07-20');
    // grains worked in later give for longer
    expect(labelMonthsOver([source('2026-04-20', 3), source('2026-06-01', 3)])).toBe('2026-08-31');
  });

  it('are none of lime, of what gives at once, and of a liquid that breaks down in two weeks', () => {
    expect(
      labelMonthsOver([
        source('2026-04-20', 12, 0),
        source('2026-04-20', undefined),
        source('2026-04-20', 0.5),
      ]),
    ).toBeUndefined();
  });
});

describe('how strong a feed was', () => {
  const slip = gannetSlip(3);
  const fed = (more: Partial<EntryOf<'fed'>>): EntryOf<'fed'> => ({
    kind: 'fed',
    id: 'ent_fed00001',
    at: '2026-07-16T18:00:00.000+01:00',
    recordedAt: '2026-07-16T18:00:00.000+01:00',
    containerId: slip.containers[0]?.id ?? '',
    productId: 'tomato-liquid',
    amount: 12,
    unit: 'millilitre',
    litres: 3,
    ...more,
  });
  it.each([
    ['as its label says', {}, true],
    ['a quarter of it', { amount: 3 }, false],
    ['by the spoon, which is fifteen millilitres', { amount: 0.8, unit: 'spoon' }, true],
    ['without its water it cannot be told', { litres: undefined }, undefined],
    ['nor for what is laid on', { productId: 'slow-release' }, undefined],
  ] as const)('%s', (_, more, isFull) => {
    expect(isFullDose(fed(more as Partial<EntryOf<'fed'>>), slip)).toBe(isFull);
  });
});

describe('where a feed goes', () => {
  it.each([
    ['tomato-liquid', undefined, true],
    ['balanced-soluble', undefined, true],
    ['seaweed-spray', 'leaves', true],
    ['nutrient-a', 'store', false],
    ['slow-release', undefined, false],
  ] as const)('%s', (productId, into, isSprayed) => {
    const product = findProduct(productId);
    if (!product) throw new Error(`${productId} is in the list`);
    expect(usualInto(product)).toBe(into);
    expect(canBeSprayed(product)).toBe(isSprayed);
  });

  it('and how much of it: its own dose, the label’s, or a part in every watering', () => {
    const product = findProduct('tomato-liquid');
    expect(doseOfStep({}, product)?.amount).toBe(4);
    expect(doseOfStep({ withWatering: { share: 0.5 } }, product)?.amount).toBe(2);
    expect(doseOfStep({ dose: { amount: 10, unit: 'gram', per: 'bag' } }, product)?.unit).toBe('gram');
    expect(doseOfStep({}, undefined)).toBeUndefined();
  });
});
