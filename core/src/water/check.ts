import type { Assumed } from '../assumed/index.ts';
import { normalBelow } from '../statistics/index.ts';

/** The ways of looking at a bag's moisture, as data: what each feels between, as shares of available water. */
export const FINGER_GRADES = ['dust-dry', 'dry', 'barely damp', 'moist', 'wet'] as const;
export const LIFT_GRADES = ['light', 'middling', 'heavy'] as const;

export type MoistureCheck =
  | { readonly method: 'finger'; /** 1 dust-dry to 5 wet */ readonly grade: number }
  | { readonly method: 'lift'; /** 1 light to 3 heavy */ readonly grade: number }
  /** how full the reservoir, drum or channel is, 0 to 1 */
  | { readonly method: 'level'; readonly share: number; readonly sd?: number }
  /** the plant hangs, and not from noon's heat alone */
  | { readonly method: 'wilted' }
  /** a scale's or probe's reading by its bag's calibration: a share of available water, and its sd */
  | { readonly method: 'reading'; readonly share: number; readonly sd: number };

/** Borders between the grades, relative available water: they define the grades (model §4). */
const BORDERS = { finger: [0.12, 0.33, 0.58, 0.85], lift: [0.33, 0.7] } as const;

/**
 * The finger grade that a share of available water would feel like, 1 to 5.
 *
 * @see docs/model.md, 7. Water
 * @example
 * fingerGradeOf(0.4)
 * // => 3
 */
export function fingerGradeOf(w: number): number {
  return 1 + BORDERS.finger.filter((border) => w >= border).length;
}

/** The share of available water in the middle of a finger grade, 1 to 5. */
export function middleOfGrade(grade: number): number {
  return ((BORDERS.finger[grade - 2] ?? 0) + (BORDERS.finger[grade - 1] ?? 1)) / 2;
}

/**
 * Chance (or density, for a reading) of a check when the bag holds w. Grades by ordinal probit; the finger feels the top
 * layer, which is drier than the bag by an offset. Never quite zero. A level says nothing of the mix.
 */
export function chanceOfCheck(
  check: MoistureCheck,
  w: number,
  noise: Pick<Assumed, 'fingerNoise' | 'fingerOffset' | 'liftNoise' | 'wiltNoise' | 'strayReading'>,
): number {
  if (check.method === 'level') return 1;
  if (check.method === 'wilted') return Math.exp(-((w / noise.wiltNoise) ** 2) / 2) + 1e-3;
  if (check.method === 'reading') {
    const z = (check.share - w) / check.sd;
    return (
      (1 - noise.strayReading) * (Math.exp(-(z * z) / 2) / (check.sd * Math.sqrt(2 * Math.PI))) +
      noise.strayReading
    );
  }
  const borders = BORDERS[check.method];
  const isFinger = check.method === 'finger';
  const sigma = isFinger ? noise.fingerNoise : noise.liftNoise;
  const felt = isFinger ? w - noise.fingerOffset : w;
  const below = borders[check.grade - 2];
  const above = borders[check.grade - 1];
  const low = below === undefined ? 0 : normalBelow((below - felt) / sigma);
  const high = above === undefined ? 1 : normalBelow((above - felt) / sigma);
  return Math.max(1e-6, high - low);
}
