import jpeg from 'jpeg-js';
import { PNG } from 'pngjs';
import type { Picture } from '../../core/section/picture.ts';
import { decodePicture } from '../../scripts/decodePicture.ts';

type Pixels = Picture & { readonly data: Uint8ClampedArray };

/** Pixels of a picture, none of which is seen: what is drawn as lines and letters is drawn nowhere. */
export class Bitmap implements Pixels {
  readonly data: Uint8ClampedArray;
  constructor(
    readonly width: number,
    readonly height: number,
    copied?: ArrayLike<number>,
  ) {
    this.data = copied ? new Uint8ClampedArray(copied) : new Uint8ClampedArray(4 * width * height);
  }
  close(): void {}
}

class Context {
  fillStyle = '';
  imageSmoothingQuality = 'low';
  constructor(private readonly canvas: Bitmap) {}
  /** White, whatever is asked: it is the ground that a picture lies on. */
  fillRect(): void {
    this.canvas.data.fill(255);
  }
  /** A picture at a place and a size, each pixel the nearest of it; a drawing is no pixels. */
  drawImage(what: unknown, left: number, top: number, width: number, height: number): void {
    const own = what instanceof HTMLVideoElement ? viewIn(what) : what;
    if (!(own instanceof Bitmap)) return;
    const from = new Uint32Array(own.data.buffer);
    const to = new Uint32Array(this.canvas.data.buffer);
    const { canvas } = this;
    for (let y = 0; y < Math.min(height, canvas.height - top); y += 1) {
      const row = own.width * Math.floor((y * own.height) / height);
      for (let x = 0; x < Math.min(width, canvas.width - left); x += 1)
        to[(y + top) * canvas.width + x + left] = from[row + Math.floor((x * own.width) / width)] ?? 0;
    }
  }
  getImageData(): Pixels {
    return new Bitmap(this.canvas.width, this.canvas.height, this.canvas.data);
  }
  putImageData({ data }: Pixels): void {
    this.canvas.data.set(data);
  }
}

/** What is all of one colour need not be packed well. */
const QUICKLY = { filterType: 0, deflateLevel: 1 } as const;

export class Canvas extends Bitmap {
  getContext(): Context {
    return new Context(this);
  }
  async convertToBlob({ type, quality }: { type: string; quality?: number }): Promise<Blob> {
    const own = { width: this.width, height: this.height, data: Buffer.from(this.data.buffer) };
    const bytes =
      type === 'image/jpeg'
        ? jpeg.encode(own, 100 * (quality ?? 0.92)).data
        : PNG.sync.write(Object.assign(new PNG(own), own), QUICKLY);
    return new Blob([new Uint8Array(bytes)], { type });
  }
}

/** What a camera sees, for the video that shows it. */
export class View {
  constructor(readonly now: () => Bitmap) {}
  getTracks(): [] {
    return [];
  }
}
const viewIn = ({ srcObject }: HTMLVideoElement): Bitmap | null =>
  srcObject instanceof View ? srcObject.now() : null;
Object.assign(HTMLMediaElement, { HAVE_CURRENT_DATA: 2 });
Object.defineProperties(HTMLVideoElement.prototype, {
  srcObject: { value: null, writable: true },
  readyState: { value: 4 },
});
for (const [name, side] of [
  ['videoWidth', 'width'],
  ['videoHeight', 'height'],
] as const)
  Object.defineProperty(HTMLVideoElement.prototype, name, {
    get(this: HTMLVideoElement) {
      return viewIn(this)?.[side] ?? 0;
    },
  });

/** The picture in a file. @throws where it holds none */
export async function bitmapOf(own: Blob | Bitmap): Promise<Bitmap> {
  const { width, height, data } =
    own instanceof Bitmap ? own : (decodePicture(new Uint8Array(await own.arrayBuffer())) ?? {});
  if (!width || !height || !data) throw new DOMException('no picture', 'InvalidStateError');
  return new Bitmap(width, height, data);
}

/** A picture that is there as soon as it has an address. */
class Shown {
  onload: (() => void) | null = null;
  set src(_: string) {
    setTimeout(() => this.onload?.());
  }
}

Object.assign(globalThis, { OffscreenCanvas: Canvas, createImageBitmap: bitmapOf, Image: Shown });
