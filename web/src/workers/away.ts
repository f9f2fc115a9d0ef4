import type { AwayPlan, AwayQuestion, DryMonth, Rounds } from '@rundel/core/away';
import type { Garden, Container } from '@rundel/core/records';
import { proxy, wrap, type Remote } from 'comlink';
import type { AwayApi, BagsOnRounds } from './away.worker.ts';

export type { BagsOnRounds } from './away.worker.ts';

/**
 * Asks a worker of its own, which is ended when the answer is there or no longer wanted.
 *
 * @param signal ends the work; the promise then rejects with an AbortError
 */
async function asked<T>(signal: AbortSignal, ask: (api: Remote<AwayApi>) => Promise<T>): Promise<T> {
  const worker = new Worker(new URL('./away.worker.ts', import.meta.url), { type: 'module', name: 'away' });
  try {
    return await new Promise((resolve, reject) => {
      signal.addEventListener('abort', () => reject(new DOMException('No longer wanted.', 'AbortError')));
      worker.addEventListener('error', (event) => reject(new Error(event.message)));
      void ask(wrap<AwayApi>(worker)).then(resolve, reject);
    });
  } finally {
    worker.terminate();
  }
}

/** Plans the time away. */
export function planAwayInWorker(
  garden: Garden,
  containers: readonly Container[],
  now: string,
  question: AwayQuestion,
  onProgress: (share: number) => void,
  signal: AbortSignal,
): Promise<AwayPlan> {
  return asked(signal, (api) => api.plan(garden, containers, now, question, proxy(onProgress)));
}

/** What some rounds leave dry, month by month, for each bag. */
export function dryDaysInWorker(
  garden: Garden,
  bags: BagsOnRounds,
  now: string,
  rounds: Rounds,
  signal: AbortSignal,
): Promise<Readonly<Record<string, readonly DryMonth[]>>> {
  return asked(signal, (api) => api.dryDays(garden, bags, now, rounds));
}
