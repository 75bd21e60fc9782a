import type { Solve } from '../cutting/cutModel.ts';
import type { Job } from '../model/job.ts';
import type { CableSize, Shop } from '../model/shop.ts';
import { type Sizing, USUAL_SIZING } from '../model/system.ts';
import { type ConductorSize, sameSize } from '../model/tables/size.ts';
import type { FollowDuty } from '../sizing/assess.ts';
import { rememberDuty } from '../sizing/rememberDuty.ts';
import type { Conductor } from '../system/installation.ts';
import { withPlaces } from '../system/places.ts';
import { guardKey, guardKind } from '../system/protection.ts';
import { systemWork, type SystemWork } from '../systemWork.ts';
import type { Message } from '../words/message.ts';
import { becauseOf, type InTheWay, inTheWayOf } from './because.ts';
import { allowedAsItIs, type Choices, isBegun, type Stays, staysIn, typedDraw } from './choices.ts';
import { type FuseProposal, fusesFor, withFuses } from './fuses.ts';
import {
  costIn,
  eachAlone,
  isInfeasible,
  keepsAll,
  leastSizes,
  lightest,
  type PathLimit,
  type SizesProblem,
} from './leastSizes.ts';
import { collapsedIn, type Needed, presentIn, type Question, questionOf, thickestOf } from './question.ts';
import { type Totals, totalsOf } from './totals.ts';
import { pathLimits } from './ways.ts';

/** One cable in the three ways of sizing it. */
export interface SizeRow {
  readonly cableId: string;
  readonly stays: Stays | null;
  /** As the job has it, or as it would be proposed. */
  readonly now: ConductorSize;
  readonly isChosen: boolean;
  /** By its share of the length on its way; null where it may get no size. */
  readonly alone: ConductorSize | null;
  readonly together: ConductorSize | null;
  /** What decides the size taken together. */
  readonly because: Message;
}

/** All sizes chosen at once, beside each by itself and what the job has. */
export interface Together {
  readonly sizing: Sizing;
  /** Proved least; the best found where the solver or the rounds came to their end; or nothing that keeps the limits. */
  readonly outcome: 'least' | 'found' | 'none';
  readonly rows: readonly SizeRow[];
  readonly now: Totals;
  readonly alone: Totals;
  /** Null where nothing keeps the limits. */
  readonly together: Totals | null;
  /** Nothing that keeps the limits costs less than this, for the currents it stands on. */
  readonly bound: number;
  /** How often currents and temperatures were found again, and whether nothing changed any more. */
  readonly rounds: number;
  readonly isStill: boolean;
  /** Whether each by itself keeps every limit. */
  readonly isAloneEnough: boolean;
  readonly fuses: readonly FuseProposal[];
  /** Cables that carry the same current and cannot have the same size. */
  readonly unlike: readonly string[];
  readonly inTheWay: InTheWay | null;
  /** What it takes to stay under the weight that was set; null where none was. */
  readonly weight: WeightLimit | null;
}

/** A limit to the weight of all cables, and what it costs to meet it. */
export interface WeightLimit {
  readonly mostKg: number;
  /** What would be chosen were there no such limit; null where nothing keeps the rest either. */
  readonly without: Totals | null;
  /** The least weight that keeps all else, kg. */
  readonly leastKg: number | null;
  /** Where that is too heavy: of the drop allowed, percent, from where on it can be met; null where nowhere. */
  readonly metAtDropPercent: number | null;
}

/** A job and its shop, and how they are asked. */
export interface Asking {
  readonly job: Job;
  readonly shop: Shop;
  readonly sizing?: Sizing;
  readonly solve: Solve;
  readonly followDuty?: FollowDuty;
  /** For each question that the solver is asked. */
  readonly seconds?: number;
  /** Told before each round, from 1. */
  readonly onRound?: (round: number) => void;
}

/** One point of the trade: what it costs to lose no more than so much of what is allowed. */
export interface TradePoint {
  /** Of what is allowed, percent; null where nothing keeps to it. */
  readonly dropPercent: number;
  readonly totals: Totals | null;
}

