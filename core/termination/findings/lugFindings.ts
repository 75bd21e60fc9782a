import type { Topic } from '../../finding/topics.ts';
import { type StudName, STUDS } from '../../model/tables/studs.ts';
import { atLeast, atMost, type Finding, stated, type State, within } from '../../finding/finding.ts';
import type { Run } from '../../model/run.ts';
import type { Lug } from '../../model/shop.ts';
import { madeFindings } from './madeFindings.ts';
import { type Message, amount, msg, numeral, verbatim } from '../../words/message.ts';
import { about } from './about.ts';
import { usesDie } from '../../model/method.ts';
import { postTitle } from '../../model/posts.ts';
import { boreFill, circleMm2, fillVerdict, fillWindow, LIGHT_WALL, wallMm2 } from '../lugs/lugOnCable.ts';
import {
  clearanceVerdict,
  LEAST_WEB_SHARE,
  MOST_CLEARANCE_MM,
  rightClearanceMm,
  webMm,
} from '../lugs/lugOnStud.ts';
import type { EndConductor, ResolvedEnd } from '../resolveEnd.ts';

import { asideMm, isStraight, reachMm } from '../lugs/palmAngle.ts';
import { term } from '../../words/terms.ts';

/** A lug compared with its cable and its stud. */
export function lugFindings(end: ResolvedEnd, lug: Lug, conductor: EndConductor, run: Run): Finding[] {
  const onStud =
    end.meets.kind === 'stud' ? [clearanceFinding(end, lug, end.meets.stud), webFinding(end, lug)] : [];
  if (end.method === 'screwed') return onStud;
  return [
    ...makeFindings(end, lug, conductor),
    fillFinding(end, lug),
    ...onStud,
    ...(lug.form === 'tube' ? [wallFinding(end, lug)] : []),
    ...(lug.form === 'tube' && !isStraight(lug) ? [asideFinding(end, lug)] : []),
    ...madeFindings(end, lug, run),
  ];
}

/** What a lug is made of and what was done to it, where that speaks against it. */
// oxlint-disable-next-line max-lines-per-function -- a list of findings, an entry each
function makeFindings(end: ResolvedEnd, lug: Lug, { tinned }: EndConductor): Finding[] {
  const said = (key: Topic, title: Message, because: Message, remedy: Message, state: State) =>
    stated(
      {
        ...about(end, key, title),
        value: null,
        unit: '',
        decimals: 0,
        because,
        remedy,
        work: {
          formula: msg`seamless, pure copper, tin plated, thick walled, its own hole`,
          substituted: [lug.label],
          source: msg`craft practice`,
          assumes: msg`as recorded by the shop`,
        },
      },
      state,
    );
  const { method } = end.spec;
  return [
    ...(lug.metal !== 'copper' && usesDie(end.method)
      ? [
          said(
            'metal',
            msg`Metal`,
            msg`${term(lug.metal)} does not flow into the strands when crimped.`,
            msg`Take a copper lug.`,
            'fails',
          ),
        ]
      : []),
    ...(lug.drilledOut
      ? [
          said(
            'drilled',
            msg`Hole`,
            msg`Drilled out: it tears, bends, and loses plating and face.`,
            msg`Buy the hole you need.`,
            'fails',
          ),
        ]
      : []),
    ...(lug.plating === 'none' && tinned
      ? [
          said(
            'plating',
            msg`Plating`,
            msg`Bare copper against tinned strands: it corrodes first.`,
            msg`Take a tinned lug, or seal it well.`,
            'watch',
          ),
        ]
      : []),
    ...(lug.form === 'cast clamp' && method && usesDie(method)
      ? [
          said(
            'cast',
            'A casting',
            msg`A casting cracks in a die: it is soldered, not “${term(method)}”.`,
            msg`Choose solder for this end.`,
            'fails',
          ),
        ]
      : []),
  ];
}

export function noLug(end: ResolvedEnd): Finding {
  const { wholeMm2: copperMm2, meets } = end;
  return stated(
    {
      ...about(end, 'lug', msg`Lug`),
      value: null,
      unit: '',
      decimals: 0,
      because: msg`No lug on the shelf suits ${amount(copperMm2, 'mm²', 1)} on ${meets.kind === 'stud' ? meets.stud : postTitle(meets.post)}.`,
      remedy: msg`Buy the lug made for this cable and this stud. Never cut strands, never drill a lug out.`,
      work: {
        formula: msg`fill = A ÷ A_bore between 0.53 and 0.76, hole clearance 0 to 1.2 mm`,
        substituted: [msg`every lug owned was tried`],
        source: msg`craft practice; thresholds are shop settings`,
        assumes: msg`lugs as measured in the shop`,
      },
    },
    'fails',
  );
}

function fillFinding(end: ResolvedEnd, lug: Lug): Finding {
  const { wholeMm2: copperMm2 } = end;
  const fill = boreFill(copperMm2, lug.boreMm);
  const verdict = fillVerdict(fill, lug.flared);
  const says = {
    'cannot-enter': msg`The cable cannot enter without cutting strands: refuse this lug.`,
    tight: lug.flared
      ? msg`Tight: twist the strands gently on the way in.`
      : msg`Tight: a flared mouth and a gentle twist help it in.`,
    right: msg`The strands fill the bore as they should.`,
    loose: msg`Loose: only the right die makes this good.`,
    'wrong-lug': msg`Far too big: this is another cable’s lug.`,
  }[verdict];
  const state: State =
    verdict === 'right' ? 'holds' : verdict === 'tight' || verdict === 'loose' ? 'watch' : 'fails';
  return within(
    {
      ...about(end, 'fill', msg`Bore fill`),
      value: fill,
      unit: '',
      decimals: 2,
      because: says,
      ...(state === 'fails' && { remedy: msg`Take the lug made for this cable.` }),
      work: {
        formula: msg`fill = n · A ÷ (π/4 · bore²)`,
        substituted: [
          verbatim`= ${numeral(copperMm2, 1)} ÷ ${numeral(circleMm2(lug.boreMm), 1)} = ${numeral(fill, 3)}`,
        ],
        source: lug.flared
          ? msg`craft practice: 0.53–0.74 right and to 0.78 tight with a flared mouth, to 0.45 loose`
          : msg`craft practice: 0.53–0.72 right, to 0.76 tight, to 0.45 loose`,
        assumes: msg`bore ${amount(lug.boreMm, 'mm', 1)} as measured; every strand counts, cut or not`,
      },
    },
    fillWindow(lug).least,
    fillWindow(lug).most,
    state,
  );
}

