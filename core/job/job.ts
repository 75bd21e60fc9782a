import * as z from 'zod';
import { cableSchema } from './cable.ts';
import { shopSchema } from './shop.ts';
import { id, moment, name, text } from './text.ts';

export const jobSchema = z
  .strictObject({
    id,
    title: name,
    subtitle: text(120),
    cables: z.array(cableSchema).max(2000),
  })
  .refine((job) => new Set(job.cables.map((cable) => cable.id)).size === job.cables.length, {
    path: ['cables'],
    message: 'two cables have the same id',
  });

export type Job = z.infer<typeof jobSchema>;

export const FORMAT = 'gruff-anchor-job';
export const VERSION = 1;

/** The job file: one job, and the shop whose lugs, dies, sleeves and cable it refers to. */
export const jobFileSchema = z.strictObject({
  format: z.literal(FORMAT),
  version: z.literal(VERSION),
  savedAt: moment,
  job: jobSchema,
  shop: shopSchema,
});

export type JobFile = z.infer<typeof jobFileSchema>;
