import { nanoid } from 'nanoid';
import { kilogramsToHang } from '../../../core/proof/pullForce.ts';
import type { Reading } from '../../../core/job/cable.ts';
import { digits, figure } from '../../../core/units/figure.ts';

/** A reading without what every reading carries. */
export type Measured = Reading extends infer Each
  ? Each extends Reading
    ? Omit<Each, 'id' | 'at' | 'by' | 'source' | 'struck'>
    : never
  : never;

/** A reading typed by a person, now. */
export function typedReading(measured: Measured, by: string): Reading {
  return { ...measured, id: nanoid(10), at: new Date().toISOString(), by, source: 'typed' } as Reading;
}

/** A reading in words, for the list of all that was ever read. */
export function readingWords(reading: Reading): string {
  switch (reading.check) {
    case 'across-flats':
      return `across flats ${figure(reading.valueMm, 'mm', 2)}`;
    case 'ears':
      return `ears ${figure(reading.valueMm, 'mm', 2)}`;
    case 'pull':
      return `pull ${figure(reading.forceN, 'N', 0)} (${figure(kilogramsToHang(reading.forceN), 'kg', 1)}), ${reading.held ? 'held' : 'slipped'}`;
    case 'look':
      return `look list, ${Object.values(reading.marks).filter(Boolean).length} of 9 right`;
    case 'resistance':
      return `resistance ${figure(reading.milliohm, 'mΩ', 3)} at ${figure(reading.copperC, '°C', 0)}`;
    case 'insulation':
      return `insulation ${figure(reading.megohm, 'MΩ', 1)} at ${figure(reading.testV, 'V', 0)}, ${ELECTRODES[reading.electrode]}`;
    case 'join':
      return `join, towards ${reading.side}: ${digits(reading.acrossFlatsMm, 2)} across, ears ${figure(reading.earsMm, 'mm', 2)}`;
    case 'join-pull':
      return `pull through the join ${figure(reading.forceN, 'N', 0)}, ${reading.held ? 'held' : 'slipped'}`;
    case 'torque':
      return `torque ${digits(reading.newtonMetre, 1)} N·m`;
  }
}

export const ELECTRODES = {
  structure: 'against the structure',
  foil: 'foil round the jacket',
  none: 'no second electrode',
} as const;
