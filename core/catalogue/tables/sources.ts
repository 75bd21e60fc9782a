import { say } from '../../words/say.ts';

/**
 * Amps a battery gives into a short, by the ampere-hour. Source: customary estimates. Confidence: low: a typed
 * internal resistance or the maker's figure is better.
 */
export const SHORT_AMPS_PER_AH = { flooded: 25, gel: 25, agm: 40, lfp: 80 } as const;

export type Chemistry = keyof typeof SHORT_AMPS_PER_AH;

/** Short-circuit amps of a starting battery, by its cold-cranking amps. Confidence: low. */
export const SHORT_PER_CRANKING_AMP = 5;

/** Highest charging voltage over the nominal: 14.6 on 12, 29.2 on 24, 58.4 on 48. */
export const CHARGING_RATIO = 14.6 / 12;

/** Typical resistance of devices on a loop. Source: typical drops at rating; the device's sheet governs. */
export const DEVICES = {
  fuse: { title: say`fuse`, voltsAtRating: 0.09, milliohm: null },
  breaker: { title: say`breaker`, voltsAtRating: 0.1, milliohm: null },
  shunt: { title: say`shunt`, voltsAtRating: 0.05, milliohm: null },
  isolator: { title: say`isolator`, voltsAtRating: null, milliohm: 0.2 },
  busbar: { title: say`bus bar joint`, voltsAtRating: null, milliohm: 0.03 },
  other: { title: say`other`, voltsAtRating: null, milliohm: 0 },
} as const;

export type DeviceKind = keyof typeof DEVICES;
