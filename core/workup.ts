import type { CableWork } from './cableWork.ts';
import { contextOf } from './jobContext.ts';
import type { Finding } from './finding/finding.ts';
import { once } from './lib/once.ts';
import { remember } from './lib/remember.ts';
import type { Cable, Stage } from './model/cable.ts';
import type { EndName } from './model/end.ts';
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
    const its = { ...around, context: contextOf(cable, job), ...(fed && { fed }) };
    return workedOut(workUpCable(cable, shop, its));
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

type FindingStage = keyof typeof STAGE_FINDINGS;
/** Stages that find something of their own, in the order of the craft; making shows what cutting and its ends found. */
const FINDING_STAGES = Object.keys(STAGE_FINDINGS) as FindingStage[];
const hasFindings = (stage: Stage): stage is FindingStage => stage in STAGE_FINDINGS;

const foundAt = new WeakMap<CableWork, (stage: FindingStage) => readonly Finding[]>();

/** What one stage of a cable found: the others need not be worked out for it. */
export function findingsAt(work: CableWork, stage: Stage): readonly Finding[] {
  if (!hasFindings(stage)) return [];
  return foundAt.get(work)?.(stage) ?? work.findings.filter((finding) => finding.stage === stage);
}

/** The same work with nothing of it left to be worked out: what cannot be is said here and not where it is read. */
export function workedOut(work: CableWork): CableWork {
  void [work.steps, work.findings, work.unasked, work.verdict, work.endVerdicts, work.stages];
  return work;
}

/**
 * Every computed figure of one cable: what is asked, the conductor, the ends, the lengths, the steps, and all that each
 * stage finds. Conductor, ends and lengths are worked out at once; steps, findings and verdicts when they are first read.
 *
 * @throws RangeError when the shop has no cable kind of the id the cable names and none at all
 */
export function workUpCable(given: Cable, shop: Shop, around: Around = {}): CableWork {
  const asked = ask(given, shop, around);
  const sized = size(asked);
  const terminated = terminate(sized);
  const laid = layOut(terminated);
  const { cable, kind, conductor, choice, ends, joins, stacks, passage, lengths } = laid;

  // Whoever answers for doing without something answers wherever it stands.
  const found = remember<readonly Finding[]>();
  const findingsOf = (stage: FindingStage) =>
    found([laid], stage, () => withWaivers(cable, decided(shop.practice, STAGE_FINDINGS[stage](laid))));
  const findings = once(() => FINDING_STAGES.flatMap(findingsOf));
  const judged = once(() => findings().filter(({ stage }) => stage !== 'fit'));
  const ofEnd = (name: EndName) => verdictOf(judged().filter(({ end }) => end === name));
  const later = {
    steps: once(() => stepsOf(laid)),
    unasked: once(() => unaskedProof(laid.proof)),
    verdict: once(() => verdictOf(judged())),
    endVerdicts: once(() => ({ A: ofEnd('A'), B: ofEnd('B') })),
    stages: once(() => stageReports(cable, work)),
  };
  const work: CableWork = {
    ...{ cableId: cable.id, kind, conductor, choice, ends, joins, stacks, passage, lengths },
    get steps() {
      return later.steps();
    },
    get findings() {
      return findings();
    },
    get unasked() {
      return later.unasked();
    },
    get verdict() {
      return later.verdict();
    },
    get endVerdicts() {
      return later.endVerdicts();
    },
    get stages() {
      return later.stages();
    },
  };
  foundAt.set(work, findingsOf);
  return work;
}
