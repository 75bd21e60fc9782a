import { MOST } from './limits.ts';
import * as z from 'zod/mini';
import { ADAPTERS, type AdapterId } from './tables/posts.ts';
import { POST_NAMES } from './tables/places.ts';
import { LAYERS, type Layer } from './tables/layers.ts';
import { METHODS } from './housePractice.ts';
import { postSchema, SLEEVE_COLOURS, studSchema } from './shop.ts';
import { day, id, mm, text } from './text.ts';

export const END_NAMES = ['A', 'B'] as const;
export type EndName = (typeof END_NAMES)[number];
/** One of a thing for each end. */
export interface Both<T> {
  readonly A: T;
  readonly B: T;
}
export const otherEnd = (name: EndName): EndName => (name === 'A' ? 'B' : 'A');

export const endSchema = z.strictObject({
  /** What it is bolted to: "isolator post". */
  at: text(60),
  /** The post of a place of the system; `at` is then what it is called. */
  on: z.optional(z.strictObject({ place: id, post: z.enum(POST_NAMES) })),
  stud: studSchema,
  lugId: z.optional(id),
  dieId: z.optional(id),
  sleeveId: z.optional(id),
  crimps: z.optional(z.literal([1, 2])),
  method: z.optional(z.enum(METHODS)),
  /** Other copper in the same barrel, mm²: a second cable into one lug. */
  alsoMm2: z.optional(z.number().check(z.gte(0), z.lte(1000))),
  /** Strands cut or nicked through, of how many; the count is computed when it is not given. */
  strands: z.optional(
    z.strictObject({
      cut: z.int().check(z.gte(0), z.lte(20000)),
      counted: z.optional(z.int().check(z.gte(7), z.lte(20000))),
      /** Somebody tinned them before the crimp. */
      tinnedFirst: z.optional(z.boolean()),
    }),
  ),
  /** From the lug to the first support, and whether that stretch flexes or shakes. */
  support: z.optional(
    z.strictObject({ distanceMm: mm(0, 5000), flexes: z.boolean(), vibrates: z.boolean() }),
  ),
  /** The sleeve goes on after the lug, and so must pass the palm. */
  sleeveAfterLug: z.optional(z.boolean()),
  /** Everything else that slides on; proposed by house practice when not given. */
  layers: z.optional(z.array(z.enum(Object.keys(LAYERS) as Layer[])).check(z.maxLength(MOST.layers))),
  bandColour: z.optional(z.enum(SLEEVE_COLOURS)),
  /** A battery post instead of a stud, and what stands between. */
  post: z.optional(postSchema),
  adapter: z.optional(z.enum(Object.keys(ADAPTERS) as AdapterId[])),
  /** The stud of the job that it shares with others. */
  studId: z.optional(id),
  /** It waits without being connected: a cap is shrunk over it. */
  capped: z.optional(z.boolean()),
  /** Made where it will lie, not on the bench: what room there is. */
  inPlace: z.optional(z.strictObject({ swingMm: mm(0, 3000), solidFloor: z.boolean() })),
  /** A get-you-home repair, and when it must be gone. */
  temporary: z.optional(z.strictObject({ fitted: day, replaceBy: day })),
});

/** A join along the way: two more crimps, with a die, a sleeve and a proof of their own. */
export const joinSchema = z.strictObject({
  id,
  kind: z.enum(['butt', 'branch']),
  /** From the centre of stud A, along the cable. */
  atMm: mm(0),
  connectorId: z.optional(id),
  dieId: z.optional(id),
  sleeveId: z.optional(id),
  /** Copper of the branch, mm². */
  branchMm2: z.optional(z.number().check(z.gte(0.5), z.lte(500))),
  /** Of a branch: a moulded part with so many legs seals it, the cable’s own among them; a nipped sleeve where not given. */
  legs: z.optional(z.literal([2, 3, 4])),
});

export type End = z.infer<typeof endSchema>;
export type Join = z.infer<typeof joinSchema>;
