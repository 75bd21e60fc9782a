import jsQR from 'jsqr';

const LONGEST_PX = 1600;

/** What a QR code in a picture says; null where none is found. A large picture is looked at smaller. */
export async function qrInPicture(picture: Blob): Promise<string | null> {
  const bitmap = await createImageBitmap(picture);
  for (const longest of [LONGEST_PX, LONGEST_PX / 2, LONGEST_PX / 4]) {
    const scale = Math.min(1, longest / Math.max(bitmap.width, bitmap.height));
    const found = qrIn(bitmap, Math.round(bitmap.width * scale), Math.round(bitmap.height * scale));
    if (found !== null) return found;
  }
  return null;
}

/** What a QR code says in what a camera or a picture shows just now; null where there is none. */
export function qrIn(source: CanvasImageSource, width: number, height: number): string | null {
  if (width < 20 || height < 20) return null;
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) return null;
  context.drawImage(source, 0, 0, width, height);
  const { data } = context.getImageData(0, 0, width, height);
  return jsQR(data, width, height)?.data ?? null;
}