/** Up to here loads are allowed more to bring the weight down, percent, and how closely it is found. */
const MOST_DROP_PERCENT = 300;
const DROP_STEP_PERCENT = 2;

/** Rounds in which currents and temperatures are found again; they are still after two or three. */
const MOST_ROUNDS = 8;

const chosenSize = (choices: Choices | undefined, place: number | undefined): CableSize | undefined =>
  choices?.sizes[place ?? -1];

/** The sizes of a job taken away where they are to be chosen, or put where they were chosen. */
function withSizes(job: Job, free: ReadonlySet<string>, sizes: ReadonlyMap<string, ConductorSize>): Job {
  return {
    ...job,
    cables: job.cables.map((cable) => {
      if (!free.has(cable.id)) return cable;
      const { size: _, ...gauge } = cable.gauge;
      const size = sizes.get(cable.id);
      return { ...cable, gauge: size ? { ...gauge, size } : gauge };
    }),
  };
}

/** Fuses as they were first, with the ratings found last. */
function merged(before: readonly FuseProposal[], next: readonly FuseProposal[]): FuseProposal[] {
  const byKey = new Map(before.map((own) => [guardKey(own.guard), own]));
  for (const own of next) {
    const known = byKey.get(guardKey(own.guard));
    byKey.set(guardKey(own.guard), known ? { ...known, ratingA: own.ratingA, kind: own.kind } : own);
  }
  return [...byKey.values()];
}

/** Sizes that keep every limit with the currents that they themselves make. */
interface Kept {
  readonly question: Question;
  readonly chosen: ReadonlyMap<string, number>;
  readonly fuses: readonly FuseProposal[];
  readonly cost: number;
}

/** All that was worked out, and a way to ask for other points of the trade. */
export interface Worked {
  readonly together: Together;
  /** What it costs to lose no more than so much of what is allowed, percent, for the currents it stands on. */
  readonly tradeAt: (dropPercent: number) => TradePoint;
  /** The job as it would be with everything taken. */
  readonly job: Job;
}

/**
 * Chooses the sizes of all cables of an installation at once: what costs least of all that keeps every load's drop in
 * every state and every cable's heat, fuse and short. A mixed-integer program for the currents as they are; currents and
 * temperatures are then found again, and so on until nothing changes.
 *
 * @returns null where the solver found nothing in time
 */
