/** Below this a column says nothing that those before it have not said. */
const NOTHING = 1e-9;

/**
 * Solves for a symmetric matrix that may be short of its full rank: columns that follow from others get 0 (Cholesky with such
 * columns left out).
 *
 * @param matrix symmetric, positive semidefinite
 */
export function choleskySolve(matrix: readonly (readonly number[])[]): {
  readonly rank: number;
  solve(right: readonly number[]): readonly number[];
} {
  const size = matrix.length;
  const lower = Array.from({ length: size }, () => new Array<number>(size).fill(0));
  const isOut: boolean[] = [];
  const at = (rows: readonly (readonly number[])[], i: number, j: number) => rows[i]?.[j] ?? 0;
  for (let j = 0; j < size; j++) {
    let pivot = at(matrix, j, j);
    for (let k = 0; k < j; k++) pivot -= at(lower, j, k) ** 2;
    isOut[j] = pivot <= NOTHING * Math.max(1, at(matrix, j, j));
    if (isOut[j]) continue;
    const root = Math.sqrt(pivot);
    for (let i = j; i < size; i++) {
      let sum = at(matrix, i, j);
      for (let k = 0; k < j; k++) sum -= at(lower, i, k) * at(lower, j, k);
      (lower[i] as number[])[j] = i === j ? root : sum / root;
    }
  }
  return {
    rank: isOut.filter((out) => !out).length,
    solve(right) {
      const half = new Array<number>(size).fill(0);
      for (let i = 0; i < size; i++) {
        if (isOut[i]) continue;
        let sum = right[i] ?? 0;
        for (let k = 0; k < i; k++) sum -= at(lower, i, k) * (half[k] ?? 0);
        half[i] = sum / at(lower, i, i);
      }
      const found = new Array<number>(size).fill(0);
      for (let i = size - 1; i >= 0; i--) {
        if (isOut[i]) continue;
        let sum = half[i] ?? 0;
        for (let k = i + 1; k < size; k++) sum -= at(lower, k, i) * (found[k] ?? 0);
        found[i] = sum / at(lower, i, i);
      }
      return found;
    },
  };
}
