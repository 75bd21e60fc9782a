import type { ClearingPoint } from '../model/tables/fuses.ts';

/** Highest conductor temperature a short may end at, °C, by insulation. Never above 160 at a soldered end. */
export const SHORT_CIRCUIT_LIMIT_C = {
  pvc: 160,
  thermoplastic: 160,
  xlpe: 250,
  rubber: 220,
  bare: 200,
} as const;

/** The adiabatic formula holds to here; beyond it the cable also cools, so it errs to the safe side. */
export const ADIABATIC_S = 5;

/**
 * Adiabatic constant of copper, A·√s/mm²: `k = 226·√ln((234.5 + T_f)/(234.5 + T_i))`.
 *
 * Source: IEC 60364-5-54, IEC 60724.
 *
 * @param initialC temperature really held before the fault; below `finalC`
 * @example adiabaticK(90, 250) // 143.1
 */
export function adiabaticK(initialC: number, finalC: number): number {
  return 226 * Math.sqrt(Math.log((234.5 + finalC) / (234.5 + initialC)));
}

/**
 * How long a conductor survives a current, s: `t = k²·S²/I²`.
 *
 * @example survivalSeconds(115, 35, 4200) // 0.918
 */
export function survivalSeconds(k: number, copperMm2: number, currentA: number): number {
  return (k * copperMm2) ** 2 / currentA ** 2;
}

/**
 * How much of its time in a short a conductor keeps when only a share of its copper is left: `t ∝ S²`.
 *
 * @example faultScale(0.9) // 0.81
 */
export function faultScale(copperShare: number): number {
  return copperShare ** 2;
}

/** The least and the most a short can draw, A. */
export interface FaultCurrents {
  /** Charged source, cold copper, fault right at the fuse: what the fuse must be able to break. */
  readonly mostA: number;
  /** Half the source's current, hot copper, fault at the far end and back: what must still clear it. */
  readonly leastA: number;
}

/**
 * Prospective fault currents.
 *
 * @param sourceOhm the source's own resistance, Ω, > 0
 * @param loopOhm cable out and back, joints and devices, hot, Ω
 */
export function faultCurrents(
  nominalV: number,
  chargingV: number,
  sourceOhm: number,
  loopOhm: number,
): FaultCurrents {
  return { mostA: chargingV / sourceOhm, leastA: nominalV / (2 * sourceOhm + loopOhm) };
}

/**
 * Longest a fuse takes to clear at a multiple of its rating, s, read off its curve on log scales. Null below the
 * curve's first point: it may never open. Beyond the last point that point's time still holds as a bound.
 *
 * @param curve points of rising multiple
 * @example clearingSeconds([{ multiple: 2, seconds: 15 }, { multiple: 6, seconds: 1 }], 3) // 5.5
 */
export function clearingSeconds(curve: readonly ClearingPoint[], multiple: number): number | null {
  const next = curve.findIndex((point) => point.multiple >= multiple);
  if (next === -1) return curve.at(-1)?.seconds ?? null;
  const above = curve[next];
  const below = curve[next - 1];
  if (!above) return null;
  if (!below) return above.multiple === multiple ? above.seconds : null;
  const share = Math.log(multiple / below.multiple) / Math.log(above.multiple / below.multiple);
  return below.seconds * (above.seconds / below.seconds) ** share;
}

/** The moment of a fault that asks most of the cable: how long the fuse takes, against how long the cable lasts. */
export interface WorstFault {
  readonly currentA: number;
  readonly clearsS: number;
  readonly survivesS: number;
  /** Whether the current lies beyond the curve's last point, where the time is only a bound. */
  readonly beyondCurve: boolean;
}

/**
 * The worst moment between the least and the most a short can draw; null where at the least the fuse may never open.
 */
export function worstFault(
  curve: readonly ClearingPoint[],
  ratingA: number,
  currents: FaultCurrents,
  k: number,
  copperMm2: number,
): WorstFault | null {
  const lastMultiple = curve.at(-1)?.multiple ?? 0;
  const inside = curve
    .map(({ multiple }) => multiple * ratingA)
    .filter((amps) => amps > currents.leastA && amps < currents.mostA);
  const moments = [currents.leastA, ...inside, currents.mostA].map((currentA) => {
    const clearsS = clearingSeconds(curve, currentA / ratingA);
    return clearsS === null
      ? null
      : {
          currentA,
          clearsS,
          survivesS: survivalSeconds(k, copperMm2, currentA),
          beyondCurve: currentA / ratingA > lastMultiple,
        };
  });
  if (moments.some((moment) => moment === null)) return null;
  return moments.reduce((worst, next) =>
    worst && next && next.clearsS / next.survivesS > worst.clearsS / worst.survivesS ? next : worst,
  );
}
