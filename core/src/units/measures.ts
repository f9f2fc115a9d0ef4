import { RundelError } from '../errors/index.ts';

/**
 * A grower's own measure, reduced to what one of it gives.
 * A can or bottle is so many litres; a hose so many litres a second (from the seconds it takes to fill a bucket);
 * a handful so many litres of loose product.
 */
export type MeasureKind = 'can' | 'bottle' | 'hose' | 'handful';

/** What one unit of each kind of measure is called: a hose is counted in seconds, the rest in themselves. */
export const MEASURE_UNIT: Record<MeasureKind, 'fill' | 'second' | 'handful'> = {
  can: 'fill',
  bottle: 'fill',
  hose: 'second',
  handful: 'handful',
};

/**
 * Litres a second from a hose, by the bucket test.
 *
 * @throws RundelError when either number is not above zero
 * @example
 * hoseLitresPerSecond(10, 40)
 * // => 0.25
 */
export function hoseLitresPerSecond(bucketLitres: number, seconds: number): number {
  if (!(bucketLitres > 0)) throw new RundelError('out-of-range', 'bucketLitres', bucketLitres, 'above 0');
  if (!(seconds > 0)) throw new RundelError('out-of-range', 'seconds', seconds, 'above 0');
  return bucketLitres / seconds;
}

/** An amount of water counted in a measure: the nearest count that a person can pour, and the litres that makes. */
export interface Fills {
  /** e.g. 0.75 of a can, or 24 seconds of hose */
  readonly count: number;
  readonly litres: number;
}

/**
 * Counts litres in a measure, to the nearest quarter of a can or bottle (never none of it) or whole second of hose.
 *
 * @example
 * inMeasure(6.5, { kind: 'can', litres: 9 })
 * // => { count: 0.75, litres: 6.75 }
 */
export function inMeasure(
  litres: number,
  measure: { readonly kind: MeasureKind; readonly litres: number },
): Fills {
  const step = measure.kind === 'hose' ? 1 : 0.25;
  const count = litres <= 0 ? 0 : Math.max(step, Math.round(litres / measure.litres / step) * step);
  return { count, litres: count * measure.litres };
}
