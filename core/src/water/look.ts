import { normalBelow } from '../statistics/index.ts';

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
