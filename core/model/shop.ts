import * as z from 'zod/mini';
import { METRIC_SIZES, GAUGE_SIZES, type ConductorSize } from './tables/size.ts';
import { POST_KINDS, type PostKind } from './tables/posts.ts';
import { SLEEVE_KINDS } from './tables/sleeves.ts';
import { STUD_NAMES } from './tables/studs.ts';
import { type InstrumentKind, INSTRUMENTS } from './tables/instruments.ts';
import { TOOL_KINDS, type ToolKind } from './tables/tools.ts';
import { accuracySchema, readWithSchema } from './accuracy.ts';
import { housePracticeSchema } from './housePractice.ts';
import { MOST } from './limits.ts';
import { day, id, mm, moment, name, text } from './text.ts';

export const sizeSchema = z.discriminatedUnion('system', [
  z.strictObject({ system: z.literal('metric'), name: z.enum(METRIC_SIZES) }),
  z.strictObject({ system: z.enum(['awg', 'sae']), name: z.enum(GAUGE_SIZES) }),
]) satisfies z.ZodMiniType<ConductorSize>;

export const studSchema = z.enum(STUD_NAMES);

/** Of a metre, in the shop's currency. */
const price = z.number().check(z.gte(0), z.lte(1e4));

export const JACKETS = ['red', 'black', 'yellow', 'green'] as const;

/** What a conductor is covered with; a braided ground strap with nothing. */
export const INSULATIONS = ['pvc', 'thermoplastic', 'xlpe', 'rubber', 'bare'] as const;

/** A kind of cable as bought: its construction, and the sizes it comes in. */
export const cableKindSchema = z.strictObject({
  id,
  title: name,
  tinned: z.boolean(),
  strands: z.enum(['coarse', 'fine', 'extra fine']),
  insulation: z.enum(INSULATIONS),
  /** The insulation's temperature rating, °C. */
  limitC: z.number().check(z.gte(60), z.lte(200)),
  /** Rated voltage, V. */
  ratedV: z.number().check(z.gte(12), z.lte(2000)),
  /** What the jacket stands; rubbing as is usual for its insulation where it is not given. */
  stands: z.strictObject({
    oil: z.boolean(),
    sun: z.boolean(),
    flame: z.boolean(),
    rubbing: z.optional(z.boolean()),
  }),
  /** The colours it is bought in; any where none is given. */
  colours: z.optional(z.array(z.enum(JACKETS)).check(z.maxLength(4))),
  /** Least bend radius, in outside diameters, lying still; when it flexes it asks for more. */
  bend: z.number().check(z.gte(2), z.lte(20)),
  sizes: z
    .array(
      z.strictObject({
        size: sizeSchema,
        outerMm: mm(2, 60),
        pricePerM: price,
        /** By its data sheet, where that is at hand: mass, g/m; resistance at 20 °C, Ω/km; and how many strands. */
        gPerM: z.optional(z.number().check(z.gte(5), z.lte(20000))),
        ohmPerKm: z.optional(z.number().check(z.gte(0.01), z.lte(50))),
        strandCount: z.optional(z.int().check(z.gte(1), z.lte(20000))),
      }),
    )
    .check(z.minLength(1), z.maxLength(40)),
});

export const POLARITIES = ['positive', 'negative'] as const;

/** A battery post, or the clamp bored for it: posts of one kind differ by polarity. */
export const postSchema = z.strictObject({
  kind: z.enum(Object.keys(POST_KINDS) as PostKind[]),
  polarity: z.enum(POLARITIES),
});

/** How often something was done. */
const count = z.int().check(z.gte(0), z.lte(1e7));

/**
 * What a lug is made as: only a tube is crimped, a casting is soldered; a screw clamp for a post and a screw terminal for
 * a stud are for getting home.
 */
export const LUG_FORMS = ['tube', 'cast clamp', 'screw clamp', 'screw terminal', 'butt'] as const;

