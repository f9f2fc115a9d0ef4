import { GardenEngine, type GardenChange } from '@rundel/core/garden-state';
import type { Entry, Garden } from '@rundel/core/records';
import { tallyContext } from '@rundel/core/tally';
import { expose } from 'comlink';
import { tallyApi } from './tally-api.ts';

/** One worker's garden: handed over once, then kept in step by what changes. */
export function createApi() {
  const taken: Entry[] = [];
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
    /** Takes a part of the diary of the garden that is opened next, after so many of its entries. */
    take(after: number, entries: readonly Entry[]): void {
      taken.splice(after, taken.length, ...entries);
    },
    /** @param after how many of its entries were taken before */
    open(garden: Garden, after = 0): void {
      const entries = [...taken.splice(0).slice(0, after), ...garden.entries];
      engine = new GardenEngine({ ...garden, entries });
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
