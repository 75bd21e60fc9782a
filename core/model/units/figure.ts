import { digits, THIN } from '../../words/numerals.ts';
import { say } from '../../words/say.ts';

/** Units that a figure inside the core may carry. Lengths are mm; the interface may show them in inches. */
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
  | 'kWh'
  | 's'
  | 'N'
  | 'N·m'
  | 'kg'
  | 'g'
  | 'A/mm²'
  | '°'
  | 'of 9';

/** A unit as the reader sees it: signs of the SI are the same in every language. */
export const unitSays = (unit: Unit): string => (unit === 'of 9' ? say`of 9` : unit);

/** A number with its unit: "6 349 mm", "4.61 %", "69.8 °C". */
export function figure(value: number, unit: Unit, decimals: number): string {
  return unit === '' ? digits(value, decimals) : `${digits(value, decimals)}${THIN}${unitSays(unit)}`;
}
