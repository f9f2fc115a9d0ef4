/*
 * The loops over a belief's cells, in AssemblyScript: the same as `src/water/cells/plain.ts`, which says what each is for,
 * compiled by `npm run kernel` into `src/water/cells/compiled-code.ts`. Two cells are taken at once where nothing depends on
 * the one before. One belief's cells lie in this memory at a time; its places are exported, and are read and written outside.
 */

const WATER_CELLS: i32 = 40;
const USE_CELLS: i32 = 25;
/** Bytes of one value, of the two that are taken at once, and of one column. */
const VALUE: usize = 8;
const PAIR: usize = 16;
const COLUMN: usize = <usize>WATER_CELLS * VALUE;
const POINTS: i32 = 3;
const EDGES: i32 = WATER_CELLS + 1;

export const mass: usize = memory.data(WATER_CELLS * USE_CELLS * 8, 16);
export const marginal: usize = memory.data(WATER_CELLS * 8, 16);
export const weights: usize = memory.data(WATER_CELLS * 8, 16);
export const useMultipliers: usize = memory.data(USE_CELLS * 8, 16);
export const edges: usize = memory.data(EDGES * 8, 16);
export const targets: usize = memory.data(EDGES * 8, 16);
export const pointWeights: usize = memory.data(POINTS * 8, 16);
export const brims: usize = memory.data(WATER_CELLS * 4, 16);
export const lowers: usize = memory.data(WATER_CELLS * POINTS * 4, 16);
export const uppers: usize = memory.data(WATER_CELLS * POINTS * 8, 16);
export const reach: usize = memory.data(2 * 4, 16);

/** Working room: a column as it was, running sums of it, and areas under them. */
const before: usize = memory.data(WATER_CELLS * 8, 16);
const chances: usize = memory.data(EDGES * 8, 16);
const areas: usize = memory.data(EDGES * 8, 16);
const slopes: usize = memory.data(EDGES * 8, 16);
const narrowness: usize = memory.data(EDGES * 8, 16);
const below: usize = memory.data(EDGES * 8, 16);

const NEXT_TO_NOTHING: f64 = 1e-9;
const SHARP: f64 = 1e-6;

function at(list: usize, i: i32): f64 {
  return load<f64>(list + <usize>i * VALUE);
}

function put(list: usize, i: i32, value: f64): void {
  store<f64>(list + <usize>i * VALUE, value);
}

function add(list: usize, i: i32, more: f64): void {
  put(list, i, at(list, i) + more);
}

function whole(list: usize, i: i32): i32 {
  return load<i32>(list + <usize>i * 4);
}

function column(j: i32): usize {
  return mass + <usize>j * COLUMN;
}

/** Columns from `low` to `high` lose what each asks for; see `shiftColumn`. */
export function lose(low: i32, high: i32, transpiration: f64, evaporation: f64, halfShare: f64): void {
  for (let i = 0; i < WATER_CELLS; i++) put(narrowness, i, 1 / (at(edges, i + 1) - at(edges, i)));
  for (let j = low; j <= high; j++) {
    const asked = transpiration * at(useMultipliers, j) + evaporation;
    shift(column(j), asked, asked * halfShare);
  }
}

function shift(cells: usize, asked: f64, around: f64): void {
  const half: f64 = around < SHARP ? 0 : around;
  let first = 0;
  let end = WATER_CELLS;
  while (first < WATER_CELLS && at(cells, first) === 0) first++;
  while (end > first && at(cells, end - 1) === 0) end--;
  if (first === end) return;
  const bottomEdge = at(edges, first);
  const topEdge = at(edges, end);
  let chance: f64 = 0;
  let area: f64 = 0;
  let edge = bottomEdge;
  for (let i = first; i < end; i++) {
    const here = at(cells, i);
    const next = at(edges, i + 1);
    const wide = next - edge;
    put(chances, i, chance);
    put(areas, i, area);
    put(slopes, i, here * at(narrowness, i));
    area += (chance + here * 0.5) * wide;
    chance += here;
    edge = next;
    put(cells, i, 0);
  }
  put(chances, end, chance);
  put(areas, end, area);
  put(slopes, end, 0);

  const isSharp = half === 0;
  let e = 1;
  while (e < WATER_CELLS && at(targets, e) + asked + half <= bottomEdge) e++;
  let stop = e;
  while (stop < WATER_CELLS && at(targets, stop) + asked - half < topEdge) stop++;
  if (isSharp) chancesBelow(e, stop, asked, first, end);
  else {
    areasBelow(e, stop, asked + half, first, end);
    lessAreasBelow(e, stop, asked - half, first, end);
  }
  const share: f64 = isSharp ? 1 : 1 / (2 * half);
  let reached: f64 = 0;
  let last = -1;
  for (; e < stop; e++) {
    const chanceHere = at(below, e) * share;
    const here = chanceHere - reached;
    if (here > NEXT_TO_NOTHING) {
      last = e - 1;
      put(cells, last, here);
      reached = chanceHere;
    }
  }
  const rest = chance - reached;
  add(cells, rest > NEXT_TO_NOTHING || last < 0 ? e - 1 : last, rest);
}

/** For edges from `from` to before `stop`: the chance of having lain below the edge and what was lost. */
function chancesBelow(from: i32, stop: i32, lost: f64, first: i32, end: i32): void {
  let i = first;
  for (let e = from; e < stop; e++) {
    const place = at(targets, e) + lost;
    while (i < end && at(edges, i + 1) <= place) i++;
    put(below, e, at(chances, i) + at(slopes, i) * (place - at(edges, i)));
  }
}

