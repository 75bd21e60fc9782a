import type { LabelKind } from '../../core/paper/label.ts';
import { type Label, placedAlone } from '../../core/paper/label.ts';
import { PRINTER_SAYS, printerLines, readPrinter } from '../../core/instrument/standIn/printer.ts';
import { labelMarks } from '../paper/labels.ts';
import type { LinePort } from './port.ts';
import { say } from '../../core/words/say.ts';

const PATIENCE_MS = 15_000;

/** What came of printing: how many labels, and why no more. */
export interface Printed {
  readonly count: number;
  /** Empty where all were printed. */
  readonly sentence: string;
}

/** Prints labels one after the other on a printer at the end of a line; stops at the first it refuses. */
export async function printLabels(
  port: LinePort,
  labels: readonly Label[],
  kind: LabelKind,
  told: (count: number) => void,
): Promise<Printed> {
  let answered: (line: string) => void = () => {};
  let isShut = false;
  port.onLine((line) => answered(line));
  port.onShut(() => {
    isShut = true;
    answered('');
  });
  let count = 0;
  for (const label of labels) {
    const placed = placedAlone(label, kind);
    const answer = await new Promise<ReturnType<typeof readPrinter>>((resolve) => {
      const timer = setTimeout(() => resolve(null), PATIENCE_MS);
      answered = (line) => {
        clearTimeout(timer);
        resolve(readPrinter(line));
      };
      for (const line of printerLines(placed.width, placed.height, labelMarks(placed))) port.say(line);
    });
    if (isShut) return { count, sentence: say`The connection was lost.` };
    if (!answer) return { count, sentence: say`The printer does not answer.` };
    if ('refused' in answer) return { count, sentence: PRINTER_SAYS[answer.refused] };
    count += 1;
    told(count);
  }
  return { count, sentence: '' };
}
