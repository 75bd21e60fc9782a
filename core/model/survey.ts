import * as z from 'zod/mini';
import { msg, type Message } from '../words/message.ts';
import { photoSchema } from './cable.ts';
import { sizeSchema, studSchema } from './shop.ts';
import { RUN_LENGTH_MM } from './limits.ts';
import { id, mm, moment, name, text } from './text.ts';

/** What is seen on an end of an old cable. */
export const OLD_END_MARKS = {
  green: msg`green or black copper`,
  loose: msg`loose`,
  mismatched: msg`lug and cable sizes do not match`,
  'temporary clamp': msg`temporary clamp`,
  'strands cut': msg`strands cut down to fit`,
  'wrong hole': msg`wrong hole for its stud`,
  hot: msg`browned by heat`,
  bare: msg`bare metal within reach`,
  'no boot': msg`no boot over a live stud`,
} as const satisfies Record<string, Message>;
export type OldEndMark = keyof typeof OLD_END_MARKS;

/** What is seen along an old cable. */
export const OLD_CABLE_MARKS = {
  chafed: msg`chafed through its jacket`,
  brittle: msg`jacket brittle or cracked`,
  browned: msg`jacket browned along its length`,
  unmarked: msg`nobody knows what it is`,
} as const satisfies Record<string, Message>;
export type OldCableMark = keyof typeof OLD_CABLE_MARKS;

const keysOf = <K extends string>(record: Record<K, unknown>) => Object.keys(record) as K[];

const oldEndSchema = z.strictObject({
  at: text(60),
  stud: z.optional(studSchema),
  marks: z.array(z.enum(keysOf(OLD_END_MARKS))).check(z.maxLength(keysOf(OLD_END_MARKS).length)),
  /** Looked at, whether or not anything was seen. */
  seen: z.boolean(),
});

/** A cable of an old installation, as it was inspected. */
export const oldCableSchema = z.strictObject({
  id,
  tag: name,
  polarity: z.enum(['positive', 'negative', 'link']),
  size: z.optional(sizeSchema),
  lengthMm: z.optional(mm(RUN_LENGTH_MM.least, RUN_LENGTH_MM.most)),
  ends: z.strictObject({ A: oldEndSchema, B: oldEndSchema }),
  marks: z.array(z.enum(keysOf(OLD_CABLE_MARKS))).check(z.maxLength(keysOf(OLD_CABLE_MARKS).length)),
  photos: z.array(photoSchema).check(z.maxLength(20)),
  notes: text(300),
  at: moment,
  by: text(60),
  /** The cable that is made in its place. */
  newId: z.optional(id),
});

export type OldCable = z.infer<typeof oldCableSchema>;
export type OldEnd = OldCable['ends']['A'];
