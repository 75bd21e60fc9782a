import { areaMm2, sameSize } from '../model/tables/size.ts';
import type { Layer } from '../model/tables/layers.ts';
import { SLEEVES } from '../model/tables/sleeves.ts';
import { strandCount } from '../conductor/strands.ts';
import type { Cable } from '../model/cable.ts';
import type { End, EndName } from '../model/end.ts';
import type { CableKind, CableSize, Lug, Shop, Sleeve, Tool } from '../model/shop.ts';
import { crimpCentres } from './dies/crimpLayout.ts';
import { bestDie, dieOffer, type DieOffer, dieOffers } from './dies/dieOffers.ts';
import {
  bandFor,
  foldedPalmMm,
  type LayerOn,
  layersOf,
  nesting,
  overLayersMm,
  sleevesFor,
} from './sleeves/layers.ts';
import { type LugNeed, lugOffers } from './lugOffers.ts';
import { type LugMethod, methodOf, usesDie, usesSolder } from '../model/method.ts';
import { endMeets, type Meets } from '../model/posts.ts';
import { sealantG, takesRing } from './sleeves/sealant.ts';
import { sleeveCutMm, type SleeveTask, wallOnMm } from './sleeves/sleeve.ts';
import { bestSleeve, sleeveOffers } from './sleeves/sleeveOffers.ts';
import { strandsLeft, type StrandsLeft } from './strandsLeft.ts';
import { openCase, type ToolCase } from './dies/toolCase.ts';
import { isThinEnough, type PalmAsked } from './studs/palmAsked.ts';

/** The conductor an end is put on. */
export interface EndConductor {
  readonly copperMm2: number;
  readonly outerMm: number;
  readonly tinned: boolean;
  readonly strands: CableKind['strands'];
  /** How many, by the data sheet of its kind. */
  readonly strandCount?: number;
}

/** The conductor of a size of a kind. */
export function conductorOf(
  kind: CableKind,
  { size, outerMm }: Pick<CableSize, 'size' | 'outerMm'>,
): EndConductor {
  const strandCount = kind.sizes.find((own) => sameSize(own.size, size))?.strandCount;
  return {
    ...{ copperMm2: areaMm2(size), outerMm, tinned: kind.tinned, strands: kind.strands },
    ...(strandCount !== undefined && { strandCount }),
  };
}

/** How far a sleeve reaches, mm, and what to cut. */
export interface SleeveFit {
  readonly sleeve: Sleeve;
  /** From the shoulder over the barrel and the gap. */
  readonly onBarrelMm: number;
  readonly onJacketMm: number;
  readonly coverMm: number;
  readonly cutMm: number;
  /** Its wall once shrunk onto the jacket, mm. */
  readonly wallMm: number;
  /** Adhesive in the ring that is laid under it, g; 0 where none is. */
  readonly ringG: number;
  /** Whether it keeps water out: by its lining, or by that ring. */
  readonly seals: boolean;
}

/** An end with everything decided or proposed: what the drawing, the steps and the checks go by. */
export interface ResolvedEnd {
  readonly name: EndName;
  readonly spec: End;
  /** The stud or post it ends on, through its adapter. */
  readonly meets: Meets;
  readonly method: LugMethod;
  readonly strands: StrandsLeft;
  /** All the copper in the barrel, mm²: what is left of this cable's, and any other's. */
  readonly copperMm2: number;
  /** The same with every strand: what decides which lug it enters. Strands cut off never make a lug fit, mm². */
  readonly wholeMm2: number;
  readonly lug: Lug | null;
  /** Null where none suits, and where the method uses none. */
  readonly die: DieOffer | null;
  readonly tool: Tool | null;
  /** How many crimps, their middles from the mouth, mm, and the same in the order they are made. */
  readonly crimpsAsked: number;
  readonly crimps: readonly number[];
  readonly crimpsInOrder: readonly number[];
  readonly gapMm: number;
  readonly stripMm: number | null;
  readonly sleeveTask: SleeveTask | null;
  readonly sleeve: SleeveFit | null;
  readonly layers: readonly Layer[];
  readonly nesting: readonly LayerOn[];
  /** The coloured sleeve over the sealing one; null where none is wanted or none owned fits. */
  readonly band: Sleeve | null;
  readonly bandColour: Sleeve['colour'];
  /** What its stud asks of the palm; null where nothing. */
  readonly palm: PalmAsked | null;
  /** A lug owned whose palm the stud has thread for, where the one on it is too thick. */
  readonly thinner: Lug | null;
  /** Which parts are proposed by the shop's practice and not yet said on the cable. */
  readonly proposed: { readonly lug: boolean; readonly die: boolean; readonly sleeve: boolean };
}

