import { POINTS, WATER_CELLS, WATER_MIDDLES } from './grid.ts';
import { afterGain } from './stress.ts';

/** A drink as moves from cell to cell: each with the part of the cell's mass that it takes; and what runs through from each. */
export const froms = new Int32Array(WATER_CELLS * POINTS.length * 2);
export const intos = new Int32Array(WATER_CELLS * POINTS.length * 2);
export const parts = new Float64Array(WATER_CELLS * POINTS.length * 2);
export const drains = new Float64Array(WATER_CELLS);

/** Plans a drink's moves, those between the same two cells as one (most drinks fill most cells to the brim). */
export function planDrink(amount: number, sd: number, mix: Parameters<typeof afterGain>[2]): number {
  let count = 0;
  for (let i = 0; i < WATER_CELLS; i++) {
    const first = count;
    drains[i] = 0;
    for (const { z, weight } of POINTS) {
      const { w, drained } = afterGain(WATER_MIDDLES[i] as number, Math.max(0, amount + z * sd), mix);
      const place = placeOf(w);
      const lower = place | 0;
      const upper = weight * (place - lower);
      count = addMove(first, count, i, lower, weight - upper);
      if (upper > 0) count = addMove(first, count, i, lower + 1, upper);
      drains[i] = (drains[i] as number) + weight * drained;
    }
  }
  return count;
}

/** One more move, from the number of a cell's first; returns how many there are then. */
function addMove(first: number, count: number, from: number, to: number, part: number): number {
  let n = first;
  while (n < count && intos[n] !== to) n++;
  froms[n] = from;
  intos[n] = to;
  parts[n] = n === count ? part : (parts[n] as number) + part;
  return n === count ? count + 1 : count;
}

/** Where water lies along the cells: whole part the lower of the two nearest, rest the share of the upper. */
function placeOf(w: number): number {
  return Math.min(WATER_CELLS - 1, Math.max(0, w * WATER_CELLS - 0.5));
}
