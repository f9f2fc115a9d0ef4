import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { choleskySolve } from './solve.ts';

const times = (matrix: readonly (readonly number[])[], x: readonly number[]) =>
  matrix.map((line) => line.reduce((sum, value, i) => sum + value * (x[i] ?? 0), 0));
const gram = (rows: readonly (readonly number[])[]) => {
  const size = rows[0]?.length ?? 0;
  return Array.from({ length: size }, (_, i) =>
    Array.from({ length: size }, (__, j) =>
      rows.reduce((sum, row) => sum + (row[i] ?? 0) * (row[j] ?? 0), 0),
    ),
  );
};
const number = fc.integer({ min: -9, max: 9 });

describe('normal equations', () => {
  it('of two unknowns are solved as by hand', () => {
    const { solve, rank } = choleskySolve([
      [4, 2],
      [2, 3],
    ]);
    expect(rank).toBe(2);
    const [x, y] = solve([10, 8]);
    expect(x).toBeCloseTo(1.75, 12);
    expect(y).toBeCloseTo(1.5, 12);
  });

  it('with a column that follows from others leave it at nothing, and still fit', () => {
    // the third is the sum of the first two
    const rows = [
      [1, 0, 1],
      [0, 1, 1],
      [1, 1, 2],
      [2, 1, 3],
    ];
    const matrix = gram(rows);
    const { solve, rank } = choleskySolve(matrix);
    expect(rank).toBe(2);
    const right = times(matrix, [1, 2, 0]);
    const found = solve(right);
    expect(found[2]).toBe(0);
    times(matrix, found).forEach((value, i) => expect(value).toBeCloseTo(right[i] ?? NaN, 8));
  });

  it('give back what went in, whatever the rows, where these have full rank', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(number, number, number), { minLength: 4, maxLength: 12 }),
        fc.tuple(number, number, number),
        (rows, x) => {
          const matrix = gram(rows);
          const { solve, rank } = choleskySolve(matrix);
          const right = times(matrix, x);
          times(matrix, solve(right)).forEach((value, i) => expect(value).toBeCloseTo(right[i] ?? NaN, 4));
          if (rank === 3) solve(right).forEach((value, i) => expect(value).toBeCloseTo(x[i] ?? NaN, 4));
        },
      ),
    );
  });
});
