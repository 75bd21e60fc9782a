import { word } from './words/terms.ts';
import { areaMm2, sizeLabel } from './model/tables/size.ts';
import { underItsName } from './model/catalogue/called.ts';
import type { CableWork } from './cableWork.ts';
import { cutFindings, lengthsOf } from './cutting/findings.ts';
import { governingRun } from './sizing/governingRun.ts';
import { wayFindings } from './cutting/wayFindings.ts';
import type { Cable } from './model/cable.ts';
import type { Job } from './model/job.ts';
import type { CableKind, Shop } from './model/shop.ts';
import { stageReports } from './progress.ts';
import { proofFindings } from './proof/findings.ts';
import { withWaivers } from './proof/waivers.ts';
import { unaskedProof } from './proof/further.ts';
import { fitFindings } from './fit/fitFindings.ts';
import { verdictOf } from './proof/verdict.ts';
import { ALONE, cablesOnPost, contextOf, type JobContext, stackOf } from './jobContext.ts';
import { askFindings, withSoundLoad } from './sizing/askFindings.ts';
import type { FollowDuty } from './sizing/assess.ts';
import { type Mate, thermalCable } from './sizing/loop.ts';
import { chooseSize } from './sizing/choose.ts';
import { deadEndFindings } from './sizing/deadEnd.ts';
import { dutyCycle } from './sizing/dutyCycle.ts';
import { jacketResistance } from './sizing/heatBalance.ts';
import { circuitFindings } from './sizing/circuitFindings.ts';
import { heaviestStepA, nominalAmps } from './sizing/loadIn.ts';
import { runFindings } from './sizing/runFindings.ts';
import { endsFindings } from './termination/findings/endsFindings.ts';
import { passageOf } from './termination/throughHole.ts';
import { resolveJoin } from './termination/join.ts';
import { joinFindings } from './termination/findings/joinFindings.ts';
import { isSoldered } from './model/method.ts';
import { resolveEnd } from './termination/resolveEnd.ts';
import { openCase, type ToolCase } from './termination/dies/toolCase.ts';
import { placesOf } from './sizing/upstream.ts';
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

/**
 * Every computed figure of a job, from one call.
 *
 * @param today the day it is looked at, ISO 8601: what is temporary is due from its day on; nothing is due without it
 */
export function workUp(job: Job, shop: Shop, today: string | null = null): JobWork {
  const toolCase = openCase(shop);
  return summarise(
    job.id,
    job.cables.map((cable) => workUpCable(cable, shop, { context: contextOf(cable, job), today, toolCase })),
  );
}

/** The kind of a cable, as the shop calls it. */
function kindIn({ gauge }: Cable, { cableKinds }: Shop): CableKind {
  const owned = cableKinds.find(({ id }) => id === gauge.kindId) ?? cableKinds[0];
  if (!owned) throw new RangeError('the shop has no cable');
  return underItsName(owned);
}

/** What a cable of the same circuit adds to the loop. */
function asMate(cable: Cable, shop: Shop): Mate {
  const { tag, run: given, gauge } = cable;
  const run = withSoundLoad(given);
  return {
    tag,
    lengthMm: run.lengthMm + run.loopMm,
    devices: run.devices,
    fuses: run.fuses,
    size: gauge.size ?? null,
    kind: kindIn(cable, shop),
    run,
    places: placesOf(cable),
    parallel: gauge.parallel ?? 1,
    amps: nominalAmps(run.load),
    heaviestA: heaviestStepA(run.duty),
    systemV: run.systemV,
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

/** What a cable is worked up in. */
export interface Around {
  /** What its job says of it, see {@link contextOf}; on its own when not said. */
  readonly context?: JobContext;
  readonly today?: string | null;
  /** How a duty cycle is followed; the application answers from a worker. */
  readonly followDuty?: FollowDuty;
  /** The shop's dies, opened once for many cables. */
  readonly toolCase?: ToolCase;
}

/**
 * Every computed figure of one cable.
 *
 * @throws RangeError when the shop has no cable kind of the id the cable names and none at all
 */
export function workUpCable(
  given: Cable,
  shop: Shop,
  { context = ALONE, today = null, followDuty = dutyCycle, toolCase = openCase(shop) }: Around = {},
): CableWork {
  const cable = { ...given, run: withSoundLoad(governingRun(given.run)) };
  const kind = kindIn(cable, shop);
  const { practice } = shop;
  const mates = context.mates.map((mate) => asMate(mate, shop));
  const around = { mates, soldered: isSoldered(cable, shop) };
  const choice = chooseSize(cable, kind, practice, around, followDuty);
  const { size, outerMm, copperMm2 } = choice.taken.at;
  const conductor = { copperMm2: areaMm2(size), outerMm, tinned: kind.tinned, strands: kind.strands };
  const ends = {
    A: resolveEnd('A', cable, conductor, shop, toolCase),
    B: resolveEnd('B', cable, conductor, shop, toolCase),
  };
  const joins = cable.joins.map((join) => resolveJoin(join, conductor, shop, toolCase));
  const stacks = {
    A: stackOf(cable, 'A', ends.A.lug, context, shop),
    B: stackOf(cable, 'B', ends.B.lug, context, shop),
  };
  const onPost = { A: cablesOnPost(cable, 'A', context), B: cablesOnPost(cable, 'B', context) };
  const lengths = lengthsOf(cable.run, ends.A, ends.B);
  const conductorLabel = `${sizeLabel(size)} ${kind.title.toLowerCase()}, ${word(cable.jacket)}`;
  const endSubject = {
    cable,
    conductor,
    kind,
    at: choice.taken.at,
    shop,
    ends,
    cutMm: lengths?.cutMm ?? null,
    stacks,
    onPost,
    today,
  };
  const passage = passageOf(endSubject);
  const steps = lengths
    ? travellerSteps({ cable, conductorLabel, ends, joins, lengths, passage, practice })
    : [];
  const { at } = choice.taken;
  const subject = {
    cable,
    size,
    copperMm2,
    tinned: kind.tinned,
    ends,
    joins,
    lengths,
    practice,
    ratedA: at.currentA ? at.currentA / at.parallel : null,
    jacketKmPerW: jacketResistance(thermalCable(kind, at)),
    trials: shop.trials,
  };
  // Whoever answers for doing without something answers wherever it stands.
  const findings = withWaivers(cable, [
    ...runFindings(cable.run, choice.taken.at),
    ...askFindings(governingRun(given.run)),
    ...circuitFindings(cable.run, { mates }),
    ...wayFindings(cable, choice.taken.at),
    ...choice.findings,
    ...deadEndFindings(cable, kind, shop, around, followDuty, choice),
    ...endsFindings(endSubject),
    ...joins.flatMap((join) => joinFindings(join, lengths?.finishedMm ?? cable.run.lengthMm)),
    ...cutFindings(cable.run, ends.A, ends.B),
    ...proofFindings(subject),
    ...fitFindings(subject, { ends, stacks, choice, lengths }),
  ]);
  const judged = findings.filter(({ stage }) => stage !== 'fit');
  const verdict = verdictOf(judged);
  const endVerdicts = {
    A: verdictOf(judged.filter(({ end }) => end === 'A')),
    B: verdictOf(judged.filter(({ end }) => end === 'B')),
  };
  const partial = {
    cableId: cable.id,
    kind,
    conductor,
    choice,
    ends,
    joins,
    stacks,
    passage,
    lengths,
    steps,
    findings,
    unasked: unaskedProof(subject),
    verdict,
    endVerdicts,
  };
  return { ...partial, stages: stageReports(cable, partial) };
}
