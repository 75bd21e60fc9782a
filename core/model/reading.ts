import { msg } from '../words/message.ts';
import * as z from 'zod/mini';
import { readWithSchema } from './accuracy.ts';
import { END_NAMES } from './end.ts';
import { id, mm, moment, name, text } from './text.ts';

/** What one looks for on a finished end. Each is right, wrong, or not yet inspected. */
export const LOOK_ITEMS = {
  hexagon: msg`hexagon even all round`,
  strands: msg`no strand outside the barrel`,
  home: msg`copper seen in the sight hole or felt at the bottom`,
  gap: msg`gap at the mouth as specified`,
  ears: msg`ears filed, barrel not cracked`,
  palm: msg`palm flat, clean, not bent`,
  sleeve: msg`sleeve stops short of the palm`,
  seal: msg`bead of adhesive at both ends`,
  jacket: msg`jacket not browned or bubbled`,
  flux: msg`flux cleaned off`,
  imprint: msg`print of the hexagon shows through the sleeve`,
} as const;
export type LookItem = keyof typeof LOOK_ITEMS;

/** The most crimps that a barrel takes side by side. */
const MOST_CRIMPS = 4;
const readingBase = {
  id,
  at: moment,
  by: text(60),
  /** Where the figure came from. A simulated reading proves nothing. */
  source: z.enum(['typed', 'instrument', 'simulated']),
  /** What it was read with, as that instrument stood then. */
  instrument: z.optional(readWithSchema),
  /** The reading that this one puts right; that one is struck out. */
  corrects: z.optional(id),
  /** A reading that was itself wrong stays in the record, struck out with who and why. */
  struck: z.optional(z.strictObject({ at: moment, by: text(60), why: name })),
};
const endName = z.enum(END_NAMES);
/** Counted from the mouth of the barrel. Not known of readings from before crimps were numbered. */
const crimp = z.optional(z.int().check(z.gte(1), z.lte(MOST_CRIMPS)));

