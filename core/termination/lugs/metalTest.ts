import type { Work } from '../../finding/finding.ts';
import type { Lug, MetalTest } from '../../model/shop.ts';
import { COPPER } from '../../conductor/copper.ts';
import { type Message, amount, msg, numeral, verbatim } from '../../words/message.ts';
import { MEASURE_TOLERANCE_MM } from './lugOnCable.ts';
import { lugMassG } from './lugMass.ts';

/**
 * The density of brass with the least zinc that lugs are made of, 15 %, g/cm³: what is surely above it is copper, what is
 * surely under it is not. Brass with 40 % zinc is 8.4. Source: handbook values.
 */
const LIMIT_G_PER_CM3 = 8.75;
const WATER_G_PER_CM3 = 0.998;
/** A lug is not quite its drawing: roundings, the neck, the chamfer, as a share of its volume. */
const SHAPE_SHARE = 0.04;
/** What a small scale resolves where nothing is given, g. */
export const USUAL_SCALE_G = 0.1;

/** What tests of a lug say of its metal, and how they came to it. */
export interface MetalVerdict {
  readonly metal: 'copper' | 'brass' | 'not told';
  readonly says: Message;
  /** What would tell it, where nothing did. */
  readonly next: Message;
  readonly workings: Work;
}

/** What a lug would weigh of copper by its drawing, g: as measured, and at the edges of what was measured. */
export function copperMassG(lug: Lug): {
  readonly leastG: number;
  readonly middleG: number;
  readonly mostG: number;
} {
  const off = MEASURE_TOLERANCE_MM;
  const massOff = (sign: 1 | -1) =>
    lugMassG({
      ...lug,
      outerMm: lug.outerMm + sign * off,
      boreMm: lug.boreMm - sign * off,
      palmThicknessMm: lug.palmThicknessMm + sign * off,
      palmWidthMm: lug.palmWidthMm + sign * off,
      holeMm: lug.holeMm - sign * off,
    });
  return {
    leastG: massOff(-1) * (1 - SHAPE_SHARE),
    middleG: lugMassG(lug),
    mostG: massOff(1) * (1 + SHAPE_SHARE),
  };
}

interface Span {
  readonly least: number;
  readonly most: number;
}

/** Its density by weighing it in the air and hanging in water, g/cm³; null where it was not, or weighs nothing there. */
function densityBand({ weighedG, inWaterG, scaleG = USUAL_SCALE_G }: MetalTest): Span | null {
  if (weighedG === undefined || inWaterG === undefined) return null;
  const half = scaleG / 2;
  const at = (air: number, water: number) =>
    air > water ? (air / (air - water)) * WATER_G_PER_CM3 : Number.POSITIVE_INFINITY;
  return { least: at(weighedG + half, inWaterG - half), most: at(weighedG - half, inWaterG + half) };
}

/** Copper, brass, or not told, by a density that lies in a band. */
const byDensity = ({ least, most }: Span): MetalVerdict['metal'] =>
  least > LIMIT_G_PER_CM3 ? 'copper' : most < LIMIT_G_PER_CM3 ? 'brass' : 'not told';

/** By its weight alone: only what is heavier than any brass of its drawing, or lighter than any copper, tells. */
function byWeight(weighedG: number, copper: ReturnType<typeof copperMassG>): MetalVerdict['metal'] {
  const brassMostG = (copper.mostG * LIMIT_G_PER_CM3 * 1000) / COPPER.density;
  if (weighedG > brassMostG) return 'copper';
  return weighedG < copper.leastG ? 'brass' : 'not told';
}

/**
 * Whether a lug sold as copper is copper, by what was tried: a rubbed corner that is yellow or a barrel that cracked in
 * the die is brass whatever it weighs; its density by weighing in water tells best; its weight against its drawing tells
 * only what is far off. Red says little: brass with much copper is red too.
 *
 * @example metalVerdict(lug, { weighedG: 31.4, inWaterG: 27.9, scaleG: 0.01 }).metal // 'copper'
 */
export function metalVerdict(lug: Lug, test: MetalTest): MetalVerdict {
  const copper = copperMassG(lug);
  const density = densityBand(test);
  const { weighedG } = test;
  const workings: Work = {
    formula: msg`ρ = m_air ÷ (m_air − m_water) · 0.998; by its drawing m = 8.93 · V`,
    substituted: [
      msg`of copper by its drawing ${amount(copper.middleG, 'g', 1)}, from ${numeral(copper.leastG, 1)} to ${numeral(copper.mostG, 1)}`,
      ...(weighedG === undefined ? [] : [msg`weighed ${amount(weighedG, 'g', 2)}`]),
      ...(density ? [verbatim`ρ = ${numeral(density.least, 2)}–${numeral(density.most, 2)} g/cm³`] : []),
    ],
    source: msg`copper 8.93, brass 8.40 to 8.75 g/cm³, handbook values`,
    assumes: msg`±0.1 mm on what was measured, ±4 % for roundings; no air bubbles under water`,
  };
  const told = (metal: MetalVerdict['metal'], says: Message, next: Message = ''): MetalVerdict => ({
    metal,
    says,
    next,
    workings,
  });
  if (test.corner === 'yellow') return told('brass', msg`Yellow under the plating: it is brass.`);
  if (test.cracked === true)
    return told('brass', msg`It cracked in the die: annealed copper does not. Treat it as brass.`);
  if (density) {
    const metal = byDensity(density);
    if (metal === 'copper') return told(metal, msg`As dense as copper.`);
    if (metal === 'brass') return told(metal, msg`Lighter than copper for its size in water: it is brass.`);
    return told(
      metal,
      msg`Its weights do not separate copper from brass.`,
      msg`Weigh several identical ones together, or use a finer scale.`,
    );
  }
  if (weighedG !== undefined) {
    const metal = byWeight(weighedG, copper);
    if (metal === 'copper') return told(metal, msg`Heavier than any brass of this drawing.`);
    if (metal === 'brass')
      return told(metal, msg`Lighter than copper of this drawing: brass, or thinner than it was measured.`);
    return told(
      metal,
      msg`Its weight alone does not decide: brass is only 5 % lighter.`,
      msg`Weigh it hanging in water too.`,
    );
  }
  return told(
    'not told',
    test.corner === 'red'
      ? msg`Red under the plating: copper, or a brass with much copper.`
      : msg`Not tested.`,
    msg`Rub a corner bare, and weigh it in the air and hanging in water.`,
  );
}

/**
 * A lug with a test of its metal kept, and the metal that the test tells. What an earlier test told of it and this one
 * does not is taken back: it is copper, as it was sold.
 */
export function withMetalTest<L extends Lug>(lug: L, test: MetalTest): L {
  const { metal } = metalVerdict(lug, test);
  if (metal !== 'not told') return { ...lug, tested: test, metal };
  const wasTold = lug.tested !== undefined && metalVerdict(lug, lug.tested).metal === lug.metal;
  return { ...lug, tested: test, ...(wasTold && { metal: 'copper' as const }) };
}
