import { msg } from '../../words/message.ts';

/**
 * Amps a battery gives into a short, by the ampere-hour. Source: customary estimates. Confidence: low: a typed
 * internal resistance or the maker's figure is better.
 */
export const SHORT_AMPS_PER_AH = { flooded: 25, gel: 25, agm: 40, lfp: 80 } as const;

export type Chemistry = keyof typeof SHORT_AMPS_PER_AH;

/** Short-circuit amps of a starting battery, by its cold-cranking amps. Confidence: low. */
export const SHORT_PER_CRANKING_AMP = 5;

/** Highest charging voltage of a cell, V, and what a cell is called. Source: customary; the charger's setting governs. */
export const CELLS = {
  lead: { chargingV: 2.43, nominalV: 2 },
  lfp: { chargingV: 3.65, nominalV: 3.2 },
} as const;

/**
 * What a device drops that gives neither rating nor milliohms, mΩ. Source: customary, on the safe side; its sheet
 * governs. Confidence: low.
 */
export const CUSTOMARY_MILLIOHM = 1;

/**
 * What a sound chassis or block drops with its straps and joints, mΩ: offered, never taken for granted. Source:
 * customary. Confidence: low; it is measured with a meter.
 */
export const CUSTOMARY_CHASSIS_MILLIOHM = 2;

/**
 * A cold engine draws more amps, a cold lead battery gives fewer: times those at 27 °C. Source: handbook. Confidence: low.
 */
export const COLD_CRANKING = [
  { atC: 27, asks: 1, gives: 1 },
  { atC: 0, asks: 1.55, gives: 0.65 },
  { atC: -18, asks: 2.1, gives: 0.4 },
] as const;

/** Typical resistance of devices on a loop. Source: typical drops at rating; the device's sheet governs. */
export const DEVICES = {
  fuse: { title: msg`fuse`, voltsAtRating: 0.09, milliohm: null },
  breaker: { title: msg`breaker`, voltsAtRating: 0.1, milliohm: null },
  shunt: { title: msg`shunt`, voltsAtRating: 0.05, milliohm: null },
  isolator: { title: msg`isolator`, voltsAtRating: null, milliohm: 0.2 },
  busbar: { title: msg`bus bar joint`, voltsAtRating: null, milliohm: 0.03 },
  other: { title: msg`other`, voltsAtRating: null, milliohm: null },
} as const;

export type DeviceKind = keyof typeof DEVICES;
