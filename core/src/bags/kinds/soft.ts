import type { Solid } from '../solid.ts';

/**
 * Diameter of a film tube that stands full, mm: its circumference is twice the width laid flat, so d = 2w / π.
 *
 * @see docs/model.md, 1. Bags
 * @example
 * tubeDiameter(400)
 * // ≈> 254.648
 */
export function tubeDiameter(flatMillimetres: number): number {
  return (2 * flatMillimetres) / Math.PI;
}

/**
 * Height at which a tube with a sealed end stands, mm: the flat end opens into a round base, which takes the base's
 * half width, w / π, from the length.
 *
 * @example
 * sealedTubeHeight(600, 400)
 * // ≈> 472.676
 */
export function sealedTubeHeight(lengthMillimetres: number, flatMillimetres: number): number {
  return lengthMillimetres - flatMillimetres / Math.PI;
}

/**
 * A floppy bag with a rectangular base: its sides bulge, so that its plan lies between the box that it was sewn as
 * and the circle of the same girth.
 *
 * @param rounding 0 stays a box, 1 bulges to the circle (*assumed*)
 * @example
 * floppySolid({ lengthMillimetres: 400, widthMillimetres: 200, heightMillimetres: 300 }, 0).volumeBelow(300) / 1e6
 * // ≈> 24
 */
export function floppySolid(
  size: {
    readonly lengthMillimetres: number;
    readonly widthMillimetres: number;
    readonly heightMillimetres: number;
  },
  rounding: number,
): Solid {
  const { lengthMillimetres, widthMillimetres, heightMillimetres } = size;
  const girth = 2 * (lengthMillimetres + widthMillimetres);
  const box = lengthMillimetres * widthMillimetres;
  const circle = girth ** 2 / (4 * Math.PI);
  const area = box + rounding * (circle - box);
  // as it rounds out, its long side draws in towards the circle's diameter
  const width = lengthMillimetres + rounding * (girth / Math.PI - lengthMillimetres);
  return {
    heightMillimetres,
    widthAt: () => width,
    areaAt: () => area,
    perimeterAt: () => girth,
    volumeBelow: (z) => area * z,
  };
}
