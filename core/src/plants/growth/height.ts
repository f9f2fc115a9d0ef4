import { type Assumed, type Assumption } from '../../assumed/index.ts';
import { within } from '../../errors/index.ts';
import { dayOnCurve, heightOnCurve, type HeightCurve } from './curve.ts';

/** What a habit's plants usually do: the value is the middle, low and high stand for one in twenty either way. */
export interface HeightPrior {
  readonly fullHeightMillimetres: Pick<Assumption, 'value' | 'low' | 'high'>;
  readonly weeksToFull: Pick<Assumption, 'value' | 'low' | 'high'>;
}

/** A height that the grower measured. */
export interface HeightRecord {
  /** since planting */
  readonly days: number;
  /** above the mix as it stood at planting, mm */
  readonly millimetres: number;
}

/** Curves that the plant may be on, each with its weight; the weights sum to 1. */
export interface HeightBelief {
  readonly curves: readonly { readonly curve: HeightCurve; readonly weight: number }[];
}

export interface HeightRange {
  readonly low: number;
  readonly likely: number;
  readonly high: number;
}

/** When a plant gets to a height, days since planting; `high` is undefined when one in ten never gets there. */
export type Reaching =
  | {
      readonly kind: 'reaches';
      readonly low: number;
      readonly likely: number;
      readonly high: number | undefined;
      readonly chance: number;
    }
  | { readonly kind: 'unlikely'; readonly chance: number };

const CELLS = 21;
/** One in twenty lies beyond 1.645 standard deviations. */
const ONE_IN_TWENTY = 1.645;
const SPAN = 2.6;

/** A grid over a split log-normal: its value, and its weight before any record. */
function gridOf(prior: HeightPrior['weeksToFull']): readonly { value: number; weight: number }[] {
  const below = Math.log(prior.value / prior.low) / ONE_IN_TWENTY;
  const above = Math.log(prior.high / prior.value) / ONE_IN_TWENTY;
  return Array.from({ length: CELLS }, (_, i) => {
    const z = -SPAN + (2 * SPAN * i) / (CELLS - 1);
    return { value: prior.value * Math.exp(z * (z < 0 ? below : above)), weight: Math.exp((-z * z) / 2) };
  });
}

/**
 * What is believed of a plant's growth: the habit's prior, and every height that was recorded.
 *
 * Method: Bayes on a 21 × 21 grid over full height and pace of the Gompertz curve through the height at planting.
 * A record counts with a Gaussian error of `noise` of the height (growth keeps to no curve) and of the tape, and records
 * share part of their error. Deterministic.
 *
 * @param startMillimetres above the mix on the day of planting, 1 to 3000
 * @param noise share of the height, 0.02 to 0.3
 * @throws RundelError when the start or the noise lies outside its range
 * @see docs/model.md, 4. Supports
 * @example
 * heightOn(heightBelief({ fullHeightMillimetres: { value: 2000, low: 1500, high: 2700 }, weeksToFull: { value: 10, low: 8, high: 13 } }, 200, [], 0.08, DEFAULT_ASSUMED), 70).likely
 * // ≈> 1784
 */
export function heightBelief(
  prior: HeightPrior,
  startMillimetres: number,
  records: readonly HeightRecord[],
  noise: number,
  assumed: Pick<Assumed, 'tapeNoise' | 'sharedMisfit'>,
): HeightBelief {
  within('startMillimetres', startMillimetres, 1, 3000);
  within('noise', noise, 0.02, 0.3);
  const fulls = gridOf(prior.fullHeightMillimetres);
  const weeks = gridOf(prior.weeksToFull);
  // records that err together are worth fewer than their number
  const worth = 1 / (1 + Math.max(0, records.length - 1) * assumed.sharedMisfit);
  const cells = fulls.flatMap((full) =>
    weeks.map((pace) => {
      const curve = { startMillimetres, fullMillimetres: full.value, weeksToFull: pace.value };
      const misfit = records.reduce((sum, record) => {
        const expected = heightOnCurve(curve, record.days);
        const spread = Math.hypot(noise * record.millimetres, assumed.tapeNoise);
        return sum + ((record.millimetres - expected) / spread) ** 2;
      }, 0);
      return { curve, prior: full.weight * pace.weight, misfit: misfit * worth };
    }),
  );
  // taken from the best fit, so that a plant far from its prior does not underflow to nothing
  const best = Math.min(...cells.map((cell) => cell.misfit));
  const weighed = cells.map(({ curve, prior: weight, misfit }) => ({
    curve,
    weight: weight * Math.exp((best - misfit) / 2),
  }));
  const whole = weighed.reduce((sum, cell) => sum + cell.weight, 0);
  return {
    curves: weighed
      .map(({ curve, weight }) => ({ curve, weight: weight / whole }))
      .filter(({ weight }) => weight > 1e-7),
  };
}

/** The value below which a share of the weight lies. */
function quantile(sorted: readonly { value: number; weight: number }[], share: number): number {
  let sum = 0;
  for (const { value, weight } of sorted) {
    sum += weight;
    if (sum >= share) return value;
  }
  return sorted.at(-1)?.value ?? Infinity;
}

const byValue = (a: { value: number }, b: { value: number }) => a.value - b.value;

/** Height on a day, mm above the mix, with the bounds between which it lies four times in five. */
export function heightOn(belief: HeightBelief, days: number): HeightRange {
  const sorted = belief.curves
    .map(({ curve, weight }) => ({ value: heightOnCurve(curve, days), weight }))
    .sort(byValue);
  return { low: quantile(sorted, 0.1), likely: quantile(sorted, 0.5), high: quantile(sorted, 0.9) };
}

/**
 * When the plant gets to a height, as a range of days since planting. `unlikely` when fewer than half of the curves
 * ever get there.
 *
 * @example
 * daysToReach(heightBelief({ fullHeightMillimetres: { value: 2000, low: 1500, high: 2700 }, weeksToFull: { value: 10, low: 8, high: 13 } }, 200, [], 0.08, DEFAULT_ASSUMED), 4000).kind
 * // => 'unlikely'
 */
export function daysToReach(belief: HeightBelief, millimetres: number): Reaching {
  const sorted = belief.curves
    .map(({ curve, weight }) => ({ value: dayOnCurve(curve, millimetres) ?? Infinity, weight }))
    .sort(byValue);
  const chance = sorted.reduce((sum, { value, weight }) => sum + (value < Infinity ? weight : 0), 0);
  const likely = quantile(sorted, 0.5);
  if (likely === Infinity) return { kind: 'unlikely', chance };
  const high = quantile(sorted, 0.9);
  return {
    kind: 'reaches',
    low: quantile(sorted, 0.1),
    likely,
    high: high === Infinity ? undefined : high,
    chance,
  };
}

/** Growth on a day, mm a day: the mean over the curves that it may be on, over the next three days. */
export function growthPerDay(belief: HeightBelief, days: number): number {
  return belief.curves.reduce(
    (sum, { curve, weight }) =>
      sum + (weight * (heightOnCurve(curve, days + 3) - heightOnCurve(curve, days))) / 3,
    0,
  );
}
