import type { Product } from '@rundel/core/records';
import { fieldUnit, toSi, UNITS, type Purpose, type UnitSystem } from '@rundel/core/units';
import { readAmount, readNumber, type Read, type Typed } from './amount-text.ts';

/** The purpose by which an amount of a product is typed; undefined for pieces. */
function purposeOf(product: Pick<Product, 'unit'>): Purpose | undefined {
  if (product.unit === 'litre') return 'bag';
  if (product.unit === 'kilogram') return 'crop';
  return undefined;
}

/** What a product's amounts are typed in: "L", "kg", "m", or nothing for pieces. */
export function productUnitSymbol(product: Pick<Product, 'unit'>, system: UnitSystem): string {
  const purpose = purposeOf(product);
  if (purpose) return UNITS[fieldUnit(system, purpose)].symbol;
  return product.unit === 'metre' ? (system === 'metric' ? 'm' : 'ft') : '';
}

/** Reads an amount of a product, in its own unit: "60 L", "2 cu ft", "1.5 kg", "12", "50 m". */
export function readProductAmount(
  text: string,
  product: Pick<Product, 'unit'>,
  system: UnitSystem,
  { low = 0.001, high = 100_000 }: { readonly low?: number; readonly high?: number } = {},
): Read<Typed> {
  const purpose = purposeOf(product);
  if (purpose) return readAmount(text, { purpose, system, low, high });
  if (product.unit === 'metre') {
    // a bare number is metres, or feet where those are used
    const withUnit = /[a-z'"′″]/i.test(text) ? text : `${text} ${system === 'metric' ? 'm' : 'ft'}`;
    const read = readAmount(text.trim() === '' ? text : withUnit, {
      purpose: 'height',
      system,
      low,
      high: high * 1000,
    });
    if (!read.ok) return read;
    return { ok: true, value: { ...read.value, siValue: read.value.siValue / toSi(1, 'metre') } };
  }
  const read = readNumber(text, { low, high, problem: 'How many? A number above 0.' });
  return read.ok ? { ok: true, value: { siValue: read.value, text: text.trim() } } : read;
}
