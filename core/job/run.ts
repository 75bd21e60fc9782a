import * as z from 'zod';
import { MOST_BEND_DEG } from '../cutting/route.ts';
import { FUSE_PLACES, type FuseKind, type FusePlace, FUSES } from '../catalogue/tables/fuses.ts';
import { type Chemistry, type DeviceKind, DEVICES, SHORT_AMPS_PER_AH } from '../catalogue/tables/sources.ts';
import type { Device } from '../sizing/devices.ts';
import { PLACINGS, type Placing } from '../sizing/placing.ts';
import type { Source } from '../sizing/source.ts';
import { END_NAMES } from './end.ts';
import { mm, moment, name } from './text.ts';
import { say } from '../words/say.ts';

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
  wet: say`wet or salt`,
  oil: say`oil or fuel`,
  flexing: say`flexing in use`,
  exhaust: say`near an exhaust`,
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
    message: say`a bend lies between each two legs`,
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

export type Load = z.infer<typeof loadSchema>;
export type Duty = z.infer<typeof dutySchema>;
export type Fuse = z.infer<typeof fuseSchema>;
export type Way = z.infer<typeof waySchema>;
export type Run = z.infer<typeof runSchema>;
