import type { BagState, FailedBag } from '@rundel/core/garden-state';

/** How every bag stood when it was last worked out, so that a page has something to show before it is worked out again. */
export interface LastStates {
  /** which rows it was worked out of: those that a garden is read from under the same words */
  readonly stamp: string;
  /** the moment at which it held */
  readonly at: string;
  readonly states: readonly (BagState | FailedBag)[];
}

/** States are asked for anew as time passes, at this pace, ms. */
export const QUARTER_HOUR = 900_000;

/** Which quarter of an hour a moment lies in. */
export const quarterOf = (moment: string): number => Math.floor(Date.parse(moment) / QUARTER_HOUR);

/** Whether they were worked out of these very rows in this quarter of an hour: then they need not be worked out before they are shown. */
export function stillHold(last: LastStates | undefined, stamp: string, quarter: number): boolean {
  return last !== undefined && last.stamp === stamp && quarterOf(last.at) === quarter;
}

/** How many of a bag's last moves are kept, and of its course none: both are worked out within seconds. */
const MOVES_KEPT = 12;

/** States made small enough to be kept and shipped. */
export function lightened(states: readonly (BagState | FailedBag)[]): readonly (BagState | FailedBag)[] {
  return states.map((state) => {
    if ('problem' in state || !state.water) return state;
    const { estimate } = state.water;
    const light = { ...estimate, moves: estimate.moves.slice(-MOVES_KEPT), path: [] };
    return { ...state, water: { ...state.water, estimate: light } };
  });
}
