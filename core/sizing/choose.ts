import { areaMm2, sameSize, type ConductorSize } from '../model/tables/size.ts';
import { type Finding, type Judged, type State, worst } from '../finding/finding.ts';
import { isAbout } from '../finding/topics.ts';
import type { Cable } from '../model/cable.ts';
import { type Both, END_NAMES } from '../model/end.ts';
import type { Fuse } from '../model/run.ts';
import type { Layer } from '../model/tables/layers.ts';
import type { CableKind, CableSize } from '../model/shop.ts';
import type { HousePractice, School } from '../model/housePractice.ts';
import { assess, type Assessment, type FollowDuty, heldAmps } from './assess.ts';
import type { RunContext } from './loop.ts';
import { once } from '../lib/once.ts';
import { circuitLoad } from './circuitFindings.ts';
import { dutyCycle } from './dutyCycle.ts';
import { runLimits, sizeLimits } from './findings.ts';
import { fusesOf } from './faultView.ts';
import { proposedFuse } from './fuse.ts';
import { allowedBy, countedAmps } from './schoolFindings.ts';
import { placesOf } from './upstream.ts';

/** What a cable’s size rests on, of itself. */
export type ToSize = Pick<Cable, 'run' | 'gauge' | 'ends' | 'polarity'>;

/** One size of the kind, worked through the run and judged. */
export interface Candidate {
  readonly at: Assessment;
  readonly state: State;
  readonly close: boolean;
}

/** What one method, asked alone, would take. */
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
  /** What is taken: the size given on the cable, else the smallest (one up where practice requires it). */
  readonly taken: Candidate;
  /** Everything compared with what is taken: its limits, and what is the same for all sizes. */
  readonly findings: readonly Finding[];
  readonly isProposed: boolean;
  /** The fuse that what is taken is still to get, and is compared with where it is proposed; null where it has one. */
  readonly fuseToCome: Fuse | null;
  readonly oneSizeUp: boolean;
  readonly schools: readonly SchoolAnswer[];
}

/** A size being tried, with what it is compared with. */
interface Tried {
  readonly candidate: Candidate;
  readonly limits: readonly Judged[];
}

/** A duty that is still being worked out may yet burn any size. */
const isPending = ({ limits }: Tried) =>
  limits.some(({ topic, state }) => topic === 'duty-peak' && state === 'unproved');

/** Limits that a size must not merely not fail: its fuse must guard it, and its drop not be too much. */
const mustHold = isAbout('guards', 'drop', 'duty-drop');

/**
 * Whether a size may be proposed: nothing fails, and its fuse protects it, or somebody answers for that. Where no
 * allowed current is known at all, the fuse says nothing of any size.
 */
function passes(tried: Tried): boolean {
  const { candidate, limits } = tried;
  return (
    candidate.state !== 'fails' &&
    !isPending(tried) &&
    !limits.some((limit) => mustHold(limit) && limit.state === 'unproved' && !limit.isOpen)
  );
}
const isProvable = (tried: Tried) => passes(tried) && tried.candidate.state !== 'unproved';

/**
 * The smallest size that passes and can be proved; else the smallest that passes. Where none does but some do not
 * fail, the thickest of those: a worse place never makes the proposal thinner. Nothing while a duty is still being
 * worked out.
 */
function smallestOf(tried: readonly Tried[]): Tried | undefined {
  if (tried.some(isPending)) return undefined;
  return (
    tried.find(isProvable) ??
    tried.find(passes) ??
    tried.findLast(({ candidate }) => candidate.state !== 'fails')
  );
}

/** What lies over a cable from end to end, where either of its ends has it. */
export const wornBy = ({
  ends,
}: {
  readonly ends: Both<{ readonly layers?: readonly Layer[] | undefined }>;
}) =>
  (['braid', 'glass'] as const).filter((layer) =>
    END_NAMES.some((name) => ends[name].layers?.includes(layer)),
  );

/** The fuse that a cable is to get which has none in its circuit; null where it has one, or by custom carries none. */
function fuseToCome(context: RunContext, assessed: Assessment, practice: HousePractice): Fuse | null {
  const { run } = context;
  const has = fusesOf(context).length > 0;
  if (has || run.starter || assessed.currentA === null) return null;
  const fuse = proposedFuse(run, heldAmps(assessed), practice.fuseOverLoad);
  // One that is listed as a device is the one to come.
  const listed = run.devices.find(({ kind }) => kind === 'fuse')?.ratingA;
  return listed === undefined ? fuse : { ...fuse, ratingA: listed };
}

