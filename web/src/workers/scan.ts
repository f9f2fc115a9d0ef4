import { transfer, wrap } from 'comlink';
import type { ScanApi } from './scan.worker.ts';

/** Looks for codes in pictures, in a worker: a phone takes a tenth of a second for one, while its camera goes on. */
export interface CodeReader {
  /**
   * The text of a QR code in a picture or in what a video shows; undefined where there is none.
   *
   * @throws Error when it is no picture that this browser can read
   */
  codeIn(shown: ImageBitmapSource): Promise<string | undefined>;
  close(): void;
}

export function codeReader(): CodeReader {
  const worker = new Worker(new URL('./scan.worker.ts', import.meta.url), { type: 'module', name: 'scan' });
  const api = wrap<ScanApi>(worker);
  return {
    async codeIn(shown) {
      const picture = await createImageBitmap(shown);
      return api.codeIn(transfer(picture, [picture]));
    },
    close: () => worker.terminate(),
  };
}
