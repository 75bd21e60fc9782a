import { STUDS } from '../model/tables/studs.ts';
import type { Lug } from '../model/shop.ts';
import type { HousePractice } from '../model/housePractice.ts';
import { remember } from '../lib/remember.ts';
import { type Message, msg, numeral, verbatim } from '../words/message.ts';
import { bestDie, type DieOffer, dieOffers, dieRank } from './dies/dieOffers.ts';
import { boreFill, FILL, fillVerdict, type FillVerdict, LIGHT_WALL, wallMm2 } from './lugs/lugOnCable.ts';
import { clearanceVerdict, type ClearanceVerdict, LEAST_WEB_SHARE, webMm } from './lugs/lugOnStud.ts';
import { isScrewed, type LugMethod } from '../model/method.ts';
import { type Meets, postTitle } from '../model/posts.ts';
import type { Place, ToolCase } from './dies/toolCase.ts';
import { type PalmAsked, palmSuits } from './studs/palmAsked.ts';

import { term } from '../words/terms.ts';

/** What an end asks of a lug. */
export interface LugNeed {
  /** All the copper that goes into its barrel, mm². */
  readonly copperMm2: number;
  readonly tinned: boolean;
  readonly meets: Meets;
  readonly crimpsAsked: number;
  readonly method: LugMethod;
  readonly dieStep: HousePractice['dieStep'];
  readonly place?: Place;
  /** What its stud asks of the palm. */
  readonly palm?: PalmAsked;
}

/** One thing that speaks for a lug or against it. */
export interface LugReason {
  readonly about:
    | 'fill'
    | 'stud'
    | 'palm'
    | 'web'
    | 'wall'
    | 'plating'
    | 'die'
    | 'mouth'
    | 'price'
    | 'stock'
    | 'form';
  readonly good: boolean;
  readonly words: Message;
}

/** A lug on the shelf, compared with what an end asks. */
export interface LugOffer {
  readonly lug: Lug;
  readonly fill: number;
  readonly fillVerdict: FillVerdict;
  readonly clearanceMm: number;
  readonly clearanceVerdict: ClearanceVerdict;
  /** The best the owned dies do on it; not asked of a lug that is refused or not crimped. */
  readonly die: DieOffer | null;
  /** What decided its place among the others, what speaks against it first. */
  readonly reasons: readonly LugReason[];
  /** Why it is not offered; null where it may be used. */
  readonly refused: Message | null;
  /** How far it is from what one would wish; the least is the best. */
  readonly rank: number;
}

/** Why a lug's make forbids it here; null where it does not. */
function refusedByForm({ form, metal, drilledOut, clamp }: Lug, { meets }: LugNeed): Message | null {
  if (form === 'butt') return msg`an in-line connector, not an end`;
  const isClamp = form === 'cast clamp' || form === 'screw clamp';
  if (meets.kind === 'stud') {
    if (isClamp) return msg`a clamp for a battery post`;
    if (form === 'screw terminal') return null;
    if (drilledOut) return msg`drilled out: it tears, bends, and loses plating and face`;
    return metal === 'copper' ? null : msg`${term(metal)} does not flow into the strands`;
  }
  if (!isClamp || !clamp) return msg`a ring lug does not sit on a tapered post`;
  const { kind, polarity } = meets.post;
  if (clamp.post.kind !== kind) return msg`bored for the ${postTitle(clamp.post)}`;
  return clamp.post.polarity === polarity
    ? null
    : msg`bored for the ${term(clamp.post.polarity)} post: ${clamp.post.polarity === 'positive' ? msg`it will never grip the thinner one` : msg`it will not go on the thicker one`}`;
}

function refusal(lug: Lug, need: LugNeed, fill: FillVerdict, clearance: ClearanceVerdict): Message | null {
  const byForm = refusedByForm(lug, need);
  if (byForm !== null || lug.form === 'screw clamp') return byForm;
  const isFilled = !isScrewed(lug);
  if (fill === 'cannot-enter') return msg`too small: never cut strands to make a cable enter`;
  if (isFilled && fill === 'wrong-lug') return msg`far too big for this cable`;
  if (need.meets.kind === 'post') return null;
  if (clearance === 'does-not-fit') return msg`its hole does not pass the stud: never drill it out`;
  return clearance === 'loose' ? msg`its hole is loose on the stud` : null;
}

/** Whether an end holds its lug by a die. */
const isCrimped = (lug: Lug, method: LugMethod) => lug.form === 'tube' && method !== 'solder';

const COSTS = {
  fill: 4,
  stud: 4,
  web: 1.5,
  wall: 0.3,
  plating: 0.8,
  noDie: 8,
  stock: 3,
  palm: 5,
  /** A millimetre of palm, where several share a stud: between lugs that are otherwise alike the thinner goes on. */
  thinMm: 0.15,
  /** The same on a bare block, for the thicker. */
  heavyMm: -0.15,
  /** What a flared mouth is worth: it decides between lugs that are otherwise alike. */
  flared: -0.1,
  temporary: 20,
} as const;
/** So much money weighs as much as the web does. */
const PRICE_WEIGHT = 1 / 40;
/** The middle of the right window of bore fill. */
const AIM_FILL = (FILL.right + FILL.tight) / 2;

