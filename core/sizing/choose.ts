import { sameSize, type ConductorSize } from '../conductor/size.ts';
import { type Finding, type State, worst } from '../finding.ts';
import type { Cable } from '../job/cable.ts';
import type { CableKind } from '../job/shop.ts';
import type { HousePractice, School } from '../practice/housePractice.ts';
import { assess, type Assessment } from './assess.ts';
import { sizingFindings } from './findings.ts';

/** One size of the kind, worked through the run and judged. */
export interface Candidate {
  readonly at: Assessment;
  readonly findings: readonly Finding[];
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
 * Chooses the conductor: the smallest size of the cable's kind that passes every limit switched on, then one size
 * up where that is the practice. Where none passes, the thickest stands for the failure and says why.
 *
 * @throws RangeError when the kind has no sizes
 */
export function chooseSize(cable: Cable, kind: CableKind, practice: HousePractice): SizeChoice {
  const { run, gauge } = cable;
  const candidates = kind.sizes.map((cableSize): Candidate => {
    const at = assess(run, kind, cableSize, practice);
    const findings = sizingFindings(at, run, kind, practice);
    return {
      at,
      findings,
      state: worst(findings.map(({ state }) => state)),
      binds: findings.some(({ binds }) => binds),
    };
  });
  const thickest = candidates.at(-1);
  if (!thickest) throw new RangeError(`cable kind ${kind.id} has no sizes`);
  const smallest = candidates.find(({ state }) => state !== 'fails') ?? null;
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
  const carries = (at: Assessment, allowedA: number | undefined) =>
    at.currentA !== null && allowedA !== undefined && at.currentA <= allowedA * at.placing;
  const accepted: Readonly<Record<School, Candidate | null>> = {
    quick: smallestWhere((at) => at.copperMm2 >= at.quickMm2),
    inch: smallestWhere((at) => carries(at, at.inch?.allowedA)),
    metric: smallestWhere((at) => carries(at, at.metric?.allowedA)),
    heat: smallestWhere((at) => carries(at, at.heatA)),
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
          : { value: (at.currentA ?? 0) / at.placing, unit: 'A' },
      candidate,
    };
  });
}
