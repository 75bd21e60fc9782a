import * as z from 'zod';
import { PLACINGS, type Placing } from '../sizing/placing.ts';
import { sizeSchema, studSchema } from './shop.ts';
import { id, mm, moment, name, text } from './text.ts';

export const STAGES = ['run', 'gauge', 'ends', 'cut', 'make', 'prove', 'fit'] as const;
export type Stage = (typeof STAGES)[number];

export const END_NAMES = ['A', 'B'] as const;
export type EndName = (typeof END_NAMES)[number];

export const loadSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('amps'), amps: z.number().min(0).max(5000) }),
  z.strictObject({
    kind: z.literal('watts'),
    /** What the load gives out. */
    watts: z.number().min(0).max(1e6),
    efficiencyPercent: z.number().min(10).max(100),
    /** The lowest battery voltage at which it must still run: a falling battery draws more amps. */
    lowestV: z.number().min(1).max(1000),
  }),
]);

export const returnSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('cable'), lengthMm: mm(10) }),
  z.strictObject({ kind: z.literal('chassis'), milliohm: z.number().min(0).max(1000) }),
  z.strictObject({ kind: z.literal('none') }),
]);

export const runSchema = z.strictObject({
  systemV: z.number().min(1).max(1000),
  load: loadSchema,
  /** A short heavy current on top of a settled continuous one, and the drop it may make. */
  surge: z
    .strictObject({
      amps: z.number().min(1).max(20000),
      seconds: z.number().min(0.1).max(3600),
      dropPercent: z.number().min(0.5).max(50),
    })
    .optional(),
  dropPercent: z.number().min(0.5).max(50),
  /** Stud to stud along the route, without the service loop. */
  lengthMm: mm(50),
  loopMm: mm(0, 10000),
  return: returnSchema,
  /** Fuses, switches and shunts on the loop, together. */
  devicesMilliohm: z.number().min(0).max(1000),
  ambientC: z.number().min(-40).max(150),
  engineSpace: z.boolean(),
  sun: z.boolean(),
  placing: z.enum(Object.keys(PLACINGS) as Placing[]),
  /** Conductors carrying current in the bundle, this one included. */
  bundled: z.int().min(1).max(200),
  /** What the cable is bolted to stands, °C; the shop's practice when not said. */
  terminationC: z.number().min(60).max(200).optional(),
});

export const endSchema = z.strictObject({
  /** What it is bolted to: "isolator post". */
  at: text(60),
  stud: studSchema,
  lugId: id.optional(),
  dieId: id.optional(),
  sleeveId: id.optional(),
  crimps: z.literal([1, 2]).optional(),
});

/** What one looks for on a finished end. Each is right, wrong, or not yet looked at. */
export const LOOK_ITEMS = {
  hexagon: 'hexagon even all round',
  strands: 'no strand outside the barrel',
  home: 'copper seen in the sight hole or felt at the bottom',
  gap: 'gap at the mouth as asked',
  ears: 'ears filed, barrel not cracked',
  palm: 'palm flat, clean, not bent',
  sleeve: 'sleeve stops short of the palm',
  seal: 'bead of adhesive at both ends',
  jacket: 'jacket not browned or bubbled',
} as const;
export type LookItem = keyof typeof LOOK_ITEMS;

const readingBase = {
  id,
  at: moment,
  by: text(60),
  /** Where the figure came from. A simulated reading proves nothing. */
  source: z.enum(['typed', 'instrument', 'simulated']),
  /** A reading that was itself wrong stays in the record, struck out with who and why. */
  struck: z.strictObject({ at: moment, by: text(60), why: name }).optional(),
};
const endName = z.enum(END_NAMES);

export const readingSchema = z.discriminatedUnion('check', [
  z.strictObject({ ...readingBase, check: z.literal('across-flats'), end: endName, valueMm: mm(0.5, 100) }),
  z.strictObject({ ...readingBase, check: z.literal('ears'), end: endName, valueMm: mm(0, 20) }),
  z.strictObject({
    ...readingBase,
    check: z.literal('pull'),
    end: endName,
    /** Held for one minute. */
    forceN: z.number().min(0).max(50000),
    held: z.boolean(),
  }),
  z.strictObject({
    ...readingBase,
    check: z.literal('look'),
    end: endName,
    marks: z.partialRecord(z.enum(Object.keys(LOOK_ITEMS) as LookItem[]), z.boolean()),
  }),
  z.strictObject({
    ...readingBase,
    check: z.literal('resistance'),
    milliohm: z.number().min(0).max(1e5),
    copperC: z.number().min(-40).max(120),
  }),
  z.strictObject({
    ...readingBase,
    check: z.literal('insulation'),
    megohm: z.number().min(0).max(1e7),
    testV: z.number().min(1).max(5000),
    electrode: z.enum(['structure', 'foil', 'none']),
  }),
  z.strictObject({
    ...readingBase,
    check: z.literal('torque'),
    end: endName,
    newtonMetre: z.number().min(0).max(500),
  }),
]);

/** Work done again on an end. Readings of that end from before it no longer count. */
export const reworkSchema = z.strictObject({ id, at: moment, by: text(60), end: endName, what: name });

/** One line of a sealed record: the finding as it stood. */
export const recordLineSchema = z.strictObject({
  title: text(),
  end: endName.optional(),
  value: text(60),
  limit: text(60),
  state: z.enum(['holds', 'watch', 'fails', 'unproved']),
  because: text(400),
});

export const recordSchema = z.strictObject({
  at: moment,
  by: name,
  verdict: z.enum(['holds', 'watch', 'fails', 'unproved']),
  conductor: text(),
  finishedMm: mm(),
  simulated: z.boolean(),
  lines: z.array(recordLineSchema).max(200),
});

export const cableSchema = z.strictObject({
  id,
  tag: name,
  polarity: z.enum(['positive', 'negative', 'link']),
  jacket: z.enum(['red', 'black', 'yellow', 'green']),
  run: runSchema,
  gauge: z.strictObject({
    kindId: id,
    /** The size chosen; the proposed one when not said. */
    size: sizeSchema.optional(),
    oneSizeUp: z.boolean().optional(),
  }),
  ends: z.strictObject({ A: endSchema, B: endSchema }),
  /** From palm A to palm B, turned as the cable lies, degrees. */
  palmAngleDeg: z.number().min(0).max(359),
  /** Steps of the traveller that are done, by their id, with when and by whom. */
  done: z.array(z.strictObject({ step: id, at: moment, by: text(60) })).max(200),
  readings: z.array(readingSchema).max(2000),
  reworks: z.array(reworkSchema).max(200),
  notes: text(4000),
  /** Sealed records, oldest first. A later one does not erase an earlier one. */
  records: z.array(recordSchema).max(100),
});

export type Load = z.infer<typeof loadSchema>;
export type Run = z.infer<typeof runSchema>;
export type End = z.infer<typeof endSchema>;
export type Reading = z.infer<typeof readingSchema>;
export type ReadingOf<Check extends Reading['check']> = Extract<Reading, { check: Check }>;
export type Rework = z.infer<typeof reworkSchema>;
export type CableRecord = z.infer<typeof recordSchema>;
export type RecordLine = z.infer<typeof recordLineSchema>;
export type Cable = z.infer<typeof cableSchema>;
export type Jacket = Cable['jacket'];
