import type { Solid } from '../solid.ts';

/**
 * A cylinder or a tapered round bag (a frustum).
 *
 * @see docs/model.md, 1. Bags
 * @example
 * roundSolid({ rimMillimetres: 400, baseMillimetres: 400, heightMillimetres: 300 }).volumeBelow(300) / 1e6
 * // ≈> 37.69911
 */
export function roundSolid(size: {
  readonly rimMillimetres: number;
  readonly baseMillimetres: number;
  readonly heightMillimetres: number;
}): Solid {
  const { rimMillimetres, baseMillimetres, heightMillimetres } = size;
  const widthAt = (z: number) =>
    baseMillimetres + ((rimMillimetres - baseMillimetres) * z) / heightMillimetres;
  return {
    heightMillimetres,
    widthAt,
    areaAt: (z) => (Math.PI / 4) * widthAt(z) ** 2,
    perimeterAt: (z) => Math.PI * widthAt(z),
    // frustum: πh/12 (D² + Dd + d²)
    volumeBelow: (z) =>
      ((Math.PI * z) / 12) * (baseMillimetres ** 2 + baseMillimetres * widthAt(z) + widthAt(z) ** 2),
  };
}
