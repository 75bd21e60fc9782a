import { baseUnitOf } from './units.ts';
import { INSTRUMENTS, type InstrumentKind } from '../model/tables/instruments.ts';
import { digits, THIN } from '../words/numerals.ts';

/**
 * A figure as an instrument of a kind shows it, in steps of what it resolves.
 *
 * @example inStep(14.0213, 'calliper') // "14.02 mm"
 */
export function inStep(value: number, kind: InstrumentKind): string {
  const places = Math.max(0, -Math.floor(Math.log10(INSTRUMENTS[kind].resolution)));
  return kind === 'milliohm' && value < 1
    ? `${digits(value * 1000, Math.max(0, places - 3))}${THIN}µΩ`
    : `${digits(value, places)}${THIN}${baseUnitOf(kind)}`;
}

/**
 * A mean as it is kept: to a tenth of what its instrument resolves, and no further.
 *
 * @param resolution in the unit of the value, > 0
 * @example keptFigure(14.02345, 0.01) // 14.023
 */
export function keptFigure(value: number, resolution: number): number {
  const step = resolution / 10;
  return Number((Math.round(value / step) * step).toPrecision(12));
}
