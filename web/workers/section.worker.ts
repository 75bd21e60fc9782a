import { expose, transfer } from 'comlink';
import { type Measured, measureSection } from '../../core/section/measure.ts';
import type { Found } from '../../core/section/outline.ts';
import type { Picture } from '../../core/section/picture.ts';

const LONGEST_PX = 2000;
let picture: Picture | null = null;

/** A picture as it is shown, never larger than it is measured. */
export interface ShownPicture {
  readonly width: number;
  readonly height: number;
  readonly bitmap: ImageBitmap;
}

/** Opens and measures pictures of sawn crimps, away from the page; none of them leaves this machine. */
const lab = {
  /** Null where the file is no picture that can be read here. */
  async open(file: Blob): Promise<ShownPicture | null> {
    picture = null;
    const whole = await createImageBitmap(file).catch(() => null);
    if (!whole) return null;
    const factor = Math.min(1, LONGEST_PX / Math.max(whole.width, whole.height));
    const [width, height] = [Math.round(whole.width * factor), Math.round(whole.height * factor)];
    const canvas = new OffscreenCanvas(width, height);
    const context = canvas.getContext('2d', { willReadFrequently: true });
    if (!context) return null;
    context.imageSmoothingQuality = 'high';
    context.drawImage(whole, 0, 0, width, height);
    whole.close();
    const { data } = context.getImageData(0, 0, width, height);
    picture = { width, height, data };
    const bitmap = await createImageBitmap(canvas);
    return transfer({ width, height, bitmap }, [bitmap]);
  },
  /** Measures the picture that is open, within an outline put by hand or one it finds by itself. */
  measure(given?: Found): Measured {
    if (!picture) return { ok: false, refused: 'no metal', sentence: 'No picture is open.' };
    return measureSection(picture, given);
  },
};
export type SectionWorker = typeof lab;
expose(lab);
