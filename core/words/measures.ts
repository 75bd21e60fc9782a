import { CIRCULAR_MIL_MM2, FOOT_MM, INCH_MM, LB_KG, LBF_FT_NM, LBF_N } from './imperial.ts';

/**
 * The measures a person reads and types in. The core calculates in mm, °C, N·m and N whatever is chosen here: only what is
 * written for the reader, and what a bare number in a field means, goes by it.
 */
export interface Measures {
  readonly lengths: 'mm' | 'in';
  /** How conductor sizes are named, and areas of copper given: in mm², or as AWG and in kcmil. */
  readonly sizes: 'metric' | 'gauge';
  readonly temperatures: '°C' | '°F';
  readonly torques: 'N·m' | 'lbf·ft';
  /** Forces, and with them weights: N and kg, or lbf and lb. */
  readonly forces: 'N' | 'lbf';
  /** 2026-11-29, 29-11-2026 or 11/29/2026. */
  readonly dates: 'iso' | 'day' | 'month';
}

/** As the code is written: for whoever chose nothing. */
export const METRIC: Measures = {
  lengths: 'mm',
  sizes: 'metric',
  temperatures: '°C',
  torques: 'N·m',
  forces: 'N',
  dates: 'iso',
};

/** As a North American shop reads. */
export const AMERICAN: Measures = {
  lengths: 'in',
  sizes: 'gauge',
  temperatures: '°F',
  torques: 'lbf·ft',
  forces: 'lbf',
  dates: 'month',
};

let now: () => Measures = () => METRIC;

/** Says where the reader's measures are found from now on: asked again for each figure that is written. */
export function measureBy(source: () => Measures): void {
  now = source;
}

/** The reader's measures. */
export const measures = (): Measures => now();

interface Other {
  readonly unit: string;
  /** What is written is `value × times + plus`. */
  readonly times: number;
  readonly plus?: number;
  /** Decimals beyond those of the metric figure, so that it tells no less. */
  readonly finer: number;
}

const FOOT_M = FOOT_MM / 1000;
const KCMIL_MM2 = 1000 * CIRCULAR_MIL_MM2;

const inInches: Readonly<Record<string, Other>> = {
  mm: { unit: 'in', times: 1 / INCH_MM, finer: 2 },
  m: { unit: 'ft', times: 1 / FOOT_M, finer: -1 },
};
const inGauge: Readonly<Record<string, Other>> = {
  'mm²': { unit: 'kcmil', times: 1 / KCMIL_MM2, finer: 0 },
  'mm²·m': { unit: 'kcmil·ft', times: 1 / KCMIL_MM2 / FOOT_M, finer: 0 },
  'A/mm²': { unit: 'A/kcmil', times: KCMIL_MM2, finer: 1 },
};
const inFahrenheit: Readonly<Record<string, Other>> = {
  '°C': { unit: '°F', times: 1.8, plus: 32, finer: 0 },
  // A difference of temperatures has no nought to move.
  K: { unit: '°F', times: 1.8, finer: 0 },
};
const inPoundFeet: Readonly<Record<string, Other>> = {
  'N·m': { unit: 'lbf·ft', times: 1 / LBF_FT_NM, finer: 1 },
};
const inPounds: Readonly<Record<string, Other>> = {
  N: { unit: 'lbf', times: 1 / LBF_N, finer: 0 },
  kN: { unit: 'lbf', times: 1000 / LBF_N, finer: 0 },
  kg: { unit: 'lb', times: 1 / LB_KG, finer: 0 },
  g: { unit: 'oz', times: 16 / (1000 * LB_KG), finer: 1 },
};

/** Most decimals that a converted figure is given. */
const FINEST = 3;

function otherFor(unit: string): Other | undefined {
  const { lengths, sizes, temperatures, torques, forces } = now();
  return (
    (lengths === 'in' ? inInches[unit] : undefined) ??
    (sizes === 'gauge' ? inGauge[unit] : undefined) ??
    (temperatures === '°F' ? inFahrenheit[unit] : undefined) ??
    (torques === 'lbf·ft' ? inPoundFeet[unit] : undefined) ??
    (forces === 'lbf' ? inPounds[unit] : undefined)
  );
}

/** A figure as it is to be written. */
export interface Measured {
  readonly value: number;
  readonly unit: string;
  readonly decimals: number;
}

/**
 * A figure of the core in the reader's measures; as it is where they have no other unit for it.
 *
 * @param decimals of the metric figure
 * @example measured(25.4, 'mm', 0) // inches: { value: 1, unit: 'in', decimals: 2 }
 * @example measured(60, '°C', 0) // Fahrenheit: { value: 140, unit: '°F', decimals: 0 }
 */
export function measured(value: number, unit: string, decimals: number): Measured {
  const other = otherFor(unit);
  return other ? converted(other, value, decimals) : { value, unit, decimals };
}

const converted = ({ unit, times, plus = 0, finer }: Other, value: number, decimals: number): Measured => ({
  value: value * times + plus,
  unit,
  decimals: Math.min(Math.max(decimals + finer, 0), Math.max(FINEST, decimals)),
});

/** The reader's unit for one of the core: to head a column. @example measuredUnit('mm') // "mm" or "in" */
export const measuredUnit = (unit: string): string => otherFor(unit)?.unit ?? unit;

/**
 * A day as the reader writes days. Anything that is no day of ISO 8601 is left as it is.
 *
 * @param at a day or a moment, ISO 8601
 * @example dayText('2026-11-29T08:00:00Z') // "2026-11-29", "29-11-2026" or "11/29/2026"
 */
export function dayText(at: string): string {
  const [, year, month, day] = /^(\d{4})-(\d\d)-(\d\d)/.exec(at) ?? [];
  if (year === undefined || month === undefined || day === undefined) return at;
  switch (now().dates) {
    case 'iso':
      return `${year}-${month}-${day}`;
    case 'day':
      return `${day}-${month}-${year}`;
    case 'month':
      return `${month}/${day}/${year}`;
  }
}
