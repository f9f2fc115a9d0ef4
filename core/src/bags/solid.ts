import { within } from '../errors/index.ts';

/**
 * The inside of a container as a solid, from its base (z = 0) to its rim. All lengths in mm.
 * Each kind of bag makes one of these, and everything else (volume, fill height, sides, the section drawing)
 * is computed from it, so that a new kind is one file.
 */
export interface Solid {
  /** base to rim, mm */
  readonly heightMillimetres: number;
  /** width along the section that is drawn, at a height, mm */
  widthAt(z: number): number;
  /** horizontal area at a height, mm² */
  areaAt(z: number): number;
  /** length round the outside at a height, mm */
  perimeterAt(z: number): number;
  /** volume from the base up to a height, mm³; exact, in closed form */
  volumeBelow(z: number): number;
}

const CUBIC_MILLIMETRES_PER_LITRE = 1_000_000;

/**
 * Litres from the base to a height, or of the whole when no height is given.
 *
 * @throws RundelError when the height lies outside the solid
 */
export function litresBelow(solid: Solid, zMillimetres: number = solid.heightMillimetres): number {
  within('zMillimetres', zMillimetres, 0, solid.heightMillimetres);
  return solid.volumeBelow(zMillimetres) / CUBIC_MILLIMETRES_PER_LITRE;
}

/**
 * The height (mm) at which a number of litres stands; the inverse of {@link litresBelow}.
 * Volume grows with height in every solid, so bisection always ends on the root.
 *
 * @returns `overflows` with the litres that do not go in when there are more than the solid holds
 * @see docs/model.md, 1. Bags
 */
export function heightOfLitres(
  solid: Solid,
  litres: number,
):
  | { readonly kind: 'stands-at'; readonly millimetres: number }
  | { readonly kind: 'overflows'; readonly litresOver: number } {
  const whole = litresBelow(solid);
  // closed forms with an arcsine lose a little near the rim: a millionth of a litre is not an overflow
  if (litres > whole + 1e-6) return { kind: 'overflows', litresOver: litres - whole };
  let low = 0;
  let high = solid.heightMillimetres;
  while (high - low > 1e-7) {
    const middle = (low + high) / 2;
    if (litresBelow(solid, middle) < litres) low = middle;
    else high = middle;
  }
  return { kind: 'stands-at', millimetres: (low + high) / 2 };
}

/** Area of the sides from the base up to a height, m² (Simpson's rule; exact where the perimeter is at most cubic in z). */
export function sideSquareMetres(solid: Solid, zMillimetres: number): number {
  const steps = 16;
  const h = zMillimetres / steps;
  let sum = 0;
  for (let i = 0; i <= steps; i++) {
    const weight = i === 0 || i === steps ? 1 : i % 2 === 1 ? 4 : 2;
    sum += weight * solid.perimeterAt(i * h);
  }
  return (sum * h) / 3 / 1e6;
}

/** The outline of the section, base to rim (or to a lower top): half widths at heights, mm. */
export function outline(
  solid: Solid,
  points = 24,
  topMillimetres: number = solid.heightMillimetres,
): readonly { readonly z: number; readonly half: number }[] {
  return Array.from({ length: points + 1 }, (_, i) => {
    const z = (topMillimetres * i) / points;
    return { z, half: solid.widthAt(z) / 2 };
  });
}
