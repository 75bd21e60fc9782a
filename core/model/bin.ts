import * as z from 'zod/mini';
import { huntSchema } from './hunt.ts';
import { cableSchema } from './cable.ts';
import { jobSchema } from './job.ts';
import { MOST } from './limits.ts';
import { id, moment, text } from './text.ts';

const binned = { id, at: moment, title: text(200) };

/** Something that was deleted, as it was: it can be put back until the bin is emptied. */
export const binItemSchema = z.discriminatedUnion('what', [
  z.strictObject({
    ...binned,
    what: z.literal('job'),
    job: jobSchema,
    hunts: z.array(huntSchema).check(z.maxLength(MOST.hunts)),
  }),
  z.strictObject({ ...binned, what: z.literal('cable'), jobId: id, cable: cableSchema }),
  z.strictObject({ ...binned, what: z.literal('hunt'), hunt: huntSchema }),
]);
export type BinItem = z.infer<typeof binItemSchema>;
export const binSchema = z.array(binItemSchema).check(z.maxLength(1000));

/** So many things lie in the bin at most: what goes to make room is the oldest, whatever a clock says. */
export const MOST_BINNED = 200;

/** A bin with something more in it, the newest first. */
export const withBinned = (bin: readonly BinItem[], items: readonly BinItem[]): BinItem[] =>
  [...items, ...bin].slice(0, MOST_BINNED);
