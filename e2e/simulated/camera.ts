import { blurred } from '../../core/section/blurFixture.ts';
import type { BeforeCamera, CameraState } from '../camera.ts';
import { Bitmap, bitmapOf, Canvas, View } from './pictures.ts';

/** As on a page of a browser: what is before the camera lies on a view of its size. */
export async function withCamera(
  page: { addInitScript(put: () => void): Promise<void> },
  { picture, width, height, left = 0, top = 0 }: BeforeCamera,
): Promise<(change: CameraState) => Promise<void>> {
  const own = await bitmapOf(new Blob([new Uint8Array(picture)]));
  const sharp = new Canvas(width, height);
  sharp.getContext().drawImage(own, left, top, own.width, own.height);
  const state = { denied: true, blurPx: 0 };
  // Out of focus it is worked out once.
  const views = new Map<number, Bitmap>([[0, sharp]]);
  const now = () => {
    const view = views.get(state.blurPx) ?? new Bitmap(width, height, blurred(sharp, state.blurPx).data);
    views.set(state.blurPx, view);
    return view;
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
