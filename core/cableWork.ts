import type { Message } from './words/message.ts';
import type { Both } from './model/end.ts';
import type { CableLengths } from './cutting/cutLength.ts';
import type { Finding, State } from './finding/finding.ts';
import type { Cable, Stage } from './model/cable.ts';
import type { CableKind } from './model/shop.ts';
import type { Verdict } from './proof/verdict.ts';
import type { SizeChoice } from './sizing/choose.ts';
import type { Passage } from './termination/throughHole.ts';
import type { ResolvedJoin } from './termination/join.ts';
import type { StudStack } from './termination/studs/studStack.ts';
import type { EndConductor, ResolvedEnd } from './termination/resolveEnd.ts';
import type { Step } from './traveller/step.ts';

/** How far one stage is, in a word and a state. */
export interface StageReport {
  readonly stage: Stage;
  /** The worst of the stage's findings. */
  readonly state: State;
  readonly close: boolean;
  /** Whether the stage has nothing left to decide or do. */
  readonly done: boolean;
  readonly summary: Message;
}

/** Everything computed about one cable. Plain data: it crosses a worker and goes into a file unchanged. */
export interface CableWork {
  readonly cableId: string;
  readonly kind: CableKind;
  readonly conductor: EndConductor;
  readonly choice: SizeChoice;
  readonly ends: Both<ResolvedEnd>;
  readonly joins: readonly ResolvedJoin[];
  /** Everything on the stud of each end; null where it ends on a tapered post. */
  readonly stacks: Both<StudStack | null>;
  /** How it gets through the smallest hole of its route; null where there is none. */
  readonly passage: Passage | null;
  readonly lengths: CableLengths | null;
  readonly steps: readonly Step[];
  readonly findings: readonly Finding[];
  /** Readings that nobody requires here, as they would be required; no part of the verdict. */
  readonly unasked: readonly Finding[];
  readonly verdict: Verdict;
  /** What may be said of each end by itself: its findings alone. */
  readonly endVerdicts: Both<Verdict>;
  readonly stages: Readonly<Record<Stage, StageReport>>;
}

/** A cable with what was computed of it. */
export interface WorkedCable {
  readonly cable: Cable;
  readonly work: CableWork;
}
