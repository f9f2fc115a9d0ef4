import { wrap, type Remote } from 'comlink';
import type { EstimateApi } from './estimate.worker.ts';

export type { BagLedger, FailedWater, FeedingNow } from './estimate.worker.ts';

/** Two workers share the bags: a round is ready in half the time, and more would only take turns on a small machine. */
const WORKERS = 2;

const remotes: Remote<EstimateApi>[] = [];
const placed = new Map<string, number>();

function remoteAt(at: number): Remote<EstimateApi> {
  return (remotes[at] ??= wrap<EstimateApi>(
    new Worker(new URL('./estimate.worker.ts', import.meta.url), {
      type: 'module',
      name: `estimate ${at + 1}`,
    }),
  ));
}

/** Starts the workers while the garden is still being read: they are ready when it is. */
export function startWorkers(): void {
  for (let at = 0; at < WORKERS; at++) remoteAt(at);
}

/** The worker of a bag, always the same one: it remembers the bag's last run. */
export function estimateWorker(containerId: string): Remote<EstimateApi> {
  const at = placed.get(containerId) ?? placed.size % WORKERS;
  placed.set(containerId, at);
  return remoteAt(at);
}
