import type { BeforeCamera, CameraState } from '../camera.ts';
import { Bitmap, bitmapOf, View } from './pictures.ts';

/** Each pixel as the mean of those around it, so far along a line and so far across the lines. */
function blurred(own: Bitmap, px: number): Bitmap {
  const along = (from: Bitmap, step: number, lines: number, over: number, length: number): Bitmap => {
    const to = new Bitmap(from.width, from.height);
    for (let line = 0; line < lines; line += 1)
      for (let part = 0; part < 4; part += 1) {
        const at = (i: number) => 4 * (line * over + Math.max(0, Math.min(length - 1, i)) * step) + part;
        let sum = 0;
        for (let i = -px; i <= px; i += 1) sum += from.data[at(i)] ?? 0;
        for (let i = 0; i < length; i += 1) {
          to.data[at(i)] = sum / (2 * px + 1);
          sum += (from.data[at(i + px + 1)] ?? 0) - (from.data[at(i - px)] ?? 0);
        }
      }
    return to;
  };
  const { width, height } = own;
  return along(along(own, 1, height, width, width), width, width, 1, height);
}

/** As on a page of a browser: what is before the camera lies on a view of its size. */
export async function withCamera(
  page: { addInitScript(put: () => void): Promise<void> },
  { picture, width, height, left = 0, top = 0 }: BeforeCamera,
): Promise<(change: CameraState) => Promise<void>> {
  const own = await bitmapOf(new Blob([new Uint8Array(picture)]));
  const sharp = new Bitmap(width, height);
  for (let y = 0; y < Math.min(own.height, height - top); y += 1) {
    const row = own.data.subarray(4 * y * own.width, 4 * (y * own.width + Math.min(own.width, width - left)));
    sharp.data.set(row, 4 * ((y + top) * width + left));
  }
  const state: { denied: boolean; blurPx: number } = { denied: true, blurPx: 0 };
  let blur: { readonly px: number; readonly view: Bitmap } = { px: 0, view: sharp };
  const now = () => {
    if (blur.px !== state.blurPx)
      blur = { px: state.blurPx, view: state.blurPx > 0 ? blurred(sharp, state.blurPx) : sharp };
    return blur.view;
  };
  const getUserMedia = async () => {
    if (state.denied) throw new DOMException('no camera', 'NotFoundError');
    return new View(now);
  };
  await page.addInitScript(() =>
    Object.defineProperty(navigator, 'mediaDevices', { value: { getUserMedia }, configurable: true }),
  );
  return async (change) => void Object.assign(state, change);
}
