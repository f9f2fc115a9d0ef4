/**
 * A mean drawn towards a prior that is worth so many values: none leave the prior as it is, many outweigh it.
 *
 * @param weight of the prior, in values; more than 0
 * @example
 * shrunkMean([3, 5], 1, 2)
 * // => 2.5
 */
export function shrunkMean(values: readonly number[], prior: number, weight: number): number {
  return (weight * prior + values.reduce((sum, value) => sum + value, 0)) / (weight + values.length);
}
