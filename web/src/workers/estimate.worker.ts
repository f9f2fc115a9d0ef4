import { bagWater, type BagWater, type Garden } from '@rundel/core/bag-state';
import type { Container } from '@rundel/core/garden';
import { expose } from 'comlink';

/** A bag that could not be worked out, in words; the others go on. */
export interface FailedWater {
  readonly containerId: string;
  readonly problem: string;
}

const api = {
  /** The water of one bag; `garden` need hold only what concerns it, its entries live and oldest first. */
  bagWater(garden: Garden, container: Container, now: string): BagWater | FailedWater {
    try {
      return bagWater(garden, container, now, garden.entries);
    } catch (cause) {
      return { containerId: container.id, problem: cause instanceof Error ? cause.message : String(cause) };
    }
  },
};

export type EstimateApi = typeof api;

expose(api);
