import jpeg from 'jpeg-js';
import { PNG } from 'pngjs';
import type { Picture } from '../core/section/picture.ts';

/** Larger than any telephone's picture. */
const MOST_MEGAPIXELS = 60;
const MOST_MEMORY_MB = 2048;

/** A JPEG or PNG as pixels, told apart by how it begins and not by its name; null where it is neither, or broken. */
export function decodePicture(bytes: Uint8Array): Picture | null {
  const begins = (...own: number[]) => own.every((byte, i) => bytes[i] === byte);
  try {
    if (begins(0xff, 0xd8, 0xff)) {
      return jpeg.decode(bytes, {
        useTArray: true,
        maxResolutionInMP: MOST_MEGAPIXELS,
        maxMemoryUsageInMB: MOST_MEMORY_MB,
      });
    }
    if (begins(0x89, 0x50, 0x4e, 0x47)) return PNG.sync.read(Buffer.from(bytes));
  } catch {
    return null;
  }
  return null;
}
