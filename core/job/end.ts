import * as z from 'zod';
import { ADAPTERS, type AdapterId } from '../catalogue/tables/posts.ts';
import { LAYERS, type Layer } from '../catalogue/tables/layers.ts';
import { METHODS } from '../practice/housePractice.ts';
import { postSchema, SLEEVE_COLOURS, studSchema } from './shop.ts';
import { day, id, mm, text } from './text.ts';

export const END_NAMES = ['A', 'B'] as const;
export type EndName = (typeof END_NAMES)[number];

export const endSchema = z.strictObject({
  /** What it is bolted to: "isolator post". */
  at: text(60),
  stud: studSchema,
  lugId: id.optional(),
  dieId: id.optional(),
  sleeveId: id.optional(),
  crimps: z.literal([1, 2]).optional(),
  method: z.enum(METHODS).optional(),
  /** Other copper in the same barrel, mm²: a second cable into one lug. */
  alsoMm2: z.number().min(0).max(1000).optional(),
  /** Strands cut or nicked through, of how many; the count is computed when it is not said. */
  strands: z
    .strictObject({
      cut: z.int().min(0).max(20000),
      counted: z.int().min(7).max(20000).optional(),
      /** Somebody tinned them before the crimp. */
      tinnedFirst: z.boolean().optional(),
    })
    .optional(),
  /** From the lug to the first support, and whether that stretch flexes or shakes. */
  support: z.strictObject({ distanceMm: mm(0, 5000), flexes: z.boolean(), vibrates: z.boolean() }).optional(),
  /** The sleeve goes on after the lug, and so must pass the palm. */
  sleeveAfterLug: z.boolean().optional(),
  /** Everything else that slides on; proposed by house practice when not said. */
  layers: z
    .array(z.enum(Object.keys(LAYERS) as Layer[]))
    .max(8)
    .optional(),
  bandColour: z.enum(SLEEVE_COLOURS).optional(),
  /** A battery post instead of a stud, and what stands between. */
  post: postSchema.optional(),
  adapter: z.enum(Object.keys(ADAPTERS) as AdapterId[]).optional(),
  /** The stud of the job that it shares with others. */
  studId: id.optional(),
  /** Made where it will lie, not on the bench: what room there is. */
  inPlace: z.strictObject({ swingMm: mm(0, 3000), solidFloor: z.boolean() }).optional(),
  /** A get-you-home repair, and when it must be gone. */
  temporary: z.strictObject({ fitted: day, replaceBy: day }).optional(),
});

/** A join along the way: two more crimps, with a die, a sleeve and a proof of their own. */
export const joinSchema = z.strictObject({
  id,
  kind: z.enum(['butt', 'branch']),
  /** From the centre of stud A, along the cable. */
  atMm: mm(0),
  connectorId: id.optional(),
  dieId: id.optional(),
  sleeveId: id.optional(),
  /** Copper of the branch, mm². */
  branchMm2: z.number().min(0.5).max(500).optional(),
});

export type End = z.infer<typeof endSchema>;
export type Join = z.infer<typeof joinSchema>;
