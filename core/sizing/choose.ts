import { sameSize, type ConductorSize } from '../conductor/size.ts';
import { type Finding, type State, worst } from '../finding.ts';
import type { Cable } from '../job/cable.ts';
import type { CableKind } from '../job/shop.ts';
import type { HousePractice, School } from '../practice/housePractice.ts';
import { assess, type Assessment, type FollowDuty, type Mate, type RunContext } from './assess.ts';
import { dutyCycle } from './dutyCycle.ts';
import { sizingFindings } from './findings.ts';
import { allowedBy, countedAmps } from './schoolFindings.ts';

/** One size of the kind, worked through the run and judged. */
export interface Candidate {
  readonly at: Assessment;
  readonly findings: readonly Finding[];
  /** Of the limits that depend on the size. */
  readonly state: State;
  readonly binds: boolean;
}

/** What one school, asked alone, would take. */
export interface SchoolAnswer {
  readonly school: School;
  readonly switchedOn: boolean;
  /** What it asks of this run, in its own terms. */
  readonly asks: { readonly value: number; readonly unit: 'mm²' | 'A' };
  /** The smallest size it accepts; null where none in this kind. */
  readonly candidate: Candidate | null;
}

export interface SizeChoice {
  /** All sizes of the kind, thinnest first. */
  readonly candidates: readonly Candidate[];
  /** The smallest that passes every limit; null where none does. */
  readonly smallest: Candidate | null;
  /** What is taken: the size said on the cable, else the smallest (one up where practice asks it). */
  readonly taken: Candidate;
  readonly isProposed: boolean;
  readonly oneSizeUp: boolean;
  readonly schools: readonly SchoolAnswer[];
}

/**
 * Whether a finding speaks about the size: what a fuse is, where it stands and what the jacket suits is the same for
 * all of them, and a fault that is not known does not make a size wrong.
 */
function decidesSize({ id, state }: Finding): boolean {
  if (id.startsWith('survives')) return state === 'fails';
  return !/^(breaking|carries|fuse-place|both-ends|short|suits)/.test(id);
}

/** Whether a size may be proposed: nothing fails, and its fuse guards it, or somebody answers for that. */
function passes({ state, findings }: Candidate): boolean {
  return (
    state !== 'fails' && !findings.some(({ id, state: own }) => id.startsWith('guards') && own === 'unproved')
  );
}

/**
 * Chooses the conductor: the smallest size of the cable's kind that passes every limit switched on, then one size
 * up where that is the practice. Where none passes, the thickest stands for the failure and says why.
 *
 * @param mates the other cables of its circuit
 * @throws RangeError when the kind has no sizes
 */
export function chooseSize(
  cable: Cable,
  kind: CableKind,
  practice: HousePractice,
  mates: readonly Mate[] = [],
  followDuty: FollowDuty = dutyCycle,
): SizeChoice {
  const { run, gauge } = cable;
  const context: RunContext = { run, parallel: gauge.parallel ?? 1, mates };
  const candidates = kind.sizes.map((cableSize): Candidate => {
    const at = assess(context, kind, cableSize, practice, followDuty);
    const findings = sizingFindings(at, context, kind, practice);
    const limits = findings.filter(decidesSize);
    return {
      at,
      findings,
      state: worst(limits.map(({ state }) => state)),
      binds: limits.some(({ binds }) => binds),
    };
  });
  const thickest = candidates.at(-1);
  if (!thickest) throw new RangeError(`cable kind ${kind.id} has no sizes`);
  const smallest = candidates.find(passes) ?? candidates.find(({ state }) => state !== 'fails') ?? null;
  const oneSizeUp = gauge.oneSizeUp ?? practice.oneSizeUp;
  const proposed = smallest ? stepped(candidates, smallest, oneSizeUp ? 1 : 0) : thickest;
  const said = gauge.size && candidates.find(({ at }) => sameSize(at.size, gauge.size as ConductorSize));
  return {
    candidates,
    smallest,
    taken: said ?? proposed,
    isProposed: said === undefined,
    oneSizeUp,
    schools: schoolAnswers(candidates, practice),
  };
}

/** The candidate `steps` sizes thicker, or the last one there is. */
export function stepped(candidates: readonly Candidate[], from: Candidate, steps: number): Candidate {
  const index = candidates.indexOf(from) + steps;
  return candidates[Math.min(Math.max(index, 0), candidates.length - 1)] ?? from;
}

function schoolAnswers(candidates: readonly Candidate[], practice: HousePractice): SchoolAnswer[] {
  const first = candidates[0];
  if (!first) return [];
  const smallestWhere = (accepts: (at: Assessment) => boolean) =>
    candidates.find(({ at }) => accepts(at)) ?? null;
  const carries = (at: Assessment, school: 'inch' | 'metric' | 'heat') =>
    at.currentA !== null && countedAmps(at) <= (allowedBy(at, school) ?? 0);
  const accepted: Readonly<Record<School, Candidate | null>> = {
    quick: smallestWhere((at) => at.copperMm2 * at.parallel >= at.quickMm2),
    inch: smallestWhere((at) => carries(at, 'inch')),
    metric: smallestWhere((at) => carries(at, 'metric')),
    heat: smallestWhere((at) => carries(at, 'heat')),
  };
  return (Object.keys(accepted) as School[]).map((school) => {
    const candidate = accepted[school];
    const { at } = candidate ?? first;
    return {
      school,
      switchedOn: practice.schools[school],
      asks:
        school === 'quick'
          ? { value: at.quickMm2, unit: 'mm²' }
          : { value: countedAmps(at) / at.placing / at.parallel, unit: 'A' },
      candidate,
    };
  });
}
