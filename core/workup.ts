import type { CableWork } from './cableWork.ts';
import { contextOf } from './jobContext.ts';
import type { Cable } from './model/cable.ts';
import type { Job } from './model/job.ts';
import type { Shop } from './model/shop.ts';
import { stageReports } from './progress.ts';
import { unaskedProof } from './proof/further.ts';
import { verdictOf } from './proof/verdict.ts';
import { decided } from './proof/decide.ts';
import { withWaivers } from './proof/waivers.ts';
import { fedOf, systemWork, type SystemWork } from './systemWork.ts';
import { type SystemFigures, systemFigures } from './systemFigures.ts';
import { withPlaces } from './system/places.ts';
import { type Around, ask, layOut, size, STAGE_FINDINGS, stepsOf, terminate } from './stages.ts';

/** Everything computed about a job, and what its cables come to. */
export interface JobWork {
  readonly jobId: string;
  readonly cables: readonly CableWork[];
  /** Sum of finished lengths known, mm, and of the cable's weight, kg. */
  readonly finishedMm: number;
  readonly massKg: number;
  readonly proved: number;
  /** The installation solved, where the job has one. */
  readonly system?: SystemFigures;
}

/**
 * Every computed figure of a job, from one call.
 *
 * @param today the day it is looked at, ISO 8601: what is temporary is due from its day on; nothing is due without it
 */
export function workUp(job: Job, shop: Shop, today: string | null = null): JobWork {
  const system = job.system ? systemWork(withPlaces(job), shop) : null;
  const cables = workUpCables(system?.job ?? job, shop, system, { today });
  return {
    ...summarise(job.id, cables),
    ...(system && { system: systemFigures(system, cables, shop) }),
  };
}

/** Every cable of a job as its system feeds it. */
export const workUpCables = (
  job: Job,
  shop: Shop,
  system: SystemWork | null,
  around: Pick<Around, 'today' | 'followDuty'>,
): CableWork[] =>
  job.cables.map((cable) => {
    const fed = fedOf(system, cable.id);
    return workUpCable(cable, shop, { ...around, context: contextOf(cable, job), ...(fed && { fed }) });
  });

/** Totals over cables already worked up. */
export function summarise(jobId: string, cables: readonly CableWork[]): JobWork {
  const sum = (of: (work: CableWork) => number) => cables.reduce((total, work) => total + of(work), 0);
  return {
    jobId,
    cables,
    finishedMm: sum(({ lengths }) => lengths?.finishedMm ?? 0),
    massKg: sum(({ choice }) => choice.taken.at.massKg),
    proved: sum(({ stages }) => (stages.prove.done ? 1 : 0)),
  };
}

/**
 * Every computed figure of one cable: what is asked, the conductor, the ends, the lengths, the steps, and all that each
 * stage finds.
 *
 * @throws RangeError when the shop has no cable kind of the id the cable names and none at all
 */
export function workUpCable(given: Cable, shop: Shop, around: Around = {}): CableWork {
  const asked = ask(given, shop, around);
  const sized = size(asked);
  const terminated = terminate(sized);
  const laid = layOut(terminated);
  // Whoever answers for doing without something answers wherever it stands.
  const findings = withWaivers(
    laid.cable,
    decided(
      shop.practice,
      Object.values(STAGE_FINDINGS).flatMap((findingsOf) => findingsOf(laid)),
    ),
  );
  const { cable, kind, conductor, choice, ends, joins, stacks, passage, lengths } = laid;
  const judged = findings.filter(({ stage }) => stage !== 'fit');
  const made = {
    ...{ cableId: cable.id, kind, conductor, choice, ends, joins, stacks, passage, lengths },
    steps: stepsOf(laid),
    findings,
    unasked: unaskedProof(laid.proof),
    verdict: verdictOf(judged),
    endVerdicts: {
      A: verdictOf(judged.filter(({ end }) => end === 'A')),
      B: verdictOf(judged.filter(({ end }) => end === 'B')),
    },
  };
  return { ...made, stages: stageReports(cable, made) };
}
