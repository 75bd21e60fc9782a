import * as z from 'zod';
import { MOST_BEND_DEG } from '../cutting/route.ts';
import { FUSE_PLACES, type FuseKind, type FusePlace, FUSES } from '../catalogue/tables/fuses.ts';
import { type Chemistry, type DeviceKind, DEVICES, SHORT_AMPS_PER_AH } from '../catalogue/tables/sources.ts';
import type { Device } from '../sizing/devices.ts';
import { PLACINGS, type Placing } from '../sizing/placing.ts';
import type { Source } from '../sizing/source.ts';
import { ADAPTERS, type AdapterId } from '../catalogue/tables/posts.ts';
import { LAYERS, type Layer } from '../catalogue/tables/layers.ts';
import { METHODS } from '../practice/housePractice.ts';
import { JACKETS, postSchema, sizeSchema, SLEEVE_COLOURS, studSchema } from './shop.ts';
import { day, id, mm, moment, name, text } from './text.ts';

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
    /** Under this the load switches off, V at its own terminals. */
    cutOutV: z.number().min(1).max(1000).optional(),
  }),
]);

/** Steps of current on top of the continuous load: one surge, or a cycle that comes again and again. */
export const dutySchema = z.strictObject({
  steps: z
    .array(z.strictObject({ amps: z.number().min(0).max(20000), seconds: z.number().min(0.1).max(36000) }))
    .min(1)
    .max(100),
  repeats: z.boolean(),
  /** Drop allowed at the heaviest step. */
  dropPercent: z.number().min(0.5).max(50),
});

export const returnSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('cable'), lengthMm: mm(10) }),
  z.strictObject({ kind: z.literal('chassis'), milliohm: z.number().min(0).max(1000) }),
  /** The other cables of its circuit, this one's share of one drop budget. */
  z.strictObject({ kind: z.literal('circuit'), name }),
  z.strictObject({ kind: z.literal('none') }),
]);

export const deviceSchema = z.strictObject({
  kind: z.enum(Object.keys(DEVICES) as DeviceKind[]),
  ratingA: z.number().min(1).max(5000).optional(),
  milliohm: z.number().min(0).max(1000).optional(),
}) satisfies z.ZodType<Device>;

export const sourceSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('unknown') }),
  z.strictObject({ kind: z.literal('typed'), milliohm: z.number().min(0.01).max(1000) }),
  z.strictObject({
    kind: z.literal('cells'),
    cellMilliohm: z.number().min(0.01).max(100),
    inSeries: z.int().min(1).max(400),
    strings: z.int().min(1).max(40),
  }),
  z.strictObject({
    kind: z.literal('battery'),
    chemistry: z.enum(Object.keys(SHORT_AMPS_PER_AH) as Chemistry[]),
    ampHours: z.number().min(1).max(1e5),
  }),
  z.strictObject({ kind: z.literal('cranking'), crankingA: z.number().min(50).max(5000) }),
]) satisfies z.ZodType<Source>;

export const fuseSchema = z.strictObject({
  end: z.enum(END_NAMES),
  kind: z.enum(Object.keys(FUSES) as FuseKind[]),
  ratingA: z.number().min(1).max(2000),
  place: z.enum(Object.keys(FUSE_PLACES) as FusePlace[]),
  /** From the source, along the cable, mm. */
  distanceMm: mm(0, 20000),
  /** From its own sheet, where that is known. */
  breakingA: z.number().min(100).max(1e6).optional(),
  curve: z
    .array(z.strictObject({ multiple: z.number().min(1).max(100), seconds: z.number().min(0.001).max(1e5) }))
    .max(20)
    .optional(),
  /** Who answers for a fuse that guards against a short only, and why. */
  waiver: z.strictObject({ at: moment, by: name, why: name }).optional(),
});

/** What a cable meets on its way. */
export const MEETS = {
  wet: 'wet or salt',
  oil: 'oil or fuel',
  flexing: 'flexing in use',
  exhaust: 'near an exhaust',
} as const;
export type Meets = keyof typeof MEETS;

export const routeSchema = z
  .strictObject({
    legsMm: z.array(mm(0.1, 1e5)).min(1).max(31),
    /** A bend at each corner: between two legs. */
    bends: z
      .array(
        z.strictObject({
          deg: z.number().min(1).max(MOST_BEND_DEG),
          radiusMm: mm(1, 5000),
          side: z.enum(['left', 'right']),
        }),
      )
      .max(30),
  })
  .refine(({ legsMm, bends }) => bends.length === legsMm.length - 1, {
    message: 'a bend lies between each two legs',
  });

/** What a cable meets along its way; places are mm from stud A along the cable. */
export const waySchema = z.strictObject({
  route: routeSchema.optional(),
  /** Stretches hotter than the rest, or in the sun. The hottest governs. */
  zones: z
    .array(
      z.strictObject({
        what: name,
        fromMm: mm(),
        toMm: mm(),
        ambientC: z.number().min(-40).max(150),
        engineSpace: z.boolean(),
        sun: z.boolean(),
      }),
    )
    .max(20),
  holes: z.array(z.strictObject({ what: name, atMm: mm(), mm: mm(3, 500) })).max(20),
  supportEveryMm: mm(20, 5000).optional(),
  rubs: z.array(z.strictObject({ what: name, atMm: mm(), guarded: z.boolean() })).max(20),
});

