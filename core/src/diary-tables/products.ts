import { PRODUCTS } from '../products/index.ts';
import type { Product } from '../records/index.ts';

/** A product by its id or by its name, in any letters: the grower's own before those that ship with the app. */
export function productOf(said: string, own: readonly Product[]): Product | undefined {
  const wanted = said.trim().toLowerCase();
  return [...own, ...PRODUCTS].find(({ id, name }) => id === said || name.toLowerCase() === wanted);
}
