import { nanoid } from 'nanoid';
import { kilogramsToHang } from '../../../core/termination/dies/pullForce.ts';
import { type ReadWith, TYPED } from '../../../core/proof/source.ts';
import type { Reading, ReadingOf } from '../../../core/model/reading.ts';
import { figure } from '../../../core/model/units/figure.ts';
import { digits } from '../../../core/words/numerals.ts';
import { say } from '../../../core/words/say.ts';
import { word } from '../../../core/words/terms.ts';

/** A reading without what every reading carries. */
export type Measured = Reading extends infer Each
  ? Each extends Reading
    ? Omit<Each, 'id' | 'at' | 'by' | 'source' | 'instrument' | 'struck' | 'corrects'>
    : never
  : never;

/** Takes a reading; false where it cannot be taken yet, and its figures stay in their fields. */
export type TakeReading = (measured: Measured, readWith?: ReadWith) => boolean;

/** A reading taken by a person, now. */
export function takenReading(measured: Measured, by: string, readWith: ReadWith = TYPED): Reading {
  return { ...measured, ...readWith, id: nanoid(10), at: new Date().toISOString(), by } as Reading;
}

/** A crimp as it is told from its neighbour: they are counted from the mouth of the barrel. */
export const crimpSays = (crimp: number, of: number): string =>
  crimp === 1 ? say`${crimp}, at the mouth` : crimp === of ? say`${crimp}, at the palm` : `${crimp}`;

const whereSays = ({ crimp, flat }: ReadingOf<'across-flats'>): string => {
  if (crimp === undefined) return say`, crimp not numbered`;
  return flat === undefined ? say`, crimp ${crimp}` : say`, crimp ${crimp}, flats ${flat}`;
};

/** A reading in words, for the list of all that was ever read. */
export function readingWords(reading: Reading): string {
  switch (reading.check) {
    case 'across-flats':
      return say`across flats ${figure(reading.valueMm, 'mm', 2)}${whereSays(reading)}`;
    case 'ears':
      return say`ears ${figure(reading.valueMm, 'mm', 2)}${reading.crimp ? say`, crimp ${reading.crimp}` : ''}`;
    case 'pull':
      return say`pull ${figure(reading.forceN, 'N', 0)} (${figure(kilogramsToHang(reading.forceN), 'kg', 1)}), ${reading.held ? say`held` : say`slipped`}${reading.sample ? say`, on a sample` : ''}`;
    case 'joint':
      return say`joint ${digits(reading.milliohm * 1000, 1)} µΩ to ${figure(reading.beyondMm, 'mm', 0)} beyond the mouth, plain ${digits(reading.plain.milliohm * 1000, 1)} µΩ over ${figure(reading.plain.lengthMm, 'mm', 0)}`;
    case 'section':
      return say`section, ${figure(reading.voidShare * 100, '%', 1)} air at ${figure(reading.acrossFlatsMm, 'mm', 2)} across flats`;
    case 'thermal':
      return say`lug ${figure(reading.lugC, '°C', 1)}, ${word(reading.against)} ${figure(reading.againstC, '°C', 1)} at ${figure(reading.amps, 'A', 0)} after ${digits(reading.minutes, 0)} min`;
    case 'drop':
      return say`${figure(reading.millivolt, 'mV', 2)} over ${reading.end ? say`the joint and ${figure(reading.spanMm, 'mm', 0)}` : figure(reading.spanMm, 'mm', 0)} at ${figure(reading.amps, 'A', 0)}`;
    case 'look':
      return say`look list, ${Object.values(reading.marks).filter(Boolean).length} of 9 right`;
    case 'resistance':
      return say`resistance ${figure(reading.milliohm, 'mΩ', 3)} at ${figure(reading.copperC, '°C', 0)}`;
    case 'insulation':
      return say`insulation ${figure(reading.megohm, 'MΩ', 1)} at ${figure(reading.testV, 'V', 0)}, ${ELECTRODES[reading.electrode]}`;
    case 'join':
      return say`join, towards ${reading.side}: ${digits(reading.acrossFlatsMm, 2)} across, ears ${figure(reading.earsMm, 'mm', 2)}`;
    case 'join-pull':
      return say`pull through the join ${figure(reading.forceN, 'N', 0)}, ${reading.held ? say`held` : say`slipped`}`;
    case 'contact':
      return say`contact ${figure(reading.millivolt, 'mV', 2)} from palm to stud at ${figure(reading.amps, 'A', 0)}`;
    case 'inspection':
      return say`inspected in service: ${reading.fine ? say`fine` : say`something wrong`}${reading.found ? `, ${reading.found}` : ''}`;
    case 'torque':
      return say`torque ${figure(reading.newtonMetre, 'N·m', 1)}`;
  }
}

export const ELECTRODES = {
  structure: say`against the structure`,
  foil: say`foil round the jacket`,
  none: say`no second electrode`,
} as const;
