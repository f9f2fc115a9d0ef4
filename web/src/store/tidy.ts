import { LOOSE } from '../db/index.ts';
import { FileInWorker } from '../workers/file.ts';
import type { StoreInWorker } from '../workers/store.ts';

/**
 * Puts what was written one by one into the pages of the diary once it has become much: the next visit reads it sooner. Rows that
 * an earlier Rundel could not read are tried again.
 *
 * @param hasUnread whether there are any
 */
export async function tidy(store: StoreInWorker, hasUnread: boolean): Promise<void> {
  if (!hasUnread && (await store.looseEntries()) <= LOOSE) return;
  const worker = new FileInWorker();
  try {
    const found = await worker.tidy(await store.databaseName());
    if (found === 0) return;
    // every tab with this garden reads again, this one too
    const channel = new BroadcastChannel(store.name);
    channel.postMessage('changed');
    channel.close();
  } finally {
    worker.letGo();
  }
}
