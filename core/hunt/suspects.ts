import { CHAIN_PIECES } from '../catalogue/tables/chainPieces.ts';
import { expectedMilliohm, type Hunt, type Piece } from './chain.ts';
import { mostOf } from './bounds.ts';
import { type Contradiction, type Known, knownOf } from './known.ts';

/** A piece that may be the fault. */
export interface Suspect {
  readonly piece: Piece;
  readonly place: number;
  /** Of the piece itself; null where it is known only together with others. */
  readonly milliohm: number | null;
  readonly shouldMilliohm: number;
  /** What it takes too much, by the likelihood of its kind where it is not known by itself, mΩ. */
  readonly excessMilliohm: number;
  /** The most it can take too much, whatever is not known; null where nothing bounds it. */
  readonly mostMilliohm: number | null;
  /** Watts wasted at the load's amps. */
  readonly wastedW: number;
  readonly cause: string;
}

/** Where to put the probes next: from the first of these pieces to the last. */
export interface NextProbe {
  readonly first: Piece;
  readonly last: Piece;
  readonly says: string;
}

/** What a hunt has found. */
export interface HuntFound {
  /** Every piece, in the order of the chain, with what it takes. */
  readonly pieces: readonly Suspect[];
  /** Those that take too much, the worst first. */
  readonly suspects: readonly Suspect[];
  readonly contradictions: readonly Contradiction[];
  /** Sum of what is known of the chain, mΩ; null while part of it is not known at all. */
  readonly totalMilliohm: number | null;
  readonly shouldMilliohm: number;
  /** Share of the chain that can be ruled out: 1 where one piece is left, or nothing is wrong. */
  readonly certainty: number;
  readonly next: NextProbe | null;
  readonly verdict: HuntVerdict;
}

/** The end of a hunt in a word and a sentence. */
export interface HuntVerdict {
  readonly what:
    'nothing read' | 'contradiction' | 'battery' | 'joint' | 'cable' | 'device' | 'nothing wrong' | 'not yet';
  readonly says: string;
}

/** A piece takes too much past this many times what it should. Shop setting. */
export const GUILTY_TIMES = 1.5;
/** And by at least so many millivolts at the load's amps. */
const LEAST_MILLIVOLT = 10;
/** A source that falls under this share of its rest under load is weak itself. Shop setting. */
const WEAK_SOURCE_SHARE = 0.85;

const sum = (values: readonly number[]) => values.reduce((all, own) => all + own, 0);

/** Amps that waste is counted at: those of the loaded voltages, else the most that flowed. */
export const huntAmps = ({ loaded, spans }: Hunt): number =>
  loaded?.amps ?? Math.max(0, ...spans.map(({ amps }) => amps));

/**
 * Finds where the volts go: what each piece takes against what it should, who is the worst, what cannot be told yet,
 * and where to probe next.
 *
 * @example huntFound(hunt).suspects[0] // the return stud at the hull side, 4.03 mΩ too much, 58 W
 */
export function huntFound(hunt: Hunt): HuntFound {
  const { pieces, copperC } = hunt;
  const amps = huntAmps(hunt);
  const should = pieces.map((piece) => expectedMilliohm(piece, copperC));
  const { known, contradictions } = knownOf(hunt);
  const most = mostOf(hunt);
  const bound = (place: number) => {
    const own = most[place] ?? null;
    return own === null ? null : own - (should[place] ?? 0);
  };
  const all = pieces.map((piece, place): Suspect => {
    const among = known.filter(({ places }) => places.includes(place));
    const [own] = among.toSorted((a, b) => a.places.length - b.places.length);
    const expected = should[place] ?? 0;
    const excess = own ? excessOf(own, place, pieces, should) : 0;
    return {
      piece,
      place,
      milliohm: own?.places.length === 1 ? own.milliohm : null,
      shouldMilliohm: expected,
      excessMilliohm: excess,
      mostMilliohm: bound(place),
      wastedW: (Math.max(0, excess) / 1000) * amps ** 2,
      cause: CHAIN_PIECES[piece.kind].cause,
    };
  });
  const isGuilty = ({ excessMilliohm, shouldMilliohm }: Suspect) =>
    excessMilliohm > (GUILTY_TIMES - 1) * shouldMilliohm && excessMilliohm * amps > LEAST_MILLIVOLT;
  /** Whether a piece may still be the fault. */
  const mayBe = ({ mostMilliohm, shouldMilliohm }: Suspect) =>
    mostMilliohm === null ||
    (mostMilliohm > (GUILTY_TIMES - 1) * shouldMilliohm && mostMilliohm * amps > LEAST_MILLIVOLT);
  const open = all.filter(mayBe);
  const suspects = all.filter(isGuilty).sort((a, b) => b.excessMilliohm - a.excessMilliohm);
  const isKnown = pieces.every((_, i) => known.some(({ places }) => places.includes(i)));
  const certainty = pieces.length === 1 ? 1 : Math.min(1, 1 - (open.length - 1) / (pieces.length - 1));
  const next = nextProbe(open, all, known);
  return {
    pieces: all,
    suspects,
    contradictions,
    totalMilliohm: isKnown ? totalOf(known, pieces.length) : null,
    shouldMilliohm: sum(should),
    certainty,
    next,
    verdict: verdictOf(hunt, { suspects, contradictions, open, known, isKnown }),
  };
}

