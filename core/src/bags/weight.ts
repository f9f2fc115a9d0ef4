/**
 * Weight of a filled container just after it has drained, kg: mix, its water and the bag itself (1 L of water = 1 kg).
 * Crop and support come on top of it.
 *
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
