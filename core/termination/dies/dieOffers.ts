import { MEASURE_TOLERANCE_MM } from '../lugs/lugOnCable.ts';
import type { Message } from '../../words/message.ts';
import { LUG_FAMILIES } from '../../model/tables/lugFamilies.ts';
import { codeDieAcrossFlats } from '../../model/tables/lowCostDies.ts';
import type { Die, Lug, Tool } from '../../model/shop.ts';
import type { HousePractice } from '../../model/housePractice.ts';
import { remember } from '../../lib/remember.ts';
import { crimpsThatFit } from './crimpLayout.ts';
import {
  type Compaction,
  compaction,
  compactionBand,
  type CrimpParts,
  dieVerdict,
  type DieVerdict,
} from './dieOnLug.ts';
import { type Learned, ownTrials, type OwnTrials } from './learned.ts';
import { type CaseDie, type Place, type ToolCase, whyUnfit } from './toolCase.ts';

/** A die in the case, compared with a lug and its conductor: as predicted, and as its trials corrected it. */
export interface DieOffer extends Compaction {
  readonly die: Die;
  readonly tool: Tool;
  readonly leaves: 'hexagon' | 'indent';
  readonly parts: CrimpParts;
  readonly loosest: Compaction;
  readonly tightest: Compaction;
  /** An indent is judged by trial only: until then it is untried. */
  readonly verdict: DieVerdict | 'untried';
  /** Whether the verdict stands over the whole tolerance, or a trial has settled it. */
  readonly sure: boolean;
  readonly learned: Learned;
  /** Trials of this die on this very barrel and conductor. */
  readonly own: OwnTrials | null;
  /** A standard code die on its own compression lug: right by the standard. */
  readonly standard: boolean;
  /** Crimps of this die that the barrel takes. */
  readonly crimpsFit: number;
  /** Why its tool cannot be used here; empty where it can. */
  readonly unfit: Message;
  /** Its tool is one of last resort. */
  readonly lastResort: boolean;
}

/** How far a crimp's flats may be from its code's: it opens by so much when the tool lets go, as a share. */
const SPRING_BACK = 0.02;
/** How far a lug's diameters may be from its standard's, mm. */
const STANDARD_LUG_MM = 0.3;

/** The code number of a die: as its sheet says, or as it is stamped. @example codeOf({ stamp: 'K16', … }) // 16 */
const codeOf = ({ code, stamp }: Die): number | undefined =>
  code ?? (/^K\d{1,2}$/i.test(stamp) ? Number(stamp.slice(1)) : undefined);

/**
 * Whether a die is the standard code die of this very lug, by what both measure: a stamp or a family's name alone is
 * not enough, for dies wear, are filed and are sold under stamps that are not theirs.
 *
 * @param flatsMm what the die's crimps measure across flats, or the die where none was tried
 */
export function isStandardPair(lug: Lug, die: Die, flatsMm = die.acrossFlatsMm): boolean {
  const { title, dieCode, sizes } = LUG_FAMILIES['compression-metric'];
  const code = dieCode?.[lug.forSize.name];
  const barrel = sizes[lug.forSize.name];
  if (code === undefined || !barrel || lug.family !== title || codeOf(die) !== code) return false;
  const asked = codeDieAcrossFlats(code);
  const agrees = (a: number, b: number, within: number) => Math.abs(a - b) <= within;
  return (
    agrees(flatsMm, asked, Math.max(MEASURE_TOLERANCE_MM, SPRING_BACK * asked)) &&
    agrees(lug.boreMm, barrel.boreMm, STANDARD_LUG_MM) &&
    agrees(lug.outerMm, barrel.outerMm, STANDARD_LUG_MM)
  );
}

const packedBy = (both: Compaction, packing: number): Compaction =>
  packing === 1 ? both : { c: both.c, kappa: both.kappa * packing };

/** What is said of a die whose figures call it one thing in the middle and others at the edges of the band. */
export function settle(
  middle: DieVerdict,
  loosest: DieVerdict,
  tightest: DieVerdict,
  leaves: 'hexagon' | 'indent',
  standard: boolean,
  own: OwnTrials | null,
): Pick<DieOffer, 'verdict' | 'sure'> {
  if (own) return { verdict: own.verdict, sure: true };
  if (leaves === 'indent') return { verdict: 'untried', sure: false };
  if (standard) return { verdict: middle === 'tight' ? 'right' : middle, sure: true };
  return { verdict: middle, sure: loosest === middle && tightest === middle };
}

/**
 * One die on one lug. It is judged by its figures as its trials corrected them, by the standard where it is the
 * standard pair, and before both by trials on this very barrel. An indent is judged by trial only.
 */
