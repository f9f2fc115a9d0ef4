import type { AwayPlan, AwayQuestion } from '@rundel/core/away';
import type { Garden, Container } from '@rundel/core/records';
import { proxy, wrap } from 'comlink';
import type { AwayApi } from './away.worker.ts';

/**
 * Plans the time away in a worker of its own, which is ended when the plan is there or no longer wanted.
 *
 * @param signal ends the work; the promise then rejects with an AbortError
 */
export async function planAwayInWorker(
  garden: Garden,
  containers: readonly Container[],
  now: string,
  question: AwayQuestion,
  seed: number,
  onProgress: (share: number) => void,
  signal: AbortSignal,
): Promise<AwayPlan> {
  const worker = new Worker(new URL('./away.worker.ts', import.meta.url), { type: 'module', name: 'away' });
  try {
    return await new Promise((resolve, reject) => {
      signal.addEventListener('abort', () => reject(new DOMException('No longer wanted.', 'AbortError')));
      worker.addEventListener('error', (event) => reject(new Error(event.message)));
      void wrap<AwayApi>(worker)
        .plan(garden, containers, now, question, seed, proxy(onProgress))
        .then(resolve, reject);
    });
  } finally {
    worker.terminate();
  }
}