/**
 * The smallest size that also passes with the smallest fuse that carries its load, so that adding it later does not turn
 * the answer over. Where none does, the thickest that passes without, so that a worse place makes nothing thinner: the fuse
 * will say what is wrong.
 *
 * @param fused a size tried again with its fuse; null where none is to come
 */
function withItsFuse(
  found: Tried | undefined,
  tried: readonly Tried[],
  fused: (at: Assessment) => Tried | null,
): Tried | undefined {
  if (!found) return found;
  const stands = (own: Tried) => {
    const again = fused(own.candidate.at);
    return again === null || passes(again);
  };
  const passing = tried.slice(tried.indexOf(found)).filter(passes);
  return passing.find(stands) ?? passing.at(-1) ?? found;
}

/** What a cable stands in, and how a size of its kind is tried in it. */
function trying(
  cable: ToSize,
  kind: CableKind,
  practice: HousePractice,
  around: Pick<RunContext, 'mates' | 'soldered' | 'fed'>,
  followDuty: FollowDuty,
) {
  const run =
    cable.run.return.kind === 'circuit' && !around.fed
      ? { ...cable.run, load: circuitLoad(cable.run.load, around.mates) }
      : cable.run;
  const context: RunContext = {
    run,
    parallel: cable.gauge.parallel ?? 1,
    places: placesOf(cable),
    polarity: cable.polarity,
    worn: wornBy(cable),
    ...around,
  };
  // By their copper, whatever the order of the file.
  const sizes = kind.sizes.toSorted((a, b) => areaMm2(a.size) - areaMm2(b.size));
  const tryIn =
    (own: RunContext) =>
    (cableSize: CableSize): Tried => {
      const assessed = assess(own, kind, cableSize, practice, followDuty);
      const limits = sizeLimits(assessed, own, kind, practice);
      // A fault that is not known does not make a size wrong.
      const deciding = limits.filter(({ topic, state }) => topic !== 'survives' || state === 'fails');
      const state = worst(deciding.map((limit) => limit.state));
      return { candidate: { at: assessed, state, close: deciding.some(({ close }) => close) }, limits };
    };
  return { context, sizes, tryIn };
}

/** What is lost on the way: of these a size by itself says nothing where all sizes are chosen at once. */
const isLostOnTheWay = isAbout('drop', 'duty-drop', 'load-volts', 'cranking-drop', 'cranking-volts');

/** A size compared with everything but what it loses on the way. */
export interface ButForDrop {
  readonly at: Assessment;
  /** What keeps it from being used; empty where nothing does. */
  readonly failing: readonly Judged[];
}

/**
 * How each size of its kind stands a cable's heat, the tables switched on, its fuse and a short: everything but what is
 * lost on the way, which is a matter of all cables on it together. A fuse that is still to come counts as it will be.
 *
 * @param isDropItsOwn its drop is typed on it and no system knows of it: then that counts like the rest
 */
export function butForDrop(
  cable: ToSize,
  kind: CableKind,
  practice: HousePractice,
  around: Pick<RunContext, 'mates' | 'soldered' | 'fed'>,
  followDuty: FollowDuty = dutyCycle,
  isDropItsOwn = false,
): (size: CableSize) => ButForDrop {
  const { context, tryIn } = trying(cable, kind, practice, around, followDuty);
  const failingIn = ({ limits }: Tried) =>
    limits.filter(
      (limit) =>
        (isDropItsOwn || !isLostOnTheWay(limit)) &&
        (limit.state === 'fails' ||
          (limit.state === 'unproved' && !limit.isOpen && (mustHold(limit) || isAbout('duty-peak')(limit)))),
    );
  return (cableSize) => {
    const tried = tryIn(context)(cableSize);
    const { at: assessed } = tried.candidate;
    const fuse = fuseToCome(context, assessed, practice);
    const fused = fuse
      ? failingIn(tryIn({ ...context, run: { ...context.run, fuses: [fuse] } })(cableSize))
      : [];
    return { at: assessed, failing: [...failingIn(tried), ...fused] };
  };
}