export function dieOffer(
  lug: Lug,
  copperMm2: number,
  caseDie: CaseDie,
  lugs: readonly Lug[],
  place?: Place,
): DieOffer {
  const { die, tool, kind, learned, trials } = caseDie;
  const standard = isStandardPair(lug, die, learned.flatsMm);
  const trialsOfOwn = trials.length > 0 ? ownTrials(trials, lug, copperMm2, lugs) : null;
  const parts: CrimpParts = {
    boreMm: lug.boreMm,
    outerMm: lug.outerMm,
    copperMm2,
    acrossFlatsMm: learned.flatsMm,
  };
  const centre = packedBy(compaction(parts), learned.packing);
  const band = compactionBand(parts, learned.flatsToleranceMm);
  const loosest = packedBy(band.loosest, learned.packing);
  const tightest = packedBy(band.tightest, learned.packing);
  const { verdict, sure } = settle(
    dieVerdict(centre),
    dieVerdict(loosest),
    dieVerdict(tightest),
    kind.leaves,
    standard,
    trialsOfOwn,
  );
  return {
    die,
    tool,
    leaves: kind.leaves,
    parts,
    c: centre.c,
    kappa: trialsOfOwn?.kappa ?? centre.kappa,
    loosest,
    tightest,
    verdict,
    sure,
    learned,
    own: trialsOfOwn,
    standard,
    crimpsFit: crimpsThatFit(lug.barrelMm, die.widthMm),
    unfit: whyUnfit(caseDie, copperMm2, place, trialsOfOwn !== null),
    lastResort: kind.lastResort !== '',
  };
}

const offered = remember<readonly DieOffer[]>();

/** Every die of the case on one lug, widest first. */
export const dieOffers = (
  lug: Lug,
  copperMm2: number,
  toolCase: ToolCase,
  place?: Place,
): readonly DieOffer[] =>
  offered([toolCase, lug], JSON.stringify([copperMm2, place]), () =>
    toolCase.dies
      .map((die) => dieOffer(lug, copperMm2, die, toolCase.lugs, place))
      .sort((a, b) => b.parts.acrossFlatsMm - a.parts.acrossFlatsMm),
  );

/** Middle of the right window of c: neither air nor ears. */
const AIM_C = 1.06;
const VERDICT_RANK: Readonly<Record<DieOffer['verdict'], number>> = {
  right: 0,
  light: 2,
  tight: 2,
  untried: 3,
  open: 4,
  'will-not-close': 5,
};

/** How far an offer is from what one would wish; 0 is perfect. */
export function dieRank(
  offer: Pick<DieMerits, 'verdict' | 'standard' | 'sure' | 'crimpsFit' | 'c'>,
  crimpsAsked: number,
): number {
  return (
    VERDICT_RANK[offer.verdict] -
    (offer.standard ? 1 : 0) +
    (offer.sure ? 0 : 0.5) +
    (offer.crimpsFit < crimpsAsked ? 0.7 : 0) +
    Math.abs(offer.c - AIM_C)
  );
}

/** What the choice of a die goes by. */
export type DieMerits = Pick<
  DieOffer,
  'verdict' | 'sure' | 'standard' | 'crimpsFit' | 'unfit' | 'c' | 'lastResort'
>;

/** Whether a die may be proposed at all. */
export const isUsable = ({ verdict, crimpsFit, unfit }: DieMerits) =>
  (verdict === 'right' || verdict === 'light' || verdict === 'tight') && crimpsFit > 0 && unfit === '';

/** Whether a die leaves an indent that nobody has tried yet, and could be tried. */
const isToTry = ({ verdict, crimpsFit, unfit }: DieMerits) =>
  verdict === 'untried' && crimpsFit > 0 && unfit === '';

/**
 * The die to use: a standard pair, else the right one nearest the middle that the barrel takes as often as asked.
 * A shop that works one under nominal takes the tightest that is still right. Null where none can be used.
 */
export function bestDie<T extends DieMerits>(
  offers: readonly T[],
  crimpsAsked: number,
  step: HousePractice['dieStep'] = 'nominal',
): T | null {
  const judged = offers.filter(isUsable);
  // Where nothing owned can be judged by its figures, an indent is made and tried; a last resort only where it is all there is.
  const toTry = judged.length > 0 ? [] : offers.filter(isToTry);
  const better = toTry.filter(({ lastResort }) => !lastResort);
  const usable = judged.length > 0 ? judged : better.length > 0 ? better : toTry;
  const tighter =
    step === 'one under'
      ? usable.filter(({ verdict, crimpsFit }) => verdict === 'right' && crimpsFit >= crimpsAsked)
      : [];
  if (tighter.length > 0) return tighter.reduce((best, next) => (next.c > best.c ? next : best));
  return usable.reduce<T | null>(
    (best, next) => (!best || dieRank(next, crimpsAsked) < dieRank(best, crimpsAsked) ? next : best),
    null,
  );
}
