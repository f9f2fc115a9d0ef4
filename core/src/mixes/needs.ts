import { within } from '../errors/index.ts';
import { DEFAULT_ASSUMED, type Assumed } from '../assumed/index.ts';
import type { Mix } from './mixes.ts';

/** Litres of one ingredient. */
export interface IngredientNeed {
  readonly ingredientId: string;
  readonly litres: number;
}

/**
 * Litres of each ingredient for an amount of loose mix. A mix of several parts makes less than its parts measured
 * one by one (`mixingLoss`, *assumed*); a single ingredient loses nothing.
 *
 * @example
 * ingredientLitres(boughtMix, 45)
 * // => [{ ingredientId: 'bought-mix', litres: 45 }]
 */
export function ingredientLitres(
  mix: Pick<Mix, 'shares'>,
  looseLitres: number,
  assumed: Assumed = DEFAULT_ASSUMED,
): readonly IngredientNeed[] {
  const loss = mix.shares.length > 1 ? assumed.mixingLoss : 0;
  return mix.shares.map(({ ingredient, share }) => ({
    ingredientId: ingredient.id,
    litres: (share * looseLitres) / (1 - loss),
  }));
}

/** How old mix is used again, or why it should not be. */
export type Reuse =
  | {
      readonly kind: 'refresh';
      readonly keptLitres: number;
      readonly newLitres: number;
      readonly feedGrams: number;
      readonly limeGrams: number;
    }
  | { readonly kind: 'refused'; readonly why: string };

/**
 * Old mix used again: a share is kept and refreshed with balanced feed and lime, the rest is new on top.
 *
 * @param looseLitres what the bag takes
 * @param keptShare 0 to `keptMost` of it
 * @param trouble what the diary says the last plant had, if it may live on in the mix
 * @example
 * reuseOf(40, 0.5)
 * // ≈> { kind: 'refresh', keptLitres: 20, newLitres: 20, feedGrams: 40, limeGrams: 20 }
 */
export function reuseOf(
  looseLitres: number,
  keptShare: number,
  trouble?: { readonly description: string; readonly day: string },
  assumed: Assumed = DEFAULT_ASSUMED,
): Reuse {
  if (trouble && keptShare > 0) {
    return {
      kind: 'refused',
      why: `${trouble.description} was recorded in this bag on ${trouble.day}, and it can live on in the mix. Start with new mix, and wash the bag first.`,
    };
  }
  const keptLitres = looseLitres * within('keptShare', keptShare, 0, assumed.keptMost);
  return {
    kind: 'refresh',
    keptLitres,
    newLitres: looseLitres - keptLitres,
    feedGrams: keptLitres * assumed.refreshFeed,
    limeGrams: keptLitres * assumed.refreshLime,
  };
}
