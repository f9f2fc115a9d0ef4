import { LOG_USE_REACH, LOG_USE_STEP, WATER_CELLS } from './grid.ts';

/** Draws a water and a use by two even numbers from 0 to below 1; `column` is where the stores stand that go with it. */
export type BeliefSampler = (
  forUse: number,
  forWater: number,
) => { readonly water: number; readonly use: number; readonly column: number };

/**
 * Draws from a belief's cells.
 *
 * @param mass its cells, column by column; summing to 1
 * @param columns the mass of each column
 * @param columnLow first column with any mass
 * @param columnHigh last one
 * @see docs/model.md, 7. Water
 */
export function sampler(
  mass: Float64Array,
  columns: Float64Array,
  columnLow: number,
  columnHigh: number,
): BeliefSampler {
  return (forUse, forWater) => {
    let left = forUse;
    let j = columnLow;
    while (j < columnHigh && left >= (columns[j] as number)) left -= columns[j++] as number;
    const whole = columns[j] as number;
    let rest = forWater * whole;
    let n = j * WATER_CELLS;
    const last = n + WATER_CELLS - 1;
    while (n < last && rest >= (mass[n] as number)) rest -= mass[n++] as number;
    const here = mass[n] as number;
    const inside = here > 0 ? Math.min(1, rest / here) : 0.5;
    const between = whole > 0 ? Math.min(1, left / whole) - 0.5 : 0;
    return {
      water: (n - j * WATER_CELLS + inside) / WATER_CELLS,
      use: Math.exp(-LOG_USE_REACH + (j + between) * LOG_USE_STEP),
      column: j,
    };
  };
}
