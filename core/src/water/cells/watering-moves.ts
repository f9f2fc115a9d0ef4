import { POINTS, WATER_CELLS, WATER_MIDDLES } from '../grid.ts';
import { afterGain } from '../stress.ts';
import type { CellWork } from './work.ts';

/** Moves out of a cell: one for each of the points that stand for the doubt of the amount. */
export const POINTS_A_CELL = POINTS.length;

/** What the planned watering runs through from each cell. */
const drains = new Float64Array(WATER_CELLS);

/** Plans where a watering of a doubtful amount takes the mass of each cell. */
export function planWatering(
  { brims, lowers, uppers }: Pick<CellWork, 'brims' | 'lowers' | 'uppers'>,
  amount: number,
  sd: number,
  mix: { readonly dryBelow: number; readonly dryKeeps: number },
): void {
  const gains = POINTS.map(({ z }) => Math.max(0, amount + z * sd));
  const meanGain = POINTS.reduce((sum, { weight }, p) => sum + weight * (gains[p] as number), 0);
  const leastGain = gains[0] as number;
  for (let i = 0; i < WATER_CELLS; i++) {
    const w = WATER_MIDDLES[i] as number;
    // most waterings fill most cells to the brim, however much it was
    const isFilled = afterGain(w, leastGain, mix).w === 1;
    brims[i] = isFilled ? 1 : 0;
    drains[i] = isFilled ? meanGain - (1 - w) : 0;
    if (isFilled) continue;
    for (let p = 0; p < POINTS_A_CELL; p++) {
      const after = afterGain(w, gains[p] as number, mix);
      const place = placeOf(after.w);
      lowers[i * POINTS_A_CELL + p] = place | 0;
      uppers[i * POINTS_A_CELL + p] = place - (place | 0);
      drains[i] = (drains[i] as number) + (POINTS[p] as (typeof POINTS)[number]).weight * after.drained;
    }
  }
}

/** Where water lies along the cells: whole part the lower of the two nearest, rest the share of the upper. */
function placeOf(w: number): number {
  return Math.min(WATER_CELLS - 1, Math.max(0, w * WATER_CELLS - 0.5));
}

/** What the planned watering runs through a column in the mean, as a share of available water. */
export function drainedFrom(mass: Float64Array, at: number): number {
  let [total, ran] = [0, 0];
  for (let i = 0; i < WATER_CELLS; i++) {
    total += mass[at + i] as number;
    ran += (mass[at + i] as number) * (drains[i] as number);
  }
  return total > 0 ? ran / total : 0;
}
