import type { BagState, FailedBag } from '@rundel/core/garden-state';

/** How every bag stood when it was last worked out, so that a page has something to show before it is worked out again. */
export interface LastStates {
  /** which rows it was worked out of: those that a garden is read from under the same words */
  readonly stamp: string;
  /** the moment at which it held */
  readonly at: string;
  readonly states: readonly (BagState | FailedBag)[];
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
