import { expose } from 'comlink';

/** A photograph's longer side after shrinking, pixels: a leaf's spots are still to be seen on it. */
const LONGER_SIDE = 1600;
const QUALITY = 0.82;
/** A picture larger than this is no photograph that a phone takes, and would take all the memory there is, pixels. */
const MOST_PIXELS = 120_000_000;

const api = {
  /**
   * A picture made small, upright, as JPEG; what the camera wrote into it (place, device, time) stays behind, since only the picture
   * itself is drawn anew.
   *
   * @throws Error in words when it is none that this browser can read
   */
  async shrink(file: Blob): Promise<ArrayBuffer> {
    const picture = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => undefined);
    if (!picture) throw new Error('This browser cannot read it as a picture. A JPEG, PNG or WebP will do.');
    const { width, height } = picture;
    if (width * height > MOST_PIXELS) throw new Error('It is too large to be read here.');
    const by = Math.min(1, LONGER_SIDE / Math.max(width, height));
    const canvas = new OffscreenCanvas(
      Math.max(1, Math.round(width * by)),
      Math.max(1, Math.round(height * by)),
    );
    canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
    picture.close();
    return (await canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY })).arrayBuffer();
  },
};

export type PhotoApi = typeof api;

expose(api);
