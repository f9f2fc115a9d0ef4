import { POINTS, USE_CELLS, USE_MULTIPLIERS, WATER_CELLS } from '../grid.ts';
import { shiftColumn } from './column.ts';
import { POINTS_A_CELL } from './watering-moves.ts';
import type { CellWork } from './work.ts';

/** The loops as plain ones: what the compiled ones are held against, and what stands in where those cannot run. */
export function plainCells(): CellWork {
  const cells = WATER_CELLS;
  const mass = new Float64Array(cells * USE_CELLS);
  const marginal = new Float64Array(cells);
  const weights = new Float64Array(cells);
  const edges = new Float64Array(cells + 1);
  const targets = new Float64Array(cells + 1);
  const brims = new Int32Array(cells);
  const lowers = new Int32Array(cells * POINTS_A_CELL);
  const uppers = new Float64Array(cells * POINTS_A_CELL);
  const reach = new Int32Array(2);
  /** a column as it was before it was written over */
  const before = new Float64Array(cells);

  const add = (n: number, more: number) => {
    mass[n] = (mass[n] as number) + more;
  };

  const scale = (low: number, high: number, times: number) => {
    marginal.fill(0);
    for (let j = low; j <= high; j++)
      for (let i = 0; i < cells; i++) {
        const here = (mass[j * cells + i] as number) * times;
        mass[j * cells + i] = here;
        marginal[i] = (marginal[i] as number) + here;
      }
  };

  const columnMass = (j: number) => mass.subarray(j * cells, (j + 1) * cells).reduce((sum, p) => sum + p, 0);

  const fold = (from: number, to: number) => {
    for (let i = 0; i < cells; i++) add(to * cells + i, mass[from * cells + i] as number);
    mass.fill(0, from * cells, (from + 1) * cells);
  };

  return {
    mass,
    marginal,
    weights,
    edges,
    targets,
    brims,
    lowers,
    uppers,
    reach,
    scale,

    lose(low, high, transpiration, evaporation, halfShare) {
      for (let j = low; j <= high; j++) {
        const asked = transpiration * (USE_MULTIPLIERS[j] as number) + evaporation;
        shiftColumn(mass, j * cells, targets, asked, asked * halfShare, edges);
      }
    },

    wander(low, high, side) {
      marginal.fill(0);
      before.set(mass.subarray(low * cells, (low + 1) * cells));
      for (let j = low; j <= high; j++) {
        const here = j * cells;
        const after = j < high ? here + cells : here;
        for (let i = 0; i < cells; i++) {
          const m = mass[here + i] as number;
          const moved = (1 - 2 * side) * m + side * ((before[i] as number) + (mass[after + i] as number));
          before[i] = m;
          mass[here + i] = moved;
          marginal[i] = (marginal[i] as number) + moved;
        }
      }
    },

    weigh(low, high) {
      marginal.fill(0);
      for (let j = low; j <= high; j++)
        for (let i = 0; i < cells; i++) {
          const here = (mass[j * cells + i] as number) * (weights[i] as number);
          mass[j * cells + i] = here;
          marginal[i] = (marginal[i] as number) + here;
        }
    },

    trim(low, high, least) {
      let [from, to] = [low, high];
      while (from < to && columnMass(from) < least) fold(from, ++from);
      while (to > from && columnMass(to) < least) fold(to, --to);
      reach[0] = from;
      reach[1] = to;
    },

    pour(low, high) {
      marginal.fill(0);
      for (let j = low; j <= high; j++) {
        const at = j * cells;
        before.set(mass.subarray(at, at + cells));
        mass.fill(0, at, at + cells);
        for (let i = 0; i < cells; i++) {
          const here = before[i] as number;
          if (brims[i] === 1) add(at + cells - 1, here);
          else
            POINTS.forEach(({ weight }, p) => {
              const to = at + (lowers[i * POINTS_A_CELL + p] as number);
              const upper = here * weight * (uppers[i * POINTS_A_CELL + p] as number);
              add(to, here * weight - upper);
              if (upper > 0) add(to + 1, upper);
            });
        }
        for (let i = 0; i < cells; i++) marginal[i] = (marginal[i] as number) + (mass[at + i] as number);
      }
    },
  };
}
