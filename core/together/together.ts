import { cableMassPerMetre } from '../conductor/geometry.ts';
import { groupKey } from '../cutting/pieces.ts';
import type { Solve } from '../cutting/cutModel.ts';
import type { Job } from '../model/job.ts';
import type { CableSize, Shop } from '../model/shop.ts';
import { type Sizing, USUAL_SIZING } from '../model/system.ts';
import { areaMm2, type ConductorSize, sameSize } from '../model/tables/size.ts';
import type { FollowDuty } from '../sizing/assess.ts';
import { rememberDuty } from '../sizing/rememberDuty.ts';
import type { Conductor } from '../system/installation.ts';
import { withPlaces } from '../system/places.ts';
import { guardKey } from '../system/protection.ts';
import type { SystemView } from '../system/view.ts';
import { systemWork, type SystemWork } from '../systemWork.ts';
import { type Message, msg } from '../words/message.ts';
import { allowedAsItIs, type Choices, choicesOf, isBegun, type Stays, staysIn } from './choices.ts';
import { type FuseProposal, fusesFor, withFuses } from './fuses.ts';
import {
  type Choice,
  eachAlone,
  isInfeasible,
  keepsAll,
  leastSizes,
  lostOn,
  type Sizable,
  type SizesProblem,
} from './leastSizes.ts';
import { lossesAs, pathId, pathLimits, type SizeLoss } from './ways.ts';

/** What a choice of all sizes comes to. */
export interface Totals {
  /** Copper by its length, mm²·m, and the weight of all cables, kg. */
  readonly copperMm2M: number;
  readonly massKg: number;
  /** The cable alone, by its price a metre. */
  readonly price: number;
  /** In the state in which most is lost, W, and in a year by the hours of each state, kWh. */
  readonly lostW: number;
  readonly lostIn: string | null;
  readonly kWhPerYear: number;
  /** In the measure that is to be least. */
  readonly cost: number;
  /** The most that a load uses up of what it is allowed: 1 is all of it. */
  readonly use: number;
}

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

