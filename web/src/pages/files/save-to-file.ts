import { dayOf } from '@rundel/core/calendar';
import { useGarden, useNoteSavedToFile } from '../../store/index.ts';
import { fileName } from '../../text/file-text.ts';
import { downloadBlob } from '../../ui/download.ts';
import { FileInWorker } from '../../workers/file.ts';

/** Gives the open garden as a file, made in a worker. */
export function useGardenFile(): (kind: 'zip' | 'json') => Promise<Blob> {
  const { clock, store } = useGarden();
  return async (kind) => {
    const worker = new FileInWorker();
    try {
      return await worker.save(await store.databaseName(), store.name, clock.now(), kind);
    } finally {
      worker.letGo();
    }
  };
}

/** Saves the open garden to a file of the grower's, and notes that. */
export function useSaveToFile(): (kind: 'zip' | 'json') => Promise<void> {
  const { garden, clock } = useGarden();
  const make = useGardenFile();
  const noteSaved = useNoteSavedToFile();
  return async (kind) => {
    const now = clock.now();
    const file = await make(kind);
    downloadBlob(fileName(garden.settings.gardenName, dayOf(now), kind), file);
    await noteSaved(now);
  };
}
