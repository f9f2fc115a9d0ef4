import { GardenEngine, type GardenChange } from '@rundel/core/garden-state';
import type { Garden } from '@rundel/core/records';
import { tallyContext } from '@rundel/core/tally';
import { expose } from 'comlink';
import { tallyApi } from './tally-api.ts';

/** One worker's garden: handed over once, then kept in step by what changes. */
export function createApi() {
  let engine: GardenEngine | undefined;
  const opened = (): GardenEngine => {
    if (!engine) throw new Error('No garden was handed to this worker.');
    return engine;
  };
  let context: ReturnType<typeof tallyContext> | undefined;
  return {
    ...tallyApi(() => {
      const { garden, live } = opened().diary;
      // worked out once for a garden as it stands: every question about its tally begins with it
      if (context?.garden !== garden) context = tallyContext(garden, live);
      return context;
    }),
    open(garden: Garden): void {
      engine = new GardenEngine(garden);
    },
    apply(change: GardenChange): void {
      opened().apply(change);
    },
    states(containerIds: readonly string[], now: string, known: Readonly<Record<string, number>>) {
      return opened().states(containerIds, now, known);
    },
    whatIf(containerId: string, now: string) {
      return opened().whatIf(containerId, now);
    },
    ledger(containerId: string, now: string) {
      return opened().ledger(containerId, now);
    },
  };
}

export type GardenApi = ReturnType<typeof createApi>;

expose(createApi());
