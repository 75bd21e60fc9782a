import { msg } from '../words/message.ts';
import type { State } from '../finding/finding.ts';
import { packingState } from '../proof/sectionProof.ts';
import { hexagonMm2, packingFromVoid } from '../termination/dies/dieOnLug.ts';
import type { DrawnSection } from './draw.ts';

/** What a section may look like to the eye. */
export const LOOKS = { holds: msg`packed`, watch: msg`a little air`, fails: msg`too loose` } as const;
export type Look = keyof typeof LOOKS;

/** How a drawn section really is: its packing and what that is called. */
export function truthOf(spec: DrawnSection, voidShare: number): { kappa: number; look: State } {
  const kappa = packingFromVoid(voidShare, hexagonMm2(spec.acrossFlatsMm), spec.wallMm2);
  return { kappa, look: packingState(kappa) };
}