function reasonsFor(lug: Lug, need: LugNeed, offer: Omit<LugOffer, 'reasons' | 'rank'>): LugReason[] {
  const web = webMm(lug.palmWidthMm, lug.holeMm);
  const light = wallMm2(lug) < LIGHT_WALL * need.copperMm2;
  const onPost = need.meets.kind === 'post';
  const palm = need.palm && !onPost ? palmSuits(lug, need.palm) : null;
  const reasons: (LugReason | false)[] = [
    isScrewed(lug) && {
      about: 'form',
      good: false,
      words: msg`to get home only: give it a date`,
    },
    lug.form === 'cast clamp' && {
      about: 'form',
      good: true,
      words: msg`a casting: soldered, never crimped`,
    },
    !isScrewed(lug) && {
      about: 'fill',
      good: offer.fillVerdict === 'right',
      words: msg`fill ${numeral(offer.fill, 2)}${offer.fillVerdict === 'right' ? '' : verbatim`, ${term(offer.fillVerdict)}`}`,
    },
    !onPost && {
      about: 'stud',
      good: offer.clearanceVerdict === 'right',
      words: msg`${numeral(offer.clearanceMm, 1)} clearance on its stud`,
    },
    palm !== null && { about: 'palm', ...palm },
    !onPost &&
      web < LEAST_WEB_SHARE * lug.holeMm && { about: 'web', good: false, words: msg`thin beside the hole` },
    light && lug.form === 'tube' && { about: 'wall', good: false, words: msg`a light wall` },
    need.tinned &&
      lug.plating === 'none' && {
        about: 'plating',
        good: false,
        words: msg`bare copper against tinned strands`,
      },
    lug.flared && { about: 'mouth', good: true, words: msg`flared mouth: the strands go in easily` },
    isCrimped(lug, need.method) && {
      about: 'die',
      good: offer.die?.verdict === 'right' && offer.die.sure,
      words: dieWords(offer.die),
    },
    lug.stock === 0 && { about: 'stock', good: false, words: msg`none left` },
  ];
  return reasons.filter((reason) => reason !== false).sort((a, b) => Number(a.good) - Number(b.good));
}

/** A die by what is on it: "die 70", "the unmarked die". */
export const dieCalled = ({ stamp }: { readonly stamp: string }) =>
  stamp ? msg`die ${stamp}` : msg`the unmarked die`;

function dieWords(die: DieOffer | null): Message {
  if (!die) return msg`no die owned suits`;
  return die.sure
    ? msg`${dieCalled(die.die)} ${term(die.verdict)}`
    : msg`${dieCalled(die.die)} ${term(die.verdict)}, unsure`;
}

/** One lug compared with what an end asks, with the best of the dies. */
export function lugOffer(lug: Lug, need: LugNeed, toolCase: ToolCase): LugOffer {
  const { copperMm2, crimpsAsked } = need;
  const fill = boreFill(copperMm2, lug.boreMm);
  const verdict = fillVerdict(fill, lug.flared);
  const { diameterMm } = STUDS[need.meets.kind === 'stud' ? need.meets.stud : lug.stud];
  const clearance = clearanceVerdict(diameterMm, lug.holeMm);
  const refused = refusal(lug, need, verdict, clearance);
  const crimped = isCrimped(lug, need.method);
  const die =
    refused !== null || !crimped
      ? null
      : bestDie(dieOffers(lug, copperMm2, toolCase, need.place), crimpsAsked, need.dieStep);
  const offer = {
    lug,
    fill,
    fillVerdict: verdict,
    clearanceMm: lug.holeMm - diameterMm,
    clearanceVerdict: clearance,
    die,
    refused,
  };
  const reasons = reasonsFor(lug, need, offer);
  const against = (about: LugReason['about']) =>
    reasons.some((reason) => reason.about === about && !reason.good);
  const rank =
    (refused !== null ? 100 : 0) +
    (isScrewed(lug) ? COSTS.temporary : 0) +
    (against('fill') ? COSTS.fill : 0) +
    (against('stud') ? COSTS.stud : 0) +
    (against('palm') ? COSTS.palm : 0) +
    (against('web') ? COSTS.web : 0) +
    (against('wall') ? COSTS.wall : 0) +
    (against('plating') ? COSTS.plating : 0) +
    (crimped ? (die ? dieRank(die, crimpsAsked) : COSTS.noDie) : 0) +
    (lug.stock > 0 ? 0 : COSTS.stock) +
    (lug.flared ? COSTS.flared : 0) +
    palmCost(lug, need) +
    lug.price * PRICE_WEIGHT +
    Math.abs(fill - AIM_FILL);
  return { ...offer, reasons, rank };
}

function palmCost({ palmThicknessMm }: Lug, { meets, palm }: LugNeed): number {
  if (!palm || meets.kind === 'post' || palm.want === 'any') return 0;
  return palmThicknessMm * (palm.want === 'thin' ? COSTS.thinMm : COSTS.heavyMm);
}

const offered = remember<readonly LugOffer[]>();

/** Lugs on the shelf, the best first, refused ones last. Most ends of a job ask the same, and are answered from memory. */
export const lugOffers = (need: LugNeed, toolCase: ToolCase): readonly LugOffer[] =>
  offered([toolCase], JSON.stringify(need), () =>
    toolCase.lugs.map((lug) => lugOffer(lug, need, toolCase)).sort((a, b) => a.rank - b.rank),
  );
