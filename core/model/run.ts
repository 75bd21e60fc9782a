import * as z from 'zod/mini';
import { FUSE_PLACES, type FuseKind, type FusePlace, FUSES } from './tables/fuses.ts';
import { type Chemistry, type DeviceKind, DEVICES, SHORT_AMPS_PER_AH } from './tables/sources.ts';
import { GUARD_IDS } from './tables/guards.ts';
import { PLACINGS, type Placing } from './tables/placings.ts';
import { END_NAMES } from './end.ts';
import { mm, moment, name } from './text.ts';
import { MOST, MOST_BEND_DEG, RUN_LENGTH_MM } from './limits.ts';
import { msg } from '../words/message.ts';
import { say } from '../words/say.ts';

export const loadSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('amps'), amps: z.number().check(z.gte(0), z.lte(5000)) }),
  z.strictObject({
    kind: z.literal('watts'),
    /** What the load gives out. */
    watts: z.number().check(z.gte(0), z.lte(1e6)),
    efficiencyPercent: z.number().check(z.gte(10), z.lte(100)),
    /** The lowest battery voltage at which it must still run: a falling battery draws more amps. */
    lowestV: z.number().check(z.gte(1), z.lte(1000)),
    /** Under this the load switches off, V at its own terminals. */
    cutOutV: z.optional(z.number().check(z.gte(1), z.lte(1000))),
  }),
]);

/** Steps of current on top of the continuous load: one surge, or a cycle that comes again and again. */
export const dutySchema = z.strictObject({
  steps: z
    .array(
      z.strictObject({
        amps: z.number().check(z.gte(0), z.lte(20000)),
        seconds: z.number().check(z.gte(0.1), z.lte(36000)),
      }),
    )
    .check(z.minLength(1), z.maxLength(MOST.dutySteps)),
  repeats: z.boolean(),
  /** Drop allowed at the heaviest step. */
  dropPercent: z.number().check(z.gte(0.5), z.lte(50)),
});

export const returnSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('cable'), lengthMm: mm(10) }),
  z.strictObject({
    kind: z.literal('chassis'),
    /** With its straps and both joints, as measured; not proved while it is not given. */
    milliohm: z.optional(z.number().check(z.gte(0), z.lte(1000))),
  }),
  /** The other cables of its circuit, this one's share of one drop budget. */
  z.strictObject({ kind: z.literal('circuit'), name }),
  z.strictObject({ kind: z.literal('none') }),
]);

/** A fuse, switch or shunt on the loop. */
export const deviceSchema = z.strictObject({
  kind: z.enum(Object.keys(DEVICES) as DeviceKind[]),
  /** A, where its drop is known at its rating. */
  ratingA: z.optional(z.number().check(z.gte(1), z.lte(5000))),
  /** As measured or from its sheet; outranks what is typical. */
  milliohm: z.optional(z.number().check(z.gte(0), z.lte(1000))),
});

/** What is known of the source behind a cable. */
export const sourceSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('unknown') }),
  z.strictObject({ kind: z.literal('typed'), milliohm: z.number().check(z.gte(0.01), z.lte(1000)) }),
  z.strictObject({
    kind: z.literal('cells'),
    cellMilliohm: z.number().check(z.gte(0.01), z.lte(100)),
    inSeries: z.int().check(z.gte(1), z.lte(400)),
    strings: z.int().check(z.gte(1), z.lte(40)),
    /** The fuse in each string, where there are several. */
    stringFuseA: z.optional(z.number().check(z.gte(1), z.lte(2000))),
  }),
  z.strictObject({
    kind: z.literal('battery'),
    chemistry: z.enum(Object.keys(SHORT_AMPS_PER_AH) as Chemistry[]),
    ampHours: z.number().check(z.gte(1), z.lte(1e5)),
  }),
  z.strictObject({
    kind: z.literal('cranking'),
    crankingA: z.number().check(z.gte(50), z.lte(5000)),
    /** The temperature that its label gives them at, °C; 27 where that is not given. */
    ratedC: z.optional(z.literal([27, 0, -18])),
  }),
]);

/** One point of a fuse's curve: after how long it opens at a multiple of its rating. */
export const curvePointSchema = z.strictObject({
  multiple: z.number().check(z.gte(1), z.lte(100)),
  seconds: z.number().check(z.gte(0.001), z.lte(1e5)),
});

export const fuseSchema = z.strictObject({
  end: z.enum(END_NAMES),
  kind: z.enum(Object.keys(FUSES) as FuseKind[]),
  ratingA: z.number().check(z.gte(1), z.lte(2000)),
  place: z.enum(Object.keys(FUSE_PLACES) as FusePlace[]),
  /** From the source, along the cable, mm. */
  distanceMm: mm(0, 20000),
  /** From its own sheet, where that is known: what it breaks, how long it takes at the most, and at the least. */
  breakingA: z.optional(z.number().check(z.gte(100), z.lte(1e6))),
  curve: z.optional(z.array(curvePointSchema).check(z.maxLength(MOST.curvePoints))),
  melts: z.optional(z.array(curvePointSchema).check(z.maxLength(MOST.curvePoints))),
  /** Who answers for a fuse that guards against a short only, and why. */
  waiver: z.optional(z.strictObject({ at: moment, by: name, why: name })),
});

