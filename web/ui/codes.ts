import {
  BarcodeFormat,
  BinaryBitmap,
  DecodeHintType,
  HybridBinarizer,
  MultiFormatReader,
  RGBLuminanceSource,
} from '@zxing/library';

const LONGEST_PX = 1600;
/** Under this a picture holds no code. */
const LEAST_PX = 20;

/** The codes on labels, bags and drums. */
const FORMATS = [
  BarcodeFormat.QR_CODE,
  BarcodeFormat.DATA_MATRIX,
  BarcodeFormat.CODE_128,
  BarcodeFormat.CODE_39,
  BarcodeFormat.EAN_13,
  BarcodeFormat.EAN_8,
  BarcodeFormat.ITF,
];
const reader = new MultiFormatReader();
reader.setHints(
  new Map<DecodeHintType, unknown>([
    [DecodeHintType.POSSIBLE_FORMATS, FORMATS],
    [DecodeHintType.TRY_HARDER, true],
  ]),
);

/** What a code in a picture says, of squares or of bars; null where none is found. A large picture is looked at smaller. */
export async function codeInPicture(picture: Blob): Promise<string | null> {
  const bitmap = await createImageBitmap(picture);
  for (const longest of [LONGEST_PX, LONGEST_PX / 2, LONGEST_PX / 4]) {
    const scale = Math.min(1, longest / Math.max(bitmap.width, bitmap.height));
    const found = codeIn(bitmap, Math.round(bitmap.width * scale), Math.round(bitmap.height * scale));
    if (found !== null) return found;
  }
  return null;
}

/** What a code says in what a camera or a picture shows just now; null where there is none. */
export function codeIn(source: CanvasImageSource, width: number, height: number): string | null {
  if (width < LEAST_PX || height < LEAST_PX) return null;
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) return null;
  context.drawImage(source, 0, 0, width, height);
  const { data } = context.getImageData(0, 0, width, height);
  const light = new Uint8ClampedArray(width * height);
  for (let i = 0; i < light.length; i += 1)
    light[i] = ((data[4 * i] ?? 0) + 2 * (data[4 * i + 1] ?? 0) + (data[4 * i + 2] ?? 0)) / 4;
  try {
    return reader
      .decode(new BinaryBitmap(new HybridBinarizer(new RGBLuminanceSource(light, width, height))))
      .getText();
  } catch {
    // It says by an error that there is none.
    return null;
  } finally {
    reader.reset();
  }
}
