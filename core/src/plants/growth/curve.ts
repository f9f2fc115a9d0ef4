/**
 * The Gompertz curve of a plant's height, through its height at planting: slow, then fast, then slower to its end.
 * It is given by what growers can say: the height it ends at, and the weeks until nine tenths of that.
 * Heights are mm above the mix, times are days since planting.
 */
export interface HeightCurve {
  /** height on day 0, mm, above 0 */
  readonly startMillimetres: number;
  /** height that it goes towards, mm */
  readonly fullMillimetres: number;
  /** weeks from planting to nine tenths of the full height */
  readonly weeksToFull: number;
}

const NINE_TENTHS = -Math.log(0.9);

/** ln(full / start) and the pace a day; a plant taller than its full height still has a fifth to go. */
function shapeOf(curve: HeightCurve): { full: number; b: number; pace: number } {
  const start = Math.max(1, curve.startMillimetres);
  const full = Math.max(curve.fullMillimetres, start * 1.2);
  const b = Math.log(full / start);
  return { full, b, pace: Math.log(b / NINE_TENTHS) / (curve.weeksToFull * 7) };
}

/**
 * Height on a day, mm: full × exp(−b × exp(−pace × day)) with b = ln(full / start), after Gompertz (1825).
 *
 * @param days since planting; a negative number counts as 0
 * @see docs/model.md, 4. Supports
 * @example
 * heightOnCurve({ startMillimetres: 200, fullMillimetres: 2000, weeksToFull: 10 }, 70)
 * // ≈> 1800
 */
export function heightOnCurve(curve: HeightCurve, days: number): number {
  const { full, b, pace } = shapeOf(curve);
  return full * Math.exp(-b * Math.exp(-pace * Math.max(0, days)));
}

/**
 * The day on which a curve passes a height; the inverse of {@link heightOnCurve}.
 *
 * @returns 0 when it is there at planting; undefined when it never gets there
 * @example
 * dayOnCurve({ startMillimetres: 200, fullMillimetres: 2000, weeksToFull: 10 }, 1800)
 * // ≈> 70
 */
export function dayOnCurve(curve: HeightCurve, millimetres: number): number | undefined {
  const { full, b, pace } = shapeOf(curve);
  if (millimetres <= curve.startMillimetres) return 0;
  if (millimetres >= full * 0.999) return undefined;
  return Math.max(0, -Math.log(-Math.log(millimetres / full) / b) / pace);
}
