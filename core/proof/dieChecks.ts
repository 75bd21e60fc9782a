import { remember } from '../lib/remember.ts';
import { atLeast, type Finding, type State, worstFirst } from '../finding/finding.ts';
import { CRIMPS_EACH } from '../model/housePractice.ts';
import type { Die, DieCheck, Lug, Shop } from '../model/shop.ts';
import { areaMm2 } from '../model/tables/size.ts';
import { COMPACTION } from '../termination/dies/dieOnLug.ts';
import { pullTargets } from '../termination/dies/pullForce.ts';
import { type Message, amount, msg } from '../words/message.ts';
import { flatsProof } from './crimpChecks.ts';
import { decided } from './decide.ts';
import { type Check, judge } from './judge.ts';
import { pulled, pullParts } from './pullProof.ts';
import { PACKING_SAYS, packingCheck, packingState, sectionKappa } from './sectionProof.ts';

/** What a check crimp is judged against. */
export type Checked = Pick<Shop, 'checks' | 'practice' | 'lugs' | 'dies' | 'tools'>;

const flatsOf = (die: Die, check: DieCheck): Finding =>
  flatsProof(
    { topic: 'across-flats', part: 'check', title: msg`Check crimp, across flats` },
    die,
    '',
    [check],
    ({ acrossFlatsMm }) => acrossFlatsMm,
  ).finding;

/** The section of a check crimp, where it was sawn. */
function sectionOf(check: DieCheck, lug: Lug | undefined): Finding {
  const facts: Check = {
    ...packingCheck,
    part: 'check',
    title: msg`Check crimp, packing κ`,
    missing: msg`This shop saws a check crimp, and this one was not sawn.`,
  };
  const { voidShare } = check;
  const kappa = voidShare === undefined || !lug ? null : sectionKappa(check.acrossFlatsMm, voidShare, lug);
  return judge(facts, kappa === null ? [] : [check], (_, own) => {
    const state = packingState(kappa ?? 0);
    return atLeast({ ...own, value: kappa ?? 0, because: PACKING_SAYS[state] }, COMPACTION.rightKappa, state);
  });
}

/** The pull of a check crimp against the least of its size, where it was pulled. */
function pullOf(check: DieCheck, lug: Lug | undefined): Finding {
  const leastN = lug ? pullTargets(areaMm2(lug.forSize)).leastN : 0;
  const facts: Check = {
    topic: 'pull',
    part: 'check',
    title: msg`Check crimp, pulled`,
    unit: 'N',
    decimals: 0,
    limit: { kind: 'least', least: leastN },
    missing: msg`This shop pulls a check crimp, and this one was not pulled.`,
    remedy: msg`Hold a spare piece with the least force of its size for one minute.`,
    work: {
      formula: msg`the greater of the small-craft row by gauge and the metric row`,
      substituted: [msg`least ${amount(leastN, 'N', 0)}`],
      source: msg`ABYC E-11 and ISO 10133 tensile tables`,
      assumes: msg`held one minute`,
    },
  };
  const { pull } = check;
  return judge(
    facts,
    pull && lug ? [check] : [],
    (_, own) => pulled({ held: pull?.held ?? false, forceN: pull?.forceN ?? 0, sample: false }, own, leastN),
    () => pullParts({ forceN: pull?.forceN ?? 0 }),
  );
}

/** What a check crimp says of its die: across flats, and sawn or pulled where it was, or where the shop requires it. The worst first. */
export function dieCheckProof(
  die: Die,
  check: DieCheck,
  { practice, lugs }: Pick<Shop, 'practice' | 'lugs'>,
): Finding[] {
  const lug = lugs.find(({ id }) => id === check.lugId);
  const asksFor = (by: 'section' | 'pull', isThere: boolean) => isThere || practice.checkBy === by;
  return worstFirst(
    decided(practice, [
      flatsOf(die, check),
      ...(asksFor('section', check.voidShare !== undefined) ? [sectionOf(check, lug)] : []),
      ...(asksFor('pull', check.pull !== undefined) ? [pullOf(check, lug)] : []),
    ]),
  );
}

/** How a check crimp came out, by the worst of what it says. */
export const checkState = (die: Die, check: DieCheck, shop: Pick<Shop, 'practice' | 'lugs'>): State =>
  dieCheckProof(die, check, shop)[0]?.state ?? 'unproved';

