import type { Lug } from '../../model/shop.ts';
import type { MouldedId } from '../../model/tables/moulded.ts';
import type { ResolvedEnd } from '../resolveEnd.ts';
import { mouldedFor, type MouldedTask } from './moulded.ts';

/** What a cap over a finished end has to pass and to grip: the palm's circle, and the sealed barrel. */
export function capTask({ sleeve }: Pick<ResolvedEnd, 'sleeve'>, lug: Lug): MouldedTask {
  const sealedMm = lug.outerMm + 2 * (sleeve?.wallMm ?? 0);
  return {
    legs: 0,
    passMm: Math.max(Math.hypot(lug.palmWidthMm, lug.palmThicknessMm), sealedMm),
    gripMm: sealedMm,
  };
}

/** The smallest customary cap that goes over a finished end and grips it; null where none does. */
export const capFor = (end: Pick<ResolvedEnd, 'sleeve'>, lug: Lug): MouldedId | null =>
  mouldedFor(capTask(end, lug));
