import { expose } from 'comlink';
import jsQR from 'jsqr';

/** A picture's longer side for looking, pixels: more takes longer and finds no more. */
const LONGER_SIDE = 900;

const api = {
  /** The text of a QR code in a picture; undefined where there is none. */
  codeIn(picture: ImageBitmap): string | undefined {
    const by = Math.min(1, LONGER_SIDE / Math.max(picture.width, picture.height));
    const width = Math.max(1, Math.round(picture.width * by));
    const height = Math.max(1, Math.round(picture.height * by));
    const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true });
    if (!context) return undefined;
    context.drawImage(picture, 0, 0, width, height);
    picture.close();
    return jsQR(context.getImageData(0, 0, width, height).data, width, height)?.data;
  },
};

export type ScanApi = typeof api;

expose(api);
