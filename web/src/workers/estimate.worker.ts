import {
  bagFeeding,
  bagWater,
  propertiesOf,
  FilterMemory,
  warmthOf,
  type BagFeeding,
  type BagWater,
} from '@rundel/core/garden-state';
import type { Garden, Container } from '@rundel/core/records';
import type { Ledger, Verdict } from '@rundel/core/feeding';
import type { WaterEstimate } from '@rundel/core/water';
import { expose } from 'comlink';

/** A bag that could not be worked out, in words; the others go on. */
export interface FailedWater {
  readonly containerId: string;
  readonly problem: string;
}

/** A bag's feeding without its ledger, which only its own page shows. */
export type FeedingNow = Omit<BagFeeding, 'ledger'>;

/** A bag's ledger: its days in three runs, today's place in them, and what they say. */
export interface BagLedger {
  readonly days: Ledger['runs'];
  readonly today: number;
  readonly verdicts: readonly Verdict[];
}

type Moves = WaterEstimate['moves'];

/** The last run of each bag's filter: what is new costs only the steps from where it matters. */
const memories = new Map<string, FilterMemory>();

function memoryOf(containerId: string): FilterMemory {
  const found = memories.get(containerId) ?? new FilterMemory();
  memories.set(containerId, found);
  return found;
}

const failed = (containerId: string, cause: unknown): FailedWater => ({
  containerId,
  problem: cause instanceof Error ? cause.message : String(cause),
});

export const api = {
  /** The water of some bags; `garden` need hold only what concerns them, each one's entries live and oldest first. A trial leaves no trace. */
  bagWaters(
    garden: Garden,
    containers: readonly Container[],
    now: string,
    isTrial = false,
  ): (BagWater | FailedWater)[] {
    return containers.map((container) => {
      try {
        const memory = isTrial ? new FilterMemory() : memoryOf(container.id);
        return bagWater(garden, container, now, garden.entries, memory);
      } catch (cause) {
        return failed(container.id, cause);
      }
    });
  },

  /** The feeding of some bags; the garden's entries live and oldest first. */
  bagFeedings(
    garden: Garden,
    bags: readonly { readonly container: Container; readonly moves: Moves }[],
    today: string,
  ): (FeedingNow | FailedWater)[] {
    const warmth = warmthOf(garden.entries, garden.settings);
    return bags.map(({ container, moves }) => {
      try {
        const properties = propertiesOf(container, garden);
        // the ledger is a function, and cannot be sent
        const { ledger: _, ...rest } = bagFeeding(
          garden,
          container,
          properties,
          garden.entries,
          today,
          warmth,
          moves,
        );
        return rest;
      } catch (cause) {
        return failed(container.id, cause);
      }
    });
  },

  /** One bag's ledger, day by day. */
  bagLedger(garden: Garden, container: Container, today: string, moves: Moves): BagLedger | FailedWater {
    try {
      const warmth = warmthOf(garden.entries, garden.settings);
      const properties = propertiesOf(container, garden);
      const ledger = bagFeeding(garden, container, properties, garden.entries, today, warmth, moves).ledger();
      return { days: ledger.runs, today: ledger.today, verdicts: ledger.verdicts };
    } catch (cause) {
      return failed(container.id, cause);
    }
  },
};

export type EstimateApi = typeof api;

expose(api);
