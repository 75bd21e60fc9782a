import { decimalMark } from './language.ts';

/** Thin space: between thousands, and between a figure and its unit. */
export const THIN = '\u2009';
const MINUS = '\u2212';

/** What stands where a formula gave no figure: nothing computed is ever shown as NaN, and nothing throws for it. */
export const NO_FIGURE = '\u2014';

const formats = new Map<number, Intl.NumberFormat>();
function formatOf(decimals: number): Intl.NumberFormat {
  const known = formats.get(decimals);
  if (known) return known;
  const format = new Intl.NumberFormat('en', {
    minimumFractionDigits: decimals,
    maximumFractionDigits: decimals,
    signDisplay: 'negative',
  });
  formats.set(decimals, format);
  return format;
}

/**
 * A number as it is written: fixed decimals after the reader's decimal mark, thousands apart
 * by a thin space, a real minus. {@link NO_FIGURE} for one that is not finite.
 *
 * @example digits(6349, 0) // "6 349"
 */
export function digits(value: number, decimals: number): string {
  if (!Number.isFinite(value)) return NO_FIGURE;
  // Everywhere the same thousands and minus, as in physics; the decimal mark alone is the reader's.
  return formatOf(decimals).format(value).replace(/[-,.]/g, (mark) =>
    mark === ',' ? THIN : mark === '.' ? decimalMark() : MINUS,
  );
}

/**
 * A number with no more decimals than it needs.
 *
 * @example brief(0.05, 3) // "0.05"
 * @example brief(24, 1) // "24"
 */
export const brief = (value: number, most: number): string => {
  const written = digits(value, most);
  return written.includes(decimalMark()) ? written.replace(/[.,]?0+$/, '') : written;
};

/**
 * Decimals with which a value has two figures; none where it has them before its point.
 *
 * @param value over 0; the very smallest count as 1e-9
 * @example decimalsOfTwo(0.0386) // 3: 0.039
 */
export const decimalsOfTwo = (value: number): number =>
  Math.max(0, 1 - Math.floor(Math.log10(Math.max(value, 1e-9))));
