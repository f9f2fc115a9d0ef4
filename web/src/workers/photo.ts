import { wrap } from 'comlink';
import type { PhotoApi } from './photo.worker.ts';

/** Makes pictures small, one after the other, in a worker that is there as long as it takes. */
export async function shrinkPhotos(files: readonly File[]): Promise<readonly ArrayBuffer[]> {
  const worker = new Worker(new URL('./photo.worker.ts', import.meta.url), { type: 'module', name: 'photo' });
  try {
    const api = wrap<PhotoApi>(worker);
    const shrunk: ArrayBuffer[] = [];
    for (const file of files) shrunk.push(await api.shrink(file));
    return shrunk;
  } finally {
    worker.terminate();
  }
}
