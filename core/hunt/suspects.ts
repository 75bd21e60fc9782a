import { remember } from '../lib/remember.ts';
import { CHAIN_PIECES } from '../model/tables/chainPieces.ts';
import type { HousePractice } from '../model/housePractice.ts';
import type { Hunt } from '../model/hunt.ts';
import { type Belief, beliefOf } from './belief.ts';
import { type Contradiction, type Known, knownOf } from './known.ts';
import { mostTelling, type NextProbe, probeAcross } from './nextProbe.ts';
import { GUILTY_TIMES, LEAST_MILLIVOLT } from './prior.ts';
import type { Suspect } from './suspect.ts';
import { type HuntVerdict, verdictOf } from './verdict.ts';

/** What a hunt has found. */
export interface HuntFound {
  /** Every piece, in the order of the chain, with what it takes. */
  readonly pieces: readonly Suspect[];
  /** Those that take too much, or may by what was read over them, the worst first. */
  readonly suspects: readonly Suspect[];
  /** Those of them that are at fault with the certainty required, read by themselves. */
  readonly named: readonly Suspect[];
  readonly contradictions: readonly Contradiction[];
  /** Sum of what is known of the chain, mΩ; null while part of it is not known at all. */
  readonly totalMilliohm: number | null;
  readonly shouldMilliohm: number;
  /** How likely the likeliest explanation is: these pieces are at fault and no other. */
  readonly certainty: number;
  readonly next: NextProbe | null;
  /** All that are no suspects, together; their resistance is null while one of them is not known. */
  readonly others: {
    readonly count: number;
    readonly milliohm: number | null;
    readonly shouldMilliohm: number;
    readonly wastedW: number;
  };
  /** Watts that every suspect wastes together. */
  readonly wastedW: number;
  readonly verdict: HuntVerdict;
}

/** A piece is named, and a circuit called sound, from this certainty on, %, where a shop does not say. */
export const USUAL_CERTAIN_PERCENT = 95;
const CERTAIN = USUAL_CERTAIN_PERCENT / 100;

/** From which certainty on a shop names a piece. @example certainOf({ certainPercent: 99, … }) // 0.99 */
export const certainOf = ({ certainPercent }: Pick<HousePractice, 'certainPercent'>): number =>
  (certainPercent ?? USUAL_CERTAIN_PERCENT) / 100;
/** A piece that is not read by itself and less likely than this is no suspect. */
const SUSPECT = 0.02;
/** Amps that thresholds are counted at until some are read. */
const USUAL_AMPS = 100;

const sum = (values: readonly number[]) => values.reduce((all, own) => all + own, 0);

/** Amps that waste is counted at: those of the loaded voltages, else the most that flowed. */
export const huntAmps = ({ loaded, spans }: Hunt): number =>
  loaded.amps ?? Math.max(0, ...spans.map(({ amps }) => amps));

/**
 * Finds where the volts go: what each piece takes against what it should, which are at fault and how sure that is, what
 * cannot be told yet, and where to probe next.
 *
 * @param certain from which certainty on a piece is named, and a circuit called sound
 * @example huntFound(hunt).suspects[0] // the return stud at the hull side, 4.03 mΩ too much, 58 W
 */
export const huntFound = (hunt: Hunt, certain = CERTAIN): HuntFound =>
  remembered([hunt], String(certain), () => lookedInto(hunt, certain));
const remembered = remember<HuntFound>();