/** What of a run may come from the system of its job; what is typed is kept beneath. */
export const SYSTEM_INPUTS = ['volts', 'load', 'drop', 'source', 'fuses'] as const;
export type SystemInput = (typeof SYSTEM_INPUTS)[number];

/** What a cable meets on its way. */
export const MEETS = {
  wet: msg`wet or salt`,
  oil: msg`oil or fuel`,
  flexing: msg`flexing in use`,
  exhaust: msg`near an exhaust`,
} as const;
export type Meets = keyof typeof MEETS;

export const routeSchema = z
  .strictObject({
    legsMm: z.array(mm(0.1, 1e5)).check(z.minLength(1), z.maxLength(MOST.legs)),
    /** A bend at each corner: between two legs. */
    bends: z
      .array(
        z.strictObject({
          deg: z.number().check(z.gte(1), z.lte(MOST_BEND_DEG)),
          radiusMm: mm(1, 5000),
          side: z.enum(['left', 'right']),
        }),
      )
      .check(z.maxLength(MOST.legs - 1)),
  })
  .check(
    z.refine(({ legsMm, bends }) => bends.length === legsMm.length - 1, {
      message: say`a bend lies between each two legs`,
    }),
  );

/** What a cable meets along its route; places are mm from stud A along the cable. */
export const waySchema = z.strictObject({
  route: z.optional(routeSchema),
  /** Stretches hotter than the rest, or in the sun. The hottest governs. */
  zones: z
    .array(
      z.strictObject({
        what: name,
        fromMm: mm(),
        toMm: mm(),
        ambientC: z.number().check(z.gte(-40), z.lte(150)),
        engineSpace: z.boolean(),
        sun: z.boolean(),
      }),
    )
    .check(z.maxLength(MOST.zones)),
  holes: z.array(z.strictObject({ what: name, atMm: mm(), mm: mm(3, 500) })).check(z.maxLength(MOST.holes)),
  supportEveryMm: z.optional(mm(20, 5000)),
  rubs: z
    .array(
      z.strictObject({
        what: name,
        atMm: mm(),
        guarded: z.boolean(),
        /** What keeps it off; a sheath of some kind where it is guarded and this is not given. */
        guard: z.optional(z.enum(GUARD_IDS)),
      }),
    )
    .check(z.maxLength(MOST.rubs)),
});

export const runSchema = z.strictObject({
  systemV: z.number().check(z.gte(1), z.lte(1000)),
  load: loadSchema,
  duty: z.optional(dutySchema),
  dropPercent: z.number().check(z.gte(0.5), z.lte(50)),
  /** Stud to stud along the route, without the service loop. */
  lengthMm: mm(RUN_LENGTH_MM.least, RUN_LENGTH_MM.most),
  loopMm: mm(0, 10000),
  return: returnSchema,
  devices: z.array(deviceSchema).check(z.maxLength(MOST.devices)),
  source: sourceSchema,
  /** A source at both ends: battery and charger, solar, alternator, a second bank. */
  bothEndsLive: z.boolean(),
  /** Where both ends are live, the source at end B; the other is then the one at A. */
  farSource: z.optional(sourceSchema),
  /** The highest volts that it is charged to, where that is known. */
  chargingV: z.optional(z.number().check(z.gte(1), z.lte(1500))),
  /** The coldest that an engine must start in, °C. */
  coldestC: z.optional(z.number().check(z.gte(-60), z.lte(60))),
  fuses: z.array(fuseSchema).check(z.maxLength(MOST.fuses)),
  /** Starter circuits customarily carry no fuse. */
  starter: z.boolean(),
  ambientC: z.number().check(z.gte(-40), z.lte(150)),
  engineSpace: z.boolean(),
  sun: z.boolean(),
  meets: z.array(z.enum(Object.keys(MEETS) as Meets[])).check(z.maxLength(8)),
  placing: z.enum(Object.keys(PLACINGS) as Placing[]),
  /** Conductors carrying current in the bundle, this one included. */
  bundled: z.int().check(z.gte(1), z.lte(200)),
  /** What the cable is bolted to stands, °C; the shop's practice when not given. */
  terminationC: z.optional(z.number().check(z.gte(60), z.lte(200))),
  way: z.optional(waySchema),
  /** Mock-up first: one end is on, the cable is laid, and the mark is so far from that stud's centre along it. */
  laid: z.optional(z.strictObject({ on: z.enum(END_NAMES), markMm: mm(50) })),
  /** The smallest hole or gland on the way, mm across. */
  holeMm: z.optional(mm(3, 500)),
  /** The end that is pulled through it; either may be when not given. */
  pulledEnd: z.optional(z.enum(END_NAMES)),
  /** Hours a year at the continuous load. */
  hoursPerYear: z.number().check(z.gte(0), z.lte(8784)),
  /** What of it comes from the system; typed where not named. */
  fromSystem: z.optional(z.array(z.enum(SYSTEM_INPUTS)).check(z.maxLength(SYSTEM_INPUTS.length))),
});

export type Load = z.infer<typeof loadSchema>;
export type Duty = z.infer<typeof dutySchema>;
export type Device = z.infer<typeof deviceSchema>;
export type Source = z.infer<typeof sourceSchema>;
export type Fuse = z.infer<typeof fuseSchema>;
export type Way = z.infer<typeof waySchema>;
export type Run = z.infer<typeof runSchema>;
