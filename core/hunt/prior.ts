import { CHAIN_PIECES } from '../model/tables/chainPieces.ts';
import type { Hunt, Piece } from '../model/hunt.ts';
import { expectedMilliohm } from './expected.ts';

/** A piece takes too much past this many times what it should. Shop setting. */
export const GUILTY_TIMES = 1.5;
/** And by at least so many millivolts at the load's amps. */
export const LEAST_MILLIVOLT = 10;

/** What is believed of one piece before anything is read. */
export interface Prior {
  /** What it should take, mΩ. */
  readonly shouldMilliohm: number;
  /** What a sound one takes: mean and standard deviation, mΩ. */
  readonly meanMilliohm: number;
  readonly sigmaMilliohm: number;
  /** From so much too much it is at fault, mΩ. */
  readonly leastMilliohm: number;
  /** How often it is the fault, of all pieces; they add up to 1. */
  readonly share: number;
}

/**
 * How a sound piece scatters. A cable is at its table's largest resistance or under it, with length and warmth known to
 * a few per cent; what is customary for a joint or a device holds only roughly; what was said of the piece holds better.
 */
const SOUND = {
  cable: { mean: 0.97, sigma: 0.1, floorMilliohm: 0.005 },
  usual: { mean: 0.97, sigma: 0.28, floorMilliohm: 0.005 },
  said: { mean: 1, sigma: 0.08, floorMilliohm: 0.005 },
} as const;

const scatterOf = (piece: Piece) =>
  piece.milliohm !== undefined ? SOUND.said : piece.kind === 'cable' ? SOUND.cable : SOUND.usual;

/** So many faults a circuit has that somebody complains of: none, one, two. Source: craft practice, confidence low. */
export const FAULTS_PRIOR = [0.5, 0.42, 0.08] as const;

/** The worst that a fault takes of the system's voltage. */
const WORST_SHARE = 0.2;

/** What is believed of every piece of a chain before anything is read across it. */
export function priorsOf({ pieces, copperC }: Hunt, amps: number): Prior[] {
  const weights = pieces.map(({ kind }) => CHAIN_PIECES[kind].weight as number);
  const all = weights.reduce((sum, weight) => sum + weight, 0);
  return pieces.map((piece, i) => {
    const should = expectedMilliohm(piece, copperC);
    const { mean, sigma, floorMilliohm } = scatterOf(piece);
    return {
      shouldMilliohm: should,
      meanMilliohm: mean * should,
      sigmaMilliohm: Math.hypot(sigma * should, floorMilliohm),
      leastMilliohm: Math.max((GUILTY_TIMES - 1) * should, LEAST_MILLIVOLT / amps),
      share: (weights[i] ?? 0) / all,
    };
  });
}

/** The most that a fault takes too much, mΩ. */
export const worstMilliohm = ({ systemV }: Hunt, amps: number): number =>
  (WORST_SHARE * systemV * 1000) / amps;
