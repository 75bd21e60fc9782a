import * as z from 'zod/mini';

export const METHODS = ['crimp', 'crimp then solder', 'solder', 'slug then crimp'] as const;
export type Method = (typeof METHODS)[number];

/** Readings that some shops require of every cable and others take when in doubt. */
export const FURTHER_PROOFS = ['joint', 'section', 'thermal', 'drop'] as const;
export type FurtherProof = (typeof FURTHER_PROOFS)[number];

/**
 * House practice: where good practitioners disagree, what this shop does. Each is chosen once and can be overridden
 * on a cable where the cable says so.
 */
export const housePracticeSchema = z.strictObject({
  /** Which methods of sizing govern. The others are shown and do not decide. */
  schools: z.strictObject({
    quick: z.boolean(),
    inch: z.boolean(),
    metric: z.boolean(),
    heat: z.boolean(),
  }),
  /** Take one size more than the smallest that passes. */
  oneSizeUp: z.boolean(),
  /** What the cable is bolted to stands this much unless it says otherwise, °C. */
  terminationC: z.number().check(z.gte(60), z.lte(200)),
  /** Amps to keep back from what the tables and the heat balance allow, %. */
  ampsMarginPercent: z.number().check(z.gte(0), z.lte(50)),
  /** A fuse is taken at least this much over the continuous amps. */
  fuseOverLoad: z.number().check(z.gte(1), z.lte(2)),
  /** Crimps side by side where the barrel takes them. */
  crimps: z.literal([1, 2]),
  /** Whether the die is taken as the figures say, or the tightest that still closes right. */
  dieStep: z.enum(['nominal', 'one under']),
  /** Which crimp comes first. Either works; the cable is kept pressed home. */
  firstCrimp: z.enum(['palm', 'mouth']),
  /** Turn a sixth between two crimps, where a tool raises ears. */
  turnBetween: z.boolean(),
  /** How strands are held in the lug. */
  method: z.enum(METHODS),
  /** Solder at hand, and what heats it. */
  solder: z.strictObject({
    wireMm: z.number().check(z.gte(0.3), z.lte(6)),
    torchW: z.number().check(z.gte(10), z.lte(20000)),
    flux: z.enum(['rosin', 'acid']),
  }),
  /** What is done about cut strands: none is allowed, or the few that were cut are plucked out. */
  cutStrands: z.enum(['none', 'pluck']),
  /** Which workmanship class counts plucked strands. */
  workmanship: z.enum(['class2', 'class3']),
  /**
   * What keeps water out: a sleeve with adhesive in it, a ring of adhesive under a plain one, or nothing: a plain sleeve
   * marks and insulates.
   */
  seal: z.enum(['adhesive sleeve', 'adhesive ring', 'plain sleeve']),
  /** Whether nuts and washers of a stud are used again, or new ones go along with each cable; again where nothing is given. */
  hardware: z.optional(z.enum(['again', 'new'])),
  /** What shrinks a sleeve. */
  shrinkBy: z.enum(['heat gun', 'battery gun', 'torch']),
  /** How polarity is told: by the cable's jacket, by sleeves at the ends, or by the label alone. */
  colours: z.enum(['jacket', 'sleeves', 'label']),
  /** Copper left bare between barrel mouth and jacket, mm: 0–2 for crimping, 2–4 for feeding solder. */
  gapMm: z.number().check(z.gte(0), z.lte(4)),
  /** Sleeve on the jacket, in jacket diameters. */
  sleeveOnJacket: z.number().check(z.gte(0.5), z.lte(5)),
  /** What a cut takes, what is squared off a spool first, and what is too short to keep, mm. */
  cutting: z.strictObject({
    kerfMm: z.number().check(z.gte(0), z.lte(20)),
    squareMm: z.number().check(z.gte(0), z.lte(500)),
    scrapMm: z.number().check(z.gte(0), z.lte(5000)),
  }),
  /** Lugs of each kind kept back to practise on, for a job. */
  practiceLugs: z.int().check(z.gte(0), z.lte(20)),
  /** Which published pull a proof must reach. */
  pull: z.enum(['least', 'usual', 'heaviest']),
  /** Pairs of flats measured across on every crimp; one where nothing is given. */
  flatsEach: z.optional(z.literal([1, 3])),
  /**
   * What decides near a limit: the limit itself, and what is nearer to it than its uncertainty is watched; or the limit
   * guarded by the uncertainty, and what is nearer is not proved. At the limit where nothing is given.
   */
  decision: z.optional(z.enum(['at the limit', 'guarded'])),
  /** When each die is checked on a spare piece: before its first crimp of a day, or after so many; not by itself where nothing is given. */
  checkCrimps: z.optional(z.enum(['when in doubt', 'each day', 'each 50', 'each 200'])),
  /** What a check crimp is judged by: across flats, and where the shop requires it sawn or pulled apart as well. */
  checkBy: z.optional(z.enum(['flats', 'section', 'pull'])),
  /** Of each kind of crimp the first piece is pulled apart, then one in so many; no plan where 0 or nothing is given. */
  sampleOneIn: z.optional(z.literal([0, 10, 25, 50])),
  /** Whether a second person, who did not make a cable, must sign it off before it is sealed. */
  twoPeople: z.optional(z.boolean()),
  /** What is read of every cable beyond look, callipers, pull, resistance and insulation. */
  alsoProve: z.array(z.enum(FURTHER_PROOFS)).check(z.maxLength(4)),
  /** A fault hunt names a piece, and calls a circuit sound, from this certainty on, %; 95 where nothing is given. */
  certainPercent: z.optional(z.number().check(z.gte(50), z.lte(99.9))),
  /** The most that one battery of a bank gives over the least: watched over the first, failed over the second; 1.1 and 1.25 where nothing is given. */
  spreadWatched: z.optional(z.number().check(z.gte(1), z.lte(3))),
  spreadMost: z.optional(z.number().check(z.gte(1.01), z.lte(5))),
  /** When a fitted cable is tightened again, days after, and how often it is looked at, months. */
  service: z.strictObject({
    retorqueDays: z.int().check(z.gte(1), z.lte(1000)),
    lookMonths: z.int().check(z.gte(1), z.lte(120)),
  }),
});

export type HousePractice = z.infer<typeof housePracticeSchema>;
export type School = keyof HousePractice['schools'];

/** What a careful shop does until it chooses otherwise. */
export const CUSTOMARY_PRACTICE: HousePractice = {
  schools: { quick: false, inch: true, metric: true, heat: true },
  oneSizeUp: false,
  terminationC: 90,
  ampsMarginPercent: 0,
  fuseOverLoad: 1.25,
  crimps: 2,
  dieStep: 'nominal',
  firstCrimp: 'palm',
  turnBetween: false,
  method: 'crimp',
  solder: { wireMm: 2, torchW: 1200, flux: 'rosin' },
  cutStrands: 'none',
  workmanship: 'class2',
  seal: 'adhesive sleeve',
  shrinkBy: 'heat gun',
  colours: 'jacket',
  gapMm: 1,
  sleeveOnJacket: 2.5,
  cutting: { kerfMm: 0, squareMm: 10, scrapMm: 300 },
  practiceLugs: 1,
  pull: 'least',
  alsoProve: [],
  service: { retorqueDays: 30, lookMonths: 12 },
};

/** After how many closings a die is checked, by when the shop checks; null where it does not go by that. */
export const CRIMPS_EACH = {
  'each 50': 50,
  'each 200': 200,
  'each day': null,
  'when in doubt': null,
} as const satisfies Record<NonNullable<HousePractice['checkCrimps']>, number | null>;
