import jpeg from 'jpeg-js';
import { PNG } from 'pngjs';
import type { Picture } from '../../core/section/picture.ts';
import { decodePicture } from '../../scripts/decodePicture.ts';

type Pixels = Picture & { readonly data: Uint8ClampedArray };

/** Pixels of a picture, none of which is seen: what is drawn as lines and letters is drawn nowhere. */
class Bitmap implements Pixels {
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
  /** A picture at a size, each pixel the nearest of it; a drawing is no pixels. */
  drawImage(own: unknown, _x: number, _y: number, width: number, height: number): void {
    if (!(own instanceof Bitmap)) return;
    const from = new Uint32Array(own.data.buffer);
    const to = new Uint32Array(this.canvas.data.buffer);
    for (let y = 0; y < height; y += 1) {
      const row = own.width * Math.floor((y * own.height) / height);
      for (let x = 0; x < width; x += 1)
        to[y * this.canvas.width + x] = from[row + Math.floor((x * own.width) / width)] ?? 0;
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

class Canvas extends Bitmap {
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

/** The picture in a file. @throws where it holds none */
async function bitmapOf(own: Blob | Bitmap): Promise<Bitmap> {
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
