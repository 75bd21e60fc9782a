import { STUDS } from '../model/tables/studs.ts';
import { type Finding, type Limit, stated, type State } from '../finding/finding.ts';
import { acrossFlatsWindow, MOST_EARS_MM } from '../termination/dies/dieClosed.ts';
import { compaction, dieVerdict, type DieVerdict, expectedVoidShare } from '../termination/dies/dieOnLug.ts';
import { clearanceVerdict, MOST_CLEARANCE_MM } from '../termination/lugs/lugOnStud.ts';
import { digits, figure, type Unit } from '../model/units/figure.ts';
import { HOME_MM, type MadeEnd } from './exercise.ts';
import type { FaultName } from './faults.ts';
import { say } from '../words/say.ts';
import { word } from '../words/terms.ts';

const DIE_WORDS: Readonly<Record<DieVerdict, string>> = {
  open: say`open: air stays between the strands`,
  light: say`light: too little is moved`,
  right: say`right by its figures, but the record would name another die`,
  tight: say`tight: ears and a thin barrel`,
  'will-not-close': say`too tight to close: a split or thinned barrel`,
};

interface Said {
  readonly value: number | null;
  readonly unit: Unit;
  readonly decimals: number;
  readonly limit?: Limit;
  readonly fails: boolean;
  readonly because: string;
  readonly formula: string;
  readonly substituted: readonly string[];
  readonly source: string;
  readonly assumes?: string;
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
      assumes = say`measured with a calliper to 0.05 mm`,
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
const TITLES: Readonly<Record<FaultName, string>> = {
  'loose hole': say`Hole over stud`,
  'not home': say`Copper from the bottom of the barrel`,
  'wrong die': say`Across flats`,
  'one crimp short': say`Crimps`,
  ears: say`Ears`,
  'jacket under barrel': say`Copper at the mouth`,
  'strand outside': say`Strands outside`,
  'sleeve on palm': say`Sleeve from the shoulder`,
  'no bead': say`Beads of adhesive`,
  browned: say`Browned jacket`,
  'wrong colour': say`Colour`,
};

const most = (value: number): Limit => ({ kind: 'most', most: value });
const least = (value: number): Limit => ({ kind: 'least', least: value });
const mm = (value: number, decimals = 1) => figure(value, 'mm', decimals);

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
      ? say`The hole is ${mm(clearance)} wider than ${asked.stud}: the palm loses face and works free. Buy the hole you need.`
      : say`${mm(clearance)} over ${asked.stud}: it sits.`,
    formula: say`hole − stud`,
    substituted: [`${digits(holeMm, 1)} − ${digits(diameterMm, 1)} = ${mm(clearance)}`],
    source: say`craft practice, a shop setting`,
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
      ? say`The copper stops ${mm(shortMm)} short: no copper in the sight hole, and ${digits(100 * held, 0)} % of the barrel holds.`
      : say`Copper shows in the sight hole.`,
    formula: say`held = (barrel − short) ÷ barrel`,
    substituted: [
      `(${digits(barrelMm, 0)} − ${digits(shortMm, 1)}) ÷ ${digits(barrelMm, 0)} = ${digits(100 * held, 0)} %`,
    ],
    source: say`craft practice: see copper in the hole`,
    assumes: say`the cut is square, so that all strands end together`,
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
      ? say`${mm(value, 2)} where the die leaves ${digits(leastMm, 2)} to ${mm(mostMm, 2)}. This hexagon is ${DIE_WORDS[dieVerdict(both)]}.`
      : say`The die asked for made it, and shut.`,
    formula: say`κ = A ÷ (A_hexagon − A_wall); c = (A_wall + A) ÷ A_hexagon`,
    substituted: [
      `κ = ${digits(Math.min(both.kappa, 9.99), 2)}, c = ${digits(both.c, 2)}`,
      say`air in the section: ${digits(100 * air, 1)} %`,
    ],
    source: say`area balance of the crimp; window by craft practice`,
    assumes: say`nominal copper, and the lug’s own diameters`,
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
      ? say`The card asks ${asked.crimps}, ${crimps.length === 1 ? say`one is` : say`${crimps.length} are`} there: ${digits((100 * crimps.length) / asked.crimps, 0)} % of the length pressed.`
      : say`All of them are there.`,
    formula: say`crimps made ÷ crimps asked`,
    substituted: [say`${crimps.length} of ${asked.crimps}, each ${digits(asked.die.widthMm, 0)} mm wide`],
    source: say`house practice, and the barrel’s length`,
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
      ? say`${mm(earsMm, 2)} of flash at the parting line: it cuts the sleeve, and says the die was too tight or never turned.`
      : say`They do not count.`,
    formula: say`ears ≤ 0.5 mm`,
    substituted: [say`${digits(earsMm, 2)} against ${digits(MOST_EARS_MM, 2)}`],
    source: say`craft practice, a shop setting`,
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
      ? say`${mm(-bareMm)} of jacket is in the barrel: it holds nothing, and ${digits(100 * held, 0)} % of the barrel is on copper.`
      : say`${mm(bareMm)} of copper shows: no jacket is under the barrel.`,
    formula: say`held = (barrel − jacket inside) ÷ barrel`,
    substituted: [
      `(${digits(barrelMm, 0)} − ${digits(Math.max(0, -bareMm), 1)}) ÷ ${digits(barrelMm, 0)} = ${digits(100 * held, 0)} %`,
    ],
    source: say`craft practice: never insulation under the barrel`,
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
      ? say`${strandsOutside} of about ${strandCount} strands ${strandsOutside === 1 ? say`is` : say`are`} outside: ${strandsOutside === 1 ? say`it carries` : say`they carry`} nothing and pierce the sleeve.`
      : say`Every strand is in the barrel.`,
    formula: say`amps left = √(strands in ÷ strands)`,
    substituted: [
      `√(${strandCount - strandsOutside} ÷ ${strandCount}) = ${digits(100 * Math.sqrt(share), 1)} %`,
    ],
    source: say`craft practice: gather every strand`,
    assumes: say`counted by the cable’s usual strand`,
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
      ? say`It reaches ${mm(-sleeveFrontMm)} onto the palm, ${faceMm < washerMm ? say`under the washer itself: the joint clamps plastic` : say`which must lie flat metal to metal`}.`
      : say`It stops short of the palm.`,
    formula: say`clear face = stud to shoulder + front of the sleeve`,
    substituted: [
      say`${digits(studToBarrelMm, 1)} ${sleeveFrontMm < 0 ? '−' : '+'} ${digits(Math.abs(sleeveFrontMm), 1)} = ${mm(faceMm)}; half the washer is ${mm(washerMm)}`,
    ],
    source: say`craft practice: end it where the barrel turns into the palm`,
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
      ? say`No adhesive came out at the back: that end was not hot enough, and water will find it.`
      : say`A bead at both ends: sealed.`,
    formula: say`beads seen, of 2`,
    substituted: [say`front ${beads.front ? say`yes` : say`no`}, back ${beads.back ? say`yes` : say`no`}`],
    source: say`craft practice: a bead of adhesive at both ends`,
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
      ? say`${mm(brownedMm, 0)} of jacket is browned: it was hotter than its ${digits(asked.kind.limitC, 0)} °C, is brittle there, and cracks when it bends.`
      : say`The jacket has its colour.`,
    formula: say`no browning or bubbles`,
    substituted: [say`the jacket is rated ${digits(asked.kind.limitC, 0)} °C`],
    source: say`craft practice: brown or bubbled is too hot`,
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
      ? say`The card says ${word(asked.polarity)}, the cable is ${word(colour)}: the next person trusts the colour.`
      : say`${asked.polarity === 'positive' ? say`Red for positive` : say`Black for negative`}, as the card says.`,
    formula: say`red positive, black negative`,
    substituted: [say`asked ${word(wanted)}, made ${word(colour)}`],
    source: say`house practice: red and black cable`,
  };
}
