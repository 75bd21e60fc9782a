import type { Lug } from '../../model/shop.ts';
import type { MouldedId } from '../../model/tables/moulded.ts';
import { mouldedFor, type MouldedTask } from './moulded.ts';

/** An end as far as a cap goes over it: the wall of its shrunk sleeve, mm. */
interface Sealed {
  readonly sleeve: { readonly wallMm: number } | null;
}

/** What a cap over a finished end has to pass and to grip: the palm's circle, and the sealed barrel. */
export function capTask({ sleeve }: Sealed, lug: Lug): MouldedTask {
  const sealedMm = lug.outerMm + 2 * (sleeve?.wallMm ?? 0);
  return {
    legs: 0,
    passMm: Math.max(Math.hypot(lug.palmWidthMm, lug.palmThicknessMm), sealedMm),
    gripMm: sealedMm,
  };
}

/** The smallest customary cap that goes over a finished end and grips it; null where none does. */
export const capFor = (end: Sealed, lug: Lug): MouldedId | null => mouldedFor(capTask(end, lug));
