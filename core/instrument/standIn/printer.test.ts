import { describe, expect, test } from '@jest/globals';
import { LABELS_ON_A_ROLL, type LabelMark, printerLines, printerStandIn, readPrinter } from './printer.ts';

const MARKS: LabelMark[] = [
  { kind: 'text', x: 20, y: 8, size: 6, strong: true, words: 'TH-3\nnext' },
  { kind: 'code', x: 2, y: 2, square: 0.5, rows: ['101', '010', '111'] },
];
const send = (printer: ReturnType<typeof printerStandIn>, marks: readonly LabelMark[], size = 60) =>
  printerLines(size, 25, marks)
    .flatMap((line) => printer.hear(line, 0).lines)
    .map(readPrinter);

describe('a label printer, in little', () => {
  test('prints what fits, and counts', () => {
    const printer = printerStandIn();
    expect(send(printer, MARKS)).toEqual([{ printed: 1 }]);
    expect(send(printer, MARKS)).toEqual([{ printed: 2 }]);
    expect(printer.tick(9).lines).toEqual([]);
  });
  test('refuses what runs off the label, and a code whose far corner does', () => {
    expect(
      send(printerStandIn(), [{ kind: 'text', x: 70, y: 8, size: 6, strong: false, words: 'x' }]),
    ).toEqual([{ refused: 'off the label' }]);
    expect(send(printerStandIn(), MARKS, 3)).toEqual([{ refused: 'off the label' }]);
  });
  test('runs out of tape, prints nothing then, and goes on with a new roll', () => {
    const printer = printerStandIn();
    for (let i = 0; i < LABELS_ON_A_ROLL; i += 1) send(printer, MARKS);
    expect(send(printer, MARKS)).toEqual([{ refused: 'no tape' }]);
    printer.hear('reload', 0);
    expect(send(printer, MARKS)).toEqual([{ printed: LABELS_ON_A_ROLL + 1 }]);
  });
  test('marks without a label, and lines that mean nothing, print nothing', () => {
    const printer = printerStandIn();
    expect(printer.hear('print', 0).lines).toEqual(['error nothing begun']);
    expect(printer.hear('text 1 1 3 plain x', 0).lines).toEqual(['error nothing begun']);
    expect(printer.hear('sing', 0).lines).toEqual(['error not understood']);
    expect(readPrinter('ok printed many')).toBeNull();
  });
});