/** Copper that must show to feed solder, mm. Craft practice: 2–4. */
const SOLDER_GAP_MM = 2;

/** What an end asks of a lug, before the lug is known. */
export function lugNeed(
  spec: End,
  conductor: EndConductor,
  copperMm2: number,
  practice: Shop['practice'],
  palm: PalmAsked | null,
): LugNeed {
  return {
    copperMm2,
    tinned: conductor.tinned,
    meets: endMeets(spec),
    crimpsAsked: spec.crimps ?? practice.crimps,
    method: spec.method ?? practice.method,
    dieStep: practice.dieStep,
    ...(spec.inPlace && { place: spec.inPlace }),
    ...(palm && { palm }),
  };
}

/** Decides an end: what the cable says where it says it, else the best offer from the shop. */
// oxlint-disable-next-line max-lines-per-function -- what is resolved first decides the next: read from top to bottom
export function resolveEnd(
  name: EndName,
  cable: Pick<Cable, 'ends' | 'polarity' | 'jacket'>,
  conductor: EndConductor,
  shop: Shop,
  palm: PalmAsked | null = null,
): ResolvedEnd {
  const { practice } = shop;
  const toolCase = openCase(shop);
  const spec = cable.ends[name];
  const counted =
    spec.strands?.counted ?? conductor.strandCount ?? strandCount(conductor.strands, conductor.copperMm2);
  const strands = strandsLeft(counted, Math.min(spec.strands?.cut ?? 0, counted), practice);
  const alsoMm2 = spec.alsoMm2 ?? 0;
  const wholeMm2 = conductor.copperMm2 + alsoMm2;
  const copperMm2 = conductor.copperMm2 * strands.share + alsoMm2;
  const need = lugNeed(spec, conductor, wholeMm2, practice, palm);
  const { crimpsAsked } = need;
  const saidLug = shop.lugs.find(({ id }) => id === spec.lugId);
  // A terminal with screws is for getting home: it is taken by hand, and never proposed on a stud.
  const bestOffer = saidLug
    ? undefined
    : lugOffers(need, toolCase).find((offer) => offer.lug.form !== 'screw terminal');
  const lug = saidLug ?? (bestOffer && bestOffer.refused === null ? bestOffer.lug : null);
  const method = methodOf(spec, lug, practice);
  const die = lug && usesDie(method) ? dieFor(spec, lug, { ...need, copperMm2 }, toolCase) : null;
  const fitting = lug && die ? Math.min(crimpsAsked, die.crimpsFit) : 0;
  const crimps = lug && die && fitting > 0 ? crimpCentres(lug.barrelMm, die.die.widthMm, fitting) : [];
  const gapMm = usesSolder(method) ? Math.max(practice.gapMm, SOLDER_GAP_MM) : practice.gapMm;
  const layers = layersOf(spec, cable, practice);
  const overMm = overLayersMm(conductor.outerMm, layers);
  const task = lug && sleeveTaskOf(spec, lug, die, overMm, conductor.outerMm);
  const saidSleeve = shop.sleeves.find(({ id }) => id === spec.sleeveId);
  const allowed = sleevesFor(shop.sleeves, cable.polarity);
  const sleeve = saidSleeve ?? (task ? bestSleeve(sleeveOffers(allowed, task, practice.seal)) : null);
  const fit = lug && sleeve ? fitSleeve(sleeve, lug, gapMm, conductor.outerMm, overMm, practice) : null;
  const bandColour = spec.bandColour ?? (cable.polarity === 'negative' ? 'black' : 'red');
  const wantsBand = layers.includes('band');
  const band = wantsBand && fit ? bandFor(shop.sleeves, overMm + 2 * fit.wallMm, bandColour) : null;
  return {
    name,
    spec,
    meets: need.meets,
    method,
    strands,
    copperMm2,
    wholeMm2,
    lug,
    die,
    tool: die?.tool ?? null,
    crimpsAsked,
    crimps,
    crimpsInOrder: practice.firstCrimp === 'palm' ? crimps.toReversed() : crimps,
    gapMm,
    stripMm: lug ? lug.barrelMm + gapMm : null,
    sleeveTask: task,
    sleeve: fit,
    layers,
    nesting: nesting(layers, conductor.outerMm, fit?.sleeve ?? null, band, lug),
    band,
    bandColour,
    palm,
    thinner: lug && palm ? thinnerThan(lug, palm, need, toolCase) : null,
    proposed: {
      lug: !saidLug,
      die: usesDie(method) && !shop.dies.some(({ id }) => id === spec.dieId),
      sleeve: method !== 'screwed' && !saidSleeve,
    },
  };
}

