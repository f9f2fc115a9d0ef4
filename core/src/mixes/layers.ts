import type { Layers } from '../records/index.ts';
import { findMix, mixOf, type Mix } from './mixes.ts';
import type { Recipe } from './recipe.ts';

/** A layer of a fill by the name of its mix; shares are of the volume, from the base upwards, and sum to 1. */
export interface NamedLayer {
  readonly name: string;
  readonly share: number;
}

/**
 * The layers of a fill by name; none when it is filled with one mix.
 *
 * @throws RundelError when a mix is unknown
 */
export function namedLayers(layers: Layers | undefined, own: readonly Recipe[] = []): readonly NamedLayer[] {
  return (layers ?? []).map(({ mixId, share }) => ({
    name: findMix(mixId, own)?.name ?? 'Unknown mix',
    share,
  }));
}

/**
 * What is in a container as one mix: its mix, or its layers averaged by their share of the volume. Water does not
 * pass freely from a coarse layer to a fine one; the averages are what the whole bag holds.
 *
 * @throws RundelError when a mix is unknown
 * @see docs/model.md, 2. Mixes, shopping, load
 * @example
 * fillingOf({ mixId: 'bought', layers: [{ mixId: 'loam-compost', share: 0.5 }, { mixId: 'bought', share: 0.5 }] }).capacity
 * // ≈> 0.53
 */
export function fillingOf(
  filled: { readonly mixId: string; readonly layers?: Layers | undefined },
  own: readonly Recipe[] = [],
): Mix {
  const { layers } = filled;
  if (!layers) return mixOf(filled.mixId, own);
  const mixes = layers.map(({ mixId, share }) => ({ mix: mixOf(mixId, own), share }));
  const mean = (
    figure:
      | 'capacity'
      | 'unavailable'
      | 'air'
      | 'dryKilogramsPerLitre'
      | 'settling'
      | 'limeGramsPerLitre'
      | 'limeInParts',
  ) => mixes.reduce((sum, { mix, share }) => sum + mix[figure] * share, 0);
  const description = mixes.map(({ mix }) => mix.name.toLowerCase());
  return {
    id: mixes.map(({ mix }) => mix.id).join('+'),
    name: `${mixes.at(-1)?.mix.name ?? ''} over ${description.slice(0, -1).reverse().join(' over ')}`,
    description: `Layered, from the base: ${description.join(', then ')}.`,
    capacity: mean('capacity'),
    unavailable: mean('unavailable'),
    air: mean('air'),
    dryKilogramsPerLitre: mean('dryKilogramsPerLitre'),
    settling: mean('settling'),
    limeGramsPerLitre: mean('limeGramsPerLitre'),
    isPeatFree: mixes.every(({ mix }) => mix.isPeatFree),
    isOrganic: mixes.every(({ mix }) => mix.isOrganic),
    shares: mixes.flatMap(({ mix, share }) =>
      mix.shares.map((s) => ({ ingredient: s.ingredient, share: s.share * share })),
    ),
    limeInParts: mean('limeInParts'),
    base: mixes.flatMap(({ mix, share }) =>
      mix.base.map((b) => ({ ...b, gramsPerLitre: b.gramsPerLitre * share })),
    ),
  };
}
