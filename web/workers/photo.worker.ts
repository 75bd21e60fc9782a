import { expose } from 'comlink';

/** A photograph as it is kept: small enough for a record, large enough to judge a crimp by. */
export interface ScaledPhoto {
  readonly jpeg: Blob;
  readonly widthPx: number;
  readonly heightPx: number;
}

const QUALITY = 0.82;

const photos = {
  /**
   * Scales a picture until its longer side is no longer than asked; null where the file holds no picture that can be
   * read, whatever it calls itself.
   */
  async scale(file: Blob, longestPx: number): Promise<ScaledPhoto | null> {
    const picture = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => null);
    if (!picture) return null;
    const share = Math.min(1, longestPx / Math.max(picture.width, picture.height));
    const [widthPx, heightPx] = [picture.width, picture.height].map((px) =>
      Math.max(1, Math.round(px * share)),
    );
    if (!widthPx || !heightPx) return null;
    const canvas = new OffscreenCanvas(widthPx, heightPx);
    canvas.getContext('2d')?.drawImage(picture, 0, 0, widthPx, heightPx);
    picture.close();
    return { jpeg: await canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY }), widthPx, heightPx };
  },
};
export type PhotoWorker = typeof photos;
expose(photos);
