import * as z from 'zod/mini';
import { CHAIN_PIECE_KINDS, type ChainPieceKind } from './tables/chainPieces.ts';
import { sizeSchema } from './shop.ts';
import { END_NAMES } from './end.ts';
import { id, mm, moment, name, text } from './text.ts';
import { MOST } from './limits.ts';
import { say } from '../words/say.ts';

/** A piece of the way from source to load and back, as a person names it. */
export const pieceSchema = z.strictObject({
  id,
  kind: z.enum(CHAIN_PIECE_KINDS as [ChainPieceKind, ...ChainPieceKind[]]),
  title: name,
  side: z.enum(['out', 'back']),
  /** Of a cable: its conductor and length. */
  size: z.optional(sizeSchema),
  lengthMm: z.optional(mm(10, 1e6)),
  tinned: z.optional(z.boolean()),
  /** What it should take, mΩ, where that is known better than by its kind. */
  milliohm: z.optional(z.number().check(z.gte(0), z.lte(1e4))),
  /** Something has to be opened or taken off to reach its ends. */
  behindPanel: z.optional(z.boolean()),
  /** The cable of the job that it belongs to, and which end of it. */
  ofCable: z.optional(id),
  ofEnd: z.optional(z.enum(END_NAMES)),
});

/** Millivolts across one piece or several in a row, and the amps that flowed in that very moment. */
export const spanSchema = z.strictObject({
  id,
  first: id,
  last: id,
  millivolt: z.number().check(z.gte(0), z.lte(1e5)),
  amps: z.number().check(z.gte(0.1), z.lte(20000)),
  at: moment,
  by: text(60),
  source: z.enum(['typed', 'instrument', 'simulated']),
});

const loadedSchema = z.strictObject({
  postsV: z.optional(z.number().check(z.gte(0), z.lte(1000))),
  loadV: z.optional(z.number().check(z.gte(0), z.lte(1000))),
  amps: z.optional(z.number().check(z.gte(0.1), z.lte(20000))),
});

/** A piece that was repaired: who and when, and what was read before, which no longer holds. */
export const mendedSchema = z.strictObject({
  piece: id,
  at: moment,
  by: text(60),
  loaded: loadedSchema,
  spans: z.array(spanSchema).check(z.maxLength(MOST.spans)),
});

/** A steady load holds its current; a cranking test falls from reading to reading, so each goes with its own amps. */
export const HUNT_TESTS = ['steady', 'cranking'] as const;

/** A fault hunt: the chain out and back, and what was read across it under load. */
export const huntSchema = z
  .strictObject({
    id,
    /** The job it belongs to; a hunt may stand alone. */
    jobId: z.optional(id),
    title: name,
    systemV: z.number().check(z.gte(1), z.lte(1000)),
    test: z.enum(HUNT_TESTS),
    /** What is at the far end: "bow thruster". */
    load: name,
    /** At the posts, nothing flowing. */
    restV: z.optional(z.number().check(z.gte(0), z.lte(1000))),
    /** At the posts and at the load's own terminals, in one moment under load, and the amps of that moment. */
    loaded: loadedSchema,
    /** How warm the copper is taken to be. */
    copperC: z.number().check(z.gte(-40), z.lte(150)),
    pieces: z.array(pieceSchema).check(z.maxLength(MOST.pieces)),
    spans: z.array(spanSchema).check(z.maxLength(MOST.spans)),
    /** Pieces mended while it went on, the oldest first. */
    mended: z.optional(z.array(mendedSchema).check(z.maxLength(MOST.pieces))),
    notes: text(2000),
  })
  .check(
    z.refine(({ pieces }) => new Set(pieces.map((own) => own.id)).size === pieces.length, {
      path: ['pieces'],
      message: say`two parts have the same id`,
    }),
  );

export type Piece = z.infer<typeof pieceSchema>;
export type Span = z.infer<typeof spanSchema>;
export type Hunt = z.infer<typeof huntSchema>;
export type HuntTest = Hunt['test'];

/** The two voltages under load and their amps, once all three are known. */
export function loadedOf({ loaded: { postsV, loadV, amps } }: Hunt): {
  readonly postsV: number;
  readonly loadV: number;
  readonly amps: number;
} | null {
  return postsV === undefined || loadV === undefined || amps === undefined ? null : { postsV, loadV, amps };
}

/** Whether any reading of it came from a stand-in: then nothing it says is proved. */
export const isSimulated = ({ spans }: Hunt): boolean => spans.some(({ source }) => source === 'simulated');
