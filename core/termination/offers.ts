import { LUG_FAMILIES } from '../catalogue/tables/lugFamilies.ts';
import { SLEEVES } from '../catalogue/tables/sleeves.ts';
import { STUDS, type StudName } from '../catalogue/tables/studs.ts';
import type { Die, Lug, Sleeve } from '../job/shop.ts';
import { crimpsThatFit } from './crimpLayout.ts';
import {
  type Compaction,
  compaction,
  type CrimpParts,
  dieVerdict,
  type DieVerdict,
  isSure,
} from './dieOnLug.ts';
import { boreFill, FILL, fillVerdict, type FillVerdict } from './lugOnCable.ts';
import { clearanceVerdict, type ClearanceVerdict } from './lugOnStud.ts';
import { grips, passes, type SleeveTask } from './sleeve.ts';

/** A lug on the shelf, held against a conductor and a stud. */
export interface LugOffer {
  readonly lug: Lug;
  readonly fill: number;
  readonly fillVerdict: FillVerdict;
  readonly clearanceMm: number;
  readonly clearanceVerdict: ClearanceVerdict;
  /** The best the owned dies do on it; not asked of a lug that is refused. */
  readonly die: DieOffer | null;
  /** Why it is not offered; null where it may be used. */
  readonly refused: string | null;
}

/** A die in the case, held against a lug and its conductor. */
export interface DieOffer extends Compaction {
  readonly die: Die;
  readonly parts: CrimpParts;
  readonly verdict: DieVerdict;
  /** A standard code die on its own compression lug: right by the standard. */
  readonly standard: boolean;
  /** Whether the verdict stands over the whole tolerance. */
  readonly sure: boolean;
  /** Crimps of this die that the barrel takes. */
  readonly crimpsFit: number;
}

export interface SleeveOffer {
  readonly sleeve: Sleeve;
  readonly passes: boolean;
  readonly grips: boolean;
  /** Whether it seals: thin wall only marks. */
  readonly seals: boolean;
}

function refusal(lug: Lug, fill: FillVerdict, clearance: ClearanceVerdict): string | null {
  if (fill === 'cannot-enter') return 'too small: never cut strands to make a cable enter';
  if (fill === 'wrong-lug') return 'far too big for this cable';
  if (clearance === 'does-not-fit') return 'its hole does not pass the stud';
  if (clearance === 'loose') return 'its hole is loose on the stud';
  return lug.metal === 'brass' ? 'brass does not flow into the strands' : null;
}

/** Whether a die is the standard code die of this very lug. */
export function isStandardPair(lug: Lug, die: Die): boolean {
  const { title, dieCode } = LUG_FAMILIES['compression-metric'];
  return lug.family === title && die.stamp === `K${dieCode?.[lug.forSize.name]}`;
}

/** One die on one lug. */
export function dieOffer(lug: Lug, copperMm2: number, die: Die): DieOffer {
  const parts = { boreMm: lug.boreMm, outerMm: lug.outerMm, copperMm2, acrossFlatsMm: die.acrossFlatsMm };
  const both = compaction(parts);
  const standard = isStandardPair(lug, die);
  const byFigures = dieVerdict(both);
  const verdict = standard && byFigures === 'tight' ? 'right' : byFigures;
  return {
    die,
    parts,
    ...both,
    verdict,
    standard,
    sure: standard || isSure(parts),
    crimpsFit: crimpsThatFit(lug.barrelMm, die.widthMm),
  };
}

/** Every die on one lug, from the widest to the closest. */
export function dieOffers(lug: Lug, copperMm2: number, dies: readonly Die[]): DieOffer[] {
  return dies
    .map((die) => dieOffer(lug, copperMm2, die))
    .sort((a, b) => b.die.acrossFlatsMm - a.die.acrossFlatsMm);
}

/** Middle of the right window of c: neither air nor ears. */
const AIM_C = 1.06;
const VERDICT_RANK: Readonly<Record<DieVerdict, number>> = {
  right: 0,
  light: 2,
  tight: 2,
  open: 4,
  'will-not-close': 5,
};

