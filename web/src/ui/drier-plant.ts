import { entriesAt } from '@rundel/core/records';
import { drierPlant } from '@rundel/core/round';
import { useMemo } from 'react';
import { useGarden, type Bag } from '../store/index.ts';
import { plantWords } from '../text/plant-text.ts';

/** Which of several plants in a bag has usually felt the driest, in words, and how often; if any. */
export function useDrierPlant(
  bag: Bag,
): { readonly plant: string; readonly times: number; readonly visits: number } | undefined {
  const { live } = useGarden();
  const { properties, container, occupants } = bag;
  return useMemo(() => {
    const found =
      occupants.length > 1 ? drierPlant(entriesAt(live, container.id), properties.assumed) : undefined;
    return found && { ...found, plant: plantWords(found.stationId, occupants) };
  }, [properties.assumed, container.id, live, occupants]);
}
