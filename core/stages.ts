import { verbatim } from './words/message.ts';
import { circuitFindings } from './sizing/circuitFindings.ts';
import { cutFindings, lengthsOf } from './cutting/findings.ts';
import type { CableLengths } from './cutting/cutLength.ts';
import { wayFindings } from './cutting/wayFindings.ts';
import type { Finding } from './finding/finding.ts';
import { fitFindings } from './fit/fitFindings.ts';
import { ALONE, cablesOnPost, type JobContext, palmAsked, stackOf } from './jobContext.ts';
import type { Cable } from './model/cable.ts';
import type { Both } from './model/end.ts';
import { underItsName } from './model/catalogue/called.ts';
import { isSoldered } from './model/method.ts';
import { ownedKind, type CableKind, type Shop } from './model/shop.ts';
import { sizeNamed } from './model/tables/size.ts';
import { nonconformanceFindings } from './proof/nonconformance.ts';
import { withDieHold } from './proof/dieHold.ts';
import { proofFindings } from './proof/findings.ts';
import type { ProofSubject } from './proof/subject.ts';
import { colourFindings } from './sizing/placeFindings.ts';
import { askFindings, withSoundLoad } from './sizing/askFindings.ts';
import { type KindCompared, kindsCompared } from './sizing/kindsCompared.ts';
import type { FollowDuty } from './sizing/assess.ts';
import { remember } from './lib/remember.ts';
import { chooseSize, type SizeChoice } from './sizing/choose.ts';
import { deadEndFindings } from './sizing/deadEnd.ts';
import { dutyCycle } from './sizing/dutyCycle.ts';
import { governingRun } from './sizing/governingRun.ts';
import { jacketResistance } from './sizing/heatBalance.ts';
import { heaviestStepA, nominalAmps } from './sizing/loadIn.ts';
import { type Fed, type Mate, thermalCable } from './sizing/loop.ts';
import { runFindings } from './sizing/runFindings.ts';
import { placesOf } from './sizing/upstream.ts';
import type { EndSubject } from './termination/endSubject.ts';
import { endsFindings } from './termination/findings/endsFindings.ts';
import { joinFindings } from './termination/findings/joinFindings.ts';
import { resolveJoin, type ResolvedJoin } from './termination/join.ts';
import { conductorOf, type EndConductor, type ResolvedEnd, resolveEnd } from './termination/resolveEnd.ts';
import type { StudStack } from './termination/studs/studStack.ts';
import { type Passage, passageOf } from './termination/throughHole.ts';
import type { Step } from './traveller/step.ts';
import { travellerSteps } from './traveller/steps.ts';
import { term } from './words/terms.ts';

/** What a cable is worked up in. */
export interface Around {
  /** What its job says of it, see {@link contextOf}; on its own when not given. */
  readonly context?: JobContext;
  readonly today?: string | null;
  /** How a duty cycle is followed; the application answers from a worker. */
  readonly followDuty?: FollowDuty;
  /** What the system of its job says of it; see {@link systemWork}. */
  readonly fed?: Fed;
}

/** A cable as it is asked for: what it is to carry and where, in which job, by which shop. */
export interface Asked {
  /** As it was given; `cable` is sized by the load that can be true. */
  readonly given: Cable;
  readonly cable: Cable;
  readonly kind: CableKind;
  readonly shop: Shop;
  readonly context: JobContext;
  readonly today: string | null;
  readonly followDuty: FollowDuty;
  /** The other cables of its circuit, whether an end is soldered, and what the system says of it. */
  readonly around: {
    readonly mates: readonly Mate[];
    readonly soldered: boolean;
    readonly fed: Fed | undefined;
  };
}

/** The kind of a cable, as the shop calls it. */
const kindIn = (cable: Cable, shop: Shop): CableKind => underItsName(ownedKind(cable, shop));

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

/**
 * Run: what is required of a cable.
 *
 * @throws RangeError when the shop has no cable kind of the id the cable names and none at all
 */
export function ask(
  given: Cable,
  shop: Shop,
  { context = ALONE, today = null, followDuty = dutyCycle, fed }: Around,
): Asked {
  const cable = { ...given, run: withSoundLoad(governingRun(given.run)) };
  const mates = fed?.rest ? [] : context.mates.map((mate) => asMate(mate, shop));
  const around = { mates, soldered: isSoldered(cable, shop), fed };
  return { given, cable, kind: kindIn(cable, shop), shop, context, today, followDuty, around };
}

/** A cable with the conductor that is taken for it. */
export interface Sized extends Asked {
  readonly choice: SizeChoice;
  readonly conductor: EndConductor;
}

const chosen = remember<{ readonly choice: SizeChoice; readonly isWhole: boolean }>(
  4,
  ({ isWhole }) => isWhole,
);

/**
 * The size of a cable: from memory where nothing that it rests on has changed, as when a step of it was ticked. A duty
 * may be followed elsewhere and answer later: what waits for that, or turned out to when it was read, is not remembered.
 */
function choiceOf({ given, cable, kind, shop, context, around, followDuty }: Asked): SizeChoice {
  const { fed, soldered } = around;
  const mates = fed?.rest ? [] : context.mates;
  const { choice } = chosen(
    [
      shop.practice,
      shop.cableKinds,
      followDuty,
      ...[given, ...mates].flatMap(({ run, gauge, ends }) => [run, gauge, ends]),
    ],
    JSON.stringify([kind.title, soldered, fed, mates.map(({ tag }) => tag)]),
    () => {
      let isWhole = true;
      const follow: FollowDuty = (...asked) => {
        const cycle = followDuty(...asked);
        isWhole &&= cycle !== null;
        return cycle;
      };
      const choice = chooseSize(cable, kind, shop.practice, around, follow);
      return {
        choice,
        get isWhole() {
          return isWhole;
        },
      };
    },
  );
  return choice;
}

