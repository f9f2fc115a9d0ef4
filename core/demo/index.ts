import type { Garden } from '../src/records/index.ts';
import { gannetSlip as makeGannetSlip } from './gannet-slip.ts';

export { DEMO_EVENING } from './evening.ts';

const made = new Map<number, Garden>();

/** Gannet Slip as its seed makes it. It is made once for all who ask for it, since making it takes half a second. */
export function gannetSlip(seed: number): Garden {
  const garden = made.get(seed) ?? makeGannetSlip(seed);
  made.set(seed, garden);
  return garden;
}
