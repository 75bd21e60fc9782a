import { genericShop } from '../model/catalogue/genericShop.ts';
import { STUDS, type StudName } from '../model/tables/studs.ts';
import { bundleDiameterMm } from '../conductor/geometry.ts';
import { areaMm2, type ConductorSize } from '../model/tables/size.ts';
import { newCable } from '../model/newCable.ts';
import type { CableKind, Die, Lug, Polarity, Sleeve } from '../model/shop.ts';
import { acrossFlatsWindow, MOST_EARS_MM, SPRING_BACK } from '../termination/dies/dieClosed.ts';
import { between, pick, type Random, seeded, shuffled } from '../lib/random.ts';
import { MOST_CLEARANCE_MM } from '../termination/lugs/lugOnStud.ts';
import { conductorOf, resolveEnd } from '../termination/resolveEnd.ts';
import { FAULT_NAMES, type FaultName, goesWith } from './faults.ts';

export const LEVELS = [1, 2, 3] as const;
export type Level = (typeof LEVELS)[number];

/** What the job card asks of an end. */
export interface AskedEnd {
  readonly tag: string;
  readonly kind: CableKind;
  readonly size: ConductorSize;
  readonly copperMm2: number;
  readonly strandCount: number;
  readonly outerMm: number;
  readonly bundleMm: number;
  readonly stud: StudName;
  readonly lug: Lug;
  readonly die: Die;
  readonly crimps: number;
  /** Copper to show at the mouth, mm. */
  readonly gapMm: number;
  readonly sleeve: Sleeve;
  readonly coverMm: number;
  readonly polarity: Polarity;
}

/** An end as somebody made it, to be looked at and measured. Lengths in mm. */
export interface MadeEnd {
  readonly asked: AskedEnd;
  readonly holeMm: number;
  /** From the bottom of the barrel to where the copper ends. */
  readonly shortMm: number;
  /** Copper seen between mouth and jacket; negative where the jacket is inside. */
  readonly bareMm: number;
  readonly strandsOutside: number;
  /** Middles from the mouth, and what a calliper reads across the flats of each. */
  readonly crimps: readonly { readonly fromMouthMm: number; readonly acrossFlatsMm: number }[];
  readonly earsMm: number;
  /** From the shoulder of the lug to the front of the sleeve; negative on the palm. */
  readonly sleeveFrontMm: number;
  readonly beads: { readonly front: boolean; readonly back: boolean };
  readonly brownedMm: number;
  /** What its jacket says. */
  readonly colour: 'red' | 'black';
}

/** One end to be looked at. */
export interface Exercise {
  readonly seed: number;
  readonly level: Level;
  readonly number: number;
  readonly made: MadeEnd;
  /** What was done wrong on purpose. */
  readonly faults: readonly FaultName[];
}

/** How far past its limit a fault is, as a share of what is gross: each level leaves less to see. */
const HOW_FAR: Readonly<Record<Level, readonly [number, number]>> = {
  1: [0.8, 1],
  2: [0.4, 0.7],
  3: [0.12, 0.3],
};
/** The most faults an end has at a level. */
const MOST_FAULTS: Readonly<Record<Level, number>> = { 1: 2, 2: 3, 3: 3 };

const SIZES = ['35', '50', '70', '95'] as const;
const STUD_NAMES = ['M6', 'M8', 'M10', 'M12'] as const satisfies readonly StudName[];
const COLOUR: Readonly<Record<Polarity, 'red' | 'black'>> = { positive: 'red', negative: 'black' };
/** Copper must be seen in the sight hole: it may end this far from the bottom of the barrel, mm. Craft practice. */
export const HOME_MM = 1;

/**
 * One end with none to three faults, drawn from the generic shop; the same for the same seed, level and number.
 *
 * @param seed any whole number from 0
 * @param number which end of a round, from 1
 * @example exercise(12, 2, 1).faults // ['strand outside']
 */
export function exercise(seed: number, level: Level, number: number): Exercise {
  const random = seeded(seed * 1009 + level * 101 + number);
  const asked = askedEnd(random, number);
  const faults = chooseFaults(random, level, asked);
  const made = faults.reduce((end, name) => spoil(end, name, random, level), soundEnd(asked, random));
  return { seed, level, number, made, faults };
}

