import { areaMm2, sizeLabel } from './conductor/size.ts';
import type { CableWork } from './cableWork.ts';
import { cutFindings, lengthsOf } from './cutting/findings.ts';
import type { Cable } from './job/cable.ts';
import type { Job } from './job/job.ts';
import type { Shop } from './job/shop.ts';
import { stageReports } from './progress.ts';
import { proofFindings } from './proof/findings.ts';
import { fitFindings } from './proof/fitFindings.ts';
import { verdictOf } from './proof/verdict.ts';
import type { FollowDuty, Mate } from './sizing/assess.ts';
import { chooseSize } from './sizing/choose.ts';
import { dutyCycle } from './sizing/dutyCycle.ts';
import { runFindings } from './sizing/runFindings.ts';
import { endFindings } from './termination/findings.ts';
import { resolveEnd } from './termination/resolveEnd.ts';
import { travellerSteps } from './traveller/steps.ts';

/** Everything computed about a job, and what its cables come to. */
export interface JobWork {
  readonly jobId: string;
  readonly cables: readonly CableWork[];
  /** Sum of finished lengths known, mm, and of the cable's weight, kg. */
  readonly finishedMm: number;
  readonly massKg: number;
  readonly proved: number;
}

/** Every computed figure of a job, from one call. */
export function workUp(job: Job, shop: Shop): JobWork {
  return summarise(
    job.id,
    job.cables.map((cable) => workUpCable(cable, shop, matesOf(cable, job))),
  );
}

/** The other cables of a cable's circuit. */
export function matesOf(cable: Cable, job: Job): Cable[] {
  const back = cable.run.return;
  if (back.kind !== 'circuit') return [];
  return job.cables.filter(
    ({ id, run }) => id !== cable.id && run.return.kind === 'circuit' && run.return.name === back.name,
  );
}

/** What a cable of the same circuit adds to the loop. */
function asMate({ tag, run, gauge }: Cable, shop: Shop): Mate {
  return {
    tag,
    lengthMm: run.lengthMm + run.loopMm,
    devices: run.devices,
    fuses: run.fuses,
    size: gauge.size ?? null,
    tinned: shop.cableKinds.find(({ id }) => id === gauge.kindId)?.tinned ?? false,
    parallel: gauge.parallel ?? 1,
  };
}

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
 * Every computed figure of one cable.
 *
 * @param mates the other cables of its circuit, see {@link matesOf}
 * @param followDuty how a duty cycle is followed; the application answers from a worker
 * @throws RangeError when the shop has no cable kind of the id the cable names and none at all
 */
export function workUpCable(
  cable: Cable,
  shop: Shop,
  mates: readonly Cable[] = [],
  followDuty: FollowDuty = dutyCycle,
): CableWork {
  const kind = shop.cableKinds.find(({ id }) => id === cable.gauge.kindId) ?? shop.cableKinds[0];
  if (!kind) throw new RangeError('the shop has no cable');
  const { practice } = shop;
  const choice = chooseSize(
    cable,
    kind,
    practice,
    mates.map((mate) => asMate(mate, shop)),
    followDuty,
  );
  const { size, outerMm, copperMm2 } = choice.taken.at;
  const conductor = { copperMm2: areaMm2(size), outerMm };
  const ends = {
    A: resolveEnd('A', cable.ends.A, conductor, shop),
    B: resolveEnd('B', cable.ends.B, conductor, shop),
  };
  const lengths = lengthsOf(cable.run, ends.A, ends.B);
  const conductorLabel = `${sizeLabel(size)} ${kind.title.toLowerCase()}, ${cable.jacket}`;
  const steps = lengths ? travellerSteps({ cable, conductorLabel, ends, lengths }) : [];
  const subject = { cable, size, copperMm2, tinned: kind.tinned, ends, lengths, practice };
  const findings = [
    ...runFindings(cable.run, choice.taken.at),
    ...choice.findings,
    ...endFindings(ends.A, conductor),
    ...endFindings(ends.B, conductor),
    ...cutFindings(cable.run, ends.A, ends.B),
    ...proofFindings(subject),
    ...fitFindings(subject),
  ];
  const verdict = verdictOf(findings.filter(({ stage }) => stage !== 'fit'));
  const partial = { cableId: cable.id, kind, choice, ends, lengths, steps, findings, verdict };
  return { ...partial, stages: stageReports(cable, partial) };
}
