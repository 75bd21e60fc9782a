import { type DeviceKind, DEVICES } from '../catalogue/tables/sources.ts';

/** A fuse, switch or shunt on the loop. */
export interface Device {
  readonly kind: DeviceKind;
  /** A, where its drop is known at its rating. */
  readonly ratingA?: number | undefined;
  /** mΩ as measured or from its sheet; outranks what is typical. */
  readonly milliohm?: number | undefined;
}

/**
 * Resistance of a device, mΩ: as typed, else typical of its kind. Null where neither is known.
 *
 * Source: {@link DEVICES}.
 *
 * @example deviceMilliohm({ kind: 'fuse', ratingA: 300 }) // 0.3
 */
export function deviceMilliohm({ kind, ratingA, milliohm }: Device): number | null {
  if (milliohm !== undefined) return milliohm;
  const typical = DEVICES[kind];
  if (typical.milliohm !== null) return typical.milliohm;
  return ratingA ? (1000 * typical.voltsAtRating) / ratingA : null;
}
