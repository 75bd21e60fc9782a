import * as z from 'zod/mini';
import { CAUTION_IDS } from './cautions.ts';
import { huntSchema } from './hunt.ts';
import { cableSchema } from './cable.ts';
import { shopSchema, studSchema } from './shop.ts';
import { MOST } from './limits.ts';
import { oldCableSchema } from './survey.ts';
import { systemSchema } from './system.ts';
import { day, id, mm, moment, name, text } from './text.ts';
import { say } from '../words/say.ts';

/** A stud that several cables share: what stands on it besides them, and how long it is. */
export const sharedStudSchema = z.strictObject({
  id,
  name,
  stud: studSchema,
  /** Thread standing clear of the face, mm. */
  lengthMm: z.optional(mm(2, 200)),
  springWasher: z.boolean(),
  /** What else is on it and is no cable of this job. */
  others: z
    .array(z.strictObject({ what: name, amps: z.number().check(z.gte(0), z.lte(5000)), palmMm: mm(0.3, 20) }))
    .check(z.maxLength(MOST.othersOnStud)),
  /** From the face outwards, as it is stacked: "th2.B", or the name of another; by amps when not given. */
  order: z.optional(z.array(text(90)).check(z.maxLength(20))),
});

export const jobSchema = z
  .strictObject({
    id,
    title: name,
    subtitle: text(120),
    cables: z.array(cableSchema).check(z.maxLength(MOST.cables)),
    studs: z.array(sharedStudSchema).check(z.maxLength(MOST.sharedStuds)),
    /** The installation that its cables are part of; drawn from the names of their ends until it is given. */
    system: z.optional(systemSchema),
    /** Cautions gone through, each for its day. */
    heeded: z
      .array(z.strictObject({ caution: z.enum(CAUTION_IDS), day, at: moment, by: text(60) }))
      .check(z.maxLength(MOST.heeded)),
    /** An old installation as it was inspected, cable by cable. */
    survey: z.optional(
      z.array(oldCableSchema).check(
        z.maxLength(MOST.surveyed),
        z.refine(
          (olds) => new Set(olds.map((old) => old.id)).size === olds.length,
          say`two old cables have the same id`,
        ),
      ),
    ),
    /** What a customer is asked for it. */
    quote: z.optional(
      z.strictObject({
        customer: text(300),
        /** On materials and work. */
        marginPercent: z.number().check(z.gte(0), z.lte(300)),
        taxPercent: z.number().check(z.gte(0), z.lte(100)),
        validDays: z.int().check(z.gte(1), z.lte(365)),
      }),
    ),
    /** What making is compared with; nothing is compared until it is given. */
    makeOrBuy: z.optional(
      z.strictObject({
        /** Typed: what all its cables cost ready made, delivered. */
        boughtPrice: z.number().check(z.gte(0), z.lte(1e6)),
        minutesACable: z.number().check(z.gte(0), z.lte(1000)),
        ratePerHour: z.number().check(z.gte(0), z.lte(1000)),
        /** A tool that would have to be bought; 0 where it is owned. */
        toolPrice: z.number().check(z.gte(0), z.lte(1e5)),
        /** What of it this job bears; all of it unless given. */
        toolPercent: z.optional(z.number().check(z.gte(0), z.lte(100))),
      }),
    ),
  })
  .check(
    z.refine((job) => new Set(job.cables.map((cable) => cable.id)).size === job.cables.length, {
      path: ['cables'],
      message: say`two cables have the same id`,
    }),
  );

export type SharedStud = z.infer<typeof sharedStudSchema>;
export type Job = z.infer<typeof jobSchema>;

export const FORMAT = 'gruff-anchor-job';
export const VERSION = 6;

/** A photograph is scaled before it is kept: one larger than this was not made here. */
export const LARGEST_PHOTO_CHARS = 3_000_000;

/** The job file: one job, and the shop whose lugs, dies, sleeves and cable it refers to. */
export const jobFileSchema = z.strictObject({
  format: z.literal(FORMAT),
  version: z.literal(VERSION),
  savedAt: moment,
  job: jobSchema,
  shop: shopSchema,
  /** Pictures of its photographs by their id: JPEG in base64. */
  photos: z.optional(
    z.record(
      id,
      z.string().check(z.maxLength(LARGEST_PHOTO_CHARS), z.regex(/^[A-Za-z0-9+/]*={0,2}$/, say`no base64`)),
    ),
  ),
  /** Fault hunts that belong to it. */
  hunts: z.optional(z.array(huntSchema).check(z.maxLength(MOST.hunts))),
});

export type JobFile = z.infer<typeof jobFileSchema>;
