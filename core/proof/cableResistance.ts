import { type Copper, resistancePerMetre, sheetOhmPerKm } from '../conductor/resistance.ts';
import { type Message, msg } from '../words/message.ts';
import type { ProofSubject } from './subject.ts';
import type { ConductorSize } from '../model/tables/size.ts';

/** What one cable should read from palm to palm. */
export interface ExpectedResistance {
  readonly conductorOhm: number;
  /** Both joints, each as its own barrel length of conductor. */
  readonly jointsOhm: number;
  readonly totalOhm: number;
}

/** Where the resistance of a conductor comes from. */
export const conductorTable = ({ size, copper }: Pick<ProofSubject, 'size' | 'copper'>): Message =>
  sheetOhmPerKm(size, copper) === undefined ? msg`conductor table` : msg`the cable’s data sheet`;

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
  copper: Copper,
  betweenMouthsM: number,
  barrelsM: readonly [number, number],
  temperatureC: number,
): ExpectedResistance {
  const perMetre = resistancePerMetre(size, copper, temperatureC);
  const conductorOhm = perMetre * betweenMouthsM;
  const jointsOhm = perMetre * (barrelsM[0] + barrelsM[1]);
  return { conductorOhm, jointsOhm, totalOhm: conductorOhm + jointsOhm };
}
