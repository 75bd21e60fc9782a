import * as z from 'zod/mini';
import { END_NAMES, endSchema, joinSchema } from './end.ts';
import { readingSchema, reworkSchema, waiverSchema } from './reading.ts';
import { runSchema } from './run.ts';
import { JACKETS, sizeSchema } from './shop.ts';
import { MOST } from './limits.ts';
import { messageSchema } from './message.ts';
import { day, id, mm, moment, name, text } from './text.ts';

export const STAGES = ['run', 'gauge', 'ends', 'cut', 'make', 'prove', 'fit'] as const;
export type Stage = (typeof STAGES)[number];

const endName = z.enum(END_NAMES);

/** A gate that somebody went past, and why. */
export const passedSchema = z.strictObject({
  gate: name,
  step: id,
  at: moment,
  by: text(60),
  reason: text(200).check(z.minLength(3)),
});

/** What was taken off the shelf for a part of a cable: pieces, mm or g of something that is counted there. */
export const takenSchema = z.strictObject({
  /** For what: "lug.A", "sleeve.B", "cable". */
  part: z.string().check(z.regex(/^[\w.-]{1,60}$/)),
  /** Off what: "lug:l4", "sleeve:s2", "solder", "spool:p1". */
  stock: text(120).check(z.minLength(1)),
  amount: z.number().check(z.gte(0), z.lte(1e7)),
});

/** Something that went wrong at a step, and the way that was taken out of it. */
export const mishapSchema = z.strictObject({
  id,
  at: moment,
  by: text(60),
  step: id,
  end: z.optional(endName),
  what: name,
  way: z.enum(['redo', 'cut back', 'scrap']),
  /** What was cut off, mm. */
  cutBackMm: z.optional(mm()),
  /** What was spoilt of what had come off the shelf, or came off it to be spoilt. */
  lost: z.optional(z.array(takenSchema).check(z.maxLength(MOST.taken))),
});

/** A photograph of the work; its picture is kept apart, and goes along in the job file. */
export const photoSchema = z.strictObject({
  id,
  at: moment,
  by: text(60),
  /** The step it was taken at. */
  step: z.optional(id),
  widthPx: z.int().check(z.gte(1), z.lte(20000)),
  heightPx: z.int().check(z.gte(1), z.lte(20000)),
});

/** A look at the fitted end or route that somebody took, by its name: "washer.A". */
export const fittedSchema = z.strictObject({
  check: z.string().check(z.regex(/^[\w.-]{1,90}$/)),
  at: moment,
  by: text(60),
});

/** A fact corrected after it was kept: the old one stays, with who put it right, when and why. */
export const correctionSchema = z.strictObject({
  id,
  at: moment,
  by: name,
  what: name,
  was: text(300),
  now: text(300),
  why: text(200).check(z.minLength(3)),
});

/** One line of a sealed record: the finding as it stood, told in the language of whoever reads it. */
export const recordLineSchema = z.strictObject({
  title: messageSchema,
  end: z.optional(endName),
  value: messageSchema,
  limit: messageSchema,
  state: z.enum(['holds', 'watch', 'fails', 'unproved']),
  because: messageSchema,
  /** Of a reading: where it came from, who took it, when, with what, and until when that is calibrated. */
  source: z.optional(z.enum(['typed', 'instrument', 'simulated'])),
  by: z.optional(text(60)),
  at: z.optional(moment),
  with: z.optional(name),
  due: z.optional(day),
});

/** Somebody stands for a cable: as one who made it, or as one who inspected it and did not make it. */
export const signOffSchema = z.strictObject({ role: z.enum(['maker', 'inspector']), by: name, at: moment });

/** The lot of something that a cable was made of, by its bag or drum. */
export const lotSchema = z.strictObject({
  item: z.enum(['cable', 'lug.A', 'lug.B', 'sleeve.A', 'sleeve.B', 'solder', 'label']),
  lot: text(60).check(z.minLength(1)),
  at: moment,
  by: text(60),
});

/** Something found wrong after a cable was made: its cause, and what was done about it and by whom. */
export const nonconformanceSchema = z.strictObject({
  id,
  at: moment,
  by: name,
  cause: text(300).check(z.minLength(3)),
  done: z.optional(z.strictObject({ at: moment, by: name, what: text(300).check(z.minLength(3)) })),
});

/** SHA-256, as hexadecimal digits. */
const sha256 = z.string().check(z.regex(/^[0-9a-f]{64}$/));

