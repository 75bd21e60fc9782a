import { STUDS } from '../model/tables/studs.ts';
import { type Finding, type Limit, stated, type State } from '../finding/finding.ts';
import { acrossFlatsWindow, MOST_EARS_MM } from '../termination/dies/dieClosed.ts';
import { compaction, dieVerdict, type DieVerdict, expectedVoidShare } from '../termination/dies/dieOnLug.ts';
import { clearanceVerdict, MOST_CLEARANCE_MM } from '../termination/lugs/lugOnStud.ts';
import type { Unit } from '../model/units/figure.ts';
import { type Message, amount, msg, numeral, verbatim, bare } from '../words/message.ts';
import { HOME_MM, type MadeEnd } from './exercise.ts';
import type { FaultName } from './faults.ts';

import { term } from '../words/terms.ts';

const DIE_WORDS: Readonly<Record<DieVerdict, Message>> = {
  open: msg`too loose: air stays between the strands`,
  light: msg`light: too little is moved`,
  right: msg`right by its figures, but the record would name another die`,
  tight: msg`tight: ears and a thin barrel`,
  'will-not-close': msg`too tight to close: a split or thinned barrel`,
};

interface Said {
  readonly value: number | null;
  readonly unit: Unit;
  readonly decimals: number;
  readonly limit?: Limit;
  readonly fails: boolean;
  readonly because: Message;
  readonly formula: Message;
  readonly substituted: readonly Message[];
  readonly source: Message;
  readonly assumes?: Message;
}

/**
 * Judges an end as it was made, point by point, with the limits of the proof: what fails is what was done wrong. It
 * does not know what was done on purpose.
 */
export function inspect(made: MadeEnd): Readonly<Record<FaultName, Finding>> {
  const finding = (name: FaultName, said: Said): Finding => {
    const {
      fails,
      limit,
      formula,
      substituted,
      source,
      assumes = msg`measured with a calliper to 0.05 mm`,
    } = said;
    const { value, unit, decimals, because } = said;
    const state: State = fails ? 'fails' : 'holds';
    const work = { formula, substituted, source, assumes };
    const facts = { topic: 'spot', part: name, stage: 'prove', title: TITLES[name], unit, decimals } as const;
    return { ...stated({ ...facts, value, because, work }, state), ...(limit && { limit }) };
  };
  return {
    'loose hole': finding('loose hole', looseHole(made)),
    'not home': finding('not home', notHome(made)),
    'wrong die': finding('wrong die', wrongDie(made)),
    'one crimp short': finding('one crimp short', oneShort(made)),
    ears: finding('ears', ears(made)),
    'jacket under barrel': finding('jacket under barrel', jacketUnder(made)),
    'strand outside': finding('strand outside', strandOutside(made)),
    'sleeve on palm': finding('sleeve on palm', sleeveOnPalm(made)),
    'no bead': finding('no bead', noBead(made)),
    browned: finding('browned', browned(made)),
    'wrong colour': finding('wrong colour', wrongColour(made)),
  };
}

/** What is looked at, neither good nor bad. */
const TITLES: Readonly<Record<FaultName, Message>> = {
  'loose hole': msg`Hole over stud`,
  'not home': msg`Copper from the bottom of the barrel`,
  'wrong die': msg`Across flats`,
  'one crimp short': msg`Crimps`,
  ears: msg`Ears`,
  'jacket under barrel': msg`Copper at the mouth`,
  'strand outside': msg`Strands outside`,
  'sleeve on palm': msg`Sleeve from the shoulder`,
  'no bead': msg`Beads of adhesive`,
  browned: msg`Browned jacket`,
  'wrong colour': msg`Colour`,
};

const most = (value: number): Limit => ({ kind: 'most', most: value });
const least = (value: number): Limit => ({ kind: 'least', least: value });
const mm = (value: number, decimals = 1) => amount(value, 'mm', decimals);

function looseHole({ asked, holeMm }: MadeEnd): Said {
  const { diameterMm } = STUDS[asked.stud];
  const clearance = holeMm - diameterMm;
  const fails = clearanceVerdict(diameterMm, holeMm) === 'loose';
  return {
    value: clearance,
    unit: 'mm',
    decimals: 1,
    limit: most(MOST_CLEARANCE_MM),
    fails,
    because: fails
      ? msg`The hole is ${mm(clearance)} wider than ${asked.stud}: the palm loses face and works free. Buy the hole you need.`
      : msg`${mm(clearance)} over ${asked.stud}: it sits.`,
    formula: msg`hole − stud`,
    substituted: [verbatim`${numeral(holeMm, 1)} − ${numeral(diameterMm, 1)} = ${mm(clearance)}`],
    source: msg`craft practice, a shop setting`,
  };
}

