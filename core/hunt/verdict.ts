import { type Hunt, isSimulated, loadedOf, type Piece } from '../model/hunt.ts';
import { CHAIN_PIECES, type PieceSort } from '../model/tables/chainPieces.ts';
import { SAG_SHARE } from '../model/tables/sag.ts';
import type { Contradiction, Known } from './known.ts';
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
      /** What every suspect wastes together; null where this is the only one. */
      readonly circuitWastedW: number | null;
      /** Null while that is not known. */
      readonly isSourceWeak: boolean | null;
      readonly atLoad: AtLoad | null;
    }
  | { readonly what: 'battery'; readonly sagV: number }
  | { readonly what: 'nothing wrong'; readonly isSourceKnown: boolean }
  /** Of so many pieces so many may still be the fault. */
  | {
      readonly what: 'not yet';
      readonly mayBe: number;
      readonly pieces: number;
      readonly atLoad: AtLoad | null;
    }
);

interface Looked {
  readonly pieces: readonly Suspect[];
  readonly suspects: readonly Suspect[];
  readonly contradictions: readonly Contradiction[];
  /** Those that may still be the fault. */
  readonly open: readonly Suspect[];
  /** Those of them that alone may explain most of what is lost. */
  readonly chief: readonly Suspect[];
  readonly known: readonly Known[];
  readonly isKnown: boolean;
  readonly wastedW: number;
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
  const { suspects, contradictions, open, chief, known, isKnown, pieces, wastedW } = looked;
  const simulated = isSimulated(hunt);
  const [contradiction] = contradictions;
  if (contradiction) return { simulated, what: 'contradiction', contradiction };
  if (known.length === 0) return { simulated, what: 'nothing read' };
  const weak = isSourceWeak(hunt);
  const atLoad = atTheLoad(hunt, looked);
  const [top] = suspects;
  if (top && top.milliohm !== null) {
    return {
      simulated,
      what: CHAIN_PIECES[top.piece.kind].sort,
      piece: top.piece,
      wastedW: top.wastedW,
      circuitWastedW: suspects.length > 1 ? wastedW : null,
      isSourceWeak: weak,
      atLoad,
    };
  }
  if (weak && open.length === 0) return { simulated, what: 'battery', sagV: sagOf(hunt) ?? 0 };
  if (isKnown && open.length === 0) return { simulated, what: 'nothing wrong', isSourceKnown: weak !== null };
  return { simulated, what: 'not yet', mayBe: chief.length, pieces: pieces.length, atLoad };
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