export const recordSchema = z.strictObject({
  at: moment,
  by: name,
  /** The tag of the cable as it was sealed. */
  tag: z.optional(name),
  /** Lots of what it was made of, as they were known. */
  lots: z.optional(z.array(messageSchema).check(z.maxLength(20))),
  /** Who signed it off, where the shop wants two people. */
  signed: z.optional(z.array(signOffSchema).check(z.maxLength(2))),
  /** The hash of the record before it on this cable, empty for the first; and its own. Records from before lack both. */
  previous: z.optional(z.union([z.literal(''), sha256])),
  hash: z.optional(sha256),
  verdict: z.enum(['holds', 'watch', 'fails', 'unproved']),
  conductor: messageSchema,
  /** The longest there is, with its loop. */
  finishedMm: mm(0, 2e6),
  simulated: z.boolean(),
  lines: z.array(recordLineSchema).check(z.maxLength(2000)),
});

export const cableSchema = z.strictObject({
  id,
  tag: name,
  polarity: z.enum(['positive', 'negative', 'link']),
  jacket: z.enum(JACKETS),
  run: runSchema,
  gauge: z.strictObject({
    kindId: id,
    /** The size chosen; the proposed one when not given. */
    size: z.optional(sizeSchema),
    /** The size that was taken from all sizes chosen together: while it is still the cable's, it may be chosen again with them. */
    together: z.optional(sizeSchema),
    oneSizeUp: z.optional(z.boolean()),
    /** Conductors side by side, of equal length and ends. */
    parallel: z.optional(z.int().check(z.gte(1), z.lte(4))),
  }),
  ends: z.strictObject({ A: endSchema, B: endSchema }),
  joins: z.array(joinSchema).check(z.maxLength(MOST.joins)),
  /** From palm A to palm B, turned as the cable lies, degrees. */
  palmAngleDeg: z.number().check(z.gte(0), z.lte(359)),
  /** Steps of the traveller that are done, by their id, with when and by whom, and what each took off the shelf. */
  done: z
    .array(
      z.strictObject({
        step: id,
        at: moment,
        by: text(60),
        took: z.optional(z.array(takenSchema).check(z.maxLength(MOST.taken))),
      }),
    )
    .check(z.maxLength(MOST.done)),
  readings: z.array(readingSchema).check(z.maxLength(MOST.readings)),
  reworks: z.array(reworkSchema).check(z.maxLength(MOST.reworks)),
  /** Readings done without, and who answers for it. */
  waivers: z.array(waiverSchema).check(z.maxLength(MOST.waivers)),
  /** Gates gone past with a reason. */
  passed: z.array(passedSchema).check(z.maxLength(MOST.passed)),
  /** What went wrong while making it; nothing of it is taken out again. */
  mishaps: z.array(mishapSchema).check(z.maxLength(MOST.mishaps)),
  photos: z.array(photoSchema).check(z.maxLength(MOST.photos)),
  /** What was looked at while it was fitted and first made live. */
  fitted: z.array(fittedSchema).check(z.maxLength(MOST.fitted)),
  /** Words to find it by. */
  keywords: z.array(text(30).check(z.minLength(1))).check(z.maxLength(MOST.keywords)),
  corrections: z.array(correctionSchema).check(z.maxLength(MOST.corrections)),
  notes: text(4000),
  /** Lots of what it was made of, oldest first; of one thing the last counts. */
  lots: z.optional(z.array(lotSchema).check(z.maxLength(MOST.lots))),
  /** What was found wrong after it was made, oldest first. */
  nonconformances: z.optional(z.array(nonconformanceSchema).check(z.maxLength(MOST.records))),
  /** Who signed the cable off, oldest first. */
  signOffs: z.optional(z.array(signOffSchema).check(z.maxLength(MOST.records))),
  /** Sealed records, oldest first. A later one does not erase an earlier one. */
  records: z.array(recordSchema).check(z.maxLength(MOST.records)),
  /** The hash of the record that was sealed last: were that one taken out, nothing after it would tell. */
  lastSeal: z.optional(sha256),
});

export type Photo = z.infer<typeof photoSchema>;
export type Passed = z.infer<typeof passedSchema>;
export type Mishap = z.infer<typeof mishapSchema>;
export type CableRecord = z.infer<typeof recordSchema>;
export type RecordLine = z.infer<typeof recordLineSchema>;
export type Taken = z.infer<typeof takenSchema>;
export type Lot = z.infer<typeof lotSchema>;
export type Nonconformance = z.infer<typeof nonconformanceSchema>;
export type SignOff = z.infer<typeof signOffSchema>;
export type Fitted = z.infer<typeof fittedSchema>;
export type Correction = z.infer<typeof correctionSchema>;
export type Cable = z.infer<typeof cableSchema>;
export type Jacket = Cable['jacket'];