/** What stands in the way, in the terms of the installation. */
export interface InTheWay {
  /** States in which the loads cannot run together even with the thickest. */
  readonly collapsed: readonly string[];
  readonly cables: readonly { readonly cableId: string; readonly because: Message }[];
  readonly loads: readonly {
    readonly loadId: string;
    readonly stateId: string;
    readonly allowedPercent: number;
    readonly neededPercent: number;
  }[];
  /** All drops could be kept, but not with so few sizes: those that stay alone are this many. */
  readonly isByRule: boolean;
  readonly sizesThatStay: number;
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
  /** How often currents and temperatures were found anew, and whether nothing changed any more. */
  readonly rounds: number;
  readonly isStill: boolean;
  /** Whether each by itself keeps every limit. */
  readonly isAloneEnough: boolean;
  readonly fuses: readonly FuseProposal[];
  /** Cables that carry the same current and cannot have the same size. */
  readonly unlike: readonly string[];
  readonly inTheWay: InTheWay | null;
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

/** Rounds in which currents and temperatures are found anew; they are still after two or three. */
const MOST_ROUNDS = 8;

const sizeKey = ({ system, name }: ConductorSize) => `${system} ${name}`;
const metresOf = ({ cable: { run, gauge } }: Conductor): number =>
  ((run.lengthMm + run.loopMm) / 1000) * (gauge.parallel ?? 1);
const hoursOf = (view: SystemView, stateId: string): number => view.stateOf(stateId)?.hoursPerYear ?? 0;

/** What one size of one cable weighs, costs and loses. */
interface Priced {
  readonly copperMm2M: number;
  readonly massKg: number;
  readonly price: number;
  readonly kWhPerYear: number;
}
function priced(view: SystemView, conductor: Conductor, cableSize: CableSize, loss: SizeLoss): Priced {
  const metres = metresOf(conductor);
  const copperMm2 = areaMm2(cableSize.size);
  return {
    copperMm2M: copperMm2 * metres,
    massKg: cableMassPerMetre(copperMm2, cableSize.outerMm) * metres,
    price: cableSize.pricePerM * metres,
    kWhPerYear: view.solved.states.reduce(
      (sum, { stateId }, i) => sum + (hoursOf(view, stateId) * (loss.watts[i] ?? 0)) / 1000,
      0,
    ),
  };
}

/** Of two that cost the same the one with less copper. */
const TIE = 1e-7;
function costOf({ least, years, pricePerKwh }: Sizing, own: Priced): number {
  const { copperMm2M, massKg, price, kWhPerYear } = own;
  const measures = {
    copper: copperMm2M,
    weight: massKg,
    money: price,
    years: price + years * pricePerKwh * kWhPerYear,
  };
  return measures[least] + (least === 'copper' ? 0 : TIE * copperMm2M);
}

/** The question of one round, with what its numbers stand for. */
interface Question {
  readonly view: SystemView;
  readonly choices: readonly Choices[];
  readonly lossOf: (cableId: string, choice: number) => SizeLoss | undefined;
  /** Cables that should be alike and cannot. */
  readonly unlike: readonly string[];
  readonly problem: SizesProblem;
}

/**
 * Cables that carry the same current in every state, out and back of one circuit: those that may have a size in common. One
 * that stays is among them where the others may have its size.
 */
function alikeIn(
  view: SystemView,
  choices: readonly Choices[],
  keysOf: ReadonlyMap<string, readonly string[]>,
): { readonly groups: string[][]; readonly unlike: string[] } {
  const same = new Map<string, { readonly free: string[]; readonly fixed: string[] }>();
  choices.forEach(({ conductor, stays }, i) => {
    const amps = view.solved.states.map(({ cables }) => Math.abs(cables[i]?.amps ?? 0));
    if (!amps.some((one) => one > 1e-3)) return;
    const { cable, kind } = conductor;
    const key = [...amps.map((one) => one.toPrecision(4)), kind.id, cable.gauge.parallel ?? 1].join(' ');
    const group = same.get(key) ?? { free: [], fixed: [] };
    same.set(key, group);
    (stays ? group.fixed : group.free).push(cable.id);
  });
  const groups: string[][] = [];
  const unlike: string[] = [];
  for (const { free, fixed } of same.values()) {
    const common = (keysOf.get(free[0] ?? '') ?? []).filter((key) =>
      free.every((id) => keysOf.get(id)?.includes(key)),
    );
    const [kept, ...others] = fixed;
    const isOneSize = others.every((id) => keysOf.get(id)?.[0] === keysOf.get(kept ?? '')?.[0]);
    const isFitting = kept !== undefined && isOneSize && common.includes(keysOf.get(kept)?.[0] ?? '');
    if (free.length === 0) continue;
    if (common.length === 0 || (kept !== undefined && !isFitting)) unlike.push(...free);
    const group = isFitting ? [kept, ...free] : free;
    if (common.length > 0 && group.length > 1) groups.push(group);
  }
  return { groups, unlike };
}

/** Metres on the shelf by kind, size and colour. */
const shelfOf = ({ spools }: Shop): ReadonlyMap<string, number> => {
  const metres = new Map<string, number>();
  for (const { kindId, size, colour, lengthMm } of spools) {
    const key = groupKey(kindId, size, colour);
    metres.set(key, (metres.get(key) ?? 0) + lengthMm / 1000);
  }
  return metres;
};

function questionOf(work: SystemWork, { shop, sizing, stays: staying, followDuty }: Needed): Question {
  const { view } = work;
  const choices = view.installation.conductors.map((own) =>
    choicesOf(own, work, shop, sizing, staying.get(own.cable.id) ?? null, followDuty),
  );
  const losses = new Map(
    choices.map(({ conductor, sizes }) => [
      conductor.cable.id,
      sizes.map((size) => lossesAs(view, conductor, size)),
    ]),
  );
  const byId = new Map(choices.map((own) => [own.conductor.cable.id, own]));
  const lossOf = (id: string, choice: number) => losses.get(id)?.[choice];
  const cables = choices.map(({ conductor, sizes, stays }): Sizable => {
    const { cable, kind } = conductor;
    return {
      id: cable.id,
      metres: metresOf(conductor),
      isFixed: stays !== null,
      choices: sizes.map((cableSize, s): Choice => {
        const loss = lossOf(cable.id, s) ?? { ohm: [], watts: [] };
        return {
          key: `${kind.id} ${sizeKey(cableSize.size)}`,
          spool: groupKey(kind.id, cableSize.size, cable.jacket),
          cost: costOf(sizing, priced(view, conductor, cableSize, loss)),
        };
      }),
    };
  });
  const keysOf = new Map(cables.map((one) => [one.id, one.choices.map(({ key }) => key)]));
  const alike = sizing.alike ? alikeIn(view, choices, keysOf) : { groups: [], unlike: [] };
  return {
    view,
    choices,
    lossOf,
    unlike: alike.unlike,
    problem: {
      cables,
      paths: pathLimits(view, (id) => byId.get(id)?.sizes ?? [], lossOf, sizing.dropPercent / 100),
      ...(sizing.alike && { alike: alike.groups }),
      ...(sizing.mostSizes !== undefined && { mostSizes: sizing.mostSizes }),
      ...(sizing.shelf && { shelf: shelfOf(shop) }),
    },
  };
}

/** What all sizes come to together, with the currents as they are. */
function totalsOf(
  { view, problem }: Question,
  sizing: Sizing,
  sizeOf: (conductor: Conductor) => CableSize,
): Totals {
  const each = view.installation.conductors.map((conductor) => {
    const size = sizeOf(conductor);
    const loss = lossesAs(view, conductor, size);
    return { id: conductor.cable.id, loss, own: priced(view, conductor, size, loss) };
  });
  const sum = (of: (own: Priced) => number) => each.reduce((total, { own }) => total + of(own), 0);
  const lost = view.solved.states.map(({ stateId }, i) => ({
    stateId,
    watts: each.reduce((total, { loss }) => total + (loss.watts[i] ?? 0), 0),
  }));
  const most = lost.reduce((a, b) => (b.watts > a.watts ? b : a), { stateId: '', watts: 0 });
  const ohms = new Map(each.map(({ id, loss }) => [id, loss]));
  const stateIndex = new Map(view.solved.states.map(({ stateId }, i) => [stateId, i]));
  const uses = view.drops.flatMap((drop) => {
    const path = problem.paths.find(({ id }) => id === pathId(drop));
    const state = stateIndex.get(drop.stateId) ?? -1;
    if (!path || path.mostV <= 0) return [];
    const lostV = drop.shares.reduce((total, { of, volts, amps }) => {
      const ohm = of.kind === 'cable' ? ohms.get(of.id)?.ohm[state] : undefined;
      return total + (ohm === undefined ? volts : Math.sign(volts) * amps * ohm);
    }, 0);
    return [(lostV / path.mostV) * (sizing.dropPercent / 100)];
  });
  return {
    copperMm2M: sum(({ copperMm2M }) => copperMm2M),
    massKg: sum(({ massKg }) => massKg),
    price: sum(({ price }) => price),
    lostW: most.watts,
    lostIn: most.stateId === '' ? null : most.stateId,
    kWhPerYear: sum(({ kWhPerYear }) => kWhPerYear),
    cost: sum((own) => costOf(sizing, own)),
    use: Math.max(0, ...uses),
  };
}

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

/** What decides the size that a cable gets. */
function becauseOf(
  { view, choices, problem }: Question,
  id: string,
  chosen: ReadonlyMap<string, number>,
): Message {
  const its = choices.find(({ conductor }) => conductor.cable.id === id);
  const place = chosen.get(id) ?? 0;
  if (!its) return '';
  if (its.stays === 'begun') return msg`begun: its size stays`;
  if (its.stays === 'by hand') return msg`chosen by hand: its size stays`;
  if (place === 0 && its.thinnerFails !== null) return its.thinnerFails;
  if (place === 0) return msg`the thinnest of its kind`;
  const thinner = new Map([...chosen, [id, place - 1]]);
  const over = problem.paths
    .filter((path) => path.cables.some((one) => one.id === id))
    .map((path) => ({ path, over: lostOn(path, thinner) / Math.max(1e-9, path.mostV) }))
    .toSorted((a, b) => b.over - a.over)[0];
  const drop = over && over.over > 1 && view.drops.find((one) => pathId(one) === over.path.id);
  const load = drop ? view.placeOf(drop.loadId)?.name : undefined;
  return load === undefined ? msg`by what is asked of all together` : msg`by the voltage drop of ${load}`;
}

interface Needed {
  readonly shop: Shop;
  readonly sizing: Sizing;
  /** Of the cables whose sizes are not chosen, why. */
  readonly stays: ReadonlyMap<string, Stays>;
  readonly followDuty: FollowDuty;
}

const collapsedIn = ({ solved }: SystemView): string[] =>
  solved.states.flatMap(({ stateId, collapse }) => (collapse ? [stateId] : []));

/** What stands in the way, in the installation's own terms. */
function inTheWayOf(
  { view, choices, problem }: Question,
  {
    without,
    over,
    isByRule,
  }: { without: readonly string[]; over: readonly { path: string; neededV: number }[]; isByRule: boolean },
): InTheWay {
  return {
    isByRule,
    sizesThatStay: new Set(
      problem.cables.flatMap(({ isFixed, choices: its }) => (isFixed ? [its[0]?.key] : [])),
    ).size,
    collapsed: collapsedIn(view),
    cables: without.map((cableId) => ({
      cableId,
      because: choices.find(({ conductor }) => conductor.cable.id === cableId)?.allFail ?? '',
    })),
    loads: over.flatMap(({ path, neededV }) => {
      const drop = view.drops.find((one) => pathId(one) === path);
      const load = drop && view.placeOf(drop.loadId);
      const state = drop && view.stateOf(drop.stateId);
      const limit = problem.paths.find(({ id }) => id === path);
      if (load?.kind !== 'load' || !state || !limit) return [];
      return [
        {
          loadId: load.id,
          stateId: state.id,
          allowedPercent: (100 * limit.mostV) / drop.nominalV,
          neededPercent: (100 * neededV) / drop.nominalV,
        },
      ];
    }),
  };
}

/** Sizes that keep every limit with the currents that they themselves make. */
interface Kept {
  readonly question: Question;
  readonly chosen: ReadonlyMap<string, number>;
  readonly fuses: readonly FuseProposal[];
  readonly cost: number;
}

/** The sizes that a solved installation has, as places in the lists of choices; null where one of them may not be used. */
function presentIn({ view, choices, problem }: Question): ReadonlyMap<string, number> | null {
  if (collapsedIn(view).length > 0) return null;
  const present = new Map<string, number>();
  for (const { conductor, sizes } of choices) {
    const place = sizes.findIndex(({ size }) => sameSize(size, conductor.size.size));
    if (place < 0) return null;
    present.set(conductor.cable.id, place);
  }
  return keepsAll(problem, present) ? present : null;
}

/** The thickest size that each cable may get. */
const thickestOf = ({ choices }: Question): ReadonlyMap<string, ConductorSize> =>
  new Map(
    choices.flatMap(({ conductor, stays, sizes }) => {
      const thickest = sizes.at(-1);
      return stays || !thickest ? [] : [[conductor.cable.id, thickest.size] as const];
    }),
  );

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
 * temperatures are then found anew, and so on until nothing changes.
 *
 * @returns null where the solver found nothing in time
 */
// eslint-disable-next-line max-lines-per-function -- the rounds, and what came of them
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
  let sizes: ReadonlyMap<string, ConductorSize> = new Map();
  let fuses: FuseProposal[] = [];
  const solved = () => systemWork(withFuses(withSizes(placed, free, sizes), fuses), shop, followDuty);
  let work = solved();
  let best: Kept | null = null;
  let last: { question: Question; bound: number; isProved: boolean } | null = null;
  let failed: { question: Question; inTheWay: InTheWay } | null = null;
  const seen = new Set<string>();
  let [rounds, isStill, isFromThickest] = [0, false, false];
  while (rounds < MOST_ROUNDS && !isStill) {
    rounds += 1;
    onRound?.(rounds);
    if (sizing.fuses) {
      const next = fusesFor(work.view, shop.practice, allowedA);
      if (next.length > 0) {
        fuses = merged(fuses, next);
        work = solved();
      }
    }
    const question = questionOf(work, needed);
    const present = presentIn(question);
    const costs = (chosen: ReadonlyMap<string, number>) =>
      question.problem.cables.reduce(
        (sum, { id, choices }) => sum + (choices[chosen.get(id) ?? 0]?.cost ?? 0),
        0,
      );
    if (present && (!best || costs(present) < best.cost))
      best = { question, chosen: present, fuses, cost: costs(present) };
    const collapsed = collapsedIn(work.view);
    const answer =
      collapsed.length > 0
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
    isStill = question.choices.every(
      ({ conductor, stays, sizes: list }) =>
        stays !== null ||
        sameSize(
          list[answer.chosen.get(conductor.cable.id) ?? -1]?.size ?? conductor.size.size,
          conductor.size.size,
        ),
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

// eslint-disable-next-line max-lines-per-function -- what came of the rounds, put beside what is and what is usual
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
  const rows = choices.map(({ conductor, stays, allFail }): SizeRow => {
    const { id } = conductor.cable;
    return {
      cableId: id,
      stays,
      now: (nowOf.get(id) ?? conductor.size).size,
      isChosen: placed.cables.some((own) => own.id === id && own.gauge.size !== undefined),
      alone: chosenSize(byId.get(id), alone.get(id))?.size ?? null,
      together: best ? (chosenSize(byId.get(id), best.chosen.get(id))?.size ?? null) : null,
      because: best ? becauseOf(question, id, best.chosen) : (allFail ?? ''),
    };
  });
  const isLeast = isStill && last !== null && last.isProved;
  const fuses = (best?.fuses ?? []).filter(({ guard, ratingA, kind, nowA }) => {
    const before =
      guard.kind === 'inline' ? guard.fuse.kind : guard.place.kind === 'fuse' ? guard.place.fuse : kind;
    return ratingA !== nowA || kind !== before;
  });
  const together: Together = {
    sizing,
    outcome: best ? (isLeast ? 'least' : 'found') : 'none',
    rows,
    now: totalsOf(question, sizing, ({ cable, size }) => nowOf.get(cable.id) ?? size),
    alone: totalsOf(question, sizing, sizeIn(alone)),
    together: best ? totalsOf(question, sizing, sizeIn(best.chosen)) : null,
    bound: last?.bound ?? 0,
    rounds,
    isStill,
    isAloneEnough: keepsAll(problem, alone),
    fuses,
    unlike: question.unlike,
    inTheWay: best ? null : (failed?.inTheWay ?? null),
  };
  const sizes = new Map(rows.flatMap(({ cableId, together: own }) => (own ? [[cableId, own] as const] : [])));
  return {
    together,
    job: best ? withFuses(withSizes(placed, free, sizes), fuses) : placed,
    tradeAt: (dropPercent) => {
      const eased = { ...sizing, dropPercent };
      const paths = pathLimits(
        question.view,
        (id) => byId.get(id)?.sizes ?? [],
        question.lossOf,
        dropPercent / 100,
      );
      const asked: Question = { ...question, problem: { ...problem, paths } };
      const answer = leastSizes(asked.problem, solve, 3);
      return {
        dropPercent,
        totals: answer && !isInfeasible(answer) ? totalsOf(asked, eased, sizeIn(answer.chosen)) : null,
      };
    },
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
