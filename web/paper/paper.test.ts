import { describe, expect, test } from '@jest/globals';
import jsQR from 'jsqr';
import { decodePDFRawStream, PDFArray, PDFDocument, PDFRawStream } from 'pdf-lib';
import { type Label, labelSheets, type LabelKind, PAPER_MM } from '../../core/paper/label.ts';
import type { ListDoc } from '../../core/paper/listDoc.ts';
import { labelPdf, labelSvg, qrSquares } from './labels.ts';
import { listPdf, POINTS_PER_MM } from './listPdf.ts';
import { FONTS, read } from './readPdf.ts';

/** Room at the edge of a page where its foot stands, points. */
const MARGIN_PT = 30;

const list = (rows: number): ListDoc => ({
  title: 'Cutting list',
  subtitle: 'A boat',
  columns: [
    { title: 'tag', width: 0.5 },
    { title: 'cut, mm', width: 0.5, right: true },
  ],
  sections: [
    { title: '70 mm² red', rows: Array.from({ length: rows }, (_, i) => [`T-${i}`, `${1000 + i}`]) },
  ],
  foot: 'Licensed persons come first.',
});

describe('a list as PDF', () => {
  test.each(['A4', 'Letter'] as const)('%s is of its size, and holds every word', async (paper) => {
    const [page] = await read(await listPdf(list(3), paper, FONTS));
    expect(page?.width).toBeCloseTo(PAPER_MM[paper].width, 0);
    expect(page?.height).toBeCloseTo(PAPER_MM[paper].height, 0);
    for (const word of [
      'Cutting list',
      'A boat',
      '70 mm² red',
      'T-0',
      '1002',
      'Licensed persons come first.',
    ]) {
      expect(page?.words).toContain(word);
    }
  });
  test('a long one goes on, its head repeated, and no row is lost or off the page', async () => {
    const pages = await read(await listPdf(list(200), 'A4', FONTS));
    expect(pages.length).toBeGreaterThan(2);
    for (const { words, places, height } of pages) {
      expect(words).toContain('Cutting list');
      expect(words).toContain('cut, mm');
      for (const { y } of places) {
        expect(y).toBeGreaterThan(10);
        expect(y).toBeLessThan(height * POINTS_PER_MM);
      }
    }
    const found = pages.flatMap(({ words }) => words.filter((word) => word.startsWith('T-')));
    expect(new Set(found).size).toBe(200);
  });
  test('words too long for their column go on below, all of them, and strange letters do no harm', async () => {
    const doc = list(1);
    const long = { ...doc, sections: [{ title: '', rows: [['long '.repeat(40), 'A → B κ 電']] }] };
    const [page] = await read(await listPdf(long, 'A4', FONTS));
    const said = page?.words.join(' ') ?? '';
    expect(said.match(/long/g)).toHaveLength(40);
    expect(said).not.toContain('...');
    const lines = page?.places.filter((_, i) => page.words[i]?.startsWith('long')).map(({ y }) => y) ?? [];
    expect(new Set(lines).size).toBeGreaterThan(2);
    expect(page?.words.some((word) => word.startsWith('A - B k'))).toBe(true);
  });
  test('a row that takes several lines, and a word longer than its column, run into nothing below', async () => {
    const rows = Array.from({ length: 60 }, (_, i) => [`${'x'.repeat(90)} ${i}`, `row ${i}`]);
    const pages = await read(await listPdf({ ...list(1), sections: [{ title: '', rows }] }, 'A4', FONTS));
    expect(pages.length).toBeGreaterThan(1);
    for (const { words, places } of pages) {
      const tops = words.flatMap((word, i) => (word.startsWith('row ') ? (places[i]?.y ?? 0) : []));
      const parts = words.flatMap((word, i) => (word.startsWith('x') ? (places[i]?.y ?? 0) : []));
      expect(tops.length).toBeGreaterThan(5);
      // Every line of the first column belongs to one row: none stands on the height of the next.
      expect(new Set(parts).size).toBe(parts.length);
      expect(Math.min(...parts, ...tops)).toBeGreaterThan(MARGIN_PT);
    }
    const x =
      pages
        .flatMap(({ words }) => words)
        .join('')
        .match(/x/g) ?? [];
    expect(x.length).toBeGreaterThanOrEqual(60 * 90);
  });
});

const QR = [
  'GA1',
  'tag: TH-3',
  'pole: positive',
  'cable: 70 mm² Tinned marine, red',
  'from: Isolator, M10',
  'to: Thruster +, M8',
  'length: 6400 mm',
  'lugs: 70-10 / 70-8',
  'die: 70 / 70',
  'proof: proved',
  'by: Ada 2026-11-25',
].join('\n');
const label: Label = {
  tag: 'TH-3',
  lines: ['positive, 70 mm²', 'Isolator - <Thruster & co>', '"6400"'],
  qr: QR,
};

