import { growingSeason } from '@rundel/core/calendar';
import { kilogramsByBag } from '@rundel/core/pickings';
import { pickingsWithWeights } from '@rundel/core/tally';
import { useMemo } from 'react';
import { useGarden } from './garden-context.tsx';

/** What each bag gave in a season, kg, by its container's id. */
export function useKilograms(year: number): ReadonlyMap<string, number> {
  const { garden, live } = useGarden();
  return useMemo(
    () =>
      kilogramsByBag(pickingsWithWeights(garden, live), growingSeason(year, garden.settings.latitudeDegrees)),
    [garden, live, year],
  );
}
