import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import { shiftColumn, wander } from './column.ts';
import { drainedFrom, planDrink, pourInto } from './drink-moves.ts';
import { lossScale, USE_CELLS, WATER_CELLS, WATER_MIDDLES } from './grid.ts';
import { afterGain, afterLoss } from './stress.ts';

const MIX = { dryBelow: DEFAULT_ASSUMED.dryBelow, dryKeeps: DEFAULT_ASSUMED.dryKeeps };
const sum = (cells: ArrayLike<number>) => Array.from(cells).reduce((a, b) => a + b, 0);
const meanOf = (cells: Float64Array) =>
  cells.reduce((m, p, i) => m + p * (WATER_MIDDLES[i] as number), 0) / sum(cells);

/** One column's mass. */
const column = fc
  .array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: WATER_CELLS, maxLength: WATER_CELLS })
  .filter((cells) => cells.some((p) => p > 0.01))
  .map((cells) => Float64Array.from(cells));

/** A column with all of its mass in one cell. */
function at(cell: number): Float64Array {
  const mass = new Float64Array(WATER_CELLS);
  mass[cell] = 1;
  return mass;
}

describe('a drink, by moves between cells', () => {
  const poured = (mass: Float64Array, amount: number, sd = 0) => {
    planDrink(amount, sd, MIX);
    const into = new Float64Array(WATER_CELLS);
    pourInto(into, mass, 0);
    return into;
  };

  it('keeps all of the mass, wherever it was and however much is poured', () => {
    fc.assert(
      fc.property(
        column,
        fc.double({ min: 0, max: 3, noNaN: true }),
        fc.double({ min: 0, max: 0.5, noNaN: true }),
        (mass, amount, sd) => {
          const into = poured(mass, amount, sd);
          expect(sum(into)).toBeCloseTo(sum(mass), 9);
          expect(Math.min(...into)).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });

  it('puts on what is poured, as far as there is room', () => {
    for (const cell of [4, 12, 20, 30]) {
      const before = WATER_MIDDLES[cell] as number;
      const { w } = afterGain(before, 0.2, MIX);
      expect(meanOf(poured(at(cell), 0.2))).toBeCloseTo(Math.min(w, WATER_MIDDLES.at(-1) as number), 9);
    }
    expect(poured(at(10), 3)[WATER_CELLS - 1]).toBeCloseTo(1, 9);
  });

  it('runs through what finds no room: what was poured is what stayed and what ran', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: WATER_CELLS - 1 }),
        fc.double({ min: 0, max: 2, noNaN: true }),
        (cell, amount) => {
          planDrink(amount, 0, MIX);
          const { w, drained } = afterGain(WATER_MIDDLES[cell] as number, amount, MIX);
          expect(drainedFrom(at(cell), 0)).toBeCloseTo(drained, 9);
          expect(w - (WATER_MIDDLES[cell] as number) + drained).toBeCloseTo(amount, 9);
        },
      ),
    );
  });

  it('says of an empty column that nothing ran', () => {
    planDrink(2, 0.1, MIX);
    expect(drainedFrom(new Float64Array(WATER_CELLS), 0)).toBe(0);
  });
});

describe('a loss, along the scale of losses', () => {
  it('takes of a cell what the closed form takes, within a tenth of a cell', () => {
    const scale = lossScale(0.4);
    const targets = Float64Array.from(scale.edges);
    for (const cell of [8, 15, 25, 35])
      for (const asked of [0.02, 0.1, 0.25]) {
        const mass = at(cell);
        shiftColumn(mass, 0, targets, asked, 0, scale.edges);
        expect(sum(mass)).toBeCloseTo(1, 9);
        const expected = afterLoss(WATER_MIDDLES[cell] as number, asked, 0.4);
        expect(Math.abs(meanOf(mass) - expected)).toBeLessThan(0.1 / WATER_CELLS + 0.002);
      }
  });
});

describe('use that wanders', () => {
  const LOW = 3;
  const HIGH = 9;
  const grids = fc.array(column, { minLength: HIGH - LOW + 1, maxLength: HIGH - LOW + 1 }).map((columns) => {
    const mass = new Float64Array(WATER_CELLS * USE_CELLS);
    columns.forEach((cells, j) => mass.set(cells, (LOW + j) * WATER_CELLS));
    return mass;
  });

  it('keeps the mass of every water, and sums it on the way', () => {
    fc.assert(
      fc.property(grids, fc.double({ min: 0, max: 1 / 3, noNaN: true }), (mass, side) => {
        const into = new Float64Array(mass.length).fill(7);
        const marginal = wander(into, mass, LOW, HIGH, side);
        for (let i = 0; i < WATER_CELLS; i++) {
          const at = (cells: Float64Array) =>
            sum(Array.from({ length: USE_CELLS }, (_, j) => cells[j * WATER_CELLS + i] as number));
          expect(at(into)).toBeCloseTo(at(mass), 9);
          expect(marginal[i]).toBeCloseTo(at(mass), 9);
        }
      }),
      { numRuns: 40 },
    );
  });

  it('spreads a column evenly to both sides, and leaves what lies outside at nothing', () => {
    const mass = new Float64Array(WATER_CELLS * USE_CELLS);
    mass[6 * WATER_CELLS + 10] = 1;
    const into = new Float64Array(mass.length).fill(7);
    wander(into, mass, LOW, HIGH, 0.2);
    const cells = [5, 6, 7].map((j) => into[j * WATER_CELLS + 10]);
    expect(cells[0]).toBeCloseTo(0.2, 12);
    expect(cells[1]).toBeCloseTo(0.6, 12);
    expect(cells[2]).toBeCloseTo(0.2, 12);
    expect(sum(into)).toBeCloseTo(1, 12);
  });
});