export const runSchema = z.strictObject({
  systemV: z.number().min(1).max(1000),
  load: loadSchema,
  duty: dutySchema.optional(),
  dropPercent: z.number().min(0.5).max(50),
  /** Stud to stud along the route, without the service loop. */
  lengthMm: mm(50),
  loopMm: mm(0, 10000),
  return: returnSchema,
  devices: z.array(deviceSchema).max(20),
  source: sourceSchema,
  /** A source at both ends: battery and charger, solar, alternator, a second bank. */
  bothEndsLive: z.boolean(),
  fuses: z.array(fuseSchema).max(2),
  /** Starter circuits customarily carry no fuse. */
  starter: z.boolean(),
  ambientC: z.number().min(-40).max(150),
  engineSpace: z.boolean(),
  sun: z.boolean(),
  meets: z.array(z.enum(Object.keys(MEETS) as Meets[])).max(8),
  placing: z.enum(Object.keys(PLACINGS) as Placing[]),
  /** Conductors carrying current in the bundle, this one included. */
  bundled: z.int().min(1).max(200),
  /** What the cable is bolted to stands, °C; the shop's practice when not said. */
  terminationC: z.number().min(60).max(200).optional(),
  way: waySchema.optional(),
  /** Mock-up first: one end is on, the cable is laid, and the mark is so far from that stud's centre along it. */
  laid: z.strictObject({ on: z.enum(END_NAMES), markMm: mm(50) }).optional(),
  /** The smallest hole or gland on the way, mm across. */
  holeMm: mm(3, 500).optional(),
  /** The end that is pulled through it; either may be when not said. */
  pulledEnd: z.enum(END_NAMES).optional(),
  /** Hours a year at the continuous load. */
  hoursPerYear: z.number().min(0).max(8784),
});

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
    forceN: z.number().min(0).max(50000),
    held: z.boolean(),
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

/** Work done again on an end, or on a join where one is named. Its readings from before no longer count. */
export const reworkSchema = z.strictObject({
  id,
  at: moment,
  by: text(60),
  end: endName,
  what: name,
  joinId: id.optional(),
});

/** A gate that somebody went past, and why. */
export const passedSchema = z.strictObject({
  gate: name,
  step: id,
  at: moment,
  by: text(60),
  reason: text(200).min(3),
});

/** Something that went wrong at a step, and the way that was taken out of it. */
export const mishapSchema = z.strictObject({
  id,
  at: moment,
  by: text(60),
  step: id,
  end: endName.optional(),
  what: name,
  way: z.enum(['redo', 'cut back', 'scrap']),
  /** What was cut off, mm. */
  cutBackMm: mm().optional(),
});

/** A photograph of the work; its picture is kept apart, and goes along in the job file. */
export const photoSchema = z.strictObject({
  id,
  at: moment,
  by: text(60),
  /** The step it was taken at. */
  step: id.optional(),
  widthPx: z.int().min(1).max(20000),
  heightPx: z.int().min(1).max(20000),
});

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
  jacket: z.enum(JACKETS),
  run: runSchema,
  gauge: z.strictObject({
    kindId: id,
    /** The size chosen; the proposed one when not said. */
    size: sizeSchema.optional(),
    oneSizeUp: z.boolean().optional(),
    /** Conductors side by side, of equal length and ends. */
    parallel: z.int().min(1).max(4).optional(),
  }),
  ends: z.strictObject({ A: endSchema, B: endSchema }),
  joins: z.array(joinSchema).max(10),
  /** From palm A to palm B, turned as the cable lies, degrees. */
  palmAngleDeg: z.number().min(0).max(359),
  /** Steps of the traveller that are done, by their id, with when and by whom. */
  done: z.array(z.strictObject({ step: id, at: moment, by: text(60) })).max(200),
  readings: z.array(readingSchema).max(2000),
  reworks: z.array(reworkSchema).max(200),
  /** Gates gone past with a reason. */
  passed: z.array(passedSchema).max(200),
  /** What went wrong while making it; nothing of it is taken out again. */
  mishaps: z.array(mishapSchema).max(200),
  photos: z.array(photoSchema).max(100),
  notes: text(4000),
  /** Sealed records, oldest first. A later one does not erase an earlier one. */
  records: z.array(recordSchema).max(100),
});

export type Load = z.infer<typeof loadSchema>;
export type Duty = z.infer<typeof dutySchema>;
export type Fuse = z.infer<typeof fuseSchema>;
export type Way = z.infer<typeof waySchema>;
export type Run = z.infer<typeof runSchema>;
export type End = z.infer<typeof endSchema>;
export type Join = z.infer<typeof joinSchema>;
export type Reading = z.infer<typeof readingSchema>;
export type ReadingOf<Check extends Reading['check']> = Extract<Reading, { check: Check }>;
export type Photo = z.infer<typeof photoSchema>;
export type Passed = z.infer<typeof passedSchema>;
export type Mishap = z.infer<typeof mishapSchema>;
export type Rework = z.infer<typeof reworkSchema>;
export type CableRecord = z.infer<typeof recordSchema>;
export type RecordLine = z.infer<typeof recordLineSchema>;
export type Cable = z.infer<typeof cableSchema>;
export type Jacket = Cable['jacket'];
