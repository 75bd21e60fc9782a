import { SLEEVES } from '../catalogue/tables/sleeves.ts';
import type { End, EndName } from '../job/cable.ts';
import type { Lug, Shop, Sleeve, Tool } from '../job/shop.ts';
import { crimpCentres } from './crimpLayout.ts';
import {
  bestDie,
  bestSleeve,
  dieOffer,
  type DieOffer,
  dieOffers,
  lugOffers,
  sleeveOffers,
} from './offers.ts';
import { sleeveCutMm, type SleeveTask, sleeveTask } from './sleeve.ts';

/** The conductor an end is put on. */
export interface EndConductor {
  readonly copperMm2: number;
  readonly outerMm: number;
}

/** How far a sleeve reaches, mm, and what to cut. */
export interface SleeveFit {
  readonly sleeve: Sleeve;
  /** From the shoulder over the barrel and the gap. */
  readonly onBarrelMm: number;
  readonly onJacketMm: number;
  readonly coverMm: number;
  readonly cutMm: number;
}

/** An end with everything decided or proposed: what the drawing, the steps and the checks go by. */
export interface ResolvedEnd {
  readonly name: EndName;
  readonly spec: End;
  readonly lug: Lug | null;
  readonly die: DieOffer | null;
  readonly tool: Tool | null;
  /** How many crimps, and their middles from the mouth, mm. */
  readonly crimpsAsked: number;
  readonly crimps: readonly number[];
  readonly gapMm: number;
  readonly stripMm: number | null;
  readonly sleeveTask: SleeveTask | null;
  readonly sleeve: SleeveFit | null;
  /** Which parts are proposed by the shop's practice and not yet said on the cable. */
  readonly proposed: { readonly lug: boolean; readonly die: boolean; readonly sleeve: boolean };
}

/** Decides an end: what the cable says where it says it, else the best offer from the shop. */
export function resolveEnd(name: EndName, spec: End, conductor: EndConductor, shop: Shop): ResolvedEnd {
  const { practice } = shop;
  const { copperMm2, outerMm } = conductor;
  const crimpsAsked = spec.crimps ?? practice.crimps;
  const saidLug = shop.lugs.find(({ id }) => id === spec.lugId);
  const [bestOffer] = saidLug ? [] : lugOffers(shop.lugs, copperMm2, spec.stud, shop.dies, crimpsAsked);
  const lug = saidLug ?? (bestOffer && !bestOffer.refused ? bestOffer.lug : null);
  const saidDie = shop.dies.find(({ id }) => id === spec.dieId);
  const die =
    lug &&
    (saidDie
      ? dieOffer(lug, copperMm2, saidDie)
      : bestDie(dieOffers(lug, copperMm2, shop.dies), crimpsAsked));
  const fitting = lug && die ? Math.min(crimpsAsked, die.crimpsFit) : 0;
  const task =
    lug &&
    sleeveTask(outerMm, lug.outerMm, Math.min(lug.outerMm, die?.die.acrossFlatsMm ?? lug.outerMm), null);
  const saidSleeve = shop.sleeves.find(({ id }) => id === spec.sleeveId);
  const sleeve = saidSleeve ?? (task ? bestSleeve(sleeveOffers(shop.sleeves, task)) : null);
  return {
    name,
    spec,
    lug,
    die,
    tool: shop.tools.find(({ id }) => id === die?.die.toolId) ?? null,
    crimpsAsked,
    crimps: lug && die && fitting > 0 ? crimpCentres(lug.barrelMm, die.die.widthMm, fitting) : [],
    gapMm: practice.gapMm,
    stripMm: lug ? lug.barrelMm + practice.gapMm : null,
    sleeveTask: task,
    sleeve: lug && sleeve ? fitSleeve(sleeve, lug, outerMm, practice) : null,
    proposed: { lug: !saidLug, die: !saidDie, sleeve: !saidSleeve },
  };
}

function fitSleeve(sleeve: Sleeve, lug: Lug, outerMm: number, practice: Shop['practice']): SleeveFit {
  const onBarrelMm = lug.barrelMm + practice.gapMm;
  const onJacketMm = Math.ceil(practice.sleeveOnJacket * outerMm);
  const coverMm = onBarrelMm + onJacketMm;
  const { shorteningPercent } = SLEEVES[sleeve.kind];
  return {
    sleeve,
    onBarrelMm,
    onJacketMm,
    coverMm,
    cutMm: Math.ceil(sleeveCutMm(coverMm, shorteningPercent)),
  };
}