/** The whole chain from stretches that do not overlap; null where only overlapping ones cover it. */
function totalOf(known: readonly Known[], count: number): number | null {
  const taken = new Set<number>();
  let total = 0;
  for (const { places, milliohm } of known) {
    if (places.some((place) => taken.has(place))) continue;
    places.forEach((place) => taken.add(place));
    total += milliohm;
  }
  return taken.size === count ? total : null;
}

/** What of the excess of pieces known together one of them bears: by how likely its kind is to be bad. */
function excessOf(own: Known, place: number, pieces: readonly Piece[], should: readonly number[]): number {
  const excess = own.milliohm - sum(own.places.map((i) => should[i] ?? 0));
  if (own.places.length === 1 || excess <= 0) return own.places.length === 1 ? excess : 0;
  const weight = (i: number) => CHAIN_PIECES[pieces[i]?.kind ?? 'other'].weight;
  return (excess * weight(place)) / sum(own.places.map(weight));
}

/**
 * The measurement that splits the remaining doubt best: of the pieces known only together that may take most, across
 * the first of them until half of the likelihood lies on either side.
 */
function nextProbe(
  open: readonly Suspect[],
  all: readonly Suspect[],
  known: readonly Known[],
): NextProbe | null {
  const groups = [
    ...known.filter(({ places }) => places.length > 1).map(({ places }) => places),
    all.filter(({ place }) => !known.some(({ places }) => places.includes(place))).map(({ place }) => place),
  ]
    .map((places) => places.filter((place) => open.some((own) => own.place === place)))
    .filter((places) => places.length > 0);
  const doubt = (places: readonly number[]) =>
    sum(places.map((place) => CHAIN_PIECES[all[place]?.piece.kind ?? 'other'].weight));
  const most = (places: readonly number[]) =>
    Math.max(...places.map((place) => all[place]?.mostMilliohm ?? Number.MAX_VALUE));
  // What is bounded by a reading and takes too much comes before what nobody has looked at.
  const [group] = groups.toSorted((a, b) => {
    const bounded = Number(most(b) < Number.MAX_VALUE) - Number(most(a) < Number.MAX_VALUE);
    return bounded || most(b) - most(a);
  });
  if (
    !group ||
    (group.length === 1 && known.some(({ places }) => places.length === 1 && places[0] === group[0]))
  )
    return null;
  const runs = group.reduce<number[][]>((found, place) => {
    const last = found.at(-1);
    if (last && last.at(-1) === place - 1) last.push(place);
    else found.push([place]);
    return found;
  }, []);
  const [longest = group] = runs.toSorted((a, b) => doubt(b) - doubt(a));
  const half = doubt(group) / 2;
  let count = longest.length;
  let best = Number.POSITIVE_INFINITY;
  for (let n = 1; n <= longest.length; n += 1) {
    // The whole of a group says nothing that is not known.
    if (n === group.length && group.length > 1) break;
    const off = Math.abs(doubt(longest.slice(0, n)) - half);
    if (off < best) [best, count] = [off, n];
  }
  const [first, last] = [all[longest[0] ?? 0]?.piece, all[longest[count - 1] ?? 0]?.piece];
  if (!first || !last) return null;
  return {
    first,
    last,
    says:
      first === last
        ? `Probe next across ${first.title}.`
        : `Probe next from ${first.title} to ${last.title}: it splits what is left.`,
  };
}

interface Looked {
  readonly suspects: readonly Suspect[];
  readonly contradictions: readonly Contradiction[];
  readonly open: readonly Suspect[];
  readonly known: readonly Known[];
  readonly isKnown: boolean;
}

function verdictOf({ restV, loaded }: Hunt, looked: Looked): HuntVerdict {
  const { suspects, contradictions, open, known, isKnown } = looked;
  if (contradictions[0]) return { what: 'contradiction', says: contradictions[0].says };
  if (known.length === 0)
    return { what: 'nothing read', says: 'Nothing is read yet: begin at posts and load.' };
  const [top] = suspects;
  const isPinned = top !== undefined && top.milliohm !== null;
  if (isPinned) {
    const what =
      top.piece.kind === 'cable'
        ? 'cable'
        : ['switch', 'fuse', 'breaker', 'shunt', 'other'].includes(top.piece.kind)
          ? 'device'
          : 'joint';
    return { what, says: `${top.piece.title} takes too much: ${top.cause}.` };
  }
  if (restV !== undefined && loaded && loaded.postsV < WEAK_SOURCE_SHARE * restV && open.length === 0) {
    return { what: 'battery', says: 'The source itself falls under load: the way to the load is sound.' };
  }
  if (isKnown && open.length === 0)
    return { what: 'nothing wrong', says: 'Every piece takes what it should.' };
  return { what: 'not yet', says: `${open.length} pieces may still be the fault.` };
}
