import { digits, THIN } from '../../words/numerals.ts';
import { measured, type Measured } from '../../words/measures.ts';
import { say } from '../../words/say.ts';

/** Units that a figure inside the core may carry. What is written for the reader follows the reader's measures. */
export type Unit =
  | ''
  | '%'
  | 'A'
  | 'V'
  | 'W'
  | 'mV'
  | 'mΩ'
  | 'MΩ'
  | '°C'
  | 'K'
  | 'mm'
  | 'mm²'
  | 'mm²·m'
  | 'm'
  | 'kWh'
  | 's'
  | 'N'
  | 'kN'
  | 'N·m'
  | 'kg'
  | 'g'
  | 'A/mm²'
  | '°'
  | `of ${number}`;

/** A unit as the reader sees it: signs of the SI are the same in every language. */
export const unitSays = (unit: Unit): string => {
  const [, most] = /^of (\d+)$/.exec(unit) ?? [];
  return most === undefined ? unit : say`of ${most}`;
};

/** Decimals that are written: beyond a thousand they are noise. */
export const decimalsOf = ({ value, decimals }: Measured): number => (Math.abs(value) >= 1000 ? 0 : decimals);

/** A number with its unit, in the reader's measure: "6 349 mm", "4.61 %", "69.8 °C". */
export function figure(value: number, unit: Unit, decimals: number): string {
  if (unit === '') return digits(value, decimals);
  const shown = measured(value, unit, decimals);
  return `${digits(shown.value, shown.unit === unit ? decimals : decimalsOf(shown))}${THIN}${shown.unit === unit ? unitSays(unit) : shown.unit}`;
}