function thinnerThan(lug: Lug, palm: PalmAsked, need: LugNeed, toolCase: ToolCase): Lug | null {
  if (isThinEnough(lug, palm)) return null;
  return (
    lugOffers(need, toolCase).find((offer) => offer.refused === null && isThinEnough(offer.lug, palm))?.lug ??
    null
  );
}

function dieFor(spec: End, lug: Lug, need: LugNeed, toolCase: ToolCase): DieOffer | null {
  const { copperMm2, crimpsAsked, dieStep, place } = need;
  const said = toolCase.dies.find(({ die }) => die.id === spec.dieId);
  if (said) return dieOffer(lug, copperMm2, said, toolCase.lugs, place);
  return bestDie(dieOffers(lug, copperMm2, toolCase, place), crimpsAsked, dieStep);
}

/** A sleeve passes the cable and what is caught under it, or the palm when it comes after; it grips the thinnest. */
export function sleeveTaskOf(
  spec: End,
  lug: Lug,
  die: DieOffer | null,
  overMm: number,
  jacketMm: number,
): SleeveTask {
  const passMm = spec.sleeveAfterLug ? Math.max(overMm, lug.outerMm, foldedPalmMm(lug)) : overMm;
  const crimpedMm = die?.leaves === 'hexagon' ? Math.min(lug.outerMm, die.parts.acrossFlatsMm) : lug.outerMm;
  return {
    passMm,
    gripMm: Math.min(jacketMm, crimpedMm),
    ...(!spec.sleeveAfterLug && { overBarrelMm: lug.outerMm }),
  };
}

function fitSleeve(
  sleeve: Sleeve,
  lug: Lug,
  gapMm: number,
  outerMm: number,
  overMm: number,
  practice: Shop['practice'],
): SleeveFit {
  const onBarrelMm = lug.barrelMm + gapMm;
  const onJacketMm = Math.ceil(practice.sleeveOnJacket * outerMm);
  const coverMm = onBarrelMm + onJacketMm;
  const { shorteningPercent } = SLEEVES[sleeve.kind];
  const hasRing = takesRing(sleeve, practice);
  return {
    sleeve,
    onBarrelMm,
    onJacketMm,
    coverMm,
    cutMm: Math.ceil(sleeveCutMm(coverMm, shorteningPercent)),
    wallMm: wallOnMm(sleeve, overMm),
    ringG: hasRing ? sealantG(outerMm) : 0,
    seals: hasRing || SLEEVES[sleeve.kind].adhesive,
  };
}
