import * as z from 'zod/mini';
import { say } from '../words/say.ts';
import { MOST } from './limits.ts';
import { curvePointSchema, sourceSchema } from './run.ts';
import { studSchema } from './shop.ts';
import { FUSE_PLACES, type FuseKind, type FusePlace, FUSES } from './tables/fuses.ts';
import { LOAD_LOOKS, type LoadLook, SUPPLY_SORTS, type SupplySort } from './tables/places.ts';
import { id, name } from './text.ts';

/** Amps a place is rated for, A. */
const rated = z.optional(z.number().check(z.gte(0.1), z.lte(20000)));
const milliohm = z.optional(z.number().check(z.gte(0), z.lte(1000)));
const volts = z.number().check(z.gte(1), z.lte(1000));
const percent = z.number().check(z.gte(0.1), z.lte(50));
const place = { id, name };

/** What a load takes from its posts. */
export const drawsSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('amps'), amps: z.number().check(z.gte(0), z.lte(5000)) }),
  z.strictObject({
    kind: z.literal('watts'),
    /** What the load gives out. */
    watts: z.number().check(z.gte(0), z.lte(1e6)),
    efficiencyPercent: z.number().check(z.gte(10), z.lte(100)),
    /** Under this it switches off, V at its own posts. */
    cutOutV: z.optional(volts),
  }),
  z.strictObject({ kind: z.literal('milliohm'), milliohm: z.number().check(z.gte(0.1), z.lte(1e6)) }),
]);

/** What a fuse or a breaker is, wherever it stands. */
const opens = {
  ratingA: z.number().check(z.gte(1), z.lte(2000)),
  milliohm,
  /** Of the stretch between the source and it: how far it may be. */
  place: z.optional(z.enum(Object.keys(FUSE_PLACES) as FusePlace[])),
  breakingA: z.optional(z.number().check(z.gte(100), z.lte(1e6))),
  curve: z.optional(z.array(curvePointSchema).check(z.maxLength(MOST.curvePoints))),
  melts: z.optional(z.array(curvePointSchema).check(z.maxLength(MOST.curvePoints))),
};

/** Something that cables end on. */
export const placeSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    ...place,
    kind: z.literal('battery'),
    nominalV: volts,
    /** At rest, as it is when the states are looked at; its nominal volts where not given. */
    restV: z.optional(volts),
    /** The highest that it is charged to; by its chemistry where not given. */
    chargingV: z.optional(volts),
    /** What is known of its resistance. */
    source: sourceSchema,
  }),
  z.strictObject({
    ...place,
    kind: z.literal('supply'),
    sort: z.enum(Object.keys(SUPPLY_SORTS) as SupplySort[]),
    volts,
    amps: z.number().check(z.gt(0), z.lte(5000)),
    milliohm,
  }),
  z.strictObject({
    ...place,
    kind: z.literal('dcdc'),
    /** At its output. */
    volts,
    amps: z.number().check(z.gt(0), z.lte(5000)),
    efficiencyPercent: z.number().check(z.gte(10), z.lte(100)),
  }),
  z.strictObject({
    ...place,
    kind: z.literal('load'),
    look: z.enum(Object.keys(LOAD_LOOKS) as LoadLook[]),
    draws: drawsSchema,
    /** Voltage drop allowed from its source, while it runs held and while it runs for a time. */
    dropPercent: percent,
    shortDropPercent: z.optional(percent),
    /** It must get at least this, V at its own posts, in every state in which it runs. */
    leastV: z.optional(volts),
    /** The ground that its case is bolted to, where that is its minus: a starter on its engine. */
    groundId: z.optional(id),
  }),
  z.strictObject({
    ...place,
    kind: z.literal('fuse'),
    fuse: z.enum(Object.keys(FUSES) as FuseKind[]),
    ...opens,
  }),
  z.strictObject({ ...place, kind: z.literal('breaker'), ...opens }),
  z.strictObject({ ...place, kind: z.enum(['switch', 'relay', 'shunt']), ratingA: rated, milliohm }),
  z.strictObject({
    ...place,
    kind: z.literal('bar'),
    ratingA: rated,
    stud: z.optional(studSchema),
    /** The stud of the job that it is: what else stands on it, and how long it is. */
    studId: z.optional(id),
  }),
  z.strictObject({ ...place, kind: z.literal('ground') }),
]);

/** Two grounds that are joined by their own metal or a strap: engine block to chassis. */
export const bondSchema = z.strictObject({
  id,
  a: id,
  b: id,
  /** As measured with its straps; customary, and not proved, where it is not given. */
  milliohm,
});

