/**
 * Relative available water after a loss, with the loss slowed once the plant is stressed.
 *
 * FAO-56 eq 84: Ks = w / (1 − p) below w = 1 − p, else 1. With the unstressed loss x over the step, w falls in a
 * straight line to the threshold and exponentially below it; so it never reaches zero and needs no small steps.
 *
 * @param w relative available water before, 0 to 1
 * @param x unstressed loss over the step, as a share of available water, at least 0
 * @param depletion FAO-56 p, 0 to 0.9
 * @see docs/model.md, 7. Water
 * @example
 * afterLoss(0.9, 0.2, 0.4)
 * // ≈> 0.7
 * @example
 * afterLoss(0.6, 0.6, 0.4)
 * // ≈> 0.2207
 */
export function afterLoss(w: number, x: number, depletion: number): number {
  const threshold = 1 - depletion;
  if (w - x >= threshold) return w - x;
  const start = Math.min(w, threshold);
  const stressed = x - (w - start);
  return start * Math.exp(-stressed / threshold);
}

/**
 * Relative available water after a watering or rain, and what ran through. Mix that has gone dry repels part of it.
 *
 * @example
 * afterGain(0.8, 0.5, { dryBelow: 0.25, dryKeeps: 0.6 })
 * // ≈> { w: 1, drained: 0.3 }
 */
export function afterGain(
  w: number,
  gain: number,
  mix: { readonly dryBelow: number; readonly dryKeeps: number },
): { readonly w: number; readonly drained: number } {
  const kept = gain * (w < mix.dryBelow ? mix.dryKeeps : 1);
  const after = Math.min(1, w + kept);
  return { w: after, drained: gain - (after - w) };
}
