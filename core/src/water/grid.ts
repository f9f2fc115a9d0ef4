/** Cells along relative available water (0 to 1) and along the log of the use multiplier. */
export const WATER_CELLS = 40;
export const USE_CELLS = 25;

export const LOG_USE_REACH = 1.5;
export const LOG_USE_STEP = (2 * LOG_USE_REACH) / (USE_CELLS - 1);

/** Relative available water at the middle of each cell. */
export const WATER_MIDDLES: readonly number[] = Array.from(
  { length: WATER_CELLS },
  (_, i) => (i + 0.5) / WATER_CELLS,
);

/** The use multiplier of each column. */
export const USE_MULTIPLIERS: readonly number[] = Array.from({ length: USE_CELLS }, (_, j) =>
  Math.exp(-LOG_USE_REACH + j * LOG_USE_STEP),
);

/** Three points that stand for a normal variable: mean and variance are exact (Gauss–Hermite). */
export const POINTS = [
  { z: -Math.sqrt(3), weight: 1 / 6 },
  { z: 0, weight: 2 / 3 },
  { z: Math.sqrt(3), weight: 1 / 6 },
] as const;

/** Drier than this, a bag has nothing left that counts: the scale below would have no end. */
const LEAST_WATER = 5e-4;

/**
 * Relative available water on a scale along which every loss is a plain shift, whatever the stress:
 * u(w) = w above the stress threshold t, and t × (1 + ln(w / t)) below it (from FAO-56 eq 84; see `afterLoss`).
 */
export interface LossScale {
  readonly threshold: number;
  /** where the edges of the cells stand on it, WATER_CELLS + 1 of them */
  readonly edges: Float64Array;
}

/**
 * A place on the scale of losses.
 *
 * @see docs/model.md, 7. Water
 * @example
 * onLossScale(0.9, 0.6) - onLossScale(0.7, 0.6)
 * // ≈> 0.2
 */
export function onLossScale(w: number, threshold: number): number {
  return w >= threshold ? w : threshold * (1 + Math.log(Math.max(LEAST_WATER, w) / threshold));
}

/**
 * The relative available water of a place on the scale of losses.
 *
 * @example
 * fromLossScale(onLossScale(0.25, 0.6), 0.6)
 * // ≈> 0.25
 */
export function fromLossScale(place: number, threshold: number): number {
  return place >= threshold ? place : threshold * Math.exp(place / threshold - 1);
}

/** The scale for a depletion share. */
export function lossScale(depletion: number): LossScale {
  const threshold = 1 - depletion;
  const edges = Float64Array.from({ length: WATER_CELLS + 1 }, (_, i) =>
    onLossScale(i / WATER_CELLS, threshold),
  );
  return { threshold, edges };
}

/**
 * Where a running sum of masses reaches each of some chances: cells from the first, with the part of the cell.
 *
 * @param wanted ascending
 * @example
 * placesOfChances([0.2, 0.2, 0.6], [0.1, 0.7])
 * // => [0.5, 2.5]
 */
export function placesOfChances(masses: ArrayLike<number>, wanted: readonly number[]): number[] {
  const places: number[] = [];
  let sum = 0;
  let i = 0;
  for (const chance of wanted) {
    while (i < masses.length && sum + (masses[i] as number) < chance) sum += masses[i++] as number;
    const here = i < masses.length ? (masses[i] as number) : 0;
    places.push(here > 0 ? i + (chance - sum) / here : i);
  }
  return places;
}

/** How likely something is in each cell, by how likely it is at a share of available water. */
export function weightsBy(chance: (w: number) => number): Float64Array {
  return Float64Array.from(WATER_MIDDLES, chance);
}
