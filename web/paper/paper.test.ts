import { describe, expect, test } from '@jest/globals';
import jsQR from 'jsqr';
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

/** The squares of a sheet, painted. */
function painted(rects: readonly { x: number; y: number; size: number }[], perMm: number, side: number) {
  const pixels = Math.ceil(side * perMm);
  const data = new Uint8ClampedArray(pixels * pixels * 4).fill(255);
  for (const { x, y, size } of rects) {
    for (let py = Math.round(y * perMm); py < Math.round((y + size) * perMm); py += 1) {
      for (let px = Math.round(x * perMm); px < Math.round((x + size) * perMm); px += 1) {
        data.fill(0, (py * pixels + px) * 4, (py * pixels + px) * 4 + 3);
      }
    }
  }
  return { data, pixels };
}

describe('labels', () => {
  test.each<LabelKind>(['wrap', 'flag'])('the code on a %s is read by an independent decoder', (kind) => {
    const [sheet] = labelSheets([label], kind, 'A4');
    const [placed] = sheet ?? [];
    if (!placed) throw new Error('no label');
    const svg = labelSvg([placed], 'A4');
    const squares = [...svg.matchAll(/M([\d.]+) ([\d.]+)h([\d.]+)v/g)].map(([, x, y, size]) => ({
      x: Number(x) - placed.x,
      y: Number(y) - placed.y,
      size: Number(size),
    }));
    expect(squares.length).toBe(qrSquares(QR).dark.length);
    const { data, pixels } = painted(squares, 16, placed.height);
    expect(jsQR(data, pixels, pixels)?.data).toBe(QR);
  });
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
