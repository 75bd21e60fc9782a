import * as z from 'zod/mini';
import { day, name } from './text.ts';

/** What an instrument may be off by: a share of its reading, %, and digits of its last place. */
export const accuracySchema = z.strictObject({
  percent: z.number().check(z.gte(0), z.lte(50)),
  digits: z.number().check(z.gte(0), z.lte(1000)),
});

export type Accuracy = z.infer<typeof accuracySchema>;

/** What a figure was read with, as that instrument stood then. */
export const readWithSchema = z.strictObject({
  title: name,
  /** The least it can resolve, in the unit of the reading. */
  resolution: z.optional(z.number().check(z.positive(), z.lte(1e4))),
  accuracy: z.optional(accuracySchema),
  /** The day until which its calibration holds. */
  due: z.optional(day),
});
