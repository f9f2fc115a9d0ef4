import type { BagState, FailedBag } from '@rundel/core/garden-state';
import type { Garden } from '@rundel/core/records';

/** How every bag stood when it was last worked out, so that a page has something to show before it is worked out again. */
export interface LastStates {
  /** which garden it is of, and how that was worked out */
  readonly stamp: string;
  /** the moment at which it held */
  readonly at: string;
  readonly states: readonly (BagState | FailedBag)[];
}

const stamps = new WeakMap<Garden, string>();

/** What tells a garden from what it was before: every change leaves a later moment or another number of rows. */
export function gardenStamp(garden: Garden): string {
  const known = stamps.get(garden);
  if (known !== undefined) return known;
  const { entries, settings, ...tables } = garden;
  let latest = settings.changedAt;
  let rows = 0;
  for (const table of Object.values(tables)) {
    rows += table.length;
    for (const { changedAt } of table as readonly { readonly changedAt: string }[])
      if (Date.parse(changedAt) > Date.parse(latest)) latest = changedAt;
  }
  const stamp = [rows, latest, entries.length, entries.at(-1)?.id ?? ''].join(' ');
  stamps.set(garden, stamp);
  return stamp;
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
