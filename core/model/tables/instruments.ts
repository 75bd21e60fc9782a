import { type Message, msg } from '../../words/message.ts';

/**
 * Kinds of measuring instrument at a cable bench, the unit in which a reading of each is kept, and what a common one
 * of its kind can tell apart.
 *
 * Source: what such instruments commonly state of themselves. Confidence: medium; the instrument's own sheet governs.
 */
export const INSTRUMENTS = {
  milliohm: { title: msg`four-wire milliohm meter`, unit: 'mΩ', resolution: 0.0001, most: 2000 },
  insulation: { title: msg`insulation tester`, unit: 'MΩ', resolution: 0.1, most: 20000 },
  scale: { title: msg`crane scale`, unit: 'N', resolution: 1, most: 5000 },
  calliper: { title: msg`calliper`, unit: 'mm', resolution: 0.01, most: 150 },
  thermal: { title: msg`thermal spot meter`, unit: '°C', resolution: 0.1, most: 350 },
  millivolt: { title: msg`millivolt meter`, unit: 'mV', resolution: 0.01, most: 2000 },
} as const satisfies Record<
  string,
  { title: Message; unit: 'mΩ' | 'MΩ' | 'N' | 'mm' | '°C' | 'mV'; resolution: number; most: number }
>;

export type InstrumentKind = keyof typeof INSTRUMENTS;
export const INSTRUMENT_KINDS = Object.keys(INSTRUMENTS) as InstrumentKind[];
