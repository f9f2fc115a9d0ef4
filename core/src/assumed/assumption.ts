/** A judgement: the value in use, the range in which it could honestly lie, its unit and the reason. */
export interface Assumption {
  readonly value: number;
  readonly low: number;
  readonly high: number;
  readonly unit: string;
  readonly reason: string;
}

/** Marks a number as a judgement. */
export const assumed = (
  value: number,
  low: number,
  high: number,
  unit: string,
  reason: string,
): Assumption => ({
  value,
  low,
  high,
  unit,
  reason,
});
