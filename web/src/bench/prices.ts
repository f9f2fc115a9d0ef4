import { unitPrices, type UnitPrice } from '@rundel/core/costs';
import type { Mix } from '@rundel/core/mixes';
import { ingredientLitres } from '@rundel/core/mixes';
import { priceLogs, stockOf, type PriceLog, type Stock } from '@rundel/core/shed';
import type { Pack } from '@rundel/core/garden';
import { useMemo } from 'react';
import { useGarden } from '../store/index.ts';

/** What the shed, the price log and the known packs say, worked out once for a garden. */
export interface Supplies {
  readonly stocks: readonly Stock[];
  readonly logs: readonly PriceLog[];
  readonly packs: readonly Pack[];
  readonly priceOf: UnitPrice;
}

export function useSupplies(): Supplies {
  const { garden, live } = useGarden();
  return useMemo(() => {
    const logs = priceLogs(live);
    const packs = garden.packs.filter((p) => !p.binnedAt);
    return { stocks: stockOf(live, garden.mixes), logs, packs, priceOf: unitPrices(logs, packs) };
  }, [garden.mixes, garden.packs, live]);
}

/** Price of a litre of a mix; undefined when a part has no price. */
export function mixPricePerLitre(mix: Mix, priceOf: UnitPrice): number | undefined {
  let sum = 0;
  for (const { ingredientId, litres } of ingredientLitres(mix, 1)) {
    const each = priceOf(ingredientId);
    if (each === undefined) return undefined;
    sum += each * litres;
  }
  return sum;
}
