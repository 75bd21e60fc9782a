import QRCode from 'qrcode';
import { fill, popGraphicsState, pushGraphicsState, rectangle, rgb, setFillingColor } from 'pdf-lib';
import type { LabelMark } from '../../core/instrument/standIn/printer.ts';
import { type Paper, PAPER_MM, type PlacedLabel } from '../../core/paper/label.ts';
import { paperDocument, type PaperFonts, POINTS_PER_MM, printable } from './listPdf.ts';

/** The dark squares of a QR code, and how many lie in a row. */
export function qrSquares(text: string): { size: number; dark: [x: number, y: number][] } {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'L' });
  const dark: [number, number][] = [];
  for (let y = 0; y < modules.size; y += 1) {
    for (let x = 0; x < modules.size; x += 1) if (modules.get(y, x)) dark.push([x, y]);
  }
  return { size: modules.size, dark };
}

/** Squares side by side in a row are one bar: drawn one by one they take ten times as long, and a seam shows between them. */
function barsOf(dark: readonly (readonly [x: number, y: number])[]) {
  const bars: { x: number; readonly y: number; long: number }[] = [];
  for (const [x, y] of dark) {
    const last = bars.at(-1);
    if (last?.y === y && last.x + last.long === x) last.long += 1;
    else bars.push({ x, y, long: 1 });
  }
  return bars;
}

/** Room round a code, in its own squares: readers ask for it. */
const QUIET = 2;

/** Where everything on a label lies, mm: the code to the left, the tag large, its lines beneath. A flag has it twice. */
function parts({ label, x, y, width, height }: PlacedLabel) {
  const isFlag = width > 80;
  const half = isFlag ? width / 2 : width;
  const code = height - 4;
  const { size, dark } = qrSquares(label.qr);
  const square = code / (size + 2 * QUIET);
  const sides = isFlag ? [0, half] : [0];
  return {
    square,
    fold: isFlag ? x + half : null,
    bars: barsOf(dark).map((bar) => ({
      x: x + 2 + (bar.x + QUIET) * square,
      y: y + 2 + (bar.y + QUIET) * square,
      long: bar.long * square,
    })),
    texts: sides.flatMap((side, i) => {
      const left = x + side + (i === 0 ? code + 3 : 3);
      const room = half - (i === 0 ? code + 5 : 6);
      return [
        { text: label.tag, x: left, y: y + 8, size: 6, strong: true, room },
        ...label.lines.map((text, n) => ({
          text,
          x: left,
          y: y + 13 + n * 4,
          size: 3.1,
          strong: false,
          room,
        })),
      ];
    }),
  };
}

/** A label as marks for a label printer, mm from its own corner. */
export function labelMarks(placed: PlacedLabel): LabelMark[] {
  const { square, texts } = parts(placed);
  const { size, dark } = qrSquares(placed.label.qr);
  const isDark = new Set(dark.map(([x, y]) => y * size + x));
  const rows = Array.from({ length: size }, (_, y) =>
    Array.from({ length: size }, (_, x) => (isDark.has(y * size + x) ? '1' : '0')).join(''),
  );
  return [
    { kind: 'code', x: placed.x + 2 + QUIET * square, y: placed.y + 2 + QUIET * square, square, rows },
    ...texts.map(({ text, x, y, size: high, strong }): LabelMark => ({
      kind: 'text',
      x,
      y,
      size: high,
      strong,
      words: text,
    })),
  ];
}

const escaped = (text: string) => text.replace(/[&<>"]/g, (letter) => `&#${letter.codePointAt(0) ?? 0};`);

/** A sheet of labels as SVG, in millimetres. */
export function labelSvg(sheet: readonly PlacedLabel[], paper: Paper): string {
  const { width, height } = PAPER_MM[paper];
  const body = sheet.map((placed) => {
    const { square, bars, texts, fold } = parts(placed);
    const path = bars
      .map(
        ({ x, y, long }) =>
          `M${x.toFixed(3)} ${y.toFixed(3)}h${long.toFixed(3)}v${square.toFixed(3)}h-${long.toFixed(3)}z`,
      )
      .join('');
    const words = texts.map(
      ({ text, x, y, size, strong, room }) =>
        `<text x="${x}" y="${y}" font-size="${size}"${strong ? ' font-weight="700"' : ''}${text.length * size * 0.5 > room ? ` textLength="${room}" lengthAdjust="spacingAndGlyphs"` : ''}>${escaped(text)}</text>`,
    );
    return [
      `<rect x="${placed.x}" y="${placed.y}" width="${placed.width}" height="${placed.height}" fill="none" stroke="#999" stroke-width="0.15"/>`,
      ...(fold === null
        ? []
        : [
            `<path d="M${fold} ${placed.y}v${placed.height}" stroke="#999" stroke-width="0.15" stroke-dasharray="1 1"/>`,
          ]),
      `<path d="${path}" fill="#000"/>`,
      ...words,
    ].join('');
  });
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}" font-family="'Barlow Condensed', 'Arial Narrow', sans-serif">${body.join('\n')}</svg>\n`;
}

/** Sheets of labels as one PDF, a page a sheet. */
export async function labelPdf(
  sheets: readonly (readonly PlacedLabel[])[],
  paper: Paper,
  fonts: PaperFonts,
): Promise<Uint8Array> {
  const { pdf, plain, strong } = await paperDocument(fonts);
  const { width, height } = PAPER_MM[paper];
  const black = rgb(0, 0, 0);
  const pale = rgb(0.6, 0.6, 0.6);
  const pt = (mm: number) => mm * POINTS_PER_MM;
  for (const sheet of sheets) {
    const page = pdf.addPage([pt(width), pt(height)]);
    for (const placed of sheet) {
      const { square, bars, texts, fold } = parts(placed);
      page.drawRectangle({
        x: pt(placed.x),
        y: pt(height - placed.y - placed.height),
        width: pt(placed.width),
        height: pt(placed.height),
        borderColor: pale,
        borderWidth: 0.4,
      });
      if (fold !== null) {
        page.drawLine({
          start: { x: pt(fold), y: pt(height - placed.y) },
          end: { x: pt(fold), y: pt(height - placed.y - placed.height) },
          thickness: 0.4,
          color: pale,
          dashArray: [3, 3],
        });
      }
      page.pushOperators(
        pushGraphicsState(),
        setFillingColor(black),
        ...bars.map(({ x, y, long }) => rectangle(pt(x), pt(height - y - square), pt(long), pt(square))),
        fill(),
        popGraphicsState(),
      );
      for (const { text, x, y, size, strong: bold, room } of texts) {
        const font = bold ? strong : plain;
        const words = printable(text);
        const natural = font.widthOfTextAtSize(words, pt(size));
        const fit = Math.min(1, pt(room) / Math.max(1, natural));
        page.drawText(words, { x: pt(x), y: pt(height - y), size: pt(size) * fit, font, color: black });
      }
    }
  }
  return pdf.save();
}
