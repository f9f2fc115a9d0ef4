import { RundelError } from '../errors/index.ts';
import { INGREDIENTS, type BaseFeed, type Ingredient } from './ingredient.ts';
import { RECIPES, type Recipe } from './recipe.ts';

/** A growing mix, by what it does with water. Shares are of the settled volume, at container capacity. */
export interface Mix {
  readonly id: string;
  readonly name: string;
  readonly description: string;
  /** water held after draining, 0.45–0.65 in soilless mixes */
  readonly capacity: number;
  /** water that no root can take, 0.25–0.35 in soilless mixes */
  readonly unavailable: number;
  /** air left after draining, 0.1–0.3 in soilless mixes */
  readonly air: number;
  readonly dryKilogramsPerLitre: number;
  /** share of the volume lost at the first watering, assumed 0.08–0.15 */
  readonly settling: number;
  readonly isPeatFree: boolean;
  readonly isOrganic: boolean;
  readonly limeGramsPerLitre: number;
  /** what a litre comes to by the grower's own word; left out: by its parts */
  readonly pricePerLitre?: number | undefined;
  /** shares of the parts by volume; they sum to 1 */
  readonly shares: readonly { readonly ingredient: Ingredient; readonly share: number }[];
  /** lime that its bought parts come with, per litre of mix */
  readonly limeInParts: number;
  /** what its parts bring to feed a plant, per litre of mix */
  readonly base: readonly BaseFeed[];
}

/**
 * The ingredient with an id.
 *
 * @throws RundelError `unknown-name`
 */
export function ingredientOf(id: string): Ingredient {
  const found = INGREDIENTS.find((i) => i.id === id);
  if (!found)
    throw new RundelError('unknown-name', 'ingredient', id, INGREDIENTS.map((i) => i.id).join(', '));
  return found;
}

/**
 * A recipe's figures: each the mean of its parts', weighted by volume. Fine parts also slip between coarse ones;
 * that loss of volume is counted where ingredients are bought (`ingredientLitres`) and not here.
 *
 * @throws RundelError when a part names no ingredient, or the parts do not sum to more than nothing
 * @see docs/model.md, 2. Mixes, shopping, load
 * @example
 * mixFrom({ id: 'x', name: 'X', parts: [{ ingredientId: 'coir', parts: 1 }, { ingredientId: 'perlite', parts: 1 }] }).capacity
 * // ≈> 0.45
 */
export function mixFrom(recipe: Recipe): Mix {
  const total = recipe.parts.reduce((sum, part) => sum + part.parts, 0);
  if (!(total > 0))
    throw new RundelError('out-of-range', `parts of ${recipe.name}`, total, 'more than nothing');
  const shares = recipe.parts.map((part) => ({
    ingredient: ingredientOf(part.ingredientId),
    share: part.parts / total,
  }));
  const mean = (figure: 'capacity' | 'unavailable' | 'air' | 'dryKilogramsPerLitre' | 'settling') =>
    shares.reduce((sum, { ingredient, share }) => sum + ingredient[figure] * share, 0);
  return {
    id: recipe.id,
    name: recipe.name,
    description: recipe.description ?? shares.map((s) => s.ingredient.name.toLowerCase()).join(', '),
    capacity: mean('capacity'),
    unavailable: mean('unavailable'),
    air: mean('air'),
    dryKilogramsPerLitre: mean('dryKilogramsPerLitre'),
    settling: mean('settling'),
    isPeatFree: !shares.some((s) => s.ingredient.isPeat),
    isOrganic: shares.every((s) => s.ingredient.isOrganic),
    limeGramsPerLitre: recipe.limeGramsPerLitre ?? 0,
    pricePerLitre: recipe.pricePerLitre,
    shares,
    limeInParts: shares.reduce(
      (sum, { ingredient, share }) => sum + (ingredient.limeGramsPerLitre ?? 0) * share,
      0,
    ),
    base: shares.flatMap(({ ingredient: { base }, share }) =>
      base ? [{ ...base, gramsPerLitre: base.gramsPerLitre * share }] : [],
    ),
  };
}

/** The starting mixes, worked out from their recipes. */
export const MIXES: readonly Mix[] = RECIPES.map(mixFrom);

/** The mix with an id among the grower's own and those that ship with the app; undefined for one that is not known. */
export function findMix(id: string, own: readonly Recipe[] = []): Mix | undefined {
  const recipe = own.find((r) => r.id === id);
  return recipe ? mixFrom(recipe) : MIXES.find((m) => m.id === id);
}

/**
 * The mix with an id: one of the grower's own, or a starting mix.
 *
 * @throws RundelError `unknown-name`
 * @example
 * mixOf('bought').settling
 * // => 0.12
 */
export function mixOf(id: string, own: readonly Recipe[] = []): Mix {
  const mix = findMix(id, own);
  if (!mix) throw new RundelError('unknown-name', 'mix', id, MIXES.map((m) => m.id).join(', '));
  return mix;
}
