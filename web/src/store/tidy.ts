import { LOOSE } from '../db/index.ts';
import { FileInWorker } from '../workers/file.ts';
import type { GardenStore } from './garden-store.ts';

/** Puts what was written one by one into the pages of the diary once it has become much: the next visit reads it sooner. */
export async function tidy(store: GardenStore): Promise<void> {
  if ((await store.looseEntries()) <= LOOSE) return;
  const worker = new FileInWorker();
  try {
    await worker.tidy(await store.databaseName());
  } finally {
    worker.letGo();
  }
}