/** The area under those chances, up to the edge and what was lost. */
function areasBelow(from: i32, stop: i32, lost: f64, first: i32, end: i32): void {
  let i = first;
  for (let e = from; e < stop; e++) {
    const place = at(targets, e) + lost;
    while (i < end && at(edges, i + 1) <= place) i++;
    put(below, e, areaAt(i, place));
  }
}

/** Takes off the area up to the edge and what was lost at least. */
function lessAreasBelow(from: i32, stop: i32, lost: f64, first: i32, end: i32): void {
  let i = first;
  let e = from;
  while (e < stop && at(targets, e) + lost <= at(edges, first)) e++;
  for (; e < stop; e++) {
    const place = at(targets, e) + lost;
    while (i < end && at(edges, i + 1) <= place) i++;
    put(below, e, at(below, e) - areaAt(i, place));
  }
}

function areaAt(i: i32, place: f64): f64 {
  const inside = place - at(edges, i);
  return at(areas, i) + inside * (at(chances, i) + inside * at(slopes, i) * 0.5);
}

/** Columns from `low` to `high` give a share of their mass to each neighbour; the mass by water is summed on the way. */
export function wander(low: i32, high: i32, side: f64): void {
  memory.fill(marginal, 0, COLUMN);
  const stays = f64x2.splat(1 - 2 * side);
  const gives = f64x2.splat(side);
  for (let n: usize = 0; n < COLUMN; n += PAIR) v128.store(before + n, v128.load(column(low) + n));
  for (let j = low; j <= high; j++) {
    const here = column(j);
    const after = j < high ? here + COLUMN : here;
    for (let n: usize = 0; n < COLUMN; n += PAIR) {
      const m = v128.load(here + n);
      const sides = f64x2.add(v128.load(before + n), v128.load(after + n));
      const moved = f64x2.add(f64x2.mul(stays, m), f64x2.mul(gives, sides));
      v128.store(before + n, m);
      v128.store(here + n, moved);
      v128.store(marginal + n, f64x2.add(v128.load(marginal + n), moved));
    }
  }
}

/** Weights every cell by its water; the mass by water is summed on the way. */
export function weigh(low: i32, high: i32): void {
  memory.fill(marginal, 0, COLUMN);
  for (let j = low; j <= high; j++) {
    const here = column(j);
    for (let n: usize = 0; n < COLUMN; n += PAIR) {
      const weighted = f64x2.mul(v128.load(here + n), v128.load(weights + n));
      v128.store(here + n, weighted);
      v128.store(marginal + n, f64x2.add(v128.load(marginal + n), weighted));
    }
  }
}

/** Takes every cell a given number of times, and sums the mass by water. */
export function scale(low: i32, high: i32, times: f64): void {
  memory.fill(marginal, 0, COLUMN);
  const factor = f64x2.splat(times);
  for (let j = low; j <= high; j++) {
    const here = column(j);
    for (let n: usize = 0; n < COLUMN; n += PAIR) {
      const scaled = f64x2.mul(v128.load(here + n), factor);
      v128.store(here + n, scaled);
      v128.store(marginal + n, f64x2.add(v128.load(marginal + n), scaled));
    }
  }
}

/** Lets go of outer columns with less than `least`: each gives what it holds to the next one inwards. */
export function trim(low: i32, high: i32, least: f64): void {
  let from = low;
  let to = high;
  while (from < to && held(from) < least) {
    fold(from, from + 1);
    from++;
  }
  while (to > from && held(to) < least) {
    fold(to, to - 1);
    to--;
  }
  store<i32>(reach, from);
  store<i32>(reach + 4, to);
}

/** What a column holds in all. */
function held(j: i32): f64 {
  const here = column(j);
  let sums = f64x2.splat(0);
  for (let n: usize = 0; n < COLUMN; n += PAIR) sums = f64x2.add(sums, v128.load(here + n));
  return f64x2.extract_lane(sums, 0) + f64x2.extract_lane(sums, 1);
}

function fold(from: i32, to: i32): void {
  const here = column(from);
  const into = column(to);
  for (let n: usize = 0; n < COLUMN; n += PAIR) {
    v128.store(into + n, f64x2.add(v128.load(into + n), v128.load(here + n)));
    v128.store(here + n, f64x2.splat(0));
  }
}

/** A watering by its planned moves; the mass by water is summed on the way. */
export function pour(low: i32, high: i32): void {
  memory.fill(marginal, 0, COLUMN);
  for (let j = low; j <= high; j++) {
    const here = column(j);
    for (let n: usize = 0; n < COLUMN; n += PAIR) {
      v128.store(before + n, v128.load(here + n));
      v128.store(here + n, f64x2.splat(0));
    }
    let brim: f64 = 0;
    for (let i = 0; i < WATER_CELLS; i++) {
      const m = at(before, i);
      if (whole(brims, i) === 1) brim += m;
      else if (m > 0) spread(here, i, m);
    }
    add(here, WATER_CELLS - 1, brim);
    for (let n: usize = 0; n < COLUMN; n += PAIR)
      v128.store(marginal + n, f64x2.add(v128.load(marginal + n), v128.load(here + n)));
  }
}

/** What cell `i` held goes to where each point takes it. */
function spread(into: usize, i: i32, held: f64): void {
  for (let n = i * POINTS; n < (i + 1) * POINTS; n++) {
    const to = whole(lowers, n);
    const moved = held * at(pointWeights, n - i * POINTS);
    const upper = moved * at(uppers, n);
    add(into, to, moved - upper);
    if (upper > 0) add(into, to + 1, upper);
  }
}