/** An end that the shop can make as it should be: lug, die and sleeve as the rules propose them. */
function askedEnd(random: Random, number: number): AskedEnd {
  const shop = genericShop();
  // What is looked at is the jacket too.
  const metric = shop.cableKinds.filter(
    ({ insulation, sizes }) => insulation !== 'bare' && sizes.some(({ size }) => size.system === 'metric'),
  );
  for (const name of shuffled(random, SIZES)) {
    const kind = pick(random, metric);
    const listed = kind.sizes.find(({ size }) => size.system === 'metric' && size.name === name);
    if (!listed) continue;
    const { size, outerMm } = listed;
    const polarity = pick(random, ['positive', 'negative'] as const);
    const tag = `${polarity === 'positive' ? 'P' : 'N'}-${number}`;
    const copperMm2 = areaMm2(size);
    const conductor = conductorOf(kind, listed);
    for (const stud of shuffled(random, STUD_NAMES)) {
      const bare = newCable(tag, tag, shop);
      const ends = { A: { at: '', stud }, B: { at: '', stud } };
      const end = resolveEnd('A', { ...bare, polarity, ends }, conductor, shop);
      const { lug, die, sleeve, crimps } = end;
      if (!lug || !die || !sleeve || die.leaves !== 'hexagon' || crimps.length < 2) continue;
      return {
        tag,
        kind,
        size,
        copperMm2,
        strandCount: end.strands.count,
        outerMm,
        bundleMm: bundleDiameterMm(copperMm2),
        stud,
        lug: { ...lug, sightHole: true },
        die: die.die,
        crimps: crimps.length,
        gapMm: end.gapMm,
        sleeve: sleeve.sleeve,
        coverMm: sleeve.coverMm,
        polarity,
      };
    }
  }
  throw new RangeError('the generic shop makes no such end');
}

function chooseFaults(random: Random, level: Level, asked: AskedEnd): FaultName[] {
  const count = Math.floor(random() * (MOST_FAULTS[level] + 1));
  const possible = FAULT_NAMES.filter((name) => name !== 'one crimp short' || asked.crimps > 1);
  return shuffled(random, possible).reduce<FaultName[]>(
    (chosen, name) => (chosen.length < count && goesWith(name, chosen) ? [...chosen, name] : chosen),
    [],
  );
}

/** As a careful hand makes it: inside every limit, and not twice the same. */
function soundEnd(asked: AskedEnd, random: Random): MadeEnd {
  const { lug, die, crimps, gapMm, polarity } = asked;
  const spread = lug.barrelMm - 4 - die.widthMm;
  const shortMm = between(random, 0, 0.4);
  return {
    asked,
    holeMm: lug.holeMm,
    shortMm,
    bareMm: gapMm + shortMm + between(random, -0.3, 0.3),
    strandsOutside: 0,
    crimps: Array.from({ length: crimps }, (_, i) => ({
      fromMouthMm: 2 + die.widthMm / 2 + (crimps > 1 ? (spread * i) / (crimps - 1) : spread / 2),
      acrossFlatsMm: die.acrossFlatsMm * (1 + between(random, 0, 0.8 * SPRING_BACK)),
    })),
    earsMm: between(random, 0, 0.6) * MOST_EARS_MM,
    sleeveFrontMm: between(random, 0.2, 1.5),
    beads: { front: true, back: true },
    brownedMm: 0,
    colour: COLOUR[polarity],
  };
}

/** Puts one fault into an end, as far past its limit as the level says. */
function spoil(end: MadeEnd, name: FaultName, random: Random, level: Level): MadeEnd {
  const far = between(random, ...HOW_FAR[level]);
  const { asked } = end;
  const { lug } = asked;
  switch (name) {
    case 'loose hole':
      return { ...end, holeMm: STUDS[asked.stud].diameterMm + MOST_CLEARANCE_MM + 0.2 + 2 * far };
    case 'not home': {
      const shortMm = 2.6 + 7 * far;
      return { ...end, shortMm, bareMm: end.bareMm - end.shortMm + shortMm };
    }
    case 'wrong die':
      return { ...end, crimps: withOtherDie(end, random, far) };
    case 'one crimp short':
      return { ...end, crimps: random() < 0.5 ? end.crimps.slice(1) : end.crimps.slice(0, -1) };
    case 'ears':
      return { ...end, earsMm: MOST_EARS_MM + 0.15 + 1.4 * far };
    case 'jacket under barrel':
      return { ...end, bareMm: -(0.8 + 5 * far) };
    case 'strand outside':
      return { ...end, strandsOutside: 1 + Math.round(7 * far) };
    case 'sleeve on palm':
      return { ...end, sleeveFrontMm: -(0.8 + 0.4 * lug.studToBarrelMm * far) };
    case 'no bead':
      return { ...end, beads: { ...end.beads, back: false } };
    case 'browned':
      return { ...end, brownedMm: 4 + 22 * far };
    case 'wrong colour':
      return { ...end, colour: end.colour === 'red' ? 'black' : 'red' };
  }
}

/** The crimps as the next die but one, or the next, would have left them; wider or closer. */
function withOtherDie({ asked, crimps }: MadeEnd, random: Random, far: number): MadeEnd['crimps'] {
  const { die } = asked;
  const { leastMm, mostMm } = acrossFlatsWindow(die.acrossFlatsMm);
  const step = Math.max(0.03, 0.14 * far);
  const isWider = random() < 0.65;
  // A wider one cannot be wider than the barrel before it was pressed: it would not have touched it.
  const widest = asked.lug.outerMm - 0.2;
  const flats =
    isWider && mostMm + 0.1 < widest
      ? Math.min(widest, mostMm + die.acrossFlatsMm * step)
      : leastMm - die.acrossFlatsMm * step;
  return crimps.map((crimp) => ({ ...crimp, acrossFlatsMm: flats + between(random, -0.03, 0.03) }));
}
