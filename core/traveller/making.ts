import type { Both } from '../model/end.ts';
import type { CableLengths } from '../cutting/cutLength.ts';
import type { ToCut } from '../cutting/pieces.ts';
import type { ResolvedJoin } from '../termination/join.ts';
import type { EndConductor, ResolvedEnd } from '../termination/resolveEnd.ts';
import type { Step } from './step.ts';

/** What is worked out of a cable, as far as it is looked at while it is made. */
export interface Making {
  readonly conductor: EndConductor;
  readonly ends: Both<ResolvedEnd>;
  readonly joins: readonly ResolvedJoin[];
  readonly lengths: CableLengths | null;
  readonly steps: readonly Step[];
}

/** A cable to be made with others, and its steps. */
export interface ToMake extends ToCut {
  readonly work: ToCut['work'] & Making;
}
