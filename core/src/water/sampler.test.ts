import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { chanceFrom } from '../statistics/index.ts';
import { sampler } from './sampler.ts';
import { LOG_USE_REACH, LOG_USE_STEP, USE_CELLS, USE_MULTIPLIERS, WATER_CELLS } from './grid.ts';

/** Cells with mass in two columns: nine tenths in one at half full, a tenth in the next at a quarter. */
function twoColumns() {
  const mass = new Float64Array(WATER_CELLS * USE_CELLS);
  const columns = new Float64Array(USE_CELLS);
  mass[10 * WATER_CELLS + WATER_CELLS / 2] = 0.9;
  mass[11 * WATER_CELLS + WATER_CELLS / 4] = 0.1;
  [columns[10], columns[11]] = [0.9, 0.1];
  return sampler(mass, columns, 10, 11);
}
const EVEN = fc.oneof(fc.constant(0), fc.double({ min: 0, max: 1, maxExcluded: true, noNaN: true }));

describe('a draw from a belief', () => {
  it('lies in a cell that has mass, at a use of its column', () => {
    const draw = twoColumns();
    fc.assert(
      fc.property(EVEN, EVEN, (forUse, forWater) => {
        const { water, use, column } = draw(forUse, forWater);
        const cell = column === 10 ? WATER_CELLS / 2 : WATER_CELLS / 4;
        expect(water).toBeGreaterThanOrEqual(cell / WATER_CELLS);
        expect(water).toBeLessThanOrEqual((cell + 1) / WATER_CELLS);
        const off = Math.log(use) + LOG_USE_REACH - column * LOG_USE_STEP;
        expect(Math.abs(off)).toBeLessThanOrEqual(LOG_USE_STEP / 2 + 1e-12);
      }),
    );
  });

  it('comes from each column as often as its mass says', () => {
    const draw = twoColumns();
    const chance = chanceFrom(5);
    const draws = Array.from({ length: 20_000 }, () => draw(chance.next(), chance.next()));
    const second = draws.filter(({ column }) => column === 11).length / draws.length;
    expect(second).toBeCloseTo(0.1, 2);
    const mean = draws.reduce((sum, { use }) => sum + Math.log(use), 0) / draws.length;
    const expected =
      0.9 * Math.log(USE_MULTIPLIERS[10] as number) + 0.1 * Math.log(USE_MULTIPLIERS[11] as number);
    expect(mean).toBeCloseTo(expected, 2);
  });

  it('at both ends stays inside', () => {
    const draw = twoColumns();
    expect(draw(0, 0)).toMatchObject({ column: 10, water: 0.5 });
    const last = draw(1 - 1e-12, 1 - 1e-12);
    expect(last.column).toBe(11);
    expect(last.water).toBeCloseTo(0.25 + 1 / WATER_CELLS, 9);
  });
});
