import type { Page } from '@playwright/test';

/** What a camera in little is asked to be. */
export interface CameraState {
  /** Whether it may not be used. */
  readonly denied?: boolean;
  /** How far out of focus it is, px. */
  readonly blurPx?: number;
}
/** A picture before a camera, and where on its view that lies, px. */
export interface BeforeCamera {
  readonly picture: Buffer;
  readonly type: 'image/png' | 'image/jpeg';
  readonly width: number;
  readonly height: number;
  readonly left?: number;
  readonly top?: number;
}

/**
 * Puts a camera into a page before it loads: it may not be used until that is changed.
 *
 * @returns changes what it is
 */
export async function withCamera(
  page: Page,
  { picture, type, width, height, left = 0, top = 0 }: BeforeCamera,
): Promise<(change: CameraState) => Promise<void>> {
  await page.addInitScript(
    (view) => {
      const state = { denied: true, blurPx: 0 };
      Object.assign(window, { cameraState: state });
      navigator.mediaDevices.getUserMedia = async () => {
        if (state.denied) throw new DOMException('no camera', 'NotFoundError');
        const { width, height, left, top } = view;
        const image = Object.assign(new Image(), { src: view.src });
        await image.decode();
        const canvas = () => Object.assign(document.createElement('canvas'), { width, height });
        // Out of focus it is drawn once: without a graphics processor that takes longer than a view lasts.
        const views = new Map<number, HTMLCanvasElement>();
        const viewAt = (blurPx: number) => {
          const known = views.get(blurPx);
          if (known) return known;
          const view = canvas();
          const context = view.getContext('2d');
          if (context && blurPx > 0) context.filter = `blur(${blurPx}px)`;
          context?.drawImage(image, left, top);
          views.set(blurPx, view);
          return view;
        };
        const seen = canvas();
        const stream = seen.captureStream(5);
        const drawing = setInterval(() => {
          seen.getContext('2d')?.drawImage(viewAt(state.blurPx), 0, 0);
          if (!stream.active) clearInterval(drawing);
        }, 200);
        return stream;
      };
    },
    { src: `data:${type};base64,${picture.toString('base64')}`, width, height, left, top },
  );
  return (change) =>
    page.evaluate(
      (to) => void Object.assign((window as unknown as { cameraState: object }).cameraState, to),
      change,
    );
}
