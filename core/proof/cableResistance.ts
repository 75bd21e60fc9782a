import { resistancePerMetre } from '../conductor/resistance.ts';
import type { ConductorSize } from '../model/tables/size.ts';

/** What one cable should read from palm to palm. */
export interface ExpectedResistance {
  readonly conductorOhm: number;
  /** Both joints, each as its own barrel length of conductor. */
  readonly jointsOhm: number;
  readonly totalOhm: number;
}

/**
 * Four-wire resistance a finished cable should read, Ω: `R(T)·(length between barrel mouths) + 2·R_joint`, a good
 * joint being its own barrel length of conductor. The table's R is a maximum, so this never proves a single joint.
 *
 * @param betweenMouthsM bare of both barrels, m
 * @param barrelsM depth of the two barrels, m
 * @param temperatureC of the copper when measured
 */
export function expectedResistance(
  size: ConductorSize,
  tinned: boolean,
  betweenMouthsM: number,
  barrelsM: readonly [number, number],
  temperatureC: number,
): ExpectedResistance {
  const perMetre = resistancePerMetre(size, tinned, temperatureC);
  const conductorOhm = perMetre * betweenMouthsM;
  const jointsOhm = perMetre * (barrelsM[0] + barrelsM[1]);
  return { conductorOhm, jointsOhm, totalOhm: conductorOhm + jointsOhm };
}
