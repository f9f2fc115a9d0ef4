import { chanceFrom, type Chance } from '../hidden/index.ts';

/** Weight of a fruit, fruits a day when in full bearing, and days from planting to the first picking. */
export interface Bearing {
  readonly kilograms: number;
  readonly perDay: number;
  readonly firstAfter: number;
}

export const BEARING: Readonly<Record<string, Bearing>> = {
  'Lantern Drop': { kilograms: 0.085, perDay: 0.8, firstAfter: 46 },
  'Pier Red': { kilograms: 0.06, perDay: 1, firstAfter: 47 },
  'Bosun Short': { kilograms: 0.022, perDay: 3, firstAfter: 38 },
  'Brass Bell': { kilograms: 0.12, perDay: 0.25, firstAfter: 44 },
  Longfinger: { kilograms: 0.16, perDay: 0.3, firstAfter: 43 },
  'Salt Snap': { kilograms: 0.21, perDay: 0.8, firstAfter: 34 },
};

/** Days between two pickings. */
export function rhythmOf(varietyName: string): number {
  return varietyName === 'Salt Snap' || varietyName === 'Bosun Short' ? 2 : 3;
}

/** Fruits at a picking; `share` for more plants than one, or for one that fares badly. */
export function pickedCount(chance: Chance, bearing: Bearing, rhythmDays: number, share: number): number {
  return Math.round(bearing.perDay * rhythmDays * share * (0.6 + 0.8 * chance.next()));
}

/** What so many fruits weigh, to the gram. */
export function pickedKilograms(chance: Chance, bearing: Bearing, count: number): number {
  return Math.round(count * bearing.kilograms * (0.85 + 0.3 * chance.next()) * 1000) / 1000;
}

/** Plants that had the same bear unlike each other, by a third and more: part of it is the bag's and comes again, part the season's. */
export function vigourOf(seed: number, label: string, year: number): number {
  const ofBag = chanceFrom(seed * 131 + Number(label)).normal();
  const ofSeason = chanceFrom(seed * 173 + Number(label) * 7919 + year).normal();
  return Math.exp(0.18 * ofBag + 0.27 * ofSeason);
}