/** Where a bent or cranked palm puts its hole: the cable leaves beside the stud, and one way round only. */
function asideFinding(end: ResolvedEnd, lug: Lug): Finding {
  const { studToBarrelMm, angleDeg, offsetMm } = lug;
  return stated(
    {
      ...about(end, 'palm-aside', msg`Palm off the cable’s line`),
      value: asideMm(lug),
      unit: 'mm',
      decimals: 1,
      because: msg`The cable leaves ${numeral(angleDeg, 0)}° off its palm, on one side: set which way it lies before the last crimp. The sleeve ends at the bend, where the barrel does.`,
      work: {
        formula: msg`aside = a · sin α + offset; along the cable a · cos α`,
        substituted: [
          verbatim`= ${numeral(studToBarrelMm, 1)} · sin ${numeral(angleDeg, 0)}° + ${numeral(offsetMm, 1)} = ${amount(asideMm(lug), 'mm', 1)}`,
          verbatim`${numeral(studToBarrelMm, 1)} · cos ${numeral(angleDeg, 0)}° = ${amount(reachMm(lug), 'mm', 1)}`,
        ],
        source: msg`geometry of the lug`,
        assumes: msg`the palm bends where the barrel ends; a is measured along the palm`,
      },
    },
    'holds',
  );
}

function clearanceFinding(end: ResolvedEnd, lug: Lug, stud: StudName): Finding {
  const { diameterMm } = STUDS[stud];
  const clearance = lug.holeMm - diameterMm;
  const verdict = clearanceVerdict(diameterMm, lug.holeMm);
  const state: State = verdict === 'right' ? 'holds' : verdict === 'acceptable' ? 'watch' : 'fails';
  return atMost(
    {
      ...about(end, 'clearance', msg`Stud clearance`),
      value: clearance,
      unit: 'mm',
      decimals: 2,
      because: {
        'does-not-fit': msg`The hole does not pass ${stud}. Do not drill it out.`,
        right: msg`A close hole on ${stud}.`,
        acceptable: msg`A little loose on ${stud}: centre it before tightening.`,
        loose: msg`Loose on ${stud}: it loses face and works free.`,
      }[verdict],
      ...(state === 'fails' && { remedy: msg`Buy the hole you need.` }),
      work: {
        formula: msg`clearance = hole − d, right up to max(0.6, 0.09 · d)`,
        substituted: [
          verbatim`= ${numeral(lug.holeMm, 1)} − ${numeral(diameterMm, 2)} = ${amount(clearance, 'mm', 2)}`,
          msg`right to ${amount(rightClearanceMm(diameterMm), 'mm', 2)}, acceptable to ${amount(MOST_CLEARANCE_MM, 'mm', 1)}`,
        ],
        source: msg`craft practice; stud diameters as customary`,
        assumes: msg`the hole as measured`,
      },
    },
    rightClearanceMm(diameterMm),
    0,
    state,
  );
}

function wallFinding(end: ResolvedEnd, lug: Lug): Finding {
  const { wholeMm2: copperMm2 } = end;
  const wall = wallMm2(lug);
  const ratio = wall / copperMm2;
  const light = ratio < LIGHT_WALL;
  return atLeast(
    {
      ...about(end, 'wall', msg`Wall copper`),
      value: ratio,
      unit: '',
      decimals: 2,
      because:
        wall === 0
          ? msg`The bore is as wide as the barrel’s outside: no lug is made so.`
          : light
            ? msg`A light lug: less copper than the cable brings.`
            : msg`The barrel carries as much as the cable.`,
      ...(wall === 0 && { remedy: msg`Measure the lug again in the tool case.` }),
      work: {
        formula: msg`A_wall ÷ A, at least 0.80`,
        substituted: [verbatim`= ${numeral(wall, 1)} ÷ ${numeral(copperMm2, 1)} = ${numeral(ratio, 2)}`],
        source: msg`craft practice: thick wall, long barrel`,
        assumes: msg`${numeral(lug.outerMm, 1)} over ${numeral(lug.boreMm, 1)} as measured`,
      },
    },
    LIGHT_WALL,
    wall === 0 ? 'fails' : light ? 'watch' : 'holds',
  );
}

function webFinding(end: ResolvedEnd, lug: Lug): Finding {
  const web = webMm(lug.palmWidthMm, lug.holeMm);
  return atLeast(
    {
      ...about(end, 'web', msg`Metal beside the hole`),
      value: web,
      unit: 'mm',
      decimals: 1,
      work: {
        formula: msg`web = (palm − hole) ÷ 2, at least half the hole`,
        substituted: [
          verbatim`= (${numeral(lug.palmWidthMm, 1)} − ${numeral(lug.holeMm, 1)}) ÷ 2 = ${amount(web, 'mm', 1)}`,
        ],
        source: msg`craft practice`,
        assumes: msg`the hole in the middle of the palm`,
      },
    },
    LEAST_WEB_SHARE * lug.holeMm,
  );
}
