/** Standard normal quantiles of the shares that are asked for. */
const NORMAL: Readonly<Record<number, number>> = { 0.05: -1.6449, 0.5: 0, 0.95: 1.6449 };

/**
 * A quantile of the gamma distribution (Wilson & Hilferty 1931), within two in a hundred of its mean from a shape of 1 upwards.
 *
 * @param p 0.05, 0.5 or 0.95
 * @param shape above 0
 * @example
 * gammaQuantile(0.5, 10, 1)
 * // ≈> 9.669
 */
export function gammaQuantile(p: 0.05 | 0.5 | 0.95, shape: number, scale: number): number {
  const z = NORMAL[p] ?? 0;
  return shape * scale * Math.max(0, 1 - 1 / (9 * shape) + z / (3 * Math.sqrt(shape))) ** 3;
}