function lookedInto(hunt: Hunt, certain: number): HuntFound {
  const { pieces } = hunt;
  const amps = huntAmps(hunt);
  const counted = amps > 0 ? amps : USUAL_AMPS;
  const { known, contradictions } = knownOf(hunt);
  const belief = beliefOf(hunt, counted);
  const all = suspectsOf(hunt, known, belief, amps);
  const isGuilty = ({ excessMilliohm, shouldMilliohm }: Suspect) =>
    excessMilliohm > (GUILTY_TIMES - 1) * shouldMilliohm && excessMilliohm * counted > LEAST_MILLIVOLT;
  const suspects = all
    .filter((own) =>
      own.milliohm === null ? isGuilty(own) && own.probability >= SUSPECT : own.probability >= 0.5,
    )
    .sort((a, b) => b.excessMilliohm - a.excessMilliohm);
  const named = suspects.filter(({ probability, milliohm }) => milliohm !== null && probability >= certain);
  const isKnown = pieces.every((_, i) => known.some(({ places }) => places.includes(i)));
  const [likeliest] = belief.explanations;
  const isTold =
    likeliest !== undefined &&
    likeliest.probability >= certain &&
    likeliest.places.every((place) => all[place]?.milliohm !== null);
  const next = isTold ? null : nextProbe(hunt, all, belief, counted, certain);
  const wastedW = sum(suspects.map((own) => own.wastedW));
  return {
    pieces: all,
    suspects,
    named,
    contradictions,
    totalMilliohm: isKnown ? totalOf(known, pieces.length) : null,
    shouldMilliohm: sum(all.map((own) => own.shouldMilliohm)),
    certainty: likeliest?.probability ?? 1,
    next,
    others: othersOf(all, suspects),
    wastedW,
    verdict: verdictOf(hunt, { pieces: all, named, contradictions, known, isTold, next, wastedW, certain }),
  };
}

/** Every piece with what is known of it. */
function suspectsOf(hunt: Hunt, known: readonly Known[], belief: Belief, amps: number): Suspect[] {
  return hunt.pieces.map((piece, place): Suspect => {
    const [narrowest] = known
      .filter(({ places }) => places.includes(place))
      .toSorted((a, b) => a.places.length - b.places.length);
    const milliohm = narrowest?.places.length === 1 ? narrowest.milliohm : null;
    const shouldMilliohm = belief.priors[place]?.shouldMilliohm ?? 0;
    const excess = narrowest ? (milliohm ?? belief.milliohm[place] ?? 0) - shouldMilliohm : 0;
    const excessMilliohm = milliohm === null ? Math.max(0, excess) : excess;
    const bound = belief.most[place] ?? null;
    return {
      piece,
      place,
      milliohm,
      shouldMilliohm,
      excessMilliohm,
      mostMilliohm: bound === null ? null : bound - shouldMilliohm,
      among: narrowest?.places ?? [],
      probability: belief.faulty[place] ?? 0,
      wastedW: (Math.max(0, excessMilliohm) / 1000) * amps ** 2,
      cause: CHAIN_PIECES[piece.kind].cause,
    };
  });
}

/**
 * Where to probe next. What is as good as found is read across itself before it is named; else the reading that tells
 * most; else, where none tells anything, the likeliest piece that was not read by itself.
 */
function nextProbe(
  hunt: Hunt,
  all: readonly Suspect[],
  belief: Belief,
  amps: number,
  certain: number,
): NextProbe | null {
  const unread = all
    .filter(({ piece }) => !hunt.spans.some(({ first, last }) => first === piece.id && last === piece.id))
    .toSorted((a, b) => b.probability - a.probability);
  const [likeliest] = unread.filter(({ milliohm }) => milliohm === null);
  const across = ({ place }: Suspect) => probeAcross(hunt, { from: place, to: place });
  if (likeliest && likeliest.probability >= certain) return across(likeliest);
  const telling = mostTelling(hunt, belief, amps);
  if (telling) return telling;
  const [open] = unread.filter(({ probability }) => probability > 1 - certain);
  return open ? across(open) : null;
}

function othersOf(all: readonly Suspect[], suspects: readonly Suspect[]): HuntFound['others'] {
  const others = all.filter((own) => !suspects.includes(own));
  const read = others.flatMap(({ milliohm }) => milliohm ?? []);
  return {
    count: others.length,
    milliohm: read.length === others.length ? sum(read) : null,
    shouldMilliohm: sum(others.map(({ shouldMilliohm }) => shouldMilliohm)),
    wastedW: sum(others.map(({ wastedW }) => wastedW)),
  };
}

/** The whole chain from stretches that do not overlap; null where only overlapping ones cover it. */
export function totalOf(known: readonly Known[], count: number): number | null {
  const taken = new Set<number>();
  let total = 0;
  for (const { places, milliohm } of known) {
    if (places.some((place) => taken.has(place))) continue;
    places.forEach((place) => taken.add(place));
    total += milliohm;
  }
  return taken.size === count ? total : null;
}