/** What of the installation runs, and for how long. What is not named runs whole, gives, and is closed. */
export const stateSchema = z.strictObject({
  id,
  name,
  lasts: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('held') }),
    z
      .strictObject({
        kind: z.literal('for'),
        seconds: z.number().check(z.gte(0.1), z.lte(36000)),
        /** From the beginning of one to that of the next, s; once where not given. */
        everySeconds: z.optional(z.number().check(z.gte(0.2), z.lte(72000))),
      })
      .check(
        z.refine(({ seconds, everySeconds }) => everySeconds === undefined || everySeconds > seconds, {
          path: ['everySeconds'],
          message: say`must be longer than it lasts`,
        }),
      ),
  ]),
  /** How hard loads run, in percent of what they take; 0 is off. */
  loads: z.record(id, z.number().check(z.gte(0), z.lte(200))),
  /** Supplies and DC-DC chargers that give nothing. */
  off: z.array(id).check(z.maxLength(MOST.places)),
  /** Switches, relays, breakers and fuses that are open. */
  open: z.array(id).check(z.maxLength(MOST.places)),
  /** Hours of it in a year, for what is lost in money; none where not given. */
  hoursPerYear: z.optional(z.number().check(z.gte(0), z.lte(8784))),
});

/** What is to be least when all sizes are chosen together. */
export const LEAST = ['copper', 'weight', 'money', 'years'] as const;
/** How all sizes are chosen together. */
export const sizingSchema = z.strictObject({
  least: z.enum(LEAST),
  /** For least money over years: so many, with a kilowatt-hour at so much. */
  years: z.number().check(z.gte(1), z.lte(50)),
  pricePerKwh: z.number().check(z.gte(0), z.lte(100)),
  /** Each load may lose so much of what it is allowed, percent. */
  dropPercent: z.number().check(z.gte(20), z.lte(300)),
  /** Cables that carry the same current get the same size: out and back of a circuit. */
  alike: z.boolean(),
  /** What is on the shelf first. */
  shelf: z.boolean(),
  /** Only sizes that the tool case has lugs and dies for. */
  ends: z.boolean(),
  /** Fuses proposed along with the sizes. */
  fuses: z.boolean(),
  /** Sizes chosen by hand are chosen again too; never those of a cable that is begun. */
  byHand: z.boolean(),
  /** At most so many different sizes. */
  mostSizes: z.optional(z.int().check(z.gte(1), z.lte(20))),
  /** All cables of it may weigh so much together, kg. */
  mostKg: z.optional(z.number().check(z.gte(0.1), z.lte(100_000))),
});

const areUnique = (list: readonly { readonly id: string }[]) =>
  new Set(list.map((item) => item.id)).size === list.length;

/** The installation: its places, and the states it is looked at in. */
export const systemSchema = z
  .strictObject({
    places: z.array(placeSchema).check(z.maxLength(MOST.places)),
    bonds: z.array(bondSchema).check(z.maxLength(MOST.bonds)),
    states: z.array(stateSchema).check(z.minLength(1), z.maxLength(MOST.states)),
    sizing: z.optional(sizingSchema),
  })
  .check(
    z.refine(({ places }) => areUnique(places), {
      path: ['places'],
      message: say`two places have the same id`,
    }),
    z.refine(({ states }) => areUnique(states), {
      path: ['states'],
      message: say`two states have the same id`,
    }),
  );

export type Draws = z.infer<typeof drawsSchema>;
export type Place = z.infer<typeof placeSchema>;
export type PlaceKind = Place['kind'];
export type PlaceOf<Kind extends PlaceKind> = Extract<Place, { kind: Kind }>;
export type Bond = z.infer<typeof bondSchema>;
export type SystemState = z.infer<typeof stateSchema>;
export type Sizing = z.infer<typeof sizingSchema>;
export type System = z.infer<typeof systemSchema>;

/** The state that a new system begins with: everything on, held. */
export const everythingOn = (id: string, name: string): SystemState => ({
  id,
  name,
  lasts: { kind: 'held' },
  loads: {},
  off: [],
  open: [],
});

/** How sizes are chosen together until a person says otherwise. */
export const USUAL_SIZING: Sizing = {
  least: 'copper',
  years: 10,
  pricePerKwh: 0.3,
  dropPercent: 100,
  alike: false,
  shelf: false,
  ends: true,
  fuses: false,
  byHand: false,
};
