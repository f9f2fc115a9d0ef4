import type { Solid } from '../solid.ts';

/**
 * A box with a rectangular plan and straight sides; a square bag has two equal sides.
 *
 * @see docs/model.md, 1. Bags
 * @example
 * boxSolid({ lengthMillimetres: 350, widthMillimetres: 350, heightMillimetres: 300 }).volumeBelow(300) / 1e6
 * // ≈> 36.75
 */
export function boxSolid(size: {
  readonly lengthMillimetres: number;
  readonly widthMillimetres: number;
  readonly heightMillimetres: number;
}): Solid {
  const { lengthMillimetres, widthMillimetres, heightMillimetres } = size;
  const area = lengthMillimetres * widthMillimetres;
  return {
    heightMillimetres,
    widthAt: () => lengthMillimetres,
    areaAt: () => area,
    perimeterAt: () => 2 * (lengthMillimetres + widthMillimetres),
    volumeBelow: (z) => area * z,
  };
}