/**
 * Chooses the conductor: the smallest size of the cable's kind that passes every limit switched on, then one size
 * up where that is the practice. Where none passes, the thickest stands for the failure and says why. What is taken is
 * worked out at once; the other sizes beside a decided one, when they are first read.
 *
 * @param around the other cables of its circuit, and whether an end of it is soldered
 * @throws RangeError when the kind has no sizes
 */
export function chooseSize(
  cable: ToSize,
  kind: CableKind,
  practice: HousePractice,
  around: Pick<RunContext, 'mates' | 'soldered' | 'fed'> = { mates: [], soldered: false },
  followDuty: FollowDuty = dutyCycle,
): SizeChoice {
  const { gauge } = cable;
  const { context, sizes, tryIn } = trying(cable, kind, practice, around, followDuty);
  if (sizes.length === 0) throw new RangeError(`cable kind ${kind.id} has no sizes`);
  const { run } = context;
  const tries = sizes.map((size) => once(() => tryIn(context)(size)));
  const tried = once(() => tries.map((its) => its()));
  const candidates = once(() => tried().map(({ candidate }) => candidate));
  const found = once(() =>
    withItsFuse(smallestOf(tried()), tried(), (at) => {
      const fuse = fuseToCome(context, at, practice);
      const own = sizes.find(({ size }) => size === at.size);
      return fuse && own ? tryIn({ ...context, run: { ...run, fuses: [fuse] } })(own) : null;
    }),
  );
  const oneSizeUp = gauge.oneSizeUp ?? practice.oneSizeUp;
  const tryOf = (named: ConductorSize | null | undefined): Tried | undefined =>
    named ? tries[sizes.findIndex(({ size }) => sameSize(size, named))]?.() : undefined;
  function proposed(): Tried {
    const smallest = found();
    const from = smallest ? tried().indexOf(smallest) + (oneSizeUp ? 1 : 0) : Infinity;
    return tried()[Math.min(from, tries.length - 1)] as Tried;
  }
  const said = tryOf(gauge.size);
  const { candidate: taken, limits } = said ?? tryOf(around.fed?.size) ?? proposed();
  const schools = once(() => schoolAnswers(candidates(), practice));
  return {
    get candidates() {
      return candidates();
    },
    get smallest() {
      return found()?.candidate ?? null;
    },
    taken,
    findings: [...limits.map(({ write }) => write()), ...runLimits(taken.at, context, kind, practice)],
    isProposed: said === undefined,
    fuseToCome: fuseToCome(context, taken.at, practice),
    oneSizeUp,
    get schools() {
      return schools();
    },
  };
}

/** The candidate `steps` sizes thicker, or the last one there is. */
export function stepped(candidates: readonly Candidate[], from: Candidate, steps: number): Candidate {
  const index = candidates.indexOf(from) + steps;
  return candidates[Math.min(Math.max(index, 0), candidates.length - 1)] ?? from;
}

function schoolAnswers(candidates: readonly Candidate[], practice: HousePractice): SchoolAnswer[] {
  // What no size can deliver is asked of the thickest.
  const asked = candidates.find(({ at }) => at.currentA !== null) ?? candidates.at(-1);
  if (!asked) return [];
  const smallestWhere = (accepts: (at: Assessment) => boolean) =>
    candidates.find(({ at }) => accepts(at)) ?? null;
  const carries = (at: Assessment, school: 'inch' | 'metric' | 'heat') =>
    at.currentA !== null && countedAmps(at) <= (allowedBy(at, school) ?? 0);
  const accepted: Readonly<Record<School, Candidate | null>> = {
    quick: smallestWhere((at) => at.currentA !== null && at.copperMm2 * at.parallel >= at.quickMm2),
    inch: smallestWhere((at) => carries(at, 'inch')),
    metric: smallestWhere((at) => carries(at, 'metric')),
    heat: smallestWhere((at) => carries(at, 'heat')),
  };
  return (Object.keys(accepted) as School[]).map((school) => {
    const candidate = accepted[school];
    const { at: assessed } = candidate ?? asked;
    return {
      school,
      switchedOn: practice.schools[school],
      asks:
        school === 'quick'
          ? { value: assessed.quickMm2, unit: 'mm²' }
          : {
              value: countedAmps(assessed) / assessed.placing / assessed.kept / assessed.parallel,
              unit: 'A',
            },
      candidate,
    };
  });
}
