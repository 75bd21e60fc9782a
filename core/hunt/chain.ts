import * as z from 'zod';
import { CHAIN_PIECES, CHAIN_PIECE_KINDS, type ChainPieceKind } from '../catalogue/tables/chainPieces.ts';
import { resistancePerMetre } from '../conductor/resistance.ts';
import { sizeSchema } from '../job/shop.ts';
import { id, mm, name, text } from '../job/text.ts';

/** A piece of the way from source to load and back, as a person names it. */
export const pieceSchema = z.strictObject({
  id,
  kind: z.enum(CHAIN_PIECE_KINDS as [ChainPieceKind, ...ChainPieceKind[]]),
  title: name,
  side: z.enum(['out', 'back']),
  /** Of a cable: its conductor and length. */
  size: sizeSchema.optional(),
  lengthMm: mm(10, 1e6).optional(),
  tinned: z.boolean().optional(),
  /** What it should take, mΩ, where that is known better than by its kind. */
  milliohm: z.number().min(0).max(1e4).optional(),
});

/** Millivolts across one piece or several in a row, and the amps that flowed in that very moment. */
export const spanSchema = z.strictObject({
  id,
  first: id,
  last: id,
  millivolt: z.number().min(0).max(1e5),
  amps: z.number().min(0.1).max(20000),
});

/** A fault hunt: the chain out and back, and what was read across it under load. */
export const huntSchema = z.strictObject({
  title: text(80),
  systemV: z.number().min(1).max(1000),
  /** At the posts, nothing flowing. */
  restV: z.number().min(0).max(1000).optional(),
  /** At the posts and at the load's own terminals, in one moment under load. */
  loaded: z
    .strictObject({
      postsV: z.number().min(0).max(1000),
      loadV: z.number().min(0).max(1000),
      amps: z.number().min(0.1).max(20000),
    })
    .optional(),
  /** How warm the copper is taken to be. */
  copperC: z.number().min(-40).max(150),
  pieces: z.array(pieceSchema).min(1).max(60),
  spans: z.array(spanSchema).max(200),
});

export type Piece = z.infer<typeof pieceSchema>;
export type Span = z.infer<typeof spanSchema>;
export type Hunt = z.infer<typeof huntSchema>;

/**
 * What a sound piece takes, mΩ: as it says itself, by its conductor and length, or by its kind.
 *
 * @param copperC of a cable's copper
 * @example expectedMilliohm({ kind: 'stud', … }, 30) // 0.03
 */
export function expectedMilliohm(piece: Piece, copperC: number): number {
  if (piece.milliohm !== undefined) return piece.milliohm;
  if (piece.size && piece.lengthMm !== undefined) {
    return resistancePerMetre(piece.size, piece.tinned ?? false, copperC) * piece.lengthMm;
  }
  return CHAIN_PIECES[piece.kind].milliohm ?? 0;
}