/** What was tried of a lug to tell its metal: a rubbed corner, its weight in the air and hanging in water, the die. */
export const metalTestSchema = z.strictObject({
  at: z.optional(moment),
  by: z.optional(text(60)),
  weighedG: z.optional(z.number().check(z.gte(0.1), z.lte(5000))),
  inWaterG: z.optional(z.number().check(z.gte(0.1), z.lte(5000))),
  /** What the scale resolves. */
  scaleG: z.optional(z.number().check(z.gte(0.001), z.lte(5))),
  corner: z.optional(z.enum(['red', 'yellow'])),
  cracked: z.optional(z.boolean()),
});

/** What a connector may come in: a jacket with adhesive, or one that solders by itself. */
export const CONNECTOR_COVERS = ['sealed', 'solder ring'] as const;

/** What a strand or conductor is put into: a ring lug, a clamp for a post, or an in-line connector. */
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
  /** From the hole's centre to the bottom of the barrel; of a butt connector, half its stop. */
  studToBarrelMm: mm(0, 120),
  form: z.enum(LUG_FORMS),
  metal: z.enum(['copper', 'brass', 'lead']),
  plating: z.enum(['tin', 'none']),
  sightHole: z.boolean(),
  /** A mouth that opens out helps the strands in. */
  flared: z.boolean(),
  /** The palm lies this far off the barrel's own line, mm. */
  offsetMm: mm(0, 60),
  /** Between palm and barrel: 0 is straight, degrees. */
  angleDeg: z.number().check(z.gte(0), z.lte(90)),
  /** Its hole was drilled out to pass a thicker stud. */
  drilledOut: z.boolean(),
  /** Its dimensions were measured here, not taken from a family. */
  measured: z.boolean(),
  /** How its metal was tested. */
  tested: z.optional(metalTestSchema),
  /** Made here from copper tube with a wall of so much, mm: a field expedient. */
  madeHere: z.optional(z.strictObject({ wallMm: mm(0.5, 8) })),
  /** Solder that it comes loaded with, g. */
  solderG: z.optional(z.number().check(z.gte(0), z.lte(500))),
  /** Of a connector: it is crimped under its own jacket that seals, or its jacket brings a ring of solder. */
  cover: z.optional(z.enum(CONNECTOR_COVERS)),
  /** The post a clamp is bored for, and how many cables it takes. */
  clamp: z.optional(z.strictObject({ post: postSchema, cables: z.literal([1, 2]) })),
  price: z.number().check(z.gte(0), z.lte(1e4)),
  stock: z.int().check(z.gte(0), z.lte(1e5)),
});

export const toolSchema = z.strictObject({
  id,
  title: name,
  kind: z.enum(Object.keys(TOOL_KINDS) as ToolKind[]),
  /** The most copper it closes on, mm², where that is known. */
  largestMm2: z.optional(z.number().check(z.gte(1), z.lte(1000))),
  forceKn: z.optional(z.number().check(z.gte(1), z.lte(1000))),
  /** Room to swing its handles or the hammer, where it differs from its kind, mm. */
  swingMm: z.optional(mm(0, 3000)),
  /** What tells that it is done: "dies touch", "plunger at the second ring", "dial at 4". */
  mark: z.optional(text(60)),
  /** The day until which its own check or calibration holds: its force, its dial, its stops. */
  due: z.optional(day),
});

export const dieSchema = z.strictObject({
  id,
  toolId: id,
  /** What is stamped on it; empty when nothing is. A stamp decides nothing. */
  stamp: text(12),
  /** The code number of its standard, by its sheet, where its mark does not say it: what it measures must agree. */
  code: z.optional(z.int().check(z.gte(1), z.lte(99))),
  /** Measured across the flats with the die closed; of an indent, across it with the tool at its mark, mm. */
  acrossFlatsMm: mm(2, 60),
  widthMm: mm(2, 40),
  /** Of an indent: where its tool stops for this size, where that differs from the tool’s own mark: "dial at 4". */
  mark: z.optional(text(60)),
  /** About how many blows bring a hammer-struck tool to that mark, by a trial. */
  blows: z.optional(z.int().check(z.gte(1), z.lte(200))),
  /** How often it has closed, as far as it was ticked at the bench. */
  closed: z.optional(count),
});

export const SLEEVE_COLOURS = ['black', 'red', 'yellow', 'green', 'white', 'clear'] as const;

