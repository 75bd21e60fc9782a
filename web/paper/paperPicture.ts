import { degrees, drawImage, type PDFPage } from 'pdf-lib';
import type { Picture } from '../../core/section/picture.ts';
import { toBase64 } from '../storage/base64.ts';
import { standaloneSvg } from './drawingSvg.ts';
import type { PaperFonts } from './listPdf.ts';

const LOADED_MS = 10_000;

/** A picture as a PDF holds it: red, green and blue of each pixel, row by row, deflated. */
export interface PaperPicture {
  readonly width: number;
  readonly height: number;
  readonly deflated: Uint8Array;
}

/** Pixels for paper, each of them taken as opaque: a drawing lies on a white ground. */
export async function paperPicture({ width, height, data }: Picture): Promise<PaperPicture> {
  const colors = new Uint8Array(3 * width * height);
  for (let from = 0, to = 0; to < colors.length; from += 4, to += 3) {
    colors[to] = data[from] ?? 255;
    colors[to + 1] = data[from + 1] ?? 255;
    colors[to + 2] = data[from + 2] ?? 255;
  }
  // Native, and straight into the PDF: a PNG on the way would be packed and unpacked again in script, for seconds.
  const deflating = new Blob([colors]).stream().pipeThrough(new CompressionStream('deflate'));
  return { width, height, deflated: new Uint8Array(await new Response(deflating).arrayBuffer()) };
}

/** Draws a picture on a page of paper; its lower left corner and size in points. */
export function drawPicture(
  page: PDFPage,
  { width, height, deflated }: PaperPicture,
  place: { readonly x: number; readonly y: number; readonly width: number; readonly height: number },
): void {
  const { context } = page.doc;
  const stream = context.stream(deflated, {
    Type: 'XObject',
    Subtype: 'Image',
    Width: width,
    Height: height,
    ColorSpace: 'DeviceRGB',
    BitsPerComponent: 8,
    Filter: 'FlateDecode',
  });
  const name = page.node.newXObject('Picture', context.register(stream));
  const upright = { rotate: degrees(0), xSkew: degrees(0), ySkew: degrees(0) };
  page.pushOperators(...drawImage(name, { ...place, ...upright }));
}

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
export async function drawingOnPaper(
  svg: SVGSVGElement,
  fonts: PaperFonts,
  widthPx: number,
): Promise<PaperPicture> {
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
  return paperPicture(context.getImageData(0, 0, canvas.width, canvas.height));
}
