import type { Answer, StandIn } from './standIn.ts';

/** How the stand-in for a label printer calls itself. */
export const PRINTER = { kind: 'printer', title: 'label printer, simulated', simulated: true } as const;
/** So many labels are on a roll. */
export const LABELS_ON_A_ROLL = 60;
const MOST_MARKS = 60;

/** Why a label was not printed, in a sentence each. */
export const PRINTER_SAYS = {
  'no tape': 'The tape ran out: put a new roll in.',
  'nothing begun': 'The printer was sent marks without a label.',
  'off the label': 'Something would be printed beside the label.',
  'not understood': 'The printer did not understand what it was sent.',
} as const;
export type PrinterRefusal = keyof typeof PRINTER_SAYS;

/** A mark on a label, mm from its upper left corner: words on a line, or a code of squares. */
export type LabelMark =
  | {
      readonly kind: 'text';
      readonly x: number;
      readonly y: number;
      readonly size: number;
      readonly strong: boolean;
      readonly words: string;
    }
  | {
      readonly kind: 'code';
      readonly x: number;
      readonly y: number;
      readonly square: number;
      /** Rows of squares, dark ones 1. */
      readonly rows: readonly string[];
    };

/** A label as lines for the printer. */
export function printerLines(width: number, height: number, marks: readonly LabelMark[]): string[] {
  return [
    `label ${width} ${height}`,
    ...marks.map((mark) =>
      mark.kind === 'text'
        ? `text ${mark.x.toFixed(2)} ${mark.y.toFixed(2)} ${mark.size} ${mark.strong ? 'strong' : 'plain'} ${mark.words.replace(/\s+/g, ' ')}`
        : `code ${mark.x.toFixed(2)} ${mark.y.toFixed(2)} ${mark.square.toFixed(3)} ${mark.rows.join('/')}`,
    ),
    'print',
  ];
}

/** What the printer answers to `print`; null for any other line. */
export function readPrinter(line: string): { printed: number } | { refused: PrinterRefusal } | null {
  const printed = /^ok printed (\d{1,6})$/.exec(line);
  if (printed) return { printed: Number(printed[1]) };
  const refused = /^error (.+)$/.exec(line)?.[1];
  const known = (Object.keys(PRINTER_SAYS) as PrinterRefusal[]).find((own) => own === refused);
  return known ? { refused: known } : null;
}

/** A stand-in for a label printer: it takes labels line by line, looks whether they fit, and counts its roll. */
export function printerStandIn(): StandIn {
  let label: { width: number; height: number; marks: number; isOff: boolean } | null = null;
  let printed = 0;
  let left = LABELS_ON_A_ROLL;
  const say = (...lines: string[]): Answer => ({ lines, hangsUp: false });
  const mark = (x: number, y: number): Answer => {
    if (!label) return say('error nothing begun');
    label.marks += 1;
    if (x < 0 || y < 0 || x > label.width || y > label.height || label.marks > MOST_MARKS) label.isOff = true;
    return say();
  };
  function print(): Answer {
    const own = label;
    label = null;
    if (!own) return say('error nothing begun');
    if (own.isOff) return say('error off the label');
    if (left === 0) return say('error no tape');
    left -= 1;
    printed += 1;
    return say(`ok printed ${printed}`);
  }
  return {
    tick: () => say(),
    hear: (line) => {
      const begun = /^label (\d{1,3}(?:\.\d+)?) (\d{1,3}(?:\.\d+)?)$/.exec(line);
      if (begun) {
        label = { width: Number(begun[1]), height: Number(begun[2]), marks: 0, isOff: false };
        return say();
      }
      const text = /^text (-?[\d.]+) (-?[\d.]+) [\d.]+ (?:plain|strong) .*$/.exec(line);
      if (text) return mark(Number(text[1]), Number(text[2]));
      const code = /^code (-?[\d.]+) (-?[\d.]+) ([\d.]+) ([01/]+)$/.exec(line);
      if (code) {
        const side = (code[4] ?? '').split('/').length * Number(code[3]);
        mark(Number(code[1]), Number(code[2]));
        return mark(Number(code[1]) + side, Number(code[2]) + side);
      }
      if (line === 'print') return print();
      if (line === 'reload') {
        left = LABELS_ON_A_ROLL;
        return say('ok reloaded');
      }
      if (line === 'identify') return say(`identity ${JSON.stringify(PRINTER)}`);
      return say('error not understood');
    },
  };
}
