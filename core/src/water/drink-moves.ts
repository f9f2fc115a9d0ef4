import { POINTS, WATER_CELLS, WATER_MIDDLES } from './grid.ts';
import { afterGain } from './stress.ts';

const MOST_MOVES = WATER_CELLS * POINTS.length * 2;

/**
 * A drink as moves between cells, gathered by where they go: cell `i` takes `parts[n]` of the mass of cell `froms[n]` for
 * each n from `starts[i]` up to, but not with, `starts[i + 1]`. What runs through from each cell stands in `drains`.
 */
const starts = new Int32Array(WATER_CELLS + 1);
const froms = new Int32Array(MOST_MOVES);
const parts = new Float64Array(MOST_MOVES);
const drains = new Float64Array(WATER_CELLS);

/** The moves as they are found, cell by cell. */
const foundFrom = new Int32Array(MOST_MOVES);
const foundInto = new Int32Array(MOST_MOVES);
const foundPart = new Float64Array(MOST_MOVES);

/** Plans a drink's moves, those between the same two cells as one (most drinks fill most cells to the brim). */
export function planDrink(amount: number, sd: number, mix: Parameters<typeof afterGain>[2]): void {
  let count = 0;
  for (let i = 0; i < WATER_CELLS; i++) {
    const first = count;
    drains[i] = 0;
    for (let p = 0; p < POINTS.length; p++) {
      const { z, weight } = POINTS[p] as (typeof POINTS)[number];
      const { w, drained } = afterGain(WATER_MIDDLES[i] as number, Math.max(0, amount + z * sd), mix);
      const place = placeOf(w);
      const lower = place | 0;
      const upper = weight * (place - lower);
      count = addMove(first, count, i, lower, weight - upper);
      if (upper > 0) count = addMove(first, count, i, lower + 1, upper);
      drains[i] = (drains[i] as number) + weight * drained;
    }
  }
  gather(count);
}

/** One more move, from the number of a cell's first; returns how many there are then. */
function addMove(first: number, count: number, from: number, to: number, part: number): number {
  let n = first;
  while (n < count && foundInto[n] !== to) n++;
  foundFrom[n] = from;
  foundInto[n] = to;
  foundPart[n] = n === count ? part : (foundPart[n] as number) + part;
  return n === count ? count + 1 : count;
}

/** Sorts the moves by where they go, by counting. */
function gather(count: number): void {
  starts.fill(0);
  for (let n = 0; n < count; n++) {
    const after = (foundInto[n] as number) + 1;
    starts[after] = (starts[after] as number) + 1;
  }
  for (let i = 0; i < WATER_CELLS; i++) starts[i + 1] = (starts[i + 1] as number) + (starts[i] as number);
  for (let n = count - 1; n >= 0; n--) {
    // each cell's end is walked down to its beginning, and stands there when all its moves are placed
    const end = (foundInto[n] as number) + 1;
    const place = (starts[end] as number) - 1;
    starts[end] = place;
    froms[place] = foundFrom[n] as number;
    parts[place] = foundPart[n] as number;
  }
  // what was walked down are the beginnings, one cell along: bring them back to their cells
  starts.copyWithin(0, 1);
  starts[WATER_CELLS] = count;
}

/** Where water lies along the cells: whole part the lower of the two nearest, rest the share of the upper. */
function placeOf(w: number): number {
  return Math.min(WATER_CELLS - 1, Math.max(0, w * WATER_CELLS - 0.5));
}

/** One column's mass by the planned moves, into another array of the same shape. */
export function pourInto(into: Float64Array, mass: Float64Array, at: number): void {
  // in locals: a module's arrays are looked up anew at every use
  const [start, from, part, cells] = [starts, froms, parts, WATER_CELLS];
  let n = 0;
  for (let i = 0; i < cells; i++) {
    const stop = start[i + 1] as number;
    let sum = 0;
    for (; n < stop; n++) sum += (mass[at + (from[n] as number)] as number) * (part[n] as number);
    into[at + i] = sum;
  }
}

/** What the planned drink runs through a column in the mean, as a share of available water. */
export function drainedFrom(mass: Float64Array, at: number): number {
  let [total, ran] = [0, 0];
  for (let i = 0; i < WATER_CELLS; i++) {
    total += mass[at + i] as number;
    ran += (mass[at + i] as number) * (drains[i] as number);
  }
  return total > 0 ? ran / total : 0;
}
