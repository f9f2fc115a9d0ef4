import type { Solid } from '../solid.ts';

/**
 * A pillow bag lying flat: a slab whose edges bulge to half circles all round, as filled film does.
 *
 * With r = height / 2 and s(z) = √(r² − (z − r)²), the plan at height z is (L − 2r + 2s) × (W − 2r + 2s), which
 * integrates in closed form; L and W are the outer length and width at half height.
 * The bag must be at least as wide as it is high.
 *
 * @see docs/model.md, 1. Bags
 * @example
 * pillowSolid({ lengthMillimetres: 900, widthMillimetres: 400, heightMillimetres: 150 }).volumeBelow(150) / 1e6
 * // ≈> 48.04646
 */
export function pillowSolid(size: {
  readonly lengthMillimetres: number;
  readonly widthMillimetres: number;
  readonly heightMillimetres: number;
}): Solid {
  const { lengthMillimetres, widthMillimetres, heightMillimetres } = size;
  const r = heightMillimetres / 2;
  const l0 = lengthMillimetres - 2 * r;
  const w0 = widthMillimetres - 2 * r;
  const bulge = (z: number) => Math.sqrt(Math.max(0, r * r - (z - r) ** 2));
  /** ∫ bulge from 0 to z: the area of a circle's segment, halved */
  const bulgeIntegral = (z: number) => {
    const t = z - r;
    return (t * bulge(z) + r * r * (Math.asin(Math.min(1, Math.max(-1, t / r))) + Math.PI / 2)) / 2;
  };
  /** ∫ bulge² from 0 to z = ∫ (2rz − z²) */
  const bulgeSquareIntegral = (z: number) => r * z * z - z ** 3 / 3;
  return {
    heightMillimetres,
    widthAt: (z) => l0 + 2 * bulge(z),
    areaAt: (z) => (l0 + 2 * bulge(z)) * (w0 + 2 * bulge(z)),
    perimeterAt: (z) => 2 * (l0 + w0 + 4 * bulge(z)),
    volumeBelow: (z) => l0 * w0 * z + 2 * (l0 + w0) * bulgeIntegral(z) + 4 * bulgeSquareIntegral(z),
  };
}