function notHome({ asked, shortMm }: MadeEnd): Said {
  const { barrelMm } = asked.lug;
  const fails = shortMm > HOME_MM;
  const held = (barrelMm - shortMm) / barrelMm;
  return {
    value: shortMm,
    unit: 'mm',
    decimals: 1,
    limit: most(HOME_MM),
    fails,
    because: fails
      ? msg`The copper stops ${mm(shortMm)} short: no copper in the sight hole, and ${numeral(100 * held, 0)} % of the barrel holds.`
      : msg`Copper shows in the sight hole.`,
    formula: msg`held = (barrel − short) ÷ barrel`,
    substituted: [
      verbatim`(${numeral(barrelMm, 0)} − ${numeral(shortMm, 1)}) ÷ ${numeral(barrelMm, 0)} = ${numeral(100 * held, 0)} %`,
    ],
    source: msg`craft practice: see copper in the hole`,
    assumes: msg`the cut is square, so that all strands end together`,
  };
}

function wrongDie({ asked, crimps }: MadeEnd): Said {
  const { die, lug, copperMm2 } = asked;
  const { leastMm, mostMm } = acrossFlatsWindow(die.acrossFlatsMm);
  const off = (value: number) => Math.max(leastMm - value, value - mostMm);
  const flats = crimps.map(({ acrossFlatsMm }) => acrossFlatsMm);
  const value = flats.reduce((worst, own) => (off(own) > off(worst) ? own : worst), die.acrossFlatsMm);
  const fails = off(value) > 0;
  const parts = { boreMm: lug.boreMm, outerMm: lug.outerMm, copperMm2, acrossFlatsMm: value };
  const both = compaction(parts);
  const air = expectedVoidShare(parts);
  return {
    value,
    unit: 'mm',
    decimals: 2,
    limit: { kind: 'window', least: leastMm, most: mostMm },
    fails,
    because: fails
      ? msg`${mm(value, 2)} where the die leaves ${bare(leastMm, 'mm', 2)} to ${mm(mostMm, 2)}. This hexagon is ${DIE_WORDS[dieVerdict(both)]}.`
      : msg`The required die made it, and shut.`,
    formula: msg`κ = A ÷ (A_hexagon − A_wall); c = (A_wall + A) ÷ A_hexagon`,
    substituted: [
      verbatim`κ = ${numeral(Math.min(both.kappa, 9.99), 2)}, c = ${numeral(both.c, 2)}`,
      msg`air in the section: ${numeral(100 * air, 1)} %`,
    ],
    source: msg`area balance of the crimp; window by craft practice`,
    assumes: msg`nominal copper, and the lug’s own diameters`,
  };
}

function oneShort({ asked, crimps }: MadeEnd): Said {
  const fails = crimps.length < asked.crimps;
  return {
    value: crimps.length,
    unit: '',
    decimals: 0,
    limit: least(asked.crimps),
    fails,
    because: fails
      ? msg`The card requires ${asked.crimps}, ${msg`${crimps.length} is¦${crimps.length} are`} there: ${numeral((100 * crimps.length) / asked.crimps, 0)} % of the length pressed.`
      : msg`All of them are there.`,
    formula: msg`crimps made ÷ crimps required`,
    substituted: [msg`${crimps.length} of ${asked.crimps}, each ${numeral(asked.die.widthMm, 0)} mm wide`],
    source: msg`house practice, and the barrel’s length`,
  };
}

function ears({ earsMm }: MadeEnd): Said {
  const fails = earsMm > MOST_EARS_MM;
  return {
    value: earsMm,
    unit: 'mm',
    decimals: 2,
    limit: most(MOST_EARS_MM),
    fails,
    because: fails
      ? msg`${mm(earsMm, 2)} of flash at the parting line: it cuts the sleeve, and shows that the die was too tight or never turned.`
      : msg`They do not count.`,
    formula: msg`ears ≤ 0.5 mm`,
    substituted: [msg`${numeral(earsMm, 2)} against ${numeral(MOST_EARS_MM, 2)}`],
    source: msg`craft practice, a shop setting`,
  };
}

function jacketUnder({ asked, bareMm }: MadeEnd): Said {
  const { barrelMm } = asked.lug;
  const fails = bareMm < 0;
  const held = (barrelMm + Math.min(0, bareMm)) / barrelMm;
  return {
    value: bareMm,
    unit: 'mm',
    decimals: 1,
    limit: least(0),
    fails,
    because: fails
      ? msg`${mm(-bareMm)} of jacket is in the barrel: it holds nothing, and ${numeral(100 * held, 0)} % of the barrel is on copper.`
      : msg`${mm(bareMm)} of copper shows: no jacket is under the barrel.`,
    formula: msg`held = (barrel − jacket inside) ÷ barrel`,
    substituted: [
      verbatim`(${numeral(barrelMm, 0)} − ${numeral(Math.max(0, -bareMm), 1)}) ÷ ${numeral(barrelMm, 0)} = ${numeral(100 * held, 0)} %`,
    ],
    source: msg`craft practice: never insulation under the barrel`,
  };
}

