import * as z from 'zod';

/**
 * House practice: where good practitioners disagree, what this shop does. Each is chosen once and can be overridden
 * on a cable where the cable says so.
 */
export const housePracticeSchema = z.strictObject({
  /** Which schools of sizing bind. The others are shown and do not decide. */
  schools: z.strictObject({
    quick: z.boolean(),
    inch: z.boolean(),
    metric: z.boolean(),
    heat: z.boolean(),
  }),
  /** Take one size more than the smallest that passes. */
  oneSizeUp: z.boolean(),
  /** What the cable is bolted to stands this much unless it says otherwise, °C. */
  terminationC: z.number().min(60).max(200),
  /** Amps to keep back from what the tables and the heat balance allow, %. */
  ampsMarginPercent: z.number().min(0).max(50),
  /** A fuse is taken at least this much over the continuous amps. */
  fuseOverLoad: z.number().min(1).max(2),
  /** Crimps side by side where the barrel takes them. */
  crimps: z.literal([1, 2]),
  /** Copper left bare between barrel mouth and jacket, mm: 0–2 for crimping, 2–4 for feeding solder. */
  gapMm: z.number().min(0).max(4),
  /** Sleeve on the jacket, in jacket diameters. */
  sleeveOnJacket: z.number().min(0.5).max(5),
  /** Which published pull a proof must reach. */
  pull: z.enum(['least', 'usual', 'heaviest']),
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
  gapMm: 1,
  sleeveOnJacket: 2.5,
  pull: 'least',
};
