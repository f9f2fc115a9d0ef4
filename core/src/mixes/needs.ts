import { within } from '../errors/index.ts';
import type { Assumed } from '../assumed/index.ts';
import type { Day } from '../calendar/index.ts';
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
 * @see docs/model.md, 2. Mixes, shopping, load
 * @example
 * ingredientLitres(boughtMix, 45, DEFAULT_ASSUMED)
 * // => [{ ingredientId: 'bought-mix', litres: 45 }]
 */
export function ingredientLitres(
  mix: Pick<Mix, 'shares'>,
  looseLitres: number,
  assumed: Assumed,
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
    }
  /** the last plant had something that may live on in the mix */
  | { readonly kind: 'refused'; readonly trouble: MixTrouble };

/** What the diary says the last plant of a bag had. */
export interface MixTrouble {
  readonly description: string;
  readonly day: Day;
}

/**
 * Old mix used again: a share is kept, the rest is new on top. What refreshes it is worked in like anything else.
 *
 * @param looseLitres what the bag takes
 * @param keptShare 0 to `keptMost` of it
 * @param trouble what the diary says the last plant had, if it may live on in the mix
 * @example
 * reuseOf(40, 0.5, undefined, DEFAULT_ASSUMED)
 * // ≈> { kind: 'refresh', keptLitres: 20, newLitres: 20 }
 */
export function reuseOf(
  looseLitres: number,
  keptShare: number,
  trouble: MixTrouble | undefined,
  assumed: Assumed,
): Reuse {
  if (trouble && keptShare > 0) {
    return { kind: 'refused', trouble };
  }
  const keptLitres = looseLitres * within('keptShare', keptShare, 0, assumed.keptMost);
  return {
    kind: 'refresh',
    keptLitres,
    newLitres: looseLitres - keptLitres,
  };
}
