import { CHAIN_PIECES } from '../model/tables/chainPieces.ts';
import { resistancePerMetre } from '../conductor/resistance.ts';
import type { Piece } from '../model/hunt.ts';

/**
 * What a sound piece takes, mΩ: as it says itself, by its conductor and length, or by its kind.
 *
 * @param copperC of a cable's copper
 * @example expectedMilliohm({ kind: 'stud', … }, 30) // 0.03
 */
export function expectedMilliohm(piece: Piece, copperC: number): number {
  if (piece.milliohm !== undefined) return piece.milliohm;
  if (piece.size && piece.lengthMm !== undefined) {
    return resistancePerMetre(piece.size, { tinned: piece.tinned ?? false }, copperC) * piece.lengthMm;
  }
  return CHAIN_PIECES[piece.kind].milliohm ?? 0;
}
