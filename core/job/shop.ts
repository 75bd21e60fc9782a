import * as z from 'zod';
import { METRIC_SIZES, GAUGE_SIZES, type ConductorSize } from '../conductor/size.ts';
import { STUD_NAMES } from '../catalogue/tables/studs.ts';
import { housePracticeSchema } from '../practice/housePractice.ts';
import { id, mm, name, text } from './text.ts';

export const sizeSchema = z.discriminatedUnion('system', [
  z.strictObject({ system: z.literal('metric'), name: z.enum(METRIC_SIZES) }),
  z.strictObject({ system: z.enum(['awg', 'sae']), name: z.enum(GAUGE_SIZES) }),
]) satisfies z.ZodType<ConductorSize>;

export const studSchema = z.enum(STUD_NAMES);

/** A kind of cable as bought: its construction, and the sizes it comes in. */
export const cableKindSchema = z.strictObject({
  id,
  title: name,
  tinned: z.boolean(),
  strands: z.enum(['coarse', 'fine', 'extra fine']),
  insulation: z.enum(['pvc', 'thermoplastic', 'xlpe', 'rubber']),
  /** The insulation's temperature rating, °C. */
  limitC: z.number().min(60).max(200),
  /** Rated voltage, V. */
  ratedV: z.number().min(12).max(2000),
  /** What the jacket stands. */
  stands: z.strictObject({ oil: z.boolean(), sun: z.boolean(), flame: z.boolean() }),
  /** Least bend radius, in outside diameters, lying still; when it flexes it asks for more. */
  bend: z.number().min(2).max(20),
  sizes: z
    .array(z.strictObject({ size: sizeSchema, outerMm: mm(2, 60), pricePerM: z.number().min(0).max(1e4) }))
    .min(1)
    .max(40),
});

export const lugSchema = z.strictObject({
  id,
  label: name,
  family: name,
  forSize: sizeSchema,
  stud: studSchema,
  holeMm: mm(2, 30),
  boreMm: mm(1, 60),
  outerMm: mm(2, 80),
  barrelMm: mm(3, 120),
  palmWidthMm: mm(4, 120),
  palmThicknessMm: mm(0.5, 20),
  studToBarrelMm: mm(3, 120),
  metal: z.enum(['copper', 'brass']),
  plating: z.enum(['tin', 'none']),
  sightHole: z.boolean(),
  price: z.number().min(0).max(1e4),
  stock: z.int().min(0).max(1e5),
});

export const toolSchema = z.strictObject({
  id,
  title: name,
  kind: z.enum(['hand hydraulic', 'bench hydraulic', 'hand lever', 'hammer']),
});

export const dieSchema = z.strictObject({
  id,
  toolId: id,
  /** What is stamped on it; empty when nothing is. A stamp decides nothing. */
  stamp: text(12),
  /** Measured across the flats with the die closed, mm. */
  acrossFlatsMm: mm(2, 60),
  widthMm: mm(2, 40),
});

export const sleeveSchema = z.strictObject({
  id,
  kind: z.enum(['dual-3', 'dual-4', 'medium-3', 'thin-2']),
  suppliedMm: mm(1, 120),
  recoveredMm: mm(0.3, 60),
  wallMm: mm(0.2, 8),
  stockMm: mm(),
});

/** Everything a shop owns and how it works. */
export const shopSchema = z.strictObject({
  name,
  currency: z.string().min(1).max(4),
  practice: housePracticeSchema,
  cableKinds: z.array(cableKindSchema).min(1).max(200),
  lugs: z.array(lugSchema).max(2000),
  tools: z.array(toolSchema).max(100),
  dies: z.array(dieSchema).max(500),
  sleeves: z.array(sleeveSchema).max(500),
});

export type CableKind = z.infer<typeof cableKindSchema>;
export type CableSize = CableKind['sizes'][number];
export type Lug = z.infer<typeof lugSchema>;
export type Tool = z.infer<typeof toolSchema>;
export type Die = z.infer<typeof dieSchema>;
export type Sleeve = z.infer<typeof sleeveSchema>;
export type Shop = z.infer<typeof shopSchema>;
