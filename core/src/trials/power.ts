import type { Assumed } from '../assumed/index.ts';
import { studentPower } from '../statistics/index.ts';
import { REAL_LEVEL, type KnownSpread } from './estimate.ts';

/** A trial as it could be made. */
export interface TrialPlan {
  readonly perSide: number;
  readonly seasons: number;
}

/** How often a plan finds a difference, by how large it is. */
export interface PlanPower extends TrialPlan {
  /** chance to call a fifth more real, where it is so */
  readonly ofFifth: number;
  /** and a half more */
  readonly ofHalf: number;
}

/**
 * How likely a plan finds a difference that is there: bags as unlike as this garden's, and a bag partly the same in each season.
 *
 * @param times the one over the other: 1.2 for a fifth more
 * @param spread of the logarithm, between bags that had the same
 * @see docs/model.md, 16. Trials
 */
export function planPower(
  { perSide, seasons }: TrialPlan,
  times: number,
  spread: KnownSpread,
  assumed: Pick<Assumed, 'sameBagShare' | 'bagSpread'>,
): number {
  const sd = spread.df > 0 ? spread.sd : assumed.bagSpread;
  const again = (1 + (seasons - 1) * assumed.sameBagShare) / seasons;
  const error = sd * Math.sqrt((2 / perSide) * again);
  const df = 2 * perSide * seasons - seasons - 1 + Math.min(20, spread.df);
  return df < 1 ? 0 : studentPower(Math.log(times) / error, df, REAL_LEVEL);
}

/** Bags a side that growers could find room for. */
const SIDES = [1, 2, 3, 4, 6, 8, 12, 16];

/** What plans of one and two seasons would find. */
export function powerTable(
  spread: KnownSpread,
  assumed: Pick<Assumed, 'sameBagShare' | 'bagSpread'>,
): readonly PlanPower[] {
  return [1, 2].flatMap((seasons) =>
    SIDES.map((perSide) => ({
      perSide,
      seasons,
      ofFifth: planPower({ perSide, seasons }, 1.2, spread, assumed),
      ofHalf: planPower({ perSide, seasons }, 1.5, spread, assumed),
    })),
  );
}
