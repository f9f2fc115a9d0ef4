import { bagWater, FilterMemory, type BagWater, type Garden } from '@rundel/core/bag-state';
import type { Container } from '@rundel/core/garden';
import { expose } from 'comlink';

/** A bag that could not be worked out, in words; the others go on. */
export interface FailedWater {
  readonly containerId: string;
  readonly problem: string;
}

/** The last run of each bag's filter: what is new costs only the steps from where it matters. */
const memories = new Map<string, FilterMemory>();

function memoryOf(containerId: string): FilterMemory {
  const found = memories.get(containerId) ?? new FilterMemory();
  memories.set(containerId, found);
  return found;
}

const api = {
  /** The water of one bag; `garden` need hold only what concerns it, its entries live and oldest first. A trial leaves no trace. */
  bagWater(garden: Garden, container: Container, now: string, isTrial = false): BagWater | FailedWater {
    try {
      const memory = isTrial ? new FilterMemory() : memoryOf(container.id);
      return bagWater(garden, container, now, garden.entries, memory);
    } catch (cause) {
      return { containerId: container.id, problem: cause instanceof Error ? cause.message : String(cause) };
    }
  },
};

export type EstimateApi = typeof api;

expose(api);
