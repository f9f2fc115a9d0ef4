/** The ways of looking at a bag's moisture, as data: what each feels between, as shares of available water. */
export const FINGER_GRADES = ['dust-dry', 'dry', 'barely damp', 'moist', 'wet'] as const;
export const LIFT_GRADES = ['light', 'middling', 'heavy'] as const;

export type Look =
  | { readonly method: 'finger'; /** 1 dust-dry to 5 wet */ readonly grade: number }
  | { readonly method: 'lift'; /** 1 light to 3 heavy */ readonly grade: number };

/** Borders between the grades, relative available water (*assumed*; model §4). */
const BORDERS = { finger: [0.12, 0.33, 0.58, 0.85], lift: [0.33, 0.7] } as const;

/**
 * The finger grade that a share of available water would feel like, 1 to 5.
 *
 * @example
 * fingerGradeOf(0.4)
 * // => 3
 */
export function fingerGradeOf(w: number): number {
  return 1 + BORDERS.finger.filter((border) => w >= border).length;
}

/** Chance of a grade when the bag holds w: ordinal probit, noise σ in shares of available water. Never quite zero. */
export function chanceOfLook(
  look: Look,
  w: number,
  noise: { readonly finger: number; readonly lift: number },
): number {
  const borders = BORDERS[look.method];
  const sigma = noise[look.method];
  const below = borders[look.grade - 2];
  const above = borders[look.grade - 1];
  const low = below === undefined ? 0 : normalBelow((below - w) / sigma);
  const high = above === undefined ? 1 : normalBelow((above - w) / sigma);
  return Math.max(1e-6, high - low);
}

/**
 * The standard normal distribution function, to 1.5e-7 (Abramowitz & Stegun 7.1.26).
 *
 * @example
 * normalBelow(1.96)
 * // ≈> 0.975
 */
export function normalBelow(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * x);
  const poly =
    t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
  const erf = 1 - poly * Math.exp(-x * x);
  return z >= 0 ? (1 + erf) / 2 : (1 - erf) / 2;
}
