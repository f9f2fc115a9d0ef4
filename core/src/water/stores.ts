import type { Assumed } from '../assumed/index.ts';
import { afterLoss } from './stress.ts';

/** Kinds of water that stand beside the mix and come back to it. */
export const STORE_KINDS = [
  'reservoir',
  'reserve',
  'saucer',
  'clay-pots',
  'wick',
  'soil',
  'channel',
  'drum',
] as const;
export type StoreKind = (typeof STORE_KINDS)[number];

/** A store of water that a bag takes water from. */
export interface WaterStore {
  readonly kind: StoreKind;
  /** what it holds when full, L */
  readonly litres: number;
  /** how fast it refills the mix: share of the mix's deficit a day */
  readonly perDay: number;
  /** catches what runs through the bag */
  readonly catchesDrained: boolean;
  /** how full it is before anybody has looked or poured, 0 to 1 */
  readonly startShare: number;
}

/** Refilling below this over a step is none: what divides by it would have no end. */
const LEAST_REFILL = 1e-9;

/** What each kind of store is like; its litres come from the bag or the grower. */
export function storeOf(kind: StoreKind, litres: number, assumed: Assumed): WaterStore {
  const base = { kind, litres, catchesDrained: false, startShare: 0.5 };
  switch (kind) {
    case 'reservoir':
      return { ...base, perDay: assumed.reservoirPerDay, catchesDrained: true };
    case 'channel':
      return { ...base, perDay: assumed.reservoirPerDay, startShare: 0.9 };
    // a float keeps what it feeds full for as long as there is any in it
    case 'drum':
      return { ...base, perDay: assumed.reservoirPerDay, startShare: 0.9 };
    case 'wick':
      return { ...base, perDay: assumed.wickPerDay };
    case 'clay-pots':
      return { ...base, perDay: assumed.clayPotPerDay };
    case 'saucer':
      return { ...base, perDay: assumed.saucerPerDay, catchesDrained: true, startShare: 0 };
    case 'reserve':
      return { ...base, perDay: assumed.reservePerDay, catchesDrained: true };
    case 'soil':
      return { ...base, perDay: assumed.soilPerDay, catchesDrained: true };
  }
}

/** Stores whose level can be seen, and which are therefore checked by level and not by finger. */
export function hasLevel(kind: StoreKind): boolean {
  return kind === 'drum' || kind === 'reservoir' || kind === 'channel' || kind === 'wick';
}

/** The store that is filled by hand: the one that is checked by its level, else pots or a saucer; -1 for none. */
export function handFilled(stores: readonly Pick<WaterStore, 'kind'>[]): number {
  const seen = stores.findIndex(({ kind }) => hasLevel(kind));
  return seen >= 0 ? seen : stores.findIndex(({ kind }) => kind !== 'soil' && kind !== 'reserve');
}

/**
 * Relative available water after a loss while stores refill the mix, and what they gave. Without stress and end it is
 * dw/dt = −x + c (1 − w); the stores give no more than they hold, and nothing when that would be less than nothing.
 *
 * @param w relative available water before
 * @param x unstressed loss over the step, share of available water
 * @param pull refilling over the step: share of the deficit a day × days
 * @param held what the stores hold, share of available water
 * @see docs/model.md, 7. Water
 * @example
 * afterRefill(0.9, 0.3, 4, 1, 0.4)
 * // ≈> { w: 0.9246, released: 0.3246 }
 * @example
 * afterRefill(0.9, 0.3, 4, 0.1, 0.4)
 * // ≈> { w: 0.7, released: 0.1 }
 */
export function afterRefill(
  w: number,
  x: number,
  refillRate: number,
  stored: number,
  depletion: number,
): { readonly w: number; readonly released: number } {
  const alone = afterLoss(w, x, depletion);
  if (refillRate < LEAST_REFILL || stored <= 0) return { w: alone, released: 0 };
  const rest = 1 - x / refillRate;
  const wet = rest + (w - rest) * Math.exp(-refillRate);
  const released = Math.max(0, Math.min(stored, wet - alone, 1 - alone));
  return { w: alone + released, released };
}

/**
 * Shares what was given among stores by how fast each gives, none more than it holds.
 *
 * @param levels what each holds; changed in place
 */
export function draw(levels: number[], refillRates: readonly number[], amount: number): void {
  let left = amount;
  for (let turn = 0; turn < levels.length && left > 1e-12; turn++) {
    const pulling = refillRates.reduce(
      (sum, refillRate, s) => sum + ((levels[s] as number) > 0 ? refillRate : 0),
      0,
    );
    if (pulling <= 0) return;
    let taken = 0;
    for (let s = 0; s < levels.length; s++) {
      const level = levels[s] as number;
      if (level <= 0) continue;
      const part = Math.min(level, (left * (refillRates[s] as number)) / pulling);
      levels[s] = level - part;
      taken += part;
    }
    left -= taken;
  }
}
