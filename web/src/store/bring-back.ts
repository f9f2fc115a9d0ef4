import { FileInWorker } from '../workers/file.ts';
import type { StoreInWorker } from '../workers/store.ts';

/** A note of this device, until the grower has seen it. */
export const BROUGHT_BACK = 'broughtBack';

/** A garden that the browser had lost, as it came back from its second copy. */
export interface BroughtBack {
  readonly bags: number;
  readonly entries: number;
  /** the day of its newest entry; undefined where it has none */
  readonly until?: string;
}

/**
 * Brings a garden back that the browser has lost with its database.
 *
 * @returns false: it has no second copy, or that does not read
 */
export async function bringBack(store: StoreInWorker): Promise<boolean> {
  if (!(await store.hasCopy())) return false;
  const worker = new FileInWorker();
  try {
    const found = await worker.readCopy(store.name);
    if (found?.kind !== 'readable') return false;
    const { bags, entries, until } = found;
    await store.moveTo(await worker.put('replace', store.name, () => undefined), false);
    await store.writeNote(BROUGHT_BACK, { bags, entries, ...(until ? { until } : {}) } satisfies BroughtBack);
    return true;
  } finally {
    worker.letGo();
  }
}
