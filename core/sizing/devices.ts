import { CUSTOMARY_MILLIOHM, DEVICES } from '../model/tables/sources.ts';
import type { Device } from '../model/run.ts';

/** Resistance of a device, mΩ, as typed or as typical of its kind and rating; null where neither is known. */
function knownMilliohm({ kind, ratingA, milliohm }: Device): number | null {
  const typical = DEVICES[kind];
  const own = milliohm ?? typical.milliohm;
  if (own !== null) return own;
  return ratingA && typical.voltsAtRating !== null ? (1000 * typical.voltsAtRating) / ratingA : null;
}

/**
 * Resistance of a device, mΩ: as typed, else typical of its kind and rating, else a customary figure.
 *
 * Source: {@link DEVICES}, {@link CUSTOMARY_MILLIOHM}.
 *
 * @example deviceMilliohm({ kind: 'fuse', ratingA: 300 }) // 0.3
 * @example deviceMilliohm({ kind: 'fuse' }) // 1
 */
export const deviceMilliohm = (device: Device): number => knownMilliohm(device) ?? CUSTOMARY_MILLIOHM;

/** Whether nothing is known of a device but its kind, so that it counts with a customary figure. */
export const isCustomary = (device: Device): boolean => knownMilliohm(device) === null;

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
