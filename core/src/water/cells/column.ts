import { onLossScale, POINTS, WATER_CELLS, type LossScale } from '../grid.ts';

/** Running sums of the column that was accumulated last; made once, since they are filled at every step of every column. */
const chances = new Float64Array(WATER_CELLS + 1);
const areas = new Float64Array(WATER_CELLS + 1);
const slopes = new Float64Array(WATER_CELLS);
/** The first cell with any mass, and the one after the last. */
let first = 0;
let end = 0;

/** Less mass than this is left in the next cell up: empty cells are passed over, and none shrinks without end. */
const NEXT_TO_NOTHING = 1e-9;

const SHARP = 1e-6;

/** Fills the running sums of a column along the scale of losses, and says what it holds in all. */
function accumulate(mass: Float64Array, at: number, edges: Float64Array): number {
  // in locals: what belongs to the module is looked up anew at every use, which took most of the time
  const [belows, under, rises] = [chances, areas, slopes];
  let from = 0;
  let stop = WATER_CELLS;
  while (from < WATER_CELLS && mass[at + from] === 0) from++;
  while (stop > from && mass[at + stop - 1] === 0) stop--;
  let chance = 0;
  let area = 0;
  let edge = edges[from] as number;
  for (let i = from; i < stop; i++) {
    const here = mass[at + i] as number;
    const next = edges[i + 1] as number;
    const wide = next - edge;
    belows[i] = chance;
    under[i] = area;
    rises[i] = here / wide;
    area += (chance + here / 2) * wide;
    chance += here;
    edge = next;
  }
  belows[stop] = chance;
  under[stop] = area;
  first = from;
  end = stop;
  return chance;
}

/**
 * A column loses `asked`, spread evenly over ± `around`: the chance of ending below an edge is the mean chance of having been
 * below edge + loss, which is a difference of two areas.
 *
 * @param at where the column begins in the mass
 * @param targets for each edge, where on the scale of losses water must lie after the loss to end below it
 */
export function shiftColumn(
  mass: Float64Array,
  at: number,
  targets: Float64Array,
  asked: number,
  around: number,
  edges: Float64Array,
): void {
  const total = accumulate(mass, at, edges);
  if (total === 0) return;
  const [belows, under, rises] = [chances, areas, slopes];
  const cells = WATER_CELLS;
  // so narrow a spread is none: it would be a difference of equal areas
  const half = around < SHARP ? 0 : around;
  const isSharp = half === 0;
  const bottomEdge = edges[first] as number;
  const topEdge = edges[end] as number;
  const last = end;
  let low = first;
  let high = first;
  let before = 0;
  /** the last cell that holds anything: what is next to nothing at the end goes there */
  let filled = -1;
  let e = 1;
  mass.fill(0, at, at + cells);
  // the places looked up only rise with the edge, so each pointer walks the cells once
  while (e < cells && (targets[e] as number) + asked + half <= bottomEdge) e++;
  for (; e < cells; e++) {
    const to = (targets[e] as number) + asked;
    const top = to + half;
    const bottom = to - half;
    if (bottom >= topEdge) break;
    while (high < last && (edges[high + 1] as number) <= top) high++;
    let below: number;
    if (isSharp) {
      below =
        high >= last
          ? total
          : (belows[high] as number) + (rises[high] as number) * (top - (edges[high] as number));
    } else {
      const insideTop = top - (edges[high] as number);
      below = (under[high] as number) + (belows[high] as number) * insideTop;
      if (high < last) below += ((rises[high] as number) * insideTop * insideTop) / 2;
      if (bottom > bottomEdge) {
        while (low < last && (edges[low + 1] as number) <= bottom) low++;
        const inside = bottom - (edges[low] as number);
        below -=
          (under[low] as number) +
          (belows[low] as number) * inside +
          ((rises[low] as number) * inside * inside) / 2;
      }
      below /= 2 * half;
    }
    const here = below - before;
    if (here > NEXT_TO_NOTHING) {
      filled = e - 1;
      mass[at + filled] = here;
      before = below;
    }
  }
  const rest = total - before;
  const into = rest > NEXT_TO_NOTHING || filled < 0 ? e - 1 : filled;
  mass[at + into] = (mass[at + into] as number) + rest;
}

/** Chance of lying below a place on the scale of losses, of the column last accumulated; for places in no order. */
function chanceBelowPlace(place: number, edges: Float64Array): number {
  if (place <= (edges[first] as number)) return 0;
  let cell = first;
  let stop = end;
  while (cell < stop) {
    const middle = (cell + stop + 1) >> 1;
    if ((edges[middle] as number) <= place) cell = middle;
    else stop = middle - 1;
  }
  if (cell >= end) return chances[end] as number;
  return (chances[cell] as number) + (slopes[cell] as number) * (place - (edges[cell] as number));
}

/**
 * A column loses while stores refill the mix: three losses in place of a spread, since the stores give differently to each.
 * Below an edge end those that refilling without limit would leave below it, and those that get all that the stores hold.
 */
export function refillColumn(
  mass: Float64Array,
  at: number,
  targets: Float64Array,
  step: {
    /** one for each of the points that stand for the spread */
    readonly losses: readonly number[];
    /** in the same order: how hard the stores refill is in doubt as well */
    readonly refillRates: readonly number[];
    readonly stored: number;
    readonly gain: number;
  },
  { edges, threshold }: LossScale,
): void {
  const { losses, refillRates, stored, gain } = step;
  const total = accumulate(mass, at, edges);
  let before = 0;
  for (let e = 1; e < WATER_CELLS; e++) {
    const w = e / WATER_CELLS - gain;
    let below = 0;
    for (let p = 0; p < POINTS.length; p++) {
      const lost = losses[p] as number;
      const refillRate = refillRates[p] as number;
      const alone = (targets[e] as number) + lost;
      let from = alone;
      if (refillRate > 0 && stored > 0 && w > 0) {
        const rest = 1 - lost / refillRate;
        const wet = rest + (w - rest) * Math.exp(refillRate);
        const limited = w > stored ? onLossScale(w - stored, threshold) + lost : -Infinity;
        from = Math.max(limited, Math.min(alone, wet > 0 ? onLossScale(wet, threshold) : -Infinity));
      }
      below += (POINTS[p] as (typeof POINTS)[number]).weight * chanceBelowPlace(from, edges);
    }
    mass[at + e - 1] = Math.max(0, below - before);
    before = Math.max(before, below);
  }
  mass[at + WATER_CELLS - 1] = Math.max(0, total - before);
}
