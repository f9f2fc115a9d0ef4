import type { Assumed } from '../assumed/index.ts';
import type { Container } from '../records/index.ts';
import type { BagProperties } from './properties.ts';

/** One part of a watering, in the order in which it is poured. */
export type Pour =
  /** close to the stems, spread over the plants */
  | { readonly into: 'plants'; readonly litres: number; readonly eachLitres: number }
  /** into the sunk pots, so many fills of each */
  | { readonly into: 'wells'; readonly litres: number; readonly fills: number; readonly count: number }
  /** inside the rings, or on the mix outside of them */
  | { readonly into: 'rings' | 'outside'; readonly litres: number };

/** What the plants get by hand before the wells take the rest. */
const AT_THE_STEMS = 0.25;

/**
 * How a watering is poured where a bag has wells or rings: first the plants, then the wells; inside the ring while roots are in it,
 * and on the mix outside once they have grown through. All to the plants while they root.
 *
 * @param daysSincePlanting of the youngest plant; undefined where nothing stands
 * @returns empty where it is simply poured over the mix; the litres add up to what was asked for
 * @example
 * pouringOrder({ stations: [1], wells: { count: 2, litres: 1 } }, { kind: { id: 'trough' } }, { litres: 4, daysSincePlanting: 60, isEstablishing: false }, DEFAULT_ASSUMED)[1]
 * // => { into: 'wells', litres: 3, fills: 1.5, count: 2 }
 */
export function pouringOrder(
  { stations, wells }: { readonly stations: readonly unknown[] } & Pick<Container, 'wells'>,
  { kind }: { readonly kind: Pick<BagProperties['kind'], 'id'> },
  watering: {
    readonly litres: number;
    readonly daysSincePlanting: number | undefined;
    readonly isEstablishing: boolean;
  },
  assumed: Pick<Assumed, 'ringInsideDays'>,
): readonly Pour[] {
  const { litres, daysSincePlanting, isEstablishing } = watering;
  if (litres <= 0) return [];
  if (kind.id === 'ring-pillow') {
    const isInside = (daysSincePlanting ?? 0) < assumed.ringInsideDays;
    return [{ into: isInside ? 'rings' : 'outside', litres }];
  }
  if (!wells) return [];
  const atStems = isEstablishing ? litres : AT_THE_STEMS * litres;
  const rest = litres - atStems;
  const plants: Pour = {
    into: 'plants',
    litres: atStems,
    eachLitres: atStems / Math.max(1, stations.length),
  };
  if (rest <= 0) return [plants];
  return [
    plants,
    { into: 'wells', litres: rest, fills: rest / (wells.count * wells.litres), count: wells.count },
  ];
}
