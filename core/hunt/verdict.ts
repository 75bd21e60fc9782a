import { type Hunt, isSimulated, loadedOf, type Piece } from '../model/hunt.ts';
import { CHAIN_PIECES, type PieceSort } from '../model/tables/chainPieces.ts';
import { SAG_SHARE } from '../model/tables/sag.ts';
import type { Contradiction, Known } from './known.ts';
import type { NextProbe } from './nextProbe.ts';
import type { Suspect } from './suspect.ts';

/** What the load gets, and what it would get over sound pieces, V. */
export interface AtLoad {
  /** What it is, as a person names it. */
  readonly load: string;
  readonly volts: number;
  readonly shouldV: number;
}

/** The end of a hunt: what it is, with the figures that it rests on. `verdictSays` puts it into words. */
export type HuntVerdict = {
  /** Some of its readings came from a stand-in: nothing of it is proved. */
  readonly simulated: boolean;
} & (
  | { readonly what: 'nothing read' }
  | { readonly what: 'contradiction'; readonly contradiction: Contradiction }
  | {
      readonly what: PieceSort;
      readonly piece: Piece;
      readonly wastedW: number;
      /** Those that are at fault as well, the worst first. */
      readonly also: readonly Piece[];
      /** What every suspect wastes together; null where this is the only one. */
      readonly circuitWastedW: number | null;
      /** Nothing else takes too much, with the certainty required. */
      readonly isAll: boolean;
      /** Null while that is not known. */
      readonly isSourceWeak: boolean | null;
      readonly atLoad: AtLoad | null;
    }
  | { readonly what: 'battery'; readonly sagV: number }
  | { readonly what: 'nothing wrong'; readonly isSourceKnown: boolean; readonly isMended: boolean }
  /** Of so many pieces so many may still be the fault; and whether any reading could tell more. */
  | {
      readonly what: 'not yet' | 'cannot tell';
      readonly mayBe: number;
      readonly pieces: number;
      readonly atLoad: AtLoad | null;
    }
);

interface Looked {
  readonly pieces: readonly Suspect[];
  /** Those at fault with the certainty required, the worst first. */
  readonly named: readonly Suspect[];
  readonly contradictions: readonly Contradiction[];
  readonly known: readonly Known[];
  /** The likeliest explanation is certain, and what it names is read by itself. */
  readonly isTold: boolean;
  readonly next: NextProbe | null;
  readonly wastedW: number;
  readonly certain: number;
}

/** How far the source falls, V; null while its voltages are not known. @example sagOf({ restV: 24.96, … }) // 0.76 */
export function sagOf({ restV, loaded: { postsV } }: Hunt): number | null {
  return restV === undefined || postsV === undefined ? null : restV - postsV;
}

/** Whether the source itself falls too far; null while that is not known. */
function isSourceWeak(hunt: Hunt): boolean | null {
  const sag = sagOf(hunt);
  return sag === null ? null : sag > SAG_SHARE[hunt.test] * (hunt.restV ?? 0);
}

/** What a hunt comes to: battery, joint, cable or device; or what is missing before that can be said. */
export function verdictOf(hunt: Hunt, looked: Looked): HuntVerdict {
  const { named, contradictions, known, isTold, next, pieces, wastedW, certain } = looked;
  const simulated = isSimulated(hunt);
  const [contradiction] = contradictions;
  if (contradiction) return { simulated, what: 'contradiction', contradiction };
  if (known.length === 0) return { simulated, what: 'nothing read' };
  const weak = isSourceWeak(hunt);
  const atLoad = atTheLoad(hunt, looked);
  const [top, ...also] = named;
  if (top) {
    return {
      simulated,
      what: CHAIN_PIECES[top.piece.kind].sort,
      piece: top.piece,
      also: also.map(({ piece }) => piece),
      wastedW: top.wastedW,
      circuitWastedW: also.length > 0 ? wastedW : null,
      isAll: isTold,
      isSourceWeak: weak,
      atLoad,
    };
  }
  if (isTold && weak) return { simulated, what: 'battery', sagV: sagOf(hunt) ?? 0 };
  if (isTold)
    return {
      simulated,
      what: 'nothing wrong',
      isSourceKnown: weak !== null,
      isMended: hunt.mended !== undefined,
    };
  const mayBe = pieces.filter(({ probability }) => probability > (1 - certain) / pieces.length).length;
  return { simulated, what: next ? 'not yet' : 'cannot tell', mayBe, pieces: pieces.length, atLoad };
}

/** Null while the volts at posts and load are not read in one moment. */
function atTheLoad(hunt: Hunt, { pieces }: Looked): AtLoad | null {
  const loaded = loadedOf(hunt);
  if (!loaded) return null;
  const shouldV =
    loaded.postsV -
    (pieces.reduce((all, { shouldMilliohm }) => all + shouldMilliohm, 0) * loaded.amps) / 1000;
  return { load: hunt.load, volts: loaded.loadV, shouldV };
}