export const sleeveSchema = z.strictObject({
  id,
  kind: z.enum(SLEEVE_KINDS),
  suppliedMm: mm(1, 120),
  recoveredMm: mm(0.3, 60),
  wallMm: mm(0.2, 8),
  colour: z.enum(SLEEVE_COLOURS),
  stockMm: mm(),
  /** Nothing where it is not known. */
  pricePerM: z.optional(price),
});

const pullSchema = z.strictObject({ forceN: z.number().check(z.gte(0), z.lte(50000)), held: z.boolean() });
const voidShare = z.number().check(z.gte(0), z.lte(0.6));

/** A test crimp on a lug that was used up to learn what a die really does. */
export const trialSchema = z.strictObject({
  id,
  at: moment,
  by: text(60),
  dieId: id,
  lugId: id,
  size: sizeSchema,
  acrossFlatsMm: mm(1, 100),
  earsMm: mm(0, 20),
  /** Held for one minute, or slipped, at this force. */
  pull: z.optional(pullSchema),
  /** Air in the sawn section, as a share of its outline. */
  voidShare: z.optional(voidShare),
  source: z.enum(['typed', 'instrument', 'simulated']),
});

/** A crimp on a spare piece, to see that a die still closes as it did. */
export const dieCheckSchema = z.strictObject({
  id,
  at: moment,
  by: text(60),
  dieId: id,
  acrossFlatsMm: mm(1, 100),
  /** The lug it was made on: what is sawn or pulled is judged by its wall and its size. */
  lugId: z.optional(id),
  /** Held for one minute, or slipped, at this force. */
  pull: z.optional(pullSchema),
  /** Air in the sawn section, as a share of its outline. */
  voidShare: z.optional(voidShare),
  source: z.enum(['typed', 'instrument', 'simulated']),
  instrument: z.optional(readWithSchema),
  /** How often its die had closed by then; see the die. */
  closed: z.optional(count),
});

/** Cable on the shelf: a spool, or an offcut worth keeping. */
export const spoolSchema = z.strictObject({
  id,
  label: name,
  kindId: id,
  size: sizeSchema,
  colour: z.enum(JACKETS),
  lengthMm: mm(1, 1e7),
  offcut: z.boolean(),
  /** What was paid for it; its kind's usual price unless given. */
  pricePerM: z.optional(price),
});

/** How much of something: pieces, mm or g. */
const quantity = z.number().check(z.gte(0), z.lte(1e7));

/** Something that is counted on the shelf; of a lug or sleeve, whose count stands with it, the least to keep of it. */
export const shelfSchema = z.strictObject({
  /** What it is: "solder", "label", "layer:boot", "lug:l4". */
  stock: text(120).check(z.minLength(1)),
  have: z.optional(quantity),
  /** With less than this it is bought again. */
  least: z.optional(quantity),
  /** Of a piece, a metre or 100 g. */
  price: z.optional(price),
});

/** A count that was corrected: what it was, where it was known, and what was found. */
export const recountSchema = z.strictObject({
  stock: text(120).check(z.minLength(1)),
  at: moment,
  by: text(60),
  was: z.optional(quantity),
  now: quantity,
});

/** What turns a line that an instrument sends into a figure; see `core/instrument/linePattern.ts`. */
export const lineSchema = z.strictObject({
  /** Its own words round the figure: "<skip>,<value> <unit>". */
  pattern: text(200).check(z.minLength(7)),
  /** The unit, where its lines do not say one. */
  unit: text(12),
  /** What is sent to ask for a reading; nothing where it sends by itself. */
  ask: text(60),
  baud: z.union([
    z.literal(1200),
    z.literal(2400),
    z.literal(4800),
    z.literal(9600),
    z.literal(19200),
    z.literal(38400),
    z.literal(57600),
    z.literal(115200),
  ]),
});

