import type { Unit } from '../model/units/figure.ts';
import { decimalsOfTwo, THIN } from '../words/numerals.ts';
import { type Message, shortest, verbatim } from '../words/message.ts';

/** A reading must resolve a twentieth of what lies between good and bad. Shop practice. */
const TWENTIETH = 0.05;

/**
 * The least an instrument must resolve for a span between good and bad, in the span's unit.
 *
 * @param span between what is good and what is not, > 0
 * @example resolutionNeeded(0.0078) // 0.00039 mΩ for one barrel of 70 mm²
 */
export function resolutionNeeded(span: number): number {
  return span * TWENTIETH;
}

/**
 * A resolution as it is said, in a unit that needs no row of zeros.
 *
 * @example resolutionWords(0.00039, 'mΩ') // "0.39 µΩ"
 */
export function resolutionWords(value: number, unit: Unit): Message {
  if (unit === 'mΩ' && value < 0.1) return verbatim`${twoFigures(value * 1000)}${THIN}µΩ`;
  if (unit === 'mV' && value < 0.1) return verbatim`${twoFigures(value * 1000)}${THIN}µV`;
  return verbatim`${twoFigures(value)}${THIN}${unit}`;
}

const twoFigures = (value: number) => shortest(value, decimalsOfTwo(value));