// oxlint-disable-next-line max-lines-per-function -- the rounds, and what came of them
export function chooseTogether(asking: Asking): Worked | null {
  const { shop, solve, seconds = 20, onRound } = asking;
  const placed = withPlaces(asking.job);
  const sizing = asking.sizing ?? placed.system?.sizing ?? USUAL_SIZING;
  const followDuty = asking.followDuty ?? rememberDuty();
  const first = systemWork(placed, shop, followDuty);
  const { conductors } = first.view.installation;
  const stays = new Map(
    conductors.flatMap((own) => {
      const why = staysIn(own, sizing);
      return why ? [[own.cable.id, why] as const] : [];
    }),
  );
  const free = new Set(conductors.flatMap(({ cable }) => (stays.has(cable.id) ? [] : [cable.id])));
  const needed: Needed = { shop, sizing, stays, followDuty };
  const allowedA = new Map(
    conductors.flatMap((own) =>
      sizing.fuses && stays.has(own.cable.id)
        ? [[own.cable.id, allowedAsItIs(own, first, shop, followDuty)] as const]
        : [],
    ),
  );
  const typed = new Map(
    conductors.flatMap((own) => {
      const draw = sizing.fuses ? typedDraw(own, first, shop, followDuty) : null;
      return draw ? [[own.cable.id, draw] as const] : [];
    }),
  );
  let sizes: ReadonlyMap<string, ConductorSize> = new Map();
  let fuses: FuseProposal[] = [];
  const solved = () => systemWork(withFuses(withSizes(placed, free, sizes), fuses), shop, followDuty);
  let work = solved();
  let best: Kept | null = null;
  let last: Rounds['last'] = null;
  let failed: Rounds['failed'] = null;
  const seen = new Set<string>();
  let [rounds, isStill, isFromThickest] = [0, false, false];
  while (rounds < MOST_ROUNDS && !isStill) {
    rounds += 1;
    onRound?.(rounds);
    if (sizing.fuses) {
      const next = fusesFor(work.view, shop.practice, allowedA, typed);
      if (next.length > 0) {
        fuses = merged(fuses, next);
        work = solved();
      }
    }
    const question = questionOf(work, needed);
    const present = presentIn(question);
    const cost = present ? costIn(question.problem, present) : Number.POSITIVE_INFINITY;
    if (present && (!best || cost < best.cost)) best = { question, chosen: present, fuses, cost };
    const answer =
      collapsedIn(work.view).length > 0
        ? { without: [], over: [], isByRule: false }
        : leastSizes(question.problem, solve, seconds);
    if (!answer) break;
    if (isInfeasible(answer)) {
      failed = { question, inTheWay: inTheWayOf(question, answer) };
      if (best || isFromThickest || answer.isByRule || answer.without.length > 0) break;
      // Thin cables may draw more than they carry: what cannot be then may be from the thickest on.
      isFromThickest = true;
      sizes = thickestOf(question);
      work = solved();
      continue;
    }
    last = { question, bound: answer.bound, isProved: answer.isProved };
    const next = new Map(
      question.choices.flatMap(({ conductor, stays, sizes: list }) => {
        const size = list[answer.chosen.get(conductor.cable.id) ?? -1];
        return stays || !size ? [] : [[conductor.cable.id, size.size] as const];
      }),
    );
    isStill = question.choices.every(({ conductor: { cable, size } }) =>
      sameSize(next.get(cable.id) ?? size.size, size.size),
    );
    if (isStill) {
      best = { question, chosen: answer.chosen, fuses, cost: answer.cost };
      break;
    }
    const key = JSON.stringify([...next, fuses.map(({ ratingA }) => ratingA)]);
    if (seen.has(key) && best) break;
    seen.add(key);
    sizes = next;
    work = solved();
  }
  return workedOut({ best, last, failed, first, rounds, isStill, needed, solve, placed, free });
}

interface Rounds {
  readonly best: Kept | null;
  readonly last: { readonly bound: number; readonly isProved: boolean; readonly question: Question } | null;
  readonly failed: { readonly question: Question; readonly inTheWay: InTheWay } | null;
  readonly first: SystemWork;
  readonly rounds: number;
  readonly isStill: boolean;
  readonly needed: Needed;
  readonly solve: Solve;
  readonly placed: Job;
  readonly free: ReadonlySet<string>;
}

