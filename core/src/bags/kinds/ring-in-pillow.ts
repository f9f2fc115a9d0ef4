import type { Solid } from '../solid.ts';
import { FILM } from './families.ts';
import { likelyPillow, pillow, pillowFrom, tooHighToLie } from './film.ts';
import { length, type ContainerKind, type Dimensions } from './kind.ts';

/**
 * A pillow bag with bottomless rings or pots standing in its top: the bag, and above it one ring of mix a station.
 * The part of a ring that is sunk into the bag adds nothing.
 *
 * @see docs/model.md, 1. Bags
 * @example
 * ringedSolid(flatBox, { widthMillimetres: 200, fromMillimetres: 100, toMillimetres: 300 }, 1).volumeBelow(300) / 1e6
 * // ≈> 30.28319
 */
export function ringedSolid(
  bag: Solid,
  ring: {
    readonly widthMillimetres: number;
    readonly fromMillimetres: number;
    readonly toMillimetres: number;
  },
  rings: number,
): Solid {
  const top = bag.heightMillimetres;
  const area = rings * (Math.PI / 4) * ring.widthMillimetres ** 2;
  const isInBag = (z: number) => z <= top;
  return {
    heightMillimetres: ring.toMillimetres,
    widthAt: (z) => (isInBag(z) ? bag.widthAt(z) : ring.widthMillimetres),
    areaAt: (z) => (isInBag(z) ? bag.areaAt(z) : area),
    perimeterAt: (z) => (isInBag(z) ? bag.perimeterAt(z) : rings * Math.PI * ring.widthMillimetres),
    volumeBelow: (z) => bag.volumeBelow(Math.min(z, top)) + area * Math.max(0, z - top),
  };
}

function ringOf(size: Dimensions) {
  const bagTopMillimetres = length(size, 'heightMillimetres');
  const fromMillimetres = bagTopMillimetres - length(size, 'sunkMillimetres');
  return {
    bagTopMillimetres,
    widthMillimetres: length(size, 'ringMillimetres'),
    fromMillimetres,
    toMillimetres: fromMillimetres + length(size, 'ringHeightMillimetres'),
  };
}

export const ringInPillow: ContainerKind = {
  ...FILM,
  id: 'ring-pillow',
  name: 'Ring or bottomless pot in a pillow bag',
  short: 'ring in a pillow bag',
  description: 'Gains depth: roots first in the ring, then in the bag. Feed and water can go to either.',
  type: 'bag',
  corners: 'rounded',
  holdsCane: false,
  stations: { usual: 2, most: 4 },
  hasTradeClass: false,
  dimensions: [
    ...pillow.dimensions,
    { key: 'ringMillimetres', label: 'Ring, across', low: 80, high: 450 },
    { key: 'ringHeightMillimetres', label: 'Ring, height', low: 80, high: 450 },
    { key: 'sunkMillimetres', label: 'Sunk into the bag', low: 0, high: 400 },
  ],
  check(size) {
    const lying = tooHighToLie(size);
    if (lying) return lying;
    const bag = length(size, 'heightMillimetres');
    if (length(size, 'sunkMillimetres') > bag) {
      return { key: 'sunkMillimetres', message: 'The ring would go deeper than its bag.' };
    }
    if (length(size, 'sunkMillimetres') >= length(size, 'ringHeightMillimetres')) {
      return {
        key: 'sunkMillimetres',
        message: 'The whole ring would be under: nothing of it would stand above.',
      };
    }
    return length(size, 'ringMillimetres') > length(size, 'widthMillimetres')
      ? { key: 'ringMillimetres', message: 'The ring is wider than the bag that it stands in.' }
      : undefined;
  },
  solid: (size, stations) => ringedSolid(pillowFrom(size), ringOf(size), stations),
  ring: ringOf,
  likelyDimensions: (litres) => ({
    ...likelyPillow(litres),
    ringMillimetres: 220,
    ringHeightMillimetres: 220,
    sunkMillimetres: 50,
  }),
};
