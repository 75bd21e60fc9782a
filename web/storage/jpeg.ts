const JPEG_START = [0xff, 0xd8, 0xff];

/** Whether bytes begin as a JPEG does: what only calls itself one is no picture. */
export const isJpeg = (bytes: Uint8Array): boolean => JPEG_START.every((byte, i) => bytes[i] === byte);
