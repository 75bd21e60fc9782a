import type { Message } from '../words/message.ts';
import type { Piece } from '../model/hunt.ts';

/** A piece that may be the fault. */
export interface Suspect {
  readonly piece: Piece;
  readonly place: number;
  /** Of the piece itself; null where it is known only together with others. */
  readonly milliohm: number | null;
  readonly shouldMilliohm: number;
  /** What it takes too much, on the mean of all explanations where it is not known by itself, mΩ. */
  readonly excessMilliohm: number;
  /** The most it can take too much, whatever is not known; null where nothing bounds it. */
  readonly mostMilliohm: number | null;
  /** Pieces whose readings it is known together with, itself among them: alone where it is read by itself. */
  readonly among: readonly number[];
  /** How likely it is at fault, after all that was read. */
  readonly probability: number;
  /** Watts wasted at the load's amps. */
  readonly wastedW: number;
  readonly cause: Message;
}
