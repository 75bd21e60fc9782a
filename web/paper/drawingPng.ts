import { toBase64 } from '../storage/base64.ts';
import { standaloneSvg } from './drawingSvg.ts';
import type { PaperFonts } from './listPdf.ts';

const LOADED_MS = 10_000;

/** A drawing that stands alone, of a size, with the page's faces in it: as a picture it sees none of the page's own. */
function sized(svg: string, widthPx: number, heightPx: number, { plain, strong }: PaperFonts): string {
  const face = (bytes: Uint8Array, weights: string) =>
    `@font-face{font-family:'Barlow Condensed';font-weight:${weights};src:url(data:font/woff;base64,${toBase64(bytes)})}`;
  const page = new DOMParser().parseFromString(svg, 'image/svg+xml');
  const root = page.documentElement;
  root.setAttribute('width', String(widthPx));
  root.setAttribute('height', String(heightPx));
  const style = page.createElementNS('http://www.w3.org/2000/svg', 'style');
  style.textContent = face(plain, '400') + face(strong, '500 600');
  root.prepend(style);
  return new XMLSerializer().serializeToString(page);
}

/** A drawing on the page as a picture for paper, black on white ground. */
export async function drawingPng(
  svg: SVGSVGElement,
  fonts: PaperFonts,
  widthPx: number,
): Promise<Uint8Array> {
  const { width, height } = svg.viewBox.baseVal;
  const heightPx = Math.round((widthPx * height) / width);
  const source = sized(standaloneSvg(svg), widthPx, heightPx, fonts);
  const image = new Image();
  const loaded = new Promise<void>((resolve, reject) => {
    image.onload = () => resolve();
    image.onerror = () => reject(new Error('the drawing is no picture'));
    setTimeout(() => reject(new Error('the drawing takes too long')), LOADED_MS);
  });
  image.src = `data:image/svg+xml;base64,${toBase64(new TextEncoder().encode(source))}`;
  await loaded;
  const canvas = new OffscreenCanvas(widthPx, heightPx);
  const context = canvas.getContext('2d');
  if (!context) throw new Error('no canvas');
  context.fillStyle = '#fff';
  context.fillRect(0, 0, canvas.width, canvas.height);
  context.drawImage(image, 0, 0, canvas.width, canvas.height);
  return new Uint8Array(await (await canvas.convertToBlob({ type: 'image/png' })).arrayBuffer());
}