/** Whether a check crimp lets its die close again: it holds, or is watched where the shop decides at the limit. */
export const isGood = (die: Die, check: DieCheck, shop: Pick<Shop, 'practice' | 'lugs'>): boolean =>
  ['holds', 'watch'].includes(checkState(die, check, shop));

const NONE: DieCheck[] = [];
/** The check crimps of a die, oldest first; simulated ones check nothing. */
const checksOf = ({ checks = NONE }: Pick<Shop, 'checks'>, dieId: string): DieCheck[] =>
  checks.filter((check) => check.dieId === dieId && check.source !== 'simulated');

/** The day of the last check crimp that was good; null where none was. */
export const lastGoodDay = (shop: Checked, die: Die): string | null =>
  checksOf(shop, die.id)
    .findLast((check) => isGood(die, check, shop))
    ?.at.slice(0, 10) ?? null;

const lastKnown = remember<ReadonlyMap<string, DieCheck>>();
/** The last check crimp of each die that has one, by its id: every crimp of every cable asks for it. */
const lastChecks = ({ checks = NONE }: Pick<Shop, 'checks'>): ReadonlyMap<string, DieCheck> =>
  lastKnown(
    [checks],
    '',
    () => new Map(checks.flatMap((check) => (check.source === 'simulated' ? [] : [[check.dieId, check]]))),
  );

/** The crimps after which a die is checked again; null where they are not counted. */
/**
 * Why a die is held back; empty where it is not. After a check crimp that failed it is held back until one is good, and so
 * are the other dies of its tool, each until a good check of its own: it may be the tool that no longer closes. Where
 * the shop checks by the day or by what was closed, it is held back until that check is good; and where its tool has a day
 * until which its own check holds, from that day on.
 *
 * @param today year-month-day; null where the day is not asked
 */
export function heldBack(shop: Checked, die: Die, today: string | null): Message {
  const last = lastChecks(shop).get(die.id);
  if (last && !isGood(die, last, shop)) return badSays(die, last, shop);
  const bad = badOfTool(shop, die, last?.at ?? '');
  if (bad)
    return msg`The check crimp of ${bad.check.at.slice(0, 10)} with ${dieSays(bad.die)} failed: its tool is held back. A good check with ${dieSays(die)} frees it.`;
  const due = shop.tools.find(({ id }) => id === die.toolId)?.due;
  if (due !== undefined && today !== null && due < today)
    return msg`The check of its tool was due on ${due}: it is held back until it is checked and a new day is set.`;
  const { checkCrimps = 'when in doubt' } = shop.practice;
  if (checkCrimps === 'each day' && today !== null && last?.at.slice(0, 10) !== today)
    return msg`No check crimp of today: this shop checks each die before its first crimp of a day.`;
  const each = CRIMPS_EACH[checkCrimps];
  const since = (die.closed ?? 0) - (last?.closed ?? 0);
  return each !== null && since >= each
    ? msg`${since} crimps since its last check: this shop checks each die after ${each}.`
    : '';
}

const dieSays = ({ stamp }: Die): Message => (stamp === '' ? msg`the unmarked die` : msg`die ${stamp}`);

function badSays(die: Die, check: DieCheck, shop: Checked): Message {
  const [worst] = dieCheckProof(die, check, shop);
  const day = check.at.slice(0, 10);
  if (worst?.state === 'fails' && worst.topic === 'across-flats')
    return msg`The check crimp of ${day} measured ${amount(check.acrossFlatsMm, 'mm', 2)}: this die is held back.`;
  return msg`The check crimp of ${day} is not good: this die is held back. ${worst?.because ?? ''}`;
}

/** A check of another die of the same tool that failed, later than some moment, and that is not mended yet. */
function badOfTool(shop: Checked, die: Die, since: string): { die: Die; check: DieCheck } | undefined {
  return shop.dies
    .filter(({ id, toolId }) => toolId === die.toolId && id !== die.id)
    .flatMap((other) => {
      const check = lastChecks(shop).get(other.id);
      return check && check.at > since && checkState(other, check, shop) === 'fails'
        ? [{ die: other, check }]
        : [];
    })
    .at(0);
}
