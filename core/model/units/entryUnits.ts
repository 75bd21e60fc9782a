import { INCH_MM, LBF_N, LBF_FT_NM, FOOT_MM, OUNCE_G } from '../../words/imperial.ts';
import { say } from '../../words/say.ts';

/** What an entry field asks for. Each kind has one base unit, in which the core keeps it. */
export type QuantityKind =
  | 'length'
  | 'current'
  | 'voltage'
  | 'power'
  | 'duration'
  | 'temperature'
  | 'millivolt'
  | 'milliohm'
  | 'megohm'
  | 'force'
  | 'torque'
  | 'percent'
  | 'angle'
  | 'mass'
  | 'weight'
  | 'number';

export interface UnitOfEntry {
  readonly factor: number;
  /** Added after the factor: only temperatures have one. */
  readonly offset?: number;
}

/** Units that differ by a factor alone, each with what one of it is in the base unit. */
const by = (factors: Readonly<Record<string, number>>): Readonly<Record<string, UnitOfEntry>> =>
  Object.fromEntries(Object.entries(factors).map(([unit, factor]) => [unit, { factor }]));
const FAHRENHEIT = { factor: 5 / 9, offset: -160 / 9 };

/** Units a person may type, with what one of them is in the base unit of the kind. */
export const UNITS: Readonly<
  Record<QuantityKind, { base: string; units: Readonly<Record<string, UnitOfEntry>> }>
> = {
  length: {
    base: 'mm',
    units: {
      ...by({ mm: 1, cm: 10, m: 1000 }),
      ...by({ in: INCH_MM, inch: INCH_MM, inches: INCH_MM, '"': INCH_MM }),
      ...by({ ft: FOOT_MM, feet: FOOT_MM, foot: FOOT_MM, "'": FOOT_MM }),
    },
  },
  current: { base: 'A', units: by({ a: 1, amp: 1, amps: 1, ka: 1000, ma: 0.001 }) },
  voltage: { base: 'V', units: by({ v: 1, volt: 1, volts: 1, kv: 1000, mv: 0.001 }) },
  power: { base: 'W', units: by({ w: 1, watt: 1, watts: 1, kw: 1000 }) },
  duration: { base: 's', units: by({ s: 1, sec: 1, min: 60, minutes: 60, h: 3600 }) },
  temperature: {
    base: '°C',
    units: { ...by({ c: 1, '°c': 1, '°': 1 }), f: FAHRENHEIT, '°f': FAHRENHEIT },
  },
  millivolt: { base: 'mV', units: by({ mv: 1, millivolt: 1, v: 1000, uv: 0.001, µv: 0.001 }) },
  milliohm: {
    base: 'mΩ',
    units: by({ mω: 1, mohm: 1, ω: 1000, ohm: 1000, µω: 0.001, uω: 0.001, uohm: 0.001 }),
  },
  // Here a capital M matters and is told from a small one before the case is dropped: see `unitNamed`.
  megohm: { base: 'MΩ', units: by({ mω: 1, mohm: 1, gω: 1000, gohm: 1000, kω: 0.001, kohm: 0.001 }) },
  mass: { base: 'g', units: by({ g: 1, kg: 1000, oz: OUNCE_G, lb: 16 * OUNCE_G, lbs: 16 * OUNCE_G }) },
  weight: {
    base: 'kg',
    units: by({ g: 0.001, kg: 1, oz: OUNCE_G / 1000, lb: 0.016 * OUNCE_G, lbs: 0.016 * OUNCE_G }),
  },
  force: { base: 'N', units: by({ n: 1, kn: 1000, kg: 9.80665, lbf: LBF_N, lb: LBF_N, lbs: LBF_N }) },
  torque: {
    base: 'N·m',
    units: {
      ...by({ nm: 1, n·m: 1 }),
      ...by({
        lbfft: LBF_FT_NM,
        lbft: LBF_FT_NM,
        ftlb: LBF_FT_NM,
        inlb: 0.112985,
        lbfin: 0.112985,
        lbf·ft: LBF_FT_NM,
        lbf·in: 0.112985,
      }),
    },
  },
  percent: { base: '%', units: by({ '%': 1 }) },
  angle: { base: '°', units: by({ '°': 1, deg: 1 }) },
  number: { base: '', units: {} },
};

/** What is wrong with an entry, in a sentence for the person. */
export class EntryError extends Error {}

/**
 * The unit that a person named.
 *
 * @throws EntryError where it is none of this kind, or its case makes it a thousand million times another
 */
export function unitNamed(text: string, kind: QuantityKind): UnitOfEntry {
  const { units, base } = UNITS[kind];
  if (
    (kind === 'milliohm' && /^M(Ω|ohm)/i.test(text) && text.startsWith('M')) ||
    (kind === 'megohm' && text.startsWith('m'))
  ) {
    throw new EntryError(say`${text} is far too large or small: use ${base}.`);
  }
  const unit = units[text.toLowerCase().replaceAll('′', "'").replaceAll('″', '"')];
  if (!unit) {
    throw new EntryError(
      base === ''
        ? say`No unit is needed here, and "${text}" was typed.`
        : say`"${text}" is not a unit for this; ${base} is.`,
    );
  }
  return unit;
}

/** What a bare number counts in, for a kind: "mm", "A" … */
export function baseUnit(kind: QuantityKind): string {
  return UNITS[kind].base;
}
