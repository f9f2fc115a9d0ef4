import { findProduct } from '@rundel/core/products';
import { type Product } from '@rundel/core/records';
import { fieldUnit, trimmed, UNITS } from '@rundel/core/units';
import type { Shown } from '../store/index.ts';

/** What a good is called; one that nobody knows any more keeps its id. */
export function productName(productId: string, own: readonly Product[]): string {
  return findProduct(productId, own)?.name ?? productId;
}

/** An amount of a good in its own unit, in the grower's system: "120 L", "850 g", "12", "40 m". */
export function productAmount(product: Pick<Product, 'unit'> | undefined, amount: number, shown: Shown): string {
  switch (product?.unit) {
    case 'litre':
      return shown.show(amount, 'bag');
    case 'kilogram':
      return shown.show(amount, 'crop');
    case 'metre':
      return shown.show(amount * 1000, 'height');
    default:
      return trimmed(amount, 1);
  }
}

/** Grams, or kilograms once there are a thousand of them, in the grower's system. */
export function grams(amount: number, shown: Shown): string {
  return shown.show(amount / 1000, 'crop');
}

/** The unit that a good is priced by in the grower's system, and how many of the good's own units it holds. */
export function priceUnit(
  product: Pick<Product, 'unit'> | undefined,
  shown: Pick<Shown, 'system'>,
): { readonly words: string; readonly amount: number } {
  if (product?.unit === 'litre') {
    const { symbol, factor } = UNITS[fieldUnit(shown.system, 'bag')];
    return { words: factor === 1 ? 'a litre' : `a ${symbol}`, amount: factor };
  }
  if (product?.unit === 'kilogram') {
    const { symbol, factor } = UNITS[fieldUnit(shown.system, 'crop')];
    return { words: `a ${symbol}`, amount: factor };
  }
  if (product?.unit === 'metre') {
    return shown.system === 'metric'
      ? { words: 'a metre', amount: 1 }
      : { words: 'a foot', amount: UNITS.foot.factor / 1000 };
  }
  return { words: 'each', amount: 1 };
}
