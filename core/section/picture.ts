/** A picture as browsers and decoders give it: rows from the top, red, green, blue and opacity, 0–255 each. */
export interface Picture {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray | Uint8Array;
}

/** A place in a picture, px from its top left corner; whole numbers are the middles of pixels. */
export type Point = readonly [x: number, y: number];

/** A picture made smaller: three planes of averages, 0–255. */
export interface Downsampled {
  readonly width: number;
  readonly height: number;
  /** Pixels of the picture along each side of one of these. */
  readonly factor: number;
  readonly red: Float32Array;
  readonly green: Float32Array;
  readonly blue: Float32Array;
}

/** Averages blocks of pixels so that the longer side comes to at most `longest`; what is left at the edges is dropped. */
export function downsample({ width, height, data }: Picture, longest: number): Downsampled {
  const factor = Math.max(1, Math.ceil(Math.max(width, height) / longest));
  const [w, h] = [Math.floor(width / factor), Math.floor(height / factor)];
  const [red, green, blue] = [new Float32Array(w * h), new Float32Array(w * h), new Float32Array(w * h)];
  const share = 1 / factor ** 2;
  for (let y = 0; y < h * factor; y += 1) {
    const row = Math.floor(y / factor) * w;
    let from = y * width * 4;
    for (let to = row; to < row + w; to += 1) {
      let [r, g, b] = [0, 0, 0];
      for (let k = 0; k < factor; k += 1) {
        r += data[from] ?? 0;
        g += data[from + 1] ?? 0;
        b += data[from + 2] ?? 0;
        from += 4;
      }
      red[to] = (red[to] ?? 0) + r * share;
      green[to] = (green[to] ?? 0) + g * share;
      blue[to] = (blue[to] ?? 0) + b * share;
    }
  }
  return { width: w, height: h, factor, red, green, blue };
}

/** How bright a pixel is, 0–255, by the usual weights of red, green and blue. */
export const luma = (red: number, green: number, blue: number) => 0.299 * red + 0.587 * green + 0.114 * blue;

/** A picture made smaller by a whole factor so that its longer side comes to at most `longest`; itself where it is. */
export function reduced(picture: Picture, longest: number): { picture: Picture; factor: number } {
  const factor = Math.max(1, Math.ceil(Math.max(picture.width, picture.height) / longest));
  if (factor === 1) return { picture, factor };
  const { red, green, blue, width, height } = downsample(picture, longest);
  const data = new Uint8ClampedArray(width * height * 4);
  for (let i = 0; i < red.length; i += 1) {
    data[i * 4] = red[i] ?? 0;
    data[i * 4 + 1] = green[i] ?? 0;
    data[i * 4 + 2] = blue[i] ?? 0;
    data[i * 4 + 3] = 255;
  }
  return { picture: { width, height, data }, factor };
}