export const readingSchema = z.discriminatedUnion('check', [
  z.strictObject({
    ...readingBase,
    check: z.literal('across-flats'),
    end: endName,
    crimp,
    /** Which of the three pairs of flats. */
    flat: z.optional(z.int().check(z.gte(1), z.lte(3))),
    valueMm: mm(0.5, 100),
  }),
  z.strictObject({
    ...readingBase,
    check: z.literal('ears'),
    end: endName,
    /** Where none is named it is the worst place of all crimps of the end. */
    crimp,
    valueMm: mm(0, 20),
  }),
  z.strictObject({
    ...readingBase,
    check: z.literal('pull'),
    end: endName,
    /** Held for one minute, unless it says how long. */
    forceN: z.number().check(z.gte(0), z.lte(50000)),
    held: z.boolean(),
    heldS: z.optional(z.number().check(z.gte(0), z.lte(3600))),
    /** Pulled on a sample made in the same way and then used up, not on the cable itself. */
    sample: z.optional(z.boolean()),
  }),
  z.strictObject({
    ...readingBase,
    /** Four wires across one crimp: from the lug's shoulder to a point on the bared or pricked conductor. */
    check: z.literal('joint'),
    end: endName,
    milliohm: z.number().check(z.gte(0), z.lte(1000)),
    /** From the barrel's mouth to the probe on the cable. */
    beyondMm: mm(0, 2000),
    /** The same cable without a joint, read just before or after. */
    plain: z.strictObject({ milliohm: z.number().check(z.positive(), z.lte(1000)), lengthMm: mm(10, 1e5) }),
  }),
  z.strictObject({
    ...readingBase,
    /** A crimp made in the same way, sawn through and measured in a picture. */
    check: z.literal('section'),
    end: endName,
    voidShare: z.number().check(z.gte(0), z.lte(0.6)),
    /** As much as it may be, with all that the picture may hide. */
    mostVoidShare: z.optional(z.number().check(z.gte(0), z.lte(1))),
    /** The largest patch of air, as a share of the outline. */
    largestShare: z.number().check(z.gte(0), z.lte(0.6)),
    acrossFlatsMm: mm(1, 100),
    /** Thinnest over thickest barrel wall, where the picture shows it. */
    wallEvenness: z.optional(z.number().check(z.gte(0), z.lte(1))),
    /** Share of the strands that still look round. */
    roundShare: z.optional(z.number().check(z.gte(0), z.lte(1))),
  }),
  z.strictObject({
    ...readingBase,
    /** A lug under load, against the jacket beside it or against the other lug. */
    check: z.literal('thermal'),
    end: endName,
    against: z.enum(['jacket', 'lug']),
    lugC: z.number().check(z.gte(-40), z.lte(400)),
    againstC: z.number().check(z.gte(-40), z.lte(400)),
    /** The lug ten minutes before. */
    earlierC: z.number().check(z.gte(-40), z.lte(400)),
    amps: z.number().check(z.gte(1), z.lte(20000)),
    minutes: z.number().check(z.gte(0), z.lte(1440)),
    /** Matte tape or paint on the bright metal. */
    matte: z.boolean(),
  }),
  z.strictObject({
    ...readingBase,
    /** Millivolts at a load current, over one joint, or over a stretch of the conductor where no end is named. */
    check: z.literal('drop'),
    end: z.optional(endName),
    millivolt: z.number().check(z.gte(0), z.lte(1e5)),
    amps: z.number().check(z.gte(1), z.lte(20000)),
    /** From the mouth to the probe on the cable; without an end, between the two probes. */
    spanMm: mm(0, 1e6),
    copperC: z.number().check(z.gte(-40), z.lte(200)),
  }),
  z.strictObject({
    ...readingBase,
    check: z.literal('look'),
    end: endName,
    marks: z.partialRecord(z.enum(Object.keys(LOOK_ITEMS) as LookItem[]), z.boolean()),
  }),
  z.strictObject({
    ...readingBase,
    check: z.literal('join'),
    joinId: id,
    /** Which of its two crimps: the one towards A or towards B. */
    side: endName,
    acrossFlatsMm: mm(0.5, 100),
    earsMm: mm(0, 20),
  }),
  z.strictObject({
    ...readingBase,
    check: z.literal('join-pull'),
    joinId: id,
    forceN: z.number().check(z.gte(0), z.lte(50000)),
    held: z.boolean(),
  }),
  z.strictObject({
    ...readingBase,
    check: z.literal('resistance'),
    milliohm: z.number().check(z.gte(0), z.lte(1e5)),
    copperC: z.number().check(z.gte(-40), z.lte(120)),
  }),
  z.strictObject({
    ...readingBase,
    check: z.literal('insulation'),
    megohm: z.number().check(z.gte(0), z.lte(1e7)),
    testV: z.number().check(z.gte(1), z.lte(5000)),
    electrode: z.enum(['structure', 'foil', 'none']),
    /** What it showed on the way to the 60 s value. */
    at15Megohm: z.optional(z.number().check(z.gte(0), z.lte(1e7))),
    at30Megohm: z.optional(z.number().check(z.gte(0), z.lte(1e7))),
  }),
  z.strictObject({
    ...readingBase,
    /** Millivolts at a load current from the lug's palm to the stud it is bolted to. */
    check: z.literal('contact'),
    end: endName,
    millivolt: z.number().check(z.gte(0), z.lte(1e5)),
    amps: z.number().check(z.gte(1), z.lte(20000)),
  }),
  z.strictObject({
    ...readingBase,
    /** Looked at again in service. */
    check: z.literal('inspection'),
    fine: z.boolean(),
    found: text(300),
  }),
  z.strictObject({
    ...readingBase,
    check: z.literal('torque'),
    end: endName,
    newtonMetre: z.number().check(z.gte(0), z.lte(500)),
  }),
]);

/** Work done again on an end, or on a join where one is named. Its readings from before no longer count. */
export const reworkSchema = z.strictObject({
  id,
  at: moment,
  by: text(60),
  end: endName,
  what: name,
  joinId: z.optional(id),
});

/** A reading somebody does without: the finding stays not proved, and says who answers for it. */
export const waiverSchema = z.strictObject({
  id,
  at: moment,
  by: name,
  /** The finding done without: "pull.B". */
  finding: z.string().check(z.regex(/^[\w.-]{1,90}$/)),
  why: text(200).check(z.minLength(3)),
});

export type Waiver = z.infer<typeof waiverSchema>;
export type Reading = z.infer<typeof readingSchema>;
export type ReadingOf<Check extends Reading['check']> = Extract<Reading, { check: Check }>;
export type Rework = z.infer<typeof reworkSchema>;
