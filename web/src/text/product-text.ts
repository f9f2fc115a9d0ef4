import { findProduct } from '@rundel/core/products';
import { type Product } from '@rundel/core/records';
import { fieldUnit, trimmed, UNITS } from '@rundel/core/units';
import type { UnitFormat } from '../store/index.ts';

/** What a product is called; one that nobody knows any more keeps its id. */
export function productName(productId: string, own: readonly Product[]): string {
  return findProduct(productId, own)?.name ?? productId;
}

/** An amount of a product in its own unit, in the grower's system: "120 L", "850 g", "12", "40 m". */
export function productAmount(
  product: Pick<Product, 'unit'> | undefined,
  amount: number,
  unitFormat: UnitFormat,
): string {
  switch (product?.unit) {
    case 'litre':
      return unitFormat.show(amount, 'bag');
    case 'kilogram':
      return unitFormat.show(amount, 'crop');
    case 'metre':
      return unitFormat.show(amount * 1000, 'height');
    default:
      return trimmed(amount, 1);
  }
}

/** Grams, or kilograms once there are a thousand of them, in the grower's system. */
export function grams(amount: number, unitFormat: UnitFormat): string {
  return unitFormat.show(amount / 1000, 'crop');
}

/** The unit that a product is priced by in the grower's system, and how many of the product's own units it holds. */
export function priceUnit(
  product: Pick<Product, 'unit'> | undefined,
  unitFormat: Pick<UnitFormat, 'system'>,
): { readonly label: string; readonly amount: number } {
  if (product?.unit === 'litre') {
    const { symbol, factor } = UNITS[fieldUnit(unitFormat.system, 'bag')];
    return { label: factor === 1 ? 'a litre' : `a ${symbol}`, amount: factor };
  }
  if (product?.unit === 'kilogram') {
    const { symbol, factor } = UNITS[fieldUnit(unitFormat.system, 'crop')];
    return { label: `a ${symbol}`, amount: factor };
  }
  if (product?.unit === 'metre') {
    return unitFormat.system === 'metric'
      ? { label: 'a metre', amount: 1 }
      : { label: 'a foot', amount: UNITS.foot.factor / 1000 };
  }
  return { label: 'each', amount: 1 };
}