// oxlint-disable-next-line max-lines-per-function -- what came of the rounds, put beside what is and what is usual
function workedOut(found: Rounds): Worked | null {
  const { best, last, failed, first, rounds, isStill, needed, solve, placed, free } = found;
  const { sizing } = needed;
  const question = best?.question ?? failed?.question ?? last?.question;
  if (!question) return null;
  const { problem, choices } = question;
  const byId = new Map(choices.map((own) => [own.conductor.cable.id, own]));
  const nowOf = new Map(first.view.installation.conductors.map(({ cable, size }) => [cable.id, size]));
  const sizeIn = (chosen: ReadonlyMap<string, number>) => (conductor: Conductor) =>
    chosenSize(byId.get(conductor.cable.id), chosen.get(conductor.cable.id)) ?? conductor.size;
  const alone = eachAlone(problem);
  const sized = new Set(placed.cables.flatMap(({ id, gauge }) => (gauge.size ? [id] : [])));
  const rows = choices.map(({ conductor, stays, allFail }): SizeRow => {
    const { id } = conductor.cable;
    return {
      cableId: id,
      stays,
      now: (nowOf.get(id) ?? conductor.size).size,
      isChosen: sized.has(id),
      alone: chosenSize(byId.get(id), alone.get(id))?.size ?? null,
      together: best ? (chosenSize(byId.get(id), best.chosen.get(id))?.size ?? null) : null,
      because: best ? becauseOf(question, id, best.chosen) : (allFail ?? ''),
    };
  });
  const isLeast = isStill && last !== null && last.isProved;
  const fuses = (best?.fuses ?? []).filter(
    ({ guard, ratingA, kind, nowA }) => ratingA !== nowA || kind !== guardKind(guard),
  );
  const totals = (sizeOf: (conductor: Conductor) => CableSize) =>
    totalsOf({ view: question.view, paths: problem.paths }, sizing, sizeOf);
  const pathsAt = (dropPercent: number) =>
    pathLimits(question.view, (id) => byId.get(id)?.sizes ?? [], dropPercent / 100);
  const together: Together = {
    sizing,
    outcome: best ? (isLeast ? 'least' : 'found') : 'none',
    rows,
    now: totals(({ cable, size }) => nowOf.get(cable.id) ?? size),
    alone: totals(sizeIn(alone)),
    together: best ? totals(sizeIn(best.chosen)) : null,
    bound: last?.bound ?? 0,
    rounds,
    isStill,
    isAloneEnough: keepsAll(problem, alone),
    fuses,
    unlike: question.unlike,
    inTheWay: best ? null : (failed?.inTheWay ?? null),
    weight: weightLimit(problem, pathsAt, sizing, solve, (chosen) => totals(sizeIn(chosen))),
  };
  const sizes = new Map(rows.flatMap(({ cableId, together: own }) => (own ? [[cableId, own] as const] : [])));
  return {
    together,
    job: best ? withFuses(withSizes(placed, free, sizes), fuses) : placed,
    tradeAt: (dropPercent) => {
      const eased = { ...sizing, dropPercent };
      const paths = pathsAt(dropPercent);
      const answer = leastSizes({ ...problem, paths }, solve, 3);
      return {
        dropPercent,
        totals:
          answer && !isInfeasible(answer)
            ? totalsOf({ view: question.view, paths }, eased, sizeIn(answer.chosen))
            : null,
      };
    },
  };
}

/** What a limit to the weight costs, for the currents it stands on; null where none is set. */
function weightLimit(
  problem: SizesProblem,
  pathsAt: (dropPercent: number) => readonly PathLimit[],
  { mostKg, dropPercent }: Sizing,
  solve: Solve,
  totals: (chosen: ReadonlyMap<string, number>) => Totals,
): WeightLimit | null {
  if (mostKg === undefined) return null;
  const { mostKg: _, ...unlimited } = problem;
  const asked = (one: SizesProblem) => {
    const answer = leastSizes(one, solve, 3);
    return answer && !isInfeasible(answer) ? answer : null;
  };
  const lightAt = (percent: number): number | null =>
    asked(lightest({ ...problem, paths: pathsAt(percent) }))?.cost ?? null;
  const isMet = (percent: number) => (lightAt(percent) ?? Number.POSITIVE_INFINITY) <= mostKg;
  const leastKg = lightAt(dropPercent);
  let [low, high] = [dropPercent, MOST_DROP_PERCENT];
  const isTooHeavy = leastKg === null || leastKg > mostKg;
  const canBeMet = isTooHeavy && isMet(high);
  while (canBeMet && high - low > DROP_STEP_PERCENT) {
    const middle = (low + high) / 2;
    if (isMet(middle)) high = middle;
    else low = middle;
  }
  const without = asked(unlimited);
  return {
    mostKg,
    without: without && totals(without.chosen),
    leastKg,
    metAtDropPercent: canBeMet ? Math.ceil(high) : null,
  };
}

/** A job with sizes and fuses put in, and marked as chosen together. */
export function takeTogether(
  job: Job,
  rows: readonly Pick<SizeRow, 'cableId' | 'together'>[],
  fuses: readonly FuseProposal[],
): Job {
  const sizes = new Map(
    rows.flatMap(({ cableId, together }) => (together ? [[cableId, together] as const] : [])),
  );
  const cables = job.cables.map((cable) => {
    const size = sizes.get(cable.id);
    if (!size || isBegun(cable)) return cable;
    return { ...cable, gauge: { ...cable.gauge, size, together: size } };
  });
  return withFuses({ ...job, cables }, fuses);
}