/** How far an offer is from what one would wish; 0 is perfect. */
function dieRank(offer: DieOffer, crimpsAsked: number): number {
  return (
    VERDICT_RANK[offer.verdict] -
    (offer.standard ? 1 : 0) +
    (offer.sure ? 0 : 0.5) +
    (offer.crimpsFit < crimpsAsked ? 0.7 : 0) +
    Math.abs(offer.c - AIM_C)
  );
}

/**
 * The die to use: a standard pair, else the right one nearest the middle that the barrel takes as often as asked.
 * Null where none can be used.
 */
export function bestDie(offers: readonly DieOffer[], crimpsAsked: number): DieOffer | null {
  const usable = offers.filter(
    ({ verdict, crimpsFit }) => verdict !== 'open' && verdict !== 'will-not-close' && crimpsFit > 0,
  );
  return usable.reduce<DieOffer | null>(
    (best, next) => (!best || dieRank(next, crimpsAsked) < dieRank(best, crimpsAsked) ? next : best),
    null,
  );
}

/** One lug on one conductor and stud, with the best of the owned dies. */
export function lugOffer(
  lug: Lug,
  copperMm2: number,
  stud: StudName,
  dies: readonly Die[],
  crimpsAsked: number,
): LugOffer {
  const fill = boreFill(copperMm2, lug.boreMm);
  const verdict = fillVerdict(fill);
  const { diameterMm } = STUDS[stud];
  const clearance = clearanceVerdict(diameterMm, lug.holeMm);
  const refused = refusal(lug, verdict, clearance);
  return {
    lug,
    fill,
    fillVerdict: verdict,
    clearanceMm: lug.holeMm - diameterMm,
    clearanceVerdict: clearance,
    die: refused ? null : bestDie(dieOffers(lug, copperMm2, dies), crimpsAsked),
    refused,
  };
}

/** The middle of the right window of bore fill. */
const AIM_FILL = (FILL.right + FILL.tight) / 2;

/** Lugs on the shelf, the best first, refused ones last: right fill, right hole, a die that suits it, in stock. */
export function lugOffers(
  lugs: readonly Lug[],
  copperMm2: number,
  stud: StudName,
  dies: readonly Die[],
  crimpsAsked: number,
): LugOffer[] {
  const rank = (offer: LugOffer) =>
    (offer.refused ? 100 : 0) +
    (offer.fillVerdict === 'right' ? 0 : 4) +
    (offer.clearanceVerdict === 'right' ? 0 : 4) +
    (offer.die ? dieRank(offer.die, crimpsAsked) : 8) +
    (offer.lug.stock > 0 ? 0 : 3) +
    Math.abs(offer.fill - AIM_FILL);
  return lugs
    .map((lug) => lugOffer(lug, copperMm2, stud, dies, crimpsAsked))
    .sort((a, b) => rank(a) - rank(b));
}

/** One sleeve on one task. */
export function sleeveOffer(sleeve: Sleeve, task: SleeveTask): SleeveOffer {
  return {
    sleeve,
    passes: passes(sleeve, task),
    grips: grips(sleeve, task),
    seals: SLEEVES[sleeve.kind].adhesive,
  };
}

/** Sleeves by supplied bore, each held against the task. */
export function sleeveOffers(sleeves: readonly Sleeve[], task: SleeveTask): SleeveOffer[] {
  return sleeves
    .map((sleeve) => sleeveOffer(sleeve, task))
    .sort((a, b) => a.sleeve.suppliedMm - b.sleeve.suppliedMm || a.sleeve.recoveredMm - b.sleeve.recoveredMm);
}

/** The sleeve to use: the smallest that seals, passes and grips; null where none does. */
export function bestSleeve(offers: readonly SleeveOffer[]): Sleeve | null {
  return offers.find((offer) => offer.passes && offer.grips && offer.seals)?.sleeve ?? null;
}
