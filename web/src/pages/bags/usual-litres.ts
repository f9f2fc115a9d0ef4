import { toSi, type UnitSystem } from '@rundel/core/units';

/** Sizes that are often seen of a kind, litres: a press saves typing one. */
const USUAL_LITRES: Readonly<Record<string, readonly number[]>> = {
  bucket: [10, 15, 20],
  pillow: [30, 40, 50],
  trough: [40, 60, 80],
};
const MOST_USUAL: readonly number[] = [19, 38, 57];
/** Where they are sold by the gallon. */
const USUAL_GALLONS: readonly number[] = [5, 10, 15];

/** The sizes that are offered for a kind, litres, the smallest first. */
export function usualLitres(kindId: string, system: UnitSystem): readonly number[] {
  const gallons = system === 'us' ? USUAL_GALLONS.map((gallon) => toSi(gallon, 'usGallon')) : MOST_USUAL;
  return USUAL_LITRES[kindId] ?? gallons;
}