/** Gauge: the conductor. */
export function size(asked: Asked): Sized {
  const { kind } = asked;
  const choice = choiceOf(asked);
  return { ...asked, choice, conductor: conductorOf(kind, choice.taken.at) };
}

/** Every kind of the shop on the run of a cable, beside one another; see {@link kindsCompared}. */
export function kindsBeside(given: Cable, shop: Shop, its: Around): KindCompared[] {
  const { cable, around, followDuty } = ask(given, shop, its);
  return kindsCompared(cable, shop.cableKinds.map(underItsName), shop.practice, around, followDuty);
}

/** A cable with its lugs, dies, sleeves and joins, and what its ends share a stud or a post with. */
export interface Terminated extends Sized {
  readonly ends: Both<ResolvedEnd>;
  readonly joins: readonly ResolvedJoin[];
  readonly stacks: Both<StudStack | null>;
  readonly onPost: Both<number>;
}

/** Ends: what is put on the conductor. */
export function terminate(sized: Sized): Terminated {
  const { cable, conductor, context, shop } = sized;
  const ends = {
    A: resolveEnd('A', cable, conductor, shop, palmAsked(cable, 'A', context, shop)),
    B: resolveEnd('B', cable, conductor, shop, palmAsked(cable, 'B', context, shop)),
  };
  return {
    ...sized,
    ends,
    joins: cable.joins.map((join) => resolveJoin(join, conductor, shop)),
    stacks: {
      A: stackOf(cable, 'A', ends.A.lug, context, shop),
      B: stackOf(cable, 'B', ends.B.lug, context, shop),
    },
    onPost: { A: cablesOnPost(cable, 'A', context), B: cablesOnPost(cable, 'B', context) },
  };
}

/** A cable with its lengths, and how it gets through the smallest hole of its route. */
export interface LaidOut extends Terminated {
  readonly lengths: CableLengths | null;
  readonly passage: Passage | null;
  /** What is proved of it. */
  readonly proof: ProofSubject;
}

/** Cut: how long, and which end goes through first. */
export function layOut(terminated: Terminated): LaidOut {
  const { cable, ends } = terminated;
  const lengths = lengthsOf(cable.run, ends.A, ends.B);
  return {
    ...terminated,
    lengths,
    passage: passageOf(terminated),
    proof: proofSubjectOf(terminated, lengths),
  };
}

/** Make: the steps, none while there is no length to cut. */
export function stepsOf(laid: LaidOut): readonly Step[] {
  const { cable, kind, choice, ends, joins, lengths, passage, shop } = laid;
  if (!lengths) return [];
  const conductorLabel = verbatim`${sizeNamed(choice.taken.at.size)} ${kind.title.toLowerCase()}, ${term(cable.jacket)}`;
  const steps = travellerSteps({
    cable,
    conductorLabel,
    ends,
    joins,
    lengths,
    passage,
    practice: shop.practice,
  });
  return withDieHold(steps, ends, joins, shop, laid.today);
}

const endSubjectOf = (laid: LaidOut): EndSubject => ({
  ...laid,
  at: laid.choice.taken.at,
  cutMm: laid.lengths?.cutMm ?? null,
});

/** What is proved of a cable. */
function proofSubjectOf(
  { cable, kind, choice, ends, joins, shop }: Terminated,
  lengths: CableLengths | null,
): ProofSubject {
  const { at: assessed } = choice.taken;
  return {
    cable,
    size: assessed.size,
    copperMm2: assessed.copperMm2,
    copper: kind,
    isBare: kind.insulation === 'bare',
    ends,
    joins,
    lengths,
    practice: shop.practice,
    ratedA: assessed.currentA ? assessed.currentA / assessed.parallel : null,
    jacketKmPerW: jacketResistance(thermalCable(kind, assessed)),
    trials: shop.trials,
  };
}

/** What each stage finds, in the order of the craft. What is waived is not yet told here. */
export const STAGE_FINDINGS = {
  run: ({ cable, kind, given, choice, around }: LaidOut): Finding[] => [
    ...runFindings(cable.run, choice.taken.at),
    ...askFindings(governingRun(given.run)),
    ...circuitFindings(cable.run, around),
    ...wayFindings(cable, kind, choice.taken.at),
  ],
  gauge: ({ cable, kind, shop, around, followDuty, choice }: LaidOut): Finding[] => [
    ...choice.findings,
    ...colourFindings(cable, kind),
    ...deadEndFindings(cable, kind, shop, around, followDuty, choice),
  ],
  ends: (laid: LaidOut): Finding[] => [
    ...endsFindings(endSubjectOf(laid)),
    ...laid.joins.flatMap((join) =>
      joinFindings(join, laid.lengths?.finishedMm ?? laid.cable.run.lengthMm, laid.cable),
    ),
  ],
  cut: ({ cable, ends }: LaidOut): Finding[] => cutFindings(cable.run, ends.A, ends.B),
  prove: ({ proof, cable }: LaidOut): Finding[] => [
    ...proofFindings(proof),
    ...nonconformanceFindings(cable),
  ],
  fit: (laid: LaidOut): Finding[] => fitFindings(laid.proof, laid),
} as const;