interface Bar {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}
/** What an independent decoder reads in bars, painted, mm from a corner. */
function readIn(bars: readonly Bar[], side: number): string | undefined {
  const perMm = 16;
  const pixels = Math.ceil(side * perMm);
  const data = new Uint8ClampedArray(pixels * pixels * 4).fill(255);
  for (const { x, y, width, height } of bars)
    for (let py = Math.round(y * perMm); py < Math.round((y + height) * perMm); py += 1)
      for (let px = Math.round(x * perMm); px < Math.round((x + width) * perMm); px += 1)
        data.fill(0, (py * pixels + px) * 4, (py * pixels + px) * 4 + 3);
  return jsQR(data, pixels, pixels)?.data;
}
/** The filled bars of the first page of a PDF, mm from its lower left corner. */
async function barsOf(bytes: Uint8Array): Promise<Bar[]> {
  const [page] = (await PDFDocument.load(bytes)).getPages();
  const contents = page?.node.Contents();
  const streams =
    contents instanceof PDFArray
      ? contents.asArray().map((own) => page?.doc.context.lookup(own))
      : [contents];
  const drawn = streams.map((own) =>
    own instanceof PDFRawStream ? Buffer.from(decodePDFRawStream(own).decode()).toString('latin1') : '',
  );
  return [...drawn.join('\n').matchAll(/([\d.]+) ([\d.]+) ([\d.]+) ([\d.]+) re\b/g)].map((found) => {
    const [x = 0, y = 0, width = 0, height = 0] = found.slice(1).map((pt) => Number(pt) / POINTS_PER_MM);
    return { x, y, width, height };
  });
}

describe('labels', () => {
  test.each<LabelKind>(['wrap', 'flag'])(
    'the code on a %s is read by an independent decoder, from the SVG and from the PDF',
    async (kind) => {
      const [sheet] = labelSheets([label], kind, 'A4');
      const [placed] = sheet ?? [];
      if (!placed) throw new Error('no label');
      const svg = labelSvg([placed], 'A4');
      const bars = [...svg.matchAll(/M([\d.]+) ([\d.]+)h([\d.]+)v([\d.]+)h/g)].map((found): Bar => {
        const [x = 0, y = 0, width = 0, height = 0] = found.slice(1).map(Number);
        return { x: x - placed.x, y: y - placed.y, width, height };
      });
      expect(readIn(bars, placed.height)).toBe(QR);
      // No two meet: no seam shows between them.
      const squares = bars.reduce((sum, { width, height }) => sum + width / height, 0);
      expect(squares).toBeCloseTo(qrSquares(QR).dark.length, 0);
      const ends = new Set(bars.map(({ x, y, width }) => `${(x + width).toFixed(1)} ${y.toFixed(1)}`));
      expect(bars.filter(({ x, y }) => ends.has(`${x.toFixed(1)} ${y.toFixed(1)}`))).toEqual([]);

      const printed = (await barsOf(await labelPdf([[placed]], 'A4', FONTS))).map((bar) => ({
        ...bar,
        x: bar.x - placed.x,
        y: PAPER_MM.A4.height - placed.y - bar.y - bar.height,
      }));
      expect(printed).toHaveLength(bars.length);
      expect(readIn(printed, placed.height)).toBe(QR);
    },
  );
  test('what a person typed is no markup in the SVG', () => {
    const [sheet = []] = labelSheets([{ ...label, tag: '<script>x</script>' }], 'wrap', 'A4');
    const svg = labelSvg(sheet, 'A4');
    expect(svg).not.toMatch(/<script|<Thruster/);
    expect(svg).toContain('&#60;script&#62;');
    expect(svg).toMatch(/^<svg [^>]*width="210mm" height="297mm"/);
  });
  test('the PDF says each tag twice, and its lines', async () => {
    const sheets = labelSheets([label, { ...label, tag: 'TH-4' }], 'wrap', 'Letter');
    const [page] = await read(await labelPdf(sheets, 'Letter', FONTS));
    expect(page?.words.filter((word) => word === 'TH-3')).toHaveLength(2);
    expect(page?.words.filter((word) => word === 'TH-4')).toHaveLength(2);
    expect(page?.words).toContain('Isolator - <Thruster & co>');
    expect(page?.width).toBeCloseTo(PAPER_MM.Letter.width, 0);
  });
  test('a flag is said on both its sides', async () => {
    const sheets = labelSheets([label], 'flag', 'A4');
    const [page] = await read(await labelPdf(sheets, 'A4', FONTS));
    expect(page?.words.filter((word) => word === 'TH-3')).toHaveLength(4);
  });
});
