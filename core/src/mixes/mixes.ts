import { RundelError } from '../errors/index.ts';

/** A growing mix, by what it does with water. Shares are of the settled volume, at container capacity. */
export interface Mix {
  readonly id: string;
  readonly name: string;
  readonly words: string;
  /** water held after draining, 0.45–0.65 in soilless mixes */
  readonly capacity: number;
  /** water that no root can take, 0.25–0.35 in soilless mixes */
  readonly unavailable: number;
  readonly dryKilogramsPerLitre: number;
  /** share of the volume lost at the first watering, assumed 0.08–0.15 */
  readonly settling: number;
}

/**
 * The starting mixes. Capacity and unavailable water are the middle of the ranges published for soilless mixes
 * (capacity 45–65 %, unavailable 25–35 %); densities and settling are *assumed*.
 */
export const MIXES: readonly Mix[] = [
  {
    id: 'bought',
    name: 'Bought potting mix',
    words: 'Out of the sack, peat or coir with something coarse.',
    capacity: 0.56,
    unavailable: 0.28,
    dryKilogramsPerLitre: 0.22,
    settling: 0.12,
  },
  {
    id: 'bark-coir',
    name: 'Peat-free, bark and coir',
    words: 'Airy; drains fast and dries from the top.',
    capacity: 0.5,
    unavailable: 0.26,
    dryKilogramsPerLitre: 0.25,
    settling: 0.1,
  },
  {
    id: 'loam-compost',
    name: 'Loam and home compost',
    words: 'Heavy and holds long; carry it in two trips.',
    capacity: 0.52,
    unavailable: 0.3,
    dryKilogramsPerLitre: 0.65,
    settling: 0.08,
  },
];

/**
 * The mix with an id.
 *
 * @throws RundelError `unknown-name`
 * @example
 * mixOf('bought').settling
 * // => 0.12
 */
export function mixOf(id: string): Mix {
  const mix = MIXES.find((m) => m.id === id);
  if (!mix) throw new RundelError('unknown-name', 'mix', id, MIXES.map((m) => m.id).join(', '));
  return mix;
}
