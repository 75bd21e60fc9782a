import { INSTRUMENTS, type InstrumentKind } from '../model/tables/instruments.ts';
import { INCH_MM, LBF_N } from '../words/imperial.ts';
import { STANDARD_GRAVITY } from '../model/tables/pull.ts';

type ToBase = (value: number) => number;
const by =
  (factor: number): ToBase =>
  (value) =>
    value * factor;

/**
 * Units as instruments write them, with what a figure in each is in the unit of its kind. Upper and lower case differ:
 * a megohm is no milliohm. What is not here is a wrong unit, and its figure is refused.
 */
const UNITS: Readonly<Record<InstrumentKind, Readonly<Record<string, ToBase>>>> = {
  milliohm: {
    mΩ: by(1),
    mohm: by(1),
    mOhm: by(1),
    Ω: by(1000),
    ohm: by(1000),
    Ohm: by(1000),
    µΩ: by(0.001),
    μΩ: by(0.001),
    uΩ: by(0.001),
    uohm: by(0.001),
    uOhm: by(0.001),
  },
  insulation: {
    MΩ: by(1),
    Mohm: by(1),
    MOhm: by(1),
    GΩ: by(1000),
    Gohm: by(1000),
    GOhm: by(1000),
    kΩ: by(0.001),
    kohm: by(0.001),
    kOhm: by(0.001),
    TΩ: by(1e6),
  },
  scale: {
    N: by(1),
    kN: by(1000),
    daN: by(10),
    kg: by(STANDARD_GRAVITY),
    Kg: by(STANDARD_GRAVITY),
    KG: by(STANDARD_GRAVITY),
    t: by(1000 * STANDARD_GRAVITY),
    lb: by(LBF_N),
    lbs: by(LBF_N),
    lbf: by(LBF_N),
  },
  calliper: {
    mm: by(1),
    MM: by(1),
    cm: by(10),
    in: by(INCH_MM),
    IN: by(INCH_MM),
    inch: by(INCH_MM),
    '"': by(INCH_MM),
  },
  thermal: {
    '°C': by(1),
    C: by(1),
    degC: by(1),
    '°F': (value) => ((value - 32) * 5) / 9,
    F: (value) => ((value - 32) * 5) / 9,
    K: (value) => value - 273.15,
  },
  millivolt: { mV: by(1), V: by(1000), µV: by(0.001), μV: by(0.001), uV: by(0.001) },
};

/**
 * A figure with its unit, in the unit of the instrument's kind; null where that unit measures something else.
 *
 * @example inUnitOf('scale', 68, 'kg') // 666.85 N
 * @example inUnitOf('milliohm', 5, 'MΩ') // null
 */
export function inUnitOf(kind: InstrumentKind, value: number, unit: string): number | null {
  const convert = Object.hasOwn(UNITS[kind], unit) ? UNITS[kind][unit] : undefined;
  return convert ? convert(value) : null;
}

/** Every unit that a kind of instrument may send. */
export const unitsOf = (kind: InstrumentKind): string[] => Object.keys(UNITS[kind]);

/** The unit in which a kind's readings are kept. */
export const baseUnitOf = (kind: InstrumentKind) => INSTRUMENTS[kind].unit;
