import { CUSTOMARY_MILLIOHM, type DeviceKind, DEVICES } from '../catalogue/tables/sources.ts';

/** A fuse, switch or shunt on the loop. */
export interface Device {
  readonly kind: DeviceKind;
  /** A, where its drop is known at its rating. */
  readonly ratingA?: number | undefined;
  /** mΩ as measured or from its sheet; outranks what is typical. */
  readonly milliohm?: number | undefined;
}

/**
 * Resistance of a device, mΩ: as typed, else typical of its kind and rating, else a customary figure.
 *
 * Source: {@link DEVICES}, {@link CUSTOMARY_MILLIOHM}.
 *
 * @example deviceMilliohm({ kind: 'fuse', ratingA: 300 }) // 0.3
 * @example deviceMilliohm({ kind: 'fuse' }) // 1
 */
export function deviceMilliohm({ kind, ratingA, milliohm }: Device): number {
  if (milliohm !== undefined) return milliohm;
  const typical = DEVICES[kind];
  if (typical.milliohm !== null) return typical.milliohm;
  if (isCustomary({ kind, ratingA, milliohm }) || !ratingA) return CUSTOMARY_MILLIOHM;
  return (1000 * (typical.voltsAtRating ?? 0)) / ratingA;
}

/** Whether nothing is known of a device but its kind, so that it counts with a customary figure. */
export const isCustomary = ({ kind, ratingA, milliohm }: Device): boolean =>
  milliohm === undefined &&
  DEVICES[kind].milliohm === null &&
  (!ratingA || DEVICES[kind].voltsAtRating === null);

/**
 * Everything on a loop that drops volts: its devices, and its fuses where they are not among them already.
 *
 * @example onLoop({ devices: [], fuses: [{ ratingA: 80, … }] }) // [{ kind: 'fuse', ratingA: 80 }]
 */
export function onLoop({
  devices,
  fuses,
}: {
  readonly devices: readonly Device[];
  readonly fuses: readonly { readonly ratingA: number }[];
}): readonly Device[] {
  const listed = devices.filter(({ kind }) => kind === 'fuse');
  const further = fuses.filter(({ ratingA }) => {
    const same = listed.findIndex((own) => own.ratingA === undefined || own.ratingA === ratingA);
    if (same >= 0) listed.splice(same, 1);
    return same < 0;
  });
  return [...devices, ...further.map(({ ratingA }): Device => ({ kind: 'fuse', ratingA }))];
}
