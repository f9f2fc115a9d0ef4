import { wrap, type Remote } from 'comlink';
import type { EstimateApi } from './estimate.worker.ts';

export type { BagLedger, FailedWater, FeedingNow } from './estimate.worker.ts';

let remote: Remote<EstimateApi> | undefined;

/** The worker that works out bags' water; started at the first call. */
export function estimateWorker(): Remote<EstimateApi> {
  remote ??= wrap<EstimateApi>(
    new Worker(new URL('./estimate.worker.ts', import.meta.url), { type: 'module', name: 'estimate' }),
  );
  return remote;
}