/** A measuring instrument of the shop. */
export const instrumentSchema = z.strictObject({
  id,
  title: name,
  kind: z.enum(Object.keys(INSTRUMENTS) as InstrumentKind[]),
  /** The least it can resolve, in the unit of its kind. */
  resolution: z.number().check(z.positive(), z.lte(1e4)),
  /** What it may be off by, by its sheet; as is usual for its kind where it is not given. */
  accuracy: z.optional(accuracySchema),
  /** The day until which its calibration holds. */
  due: z.optional(day),
  /** How it speaks over a serial line; read by eye and typed where it does not. */
  line: z.optional(lineSchema),
});

export const SHOP_ORIGINS = ['assumed', 'demo', 'example', 'answers', 'empty'] as const;

/** Everything a shop owns and how it works. */
export const shopSchema = z.strictObject({
  name,
  currency: z.string().check(z.minLength(1), z.maxLength(4)),
  practice: housePracticeSchema,
  cableKinds: z.array(cableKindSchema).check(z.minLength(1), z.maxLength(MOST.cableKinds)),
  lugs: z.array(lugSchema).check(z.maxLength(MOST.lugs)),
  tools: z.array(toolSchema).check(z.maxLength(MOST.tools)),
  dies: z.array(dieSchema).check(z.maxLength(MOST.dies)),
  sleeves: z.array(sleeveSchema).check(z.maxLength(MOST.sleeves)),
  spools: z.array(spoolSchema).check(z.maxLength(MOST.spools)),
  /** Test crimps, oldest first. */
  trials: z.array(trialSchema).check(z.maxLength(MOST.trials)),
  instruments: z.array(instrumentSchema).check(z.maxLength(MOST.instruments)),
  /** Check crimps of the dies, oldest first. */
  checks: z.optional(z.array(dieCheckSchema).check(z.maxLength(MOST.trials))),
  /** Lots as their bags and drums were begun, oldest first: of one thing on the shelf the last is in use. */
  lots: z.optional(
    z
      .array(
        z.strictObject({
          stock: text(120).check(z.minLength(1)),
          lot: text(60).check(z.minLength(1)),
          at: moment,
        }),
      )
      .check(z.maxLength(MOST.shopLots)),
  ),
  /** What is counted on the shelf besides cable, lugs and sleeves, and the least to keep of each. */
  shelf: z.optional(z.array(shelfSchema).check(z.maxLength(MOST.shelf))),
  /** What the lid of the tool case has room for, mm: its map is printed for it. */
  lid: z.optional(z.strictObject({ widthMm: mm(60, 800), heightMm: mm(60, 800) })),
  /** Counts that were corrected, oldest first. */
  recounts: z.optional(z.array(recountSchema).check(z.maxLength(MOST.recounts))),
  /**
   * What the shop was begun with, while that is worth saying: assumed before anybody was asked, the demo's, the made-up example, what
   * was answered, or nothing. Absent: the person's own.
   */
  origin: z.optional(z.enum(SHOP_ORIGINS)),
});

export type CableKind = z.infer<typeof cableKindSchema>;
export type CableSize = CableKind['sizes'][number];
export type Lug = z.infer<typeof lugSchema>;
export type MetalTest = z.infer<typeof metalTestSchema>;
export type Tool = z.infer<typeof toolSchema>;
export type Die = z.infer<typeof dieSchema>;
export type Sleeve = z.infer<typeof sleeveSchema>;
export type Spool = z.infer<typeof spoolSchema>;
export type Instrument = z.infer<typeof instrumentSchema>;
export type InstrumentLine = z.infer<typeof lineSchema>;
export type Recount = z.infer<typeof recountSchema>;
export type DieCheck = z.infer<typeof dieCheckSchema>;
export type Trial = z.infer<typeof trialSchema>;
export type Post = z.infer<typeof postSchema>;
export type Polarity = Post['polarity'];
export type Shop = z.infer<typeof shopSchema>;

/**
 * The kind that a cable is made of: the one it names, else the first that the shop has.
 *
 * @throws RangeError when the shop has no cable at all
 */
export function ownedKind(
  { gauge }: { readonly gauge: { readonly kindId: string } },
  { cableKinds }: Pick<Shop, 'cableKinds'>,
): CableKind {
  const owned = cableKinds.find(({ id }) => id === gauge.kindId) ?? cableKinds[0];
  if (!owned) throw new RangeError('the shop has no cable');
  return owned;
}
