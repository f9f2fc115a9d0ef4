import { within } from '../errors/index.ts';
import { litresBelow, type Solid } from './solid.ts';

/**
 * Water kept below drain holes that were made a little up the side, L: there the mix stays full, and what it holds
 * beyond its capacity is the air space that water fills.
 *
 * @param holeMillimetres height of the holes above the base; 0 keeps nothing
 * @param airShare share of the mix that is air at capacity, 0.05–0.4
 * @throws RundelError when the holes lie above the rim
 * @see docs/model.md, 1. Bags
 * @example
 * reserveLitres(solid300, 50, 0.2)
 * // ≈> 1.225
 */
export function reserveLitres(solid: Solid, holeMillimetres: number, airShare: number): number {
  within('holeMillimetres', holeMillimetres, 0, solid.heightMillimetres);
  return litresBelow(solid, holeMillimetres) * within('airShare', airShare, 0, 0.6);
}
