import type { ConductorSize } from '../conductor/size.ts';
import type { CableLengths } from '../cutting/cutLength.ts';
import type { Cable } from '../job/cable.ts';
import type { HousePractice } from '../practice/housePractice.ts';
import type { ResolvedJoin } from '../termination/join.ts';
import type { ResolvedEnd } from '../termination/resolveEnd.ts';

/** The cable a proof is about, as it was made. */
export interface ProofSubject {
  readonly cable: Cable;
  readonly size: ConductorSize;
  readonly copperMm2: number;
  readonly tinned: boolean;
  readonly ends: { readonly A: ResolvedEnd; readonly B: ResolvedEnd };
  readonly joins: readonly ResolvedJoin[];
  readonly lengths: CableLengths | null;
  readonly practice: HousePractice;
}
