import type { Assumed } from '../assumed/index.ts';
import { within } from '../errors/index.ts';

/** What a filled bag weighs, kg. */
export interface Weights {
  /** the mix as it would be bone-dry, and the bag */
  readonly dry: number;
  /** just after it has drained: dry, and the water at capacity, and what raised holes or a reservoir keep */
  readonly drained: number;
  /** drained, with grown plants, their fruit and what holds them up */
  readonly laden: number;
}

/**
 * Weight of a filled container just after it has drained, kg: mix, its water and the bag itself (1 L of water = 1 kg).
 * Crop and support come on top of it.
 *
 * @see docs/model.md, 1. Bags
 * @example
 * drainedKilograms({ mixLitres: 40, dryKilogramsPerLitre: 0.3, capacity: 0.55, emptyKilograms: 0.8 })
 * // ≈> 34.8
 */
export function drainedKilograms(bag: {
  readonly mixLitres: number;
  readonly dryKilogramsPerLitre: number;
  readonly capacity: number;
  readonly emptyKilograms: number;
}): number {
  return bag.emptyKilograms + bag.mixLitres * (bag.dryKilogramsPerLitre + bag.capacity);
}

/**
 * A bag's weights.
 *
 * @param bag.storedLitres water below raised holes or in a reservoir, L
 * @param bag.canopySquareMetres leaf cover of its plants when grown, m²
 * @example
 * weightsOf({ mixLitres: 40, dryKilogramsPerLitre: 0.3, capacity: 0.55, emptyKilograms: 0.8, storedLitres: 0, canopySquareMetres: 0.6, supportKilograms: 1.8 }, DEFAULT_ASSUMED)
 * // ≈> { dry: 12.8, drained: 34.8, laden: 40.8 }
 */
export function weightsOf(
  bag: Parameters<typeof drainedKilograms>[0] & {
    readonly storedLitres: number;
    readonly canopySquareMetres: number;
    readonly supportKilograms: number;
  },
  assumed: Assumed,
): Weights {
  const drained = drainedKilograms(bag) + bag.storedLitres;
  return {
    dry: bag.emptyKilograms + bag.mixLitres * bag.dryKilogramsPerLitre,
    drained,
    laden: drained + bag.canopySquareMetres * assumed.plantWeight + bag.supportKilograms,
  };
}

/** A floor's load: what stands on it against what it is said to bear. */
export type FloorLoad =
  | { readonly kind: 'no-limit'; readonly kilogramsPerSquareMetre: number }
  | {
      readonly kind: 'within' | 'beyond';
      readonly kilogramsPerSquareMetre: number;
      readonly share: number;
      /** kg that could still be added, or must go (below 0), over the area */
      readonly kilogramsLeft: number;
    };

/**
 * Load over an area, against a limit that the grower was told; a limit is the owner's or an engineer's to give.
 *
 * @throws RundelError when the area is not above 0
 * @example
 * floorLoad(300, 2, 200)
 * // => { kind: 'within', kilogramsPerSquareMetre: 150, share: 0.75, kilogramsLeft: 100 }
 */
export function floorLoad(kilograms: number, squareMetres: number, limit?: number): FloorLoad {
  within('squareMetres', squareMetres, 1e-6, 1e6);
  const kilogramsPerSquareMetre = kilograms / squareMetres;
  if (limit === undefined) return { kind: 'no-limit', kilogramsPerSquareMetre };
  return {
    kind: kilogramsPerSquareMetre > limit ? 'beyond' : 'within',
    kilogramsPerSquareMetre,
    share: kilogramsPerSquareMetre / limit,
    kilogramsLeft: limit * squareMetres - kilograms,
  };
}
