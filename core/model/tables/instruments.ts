import { type Message, msg } from '../../words/message.ts';

/**
 * Kinds of measuring instrument at a cable bench, the unit in which a reading of each is kept, and what a common one
 * of its kind can resolve.
 *
 * Source: what such instruments commonly state of themselves. Confidence: medium; the instrument's own sheet governs.
 */
export const INSTRUMENTS = {
  milliohm: {
    title: msg`four-wire milliohm meter`,
    unit: 'mΩ',
    resolution: 0.0001,
    accuracy: { percent: 0.5, digits: 5 },
    most: 2000,
  },
  insulation: {
    title: msg`insulation tester`,
    unit: 'MΩ',
    resolution: 0.1,
    accuracy: { percent: 3, digits: 2 },
    most: 20000,
  },
  scale: {
    title: msg`crane scale`,
    unit: 'N',
    resolution: 1,
    accuracy: { percent: 0.5, digits: 2 },
    most: 5000,
  },
  calliper: {
    title: msg`calliper`,
    unit: 'mm',
    resolution: 0.01,
    accuracy: { percent: 0, digits: 2 },
    most: 150,
  },
  thermal: {
    title: msg`thermal spot meter`,
    unit: '°C',
    resolution: 0.1,
    accuracy: { percent: 2, digits: 1 },
    most: 350,
  },
  millivolt: {
    title: msg`millivolt meter`,
    unit: 'mV',
    resolution: 0.01,
    accuracy: { percent: 0.5, digits: 3 },
    most: 2000,
  },
} as const satisfies Record<
  string,
  {
    title: Message;
    unit: 'mΩ' | 'MΩ' | 'N' | 'mm' | '°C' | 'mV';
    resolution: number;
    accuracy: { percent: number; digits: number };
    most: number;
  }
>;

export type InstrumentKind = keyof typeof INSTRUMENTS;
export const INSTRUMENT_KINDS = Object.keys(INSTRUMENTS) as InstrumentKind[];