function strandOutside({ asked, strandsOutside }: MadeEnd): Said {
  const { strandCount } = asked;
  const fails = strandsOutside > 0;
  const share = (strandCount - strandsOutside) / strandCount;
  return {
    value: strandsOutside,
    unit: '',
    decimals: 0,
    limit: most(0),
    fails,
    because: fails
      ? msg`${strandsOutside} of about ${strandCount} strands is outside: it carries nothing and pierces the sleeve.¦${strandsOutside} of about ${strandCount} strands are outside: they carry nothing and pierce the sleeve.`
      : msg`Every strand is in the barrel.`,
    formula: msg`ampacity left = √(strands in ÷ strands)`,
    substituted: [
      verbatim`√(${strandCount - strandsOutside} ÷ ${strandCount}) = ${numeral(100 * Math.sqrt(share), 1)} %`,
    ],
    source: msg`craft practice: gather every strand`,
    assumes: msg`counted by the cable’s usual strand`,
  };
}

function sleeveOnPalm({ asked, sleeveFrontMm }: MadeEnd): Said {
  const { studToBarrelMm } = asked.lug;
  const washerMm = STUDS[asked.stud].washerOuterMm / 2;
  const fails = sleeveFrontMm < 0;
  const faceMm = studToBarrelMm + sleeveFrontMm;
  return {
    value: sleeveFrontMm,
    unit: 'mm',
    decimals: 1,
    limit: least(0),
    fails,
    because: fails
      ? msg`It reaches ${mm(-sleeveFrontMm)} onto the palm, ${faceMm < washerMm ? msg`under the washer itself: the joint clamps plastic` : msg`which must lie flat metal to metal`}.`
      : msg`It stops short of the palm.`,
    formula: msg`clear face = stud to shoulder + front of the sleeve`,
    substituted: [
      msg`${numeral(studToBarrelMm, 1)} ${sleeveFrontMm < 0 ? '−' : '+'} ${numeral(Math.abs(sleeveFrontMm), 1)} = ${mm(faceMm)}; half the washer is ${mm(washerMm)}`,
    ],
    source: msg`craft practice: end it where the barrel turns into the palm`,
  };
}

function noBead({ beads }: MadeEnd): Said {
  const count = Number(beads.front) + Number(beads.back);
  const fails = count < 2;
  return {
    value: count,
    unit: '',
    decimals: 0,
    limit: least(2),
    fails,
    because: fails
      ? msg`No adhesive came out at the back: that end was not hot enough, and water will find it.`
      : msg`A bead at both ends: sealed.`,
    formula: msg`beads seen, of 2`,
    substituted: [msg`front ${beads.front ? msg`yes` : msg`no`}, back ${beads.back ? msg`yes` : msg`no`}`],
    source: msg`craft practice: a bead of adhesive at both ends`,
  };
}

function browned({ asked, brownedMm }: MadeEnd): Said {
  const fails = brownedMm > 0;
  return {
    value: brownedMm,
    unit: 'mm',
    decimals: 0,
    limit: most(0),
    fails,
    because: fails
      ? msg`${mm(brownedMm, 0)} of jacket is browned: it was hotter than its ${amount(asked.kind.limitC, '°C', 0)}, is brittle there, and cracks when it bends.`
      : msg`The jacket has its colour.`,
    formula: msg`no browning or bubbles`,
    substituted: [msg`the jacket is rated ${numeral(asked.kind.limitC, 0)} °C`],
    source: msg`craft practice: brown or bubbled is too hot`,
  };
}

function wrongColour({ asked, colour }: MadeEnd): Said {
  const wanted = asked.polarity === 'positive' ? 'red' : 'black';
  const fails = colour !== wanted;
  return {
    value: null,
    unit: '',
    decimals: 0,
    fails,
    because: fails
      ? msg`The card says ${term(asked.polarity)}, the cable is ${term(colour)}: the next person trusts the colour.`
      : msg`${asked.polarity === 'positive' ? msg`Red for positive` : msg`Black for negative`}, as the card says.`,
    formula: msg`red positive, black negative`,
    substituted: [msg`required ${term(wanted)}, made ${term(colour)}`],
    source: msg`house practice: red and black cable`,
  };
}
