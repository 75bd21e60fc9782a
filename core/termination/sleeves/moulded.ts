import { bundleDiameterMm } from '../../conductor/geometry.ts';
import { MOULDED, MOULDED_IDS, type MouldedFacts, type MouldedId } from '../../model/tables/moulded.ts';
import { grips, passes, type SleeveTask } from './sleeve.ts';

/** Jacket of a branch that is known by its copper alone, mm. */
export const BRANCH_JACKET_MM = 1.4;

/**
 * Outside of a branch that is known by its copper alone, mm.
 *
 * @example branchOuterMm(16) // 8.1
 */
export const branchOuterMm = (copperMm2: number): number =>
  bundleDiameterMm(copperMm2) + 2 * BRANCH_JACKET_MM;

/** What a moulded part goes over: the thickest and the thinnest of its body, and of its legs, mm. */
export interface MouldedTask {
  readonly legs: MouldedFacts['legs'];
  readonly passMm: number;
  readonly gripMm: number;
  readonly legPassMm?: number;
  readonly legGripMm?: number;
}

const spans = (bore: MouldedFacts['body'], task: SleeveTask): boolean =>
  passes(bore, task) && grips(bore, task);

/** Whether a moulded part passes and grips all that it goes over; a leg too many is no leg to leave open. */
export function suitsMoulded({ legs, body, leg }: MouldedFacts, task: MouldedTask): boolean {
  const { passMm, gripMm, legPassMm = 0, legGripMm = Number.POSITIVE_INFINITY } = task;
  return (
    legs === task.legs &&
    spans(body, { passMm, gripMm }) &&
    (!leg || spans(leg, { passMm: legPassMm, gripMm: legGripMm }))
  );
}

/** The smallest moulded part that suits; null where none of the customary ones does. */
export const mouldedFor = (task: MouldedTask): MouldedId | null =>
  MOULDED_IDS.find((part) => suitsMoulded(MOULDED[part], task)) ?? null;
