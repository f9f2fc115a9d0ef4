import {
  costOf,
  unitPrices,
  type BagCost,
  type UnitPrice,
  priceLogs,
  stockOf,
  type PriceLog,
  type Stock,
  type StockContext,
} from '@rundel/core/stock';
import { affects, type Entry, type Garden, type Pack } from '@rundel/core/records';
import { resolveAssumed } from '@rundel/core/assumed';
import { scoopsOf } from '@rundel/core/products';
import { useMemo } from 'react';
import { useBags } from './bags.ts';
import { useGarden } from './garden-context.tsx';

/** What the shed, the price log and the known packs say. */
export interface Supplies {
  readonly stocks: readonly Stock[];
  readonly logs: readonly PriceLog[];
  readonly packs: readonly Pack[];
  readonly priceOf: UnitPrice;
  /** the entries that move products or money: a small part of a diary that is mostly checks and waterings */
  readonly entries: readonly Entry[];
}

/** What the shed and the costs of a garden are worked out with: the grower's own mixes, products, measures and numbers. */
export function stockContextOf(garden: Garden): StockContext {
  const { mixes, products, settings } = garden;
  return { mixes, products, scoops: scoopsOf(garden), assumed: resolveAssumed(settings.assumptions) };
}

export function useSupplies(): Supplies {
  const { garden, live } = useGarden();
  return useMemo(() => {
    const entries = live.filter((e) => affects(e, 'money'));
    const logs = priceLogs(entries);
    const packs = garden.packs.filter((p) => !p.binnedAt);
    return {
      entries,
      stocks: stockOf(entries, stockContextOf(garden)),
      logs,
      packs,
      priceOf: unitPrices(logs, packs),
    };
  }, [garden, live]);
}

/** What each bag in use cost in a year, by its container's id. */
export function useCosts(year: number): ReadonlyMap<string, BagCost> {
  const { garden } = useGarden();
  const { bags } = useBags();
  const { entries, priceOf } = useSupplies();
  return useMemo(
    () =>
      new Map(
        bags.map(({ container, properties }) => [
          container.id,
          costOf(
            container,
            entries,
            year,
            { ...stockContextOf(garden), settings: garden.settings, bagsInUse: bags.length },
            priceOf,
            properties.assumed,
          ),
        ]),
      ),
    [bags, entries, garden, priceOf, year],
  );
}
