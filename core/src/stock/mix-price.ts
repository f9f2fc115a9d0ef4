import type { Assumed } from '../assumed/index.ts';
import type { UnitPrice } from './cost.ts';
import { ingredientLitres, type Mix } from '../mixes/index.ts';

/** Price of a litre of a mix; undefined when a part has no price. */
export function mixPricePerLitre(
  mix: Pick<Mix, 'shares' | 'pricePerLitre'>,
  priceOf: UnitPrice,
  assumed: Assumed,
): number | undefined {
  if (mix.pricePerLitre !== undefined) return mix.pricePerLitre;
  let sum = 0;
  for (const { ingredientId, litres } of ingredientLitres(mix, 1, assumed)) {
    const each = priceOf(ingredientId);
    if (each === undefined) return undefined;
    sum += each * litres;
  }
  return sum;
}
