import { describe, expect, test } from '@jest/globals';
import { PDFDocument } from 'pdf-lib';
import { getDocument, OPS } from 'unpdf/pdfjs';
import { drawPicture, paperPicture } from './paperPicture.ts';

describe('a picture on paper', () => {
  test('is read again pixel by pixel, where it was drawn and as large', async () => {
    const [width, height] = [5, 3];
    const data = Uint8ClampedArray.from({ length: 4 * width * height }, (_, i) =>
      i % 4 === 3 ? 255 : (7 * i) % 256,
    );
    const pdf = await PDFDocument.create();
    const place = { x: 20, y: 30, width: 50, height: 40 };
    drawPicture(pdf.addPage([200, 100]), await paperPicture({ width, height, data }), place);
    const reader = await getDocument({ data: await pdf.save(), verbosity: 0 }).promise;
    const page = await reader.getPage(1);
    const { fnArray, argsArray } = await page.getOperatorList();
    const [name] = argsArray[fnArray.indexOf(OPS.paintImageXObject)] as [string];
    const seen = await new Promise<{ width: number; height: number; data: Uint8Array }>((found) => {
      page.objs.get(name, found);
    });
    expect(seen).toMatchObject({ width, height });
    const opaque = seen.data.length === data.length ? data : data.filter((_, i) => i % 4 !== 3);
    expect([...seen.data]).toEqual([...opaque]);
    const moves = argsArray.filter((_, i) => fnArray[i] === OPS.transform).map((at) => [...(at as number[])]);
    expect(moves).toContainEqual([1, 0, 0, 1, place.x, place.y]);
    expect(moves).toContainEqual([place.width, 0, 0, place.height, 0, 0]);
  });
});
