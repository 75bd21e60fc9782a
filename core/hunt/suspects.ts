import { CHAIN_PIECES } from '../model/tables/chainPieces.ts';
import { type Hunt, loadedOf, type Piece } from '../model/hunt.ts';
import { expectedMilliohm } from './expected.ts';
import { mostOf } from './bounds.ts';
import { type Contradiction, type Known, knownOf } from './known.ts';
import { type NextProbe, nextProbe } from './nextProbe.ts';
import type { Suspect } from './suspect.ts';
import { type HuntVerdict, verdictOf } from './verdict.ts';

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

/** A piece takes too much past this many times what it should. Shop setting. */
export const GUILTY_TIMES = 1.5;
/** And by at least so many millivolts at the load's amps. */
const LEAST_MILLIVOLT = 10;

const sum = (values: readonly number[]) => values.reduce((all, own) => all + own, 0);

/** Amps that waste is counted at: those of the loaded voltages, else the most that flowed. */
export const huntAmps = ({ loaded, spans }: Hunt): number =>
  loaded.amps ?? Math.max(0, ...spans.map(({ amps }) => amps));

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
    const [narrowest] = among.toSorted((a, b) => a.places.length - b.places.length);
    const expected = should[place] ?? 0;
    const excess = narrowest ? excessOf(narrowest, place, pieces, should) : 0;
    return {
      piece,
      place,
      milliohm: narrowest?.places.length === 1 ? narrowest.milliohm : null,
      shouldMilliohm: expected,
      excessMilliohm: excess,
      mostMilliohm: bound(place),
      among: narrowest?.places ?? [],
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
  const chief = chiefOf(hunt, open, amps);
  const suspects = all.filter(isGuilty).sort((a, b) => b.excessMilliohm - a.excessMilliohm);
  const isKnown = pieces.every((_, i) => known.some(({ places }) => places.includes(i)));
  const certainty = pieces.length <= 1 ? 1 : Math.min(1, 1 - (open.length - 1) / (pieces.length - 1));
  const next = nextProbe(chief, all, known);
  const wastedW = sum(suspects.map((own) => own.wastedW));
  return {
    pieces: all,
    suspects,
    contradictions,
    totalMilliohm: isKnown ? totalOf(known, pieces.length) : null,
    shouldMilliohm: sum(should),
    certainty,
    next,
    others: othersOf(all, suspects),
    wastedW,
    verdict: verdictOf(hunt, { pieces: all, suspects, contradictions, open, chief, known, isKnown, wastedW }),
  };
}

/** A piece is the chief fault where it takes at least this share of all that is lost for nothing. */
const CHIEF_SHARE = 0.5;

/** Of the pieces that may be at fault, those that alone may explain most of what is lost between posts and load. */
function chiefOf(hunt: Hunt, open: readonly Suspect[], amps: number): readonly Suspect[] {
  const loaded = loadedOf(hunt);
  if (!loaded) return open;
  const should = sum(hunt.pieces.map((piece) => expectedMilliohm(piece, hunt.copperC)));
  const excess = ((loaded.postsV - loaded.loadV) * 1000) / loaded.amps - should;
  if (excess * amps < 2 * LEAST_MILLIVOLT) return open;
  const chief = open.filter(
    ({ mostMilliohm }) => mostMilliohm === null || mostMilliohm >= CHIEF_SHARE * excess,
  );
  return chief.length > 0 ? chief : open;
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

/** What of the excess of pieces known together one of them bears: by how likely its kind is to be bad. */
function excessOf(
  stretch: Known,
  place: number,
  pieces: readonly Piece[],
  should: readonly number[],
): number {
  const excess = stretch.milliohm - sum(stretch.places.map((i) => should[i] ?? 0));
  if (stretch.places.length === 1 || excess <= 0) return stretch.places.length === 1 ? excess : 0;
  const weight = (i: number) => CHAIN_PIECES[pieces[i]?.kind ?? 'other'].weight;
  return (excess * weight(place)) / sum(stretch.places.map(weight));
}
