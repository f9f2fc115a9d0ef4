import { within } from '../errors/index.ts';

/**
 * A grower's own measure, reduced to what one of it gives.
 * A can, bottle or sunk pot is so many litres; a hose so many litres a second (from the seconds it takes to fill a
 * bucket); a dripper so many litres a minute (from a jar); a handful so many litres of loose product.
 */
export type MeasureKind = 'can' | 'bottle' | 'hose' | 'dripper' | 'pot' | 'handful';

/** What one unit of each kind of measure is called: a hose is counted in seconds, a dripper in minutes. */
export const MEASURE_UNIT: Record<MeasureKind, 'fill' | 'second' | 'minute' | 'handful'> = {
  can: 'fill',
  bottle: 'fill',
  hose: 'second',
  dripper: 'minute',
  pot: 'fill',
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
  return (
    within('bucketLitres', bucketLitres, Number.MIN_VALUE, 1000) /
    within('seconds', seconds, Number.MIN_VALUE, 1e5)
  );
}

/**
 * Litres a minute from a dripper, by what a jar catches.
 *
 * @throws RundelError when either number is not above zero
 * @example
 * dripperLitresPerMinute(0.15, 5) * 60
 * // ≈> 1.8
 */
export function dripperLitresPerMinute(jarLitres: number, minutes: number): number {
  return (
    within('jarLitres', jarLitres, Number.MIN_VALUE, 100) / within('minutes', minutes, Number.MIN_VALUE, 1440)
  );
}

/** An amount of water counted in a measure: the nearest count that a person can pour, and the litres that makes. */
export interface Fills {
  /** e.g. 0.75 of a can, or 24 seconds of hose */
  readonly count: number;
  readonly litres: number;
}

/**
 * Counts litres in a measure, to the nearest quarter of a can, bottle or pot (an eighth below a half of it, and never none),
 * whole second of hose or whole minute of dripper. Where that is not what may be given, the nearest count that is.
 *
 * @param within litres that may be given
 * @example
 * inMeasure(6.5, { kind: 'can', litres: 9 })
 * // => { count: 0.75, litres: 6.75 }
 */
export function inMeasure(
  litres: number,
  measure: { readonly kind: MeasureKind; readonly litres: number },
  within?: { readonly low: number; readonly high: number },
): Fills {
  const isTimed = measure.kind === 'hose' || measure.kind === 'dripper';
  const step = isTimed ? 1 : litres < measure.litres / 2 ? 0.125 : 0.25;
  const count = litres <= 0 ? 0 : Math.max(step, Math.round(litres / measure.litres / step) * step);
  const isIn = (n: number) =>
    within === undefined ||
    (n * measure.litres >= within.low - 1e-9 && n * measure.litres <= within.high + 1e-9);
  const near = [0, step, -step, step / 2, -step / 2].map((by) => count + by).filter((n) => n > 0);
  const best = isIn(count) ? count : (near.find(isIn) ?? count);
  return { count: best, litres: best * measure.litres };
}
