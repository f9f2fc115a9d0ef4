import type { Assumed } from '../assumed/index.ts';
import type { Mix } from '../mixes/index.ts';

/**
 * Water that a filled container can hold for its plant, L: TAW = (capacity − unavailable) × volume.
 * A shallow bag drains less freely (water perches above its base), so capacity rises by an *assumed* term in the
 * depth of the mix: `perchedRise` at 15 cm, nothing at 30 cm, a little less below that.
 *
 * @param mixMillimetres depth of the settled mix, mm
 * @see docs/model.md, 7. Water
 * @example
 * availableLitres({ capacity: 0.56, unavailable: 0.28 }, 30, 300, DEFAULT_ASSUMED)
 * // ≈> 8.4
 */
export function availableLitres(
  mix: Pick<Mix, 'capacity' | 'unavailable'>,
  mixLitres: number,
  mixMillimetres: number,
  assumed: Assumed,
): number {
  const perched = assumed.perchedRise * Math.min(1.5, Math.max(-0.5, (300 - mixMillimetres) / 150));
  return (mix.capacity + perched - mix.unavailable) * mixLitres;
}
