import { expose, transfer } from 'comlink';
import { seeded } from '../../core/lib/random.ts';
import { type Advice, adviceFor } from '../../core/section/coach.ts';
import { type DrawnSection, drawSection } from '../../core/section/draw.ts';
import { type Measured, measureSection, type MeasureStage } from '../../core/section/measure.ts';
import type { Found } from '../../core/section/outline.ts';
import type { Picture } from '../../core/section/picture.ts';

const LONGEST_PX = 2000;
const DRAWN_PX = 1200;
let picture: Picture | null = null;

/** A picture as it is shown, never larger than it is measured. */
export interface ShownPicture {
  readonly width: number;
  readonly height: number;
  readonly bitmap: ImageBitmap;
}

async function shownOf(own: Picture, canvas: OffscreenCanvas): Promise<ShownPicture> {
  picture = own;
  const bitmap = await createImageBitmap(canvas);
  return transfer({ width: own.width, height: own.height, bitmap }, [bitmap]);
}

/** Opens, draws and measures pictures of sawn crimps, away from the page; none of them leaves this machine. */
const lab = {
  /** Null where the file is no picture that can be read here. */
  async open(file: Blob): Promise<ShownPicture | null> {
    picture = null;
    const whole = await createImageBitmap(file).catch(() => null);
    if (!whole) return null;
    const factor = Math.min(1, LONGEST_PX / Math.max(whole.width, whole.height));
    const [width, height] = [whole.width, whole.height].map((px) => Math.max(1, Math.round(px * factor))) as [
      number,
      number,
    ];
    const canvas = new OffscreenCanvas(width, height);
    const context = canvas.getContext('2d', { willReadFrequently: true });
    if (!context) return null;
    context.imageSmoothingQuality = 'high';
    context.drawImage(whole, 0, 0, width, height);
    whole.close();
    const { data } = context.getImageData(0, 0, width, height);
    return shownOf({ width, height, data }, canvas);
  },
  /** A section drawn from its figures, and the air that was really drawn. */
  async draw(spec: DrawnSection, seed: number): Promise<{ shown: ShownPicture; voidShare: number }> {
    const drawn = drawSection(spec, seeded(seed), DRAWN_PX);
    const { width, height, data } = drawn.picture;
    const canvas = new OffscreenCanvas(width, height);
    const pixels = new ImageData(width, height);
    pixels.data.set(data);
    canvas.getContext('2d')?.putImageData(pixels, 0, 0);
    const shown = await shownOf(drawn.picture, canvas);
    return transfer({ shown, voidShare: drawn.voidShare }, [shown.bitmap]);
  },
  /** What to do next, by one view of a camera; what is open stays open. */
  look(view: Picture): Advice {
    return adviceFor(measureSection(view), view);
  },
  /** Measures the picture that is open, within an outline put by hand or one it finds by itself. */
  measure(given: Found | undefined, tell: (stage: MeasureStage) => void): Measured {
    if (!picture) return { ok: false, refused: 'no metal', sentence: 'No picture is open.' };
    return measureSection(picture, given, tell);
  },
};
export type SectionWorker = typeof lab;
expose(lab);
