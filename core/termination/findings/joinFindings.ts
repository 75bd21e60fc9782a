import type { Topic } from '../../finding/topics.ts';
import type { Cable } from '../../model/cable.ts';
import { MORE_ASKED_SINCE } from '../../model/stepId.ts';
import { atMost, type Finding, notProved, stated, type State, within } from '../../finding/finding.ts';
import { type Message, amount, capitalised, msg, numeral, verbatim } from '../../words/message.ts';
import { COMPACTION } from '../dies/dieOnLug.ts';
import { crimpsASide, type ResolvedJoin } from '../join.ts';
import type { Lug } from '../../model/shop.ts';
import { boreFill, circleMm2, fillVerdict, fillWindow } from '../lugs/lugOnCable.ts';
import { MOULDED } from '../../model/tables/moulded.ts';
import { BRANCH_JACKET_MM, type MouldedTask } from '../sleeves/moulded.ts';
import { sleeveWindow } from '../sleeves/sleeve.ts';

import { term } from '../../words/terms.ts';

/** What a join is compared with before it is made: its connector, its die, its sleeve. */
export function joinFindings(join: ResolvedJoin, finishedMm: number, cable: Pick<Cable, 'done'>): Finding[] {
  const { connector } = join;
  if (!connector) return [noConnector(join)];
  const { cover } = connector;
  return [
    place(join, finishedMm),
    fill(join, connector),
    cover === 'solder ring' ? solderRing(join) : die(join),
    join.mouldedTask ? moulded(join, join.mouldedTask) : cover ? covered(join, connector) : sleeve(join),
    ...(join.spec.kind === 'branch' ? [seal(join, cable)] : []),
  ];
}

/** Copper that a ring of solder in a sleeve is made for, mm²: more of it draws its heat away before it runs. */
const SOLDER_RING_MOST_MM2 = 6;

/** A ring of solder: for thin wires, nothing that carries a starter's current or gets hot. */
function solderRing(join: ResolvedJoin): Finding {
  return atMost(
    {
      ...facts(join, 'join-die', msg`ring of solder`),
      value: join.copperMm2,
      unit: 'mm²',
      decimals: 1,
      remedy: msg`A crimped connector.`,
      work: {
        formula: msg`copper ≤ ${amount(SOLDER_RING_MOST_MM2, 'mm²', 0)}`,
        substituted: [amount(join.copperMm2, 'mm²', 1)],
        source: msg`customary sizes of solder sleeves; their solder runs at about ${amount(140, '°C', 0)}`,
        assumes: msg`soldered alone: what gets hot in a short lets go`,
      },
    },
    SOLDER_RING_MOST_MM2,
  );
}

/** A connector in its own jacket is sealed by it, and hides its crimps. */
function covered(join: ResolvedJoin, connector: Lug): Finding {
  return stated(
    {
      ...facts(join, 'join-sleeve', msg`its own jacket`),
      value: null,
      unit: '',
      decimals: 0,
      because:
        connector.cover === 'sealed'
          ? msg`Its own jacket seals it; its crimps cannot be measured through it, so that a pull alone proves them.`
          : msg`Its own jacket seals it once the ring has run.`,
      work: {
        formula: msg`crimped through its jacket with a smooth die, then shrunk`,
        substituted: [connector.label],
        source: msg`craft practice; the connector’s own sheet governs`,
        assumes: msg`adhesive shows at both ends`,
      },
    },
    'watch',
  );
}

/** Whether a moulded part goes over connector, cable and branches, and grips them. */
function moulded(join: ResolvedJoin, task: MouldedTask): Finding {
  const { legs, passMm, gripMm, legPassMm = 0, legGripMm = 0 } = task;
  const part = join.moulded ? MOULDED[join.moulded] : null;
  return stated(
    {
      ...facts(join, 'join-sleeve', msg`moulded part`),
      value: null,
      unit: '',
      decimals: 0,
      because: part
        ? msg`${capitalised(part.title)}: it passes all and grips all.`
        : msg`No customary part with ${legs} legs goes over all of it and grips all of it.`,
      ...(!part && { remedy: msg`Branches nearer to the cable’s size, or a nipped sleeve.` }),
      work: {
        formula: msg`body and legs: supplied ≥ 1.1 × thickest, recovered ≤ 0.9 × thinnest`,
        substituted: [
          msg`body: pass ${amount(passMm, 'mm', 1)}, grip ${amount(gripMm, 'mm', 1)}`,
          msg`legs: pass ${amount(legPassMm, 'mm', 1)}, grip ${amount(legGripMm, 'mm', 1)}`,
        ],
        source: msg`customary sizes`,
        assumes: msg`a branch with ${amount(BRANCH_JACKET_MM, 'mm', 1)} of jacket; all branches alike`,
      },
    },
    part ? 'holds' : 'fails',
  );
}

const facts = (join: ResolvedJoin, key: Topic, title: Message) => ({
  topic: key,
  join: join.spec.id,
  stage: 'ends' as const,
  title: msg`${join.title} at ${amount(join.spec.atMm / 1000, 'm', 2)}, ${title}`,
});
const SOURCE = msg`craft practice: a join is a last resort, two more crimps to prove`;

function noConnector(join: ResolvedJoin): Finding {
  return stated(
    {
      ...facts(join, 'join-fill', 'connector'),
      value: null,
      unit: '',
      decimals: 0,
      because: msg`No copper in-line connector owned takes ${amount(join.copperMm2, 'mm²', 1)}.`,
      remedy: msg`Buy one for this copper, or run the cable in one piece.`,
      work: {
        formula: msg`fill = A ÷ A_bore`,
        substituted: [msg`every connector was tried`],
        source: SOURCE,
        assumes: '',
      },
    },
    'fails',
  );
}

function place(join: ResolvedJoin, finishedMm: number): Finding {
  const { atMm } = join.spec;
  const least = 100;
  return within(
    {
      ...facts(join, 'join-place', 'place'),
      value: atMm,
      unit: 'mm',
      decimals: 0,
      ...(atMm > finishedMm && { because: msg`Beyond the end of the cable.` }),
      work: {
        formula: msg`clear of both ends by 100 mm`,
        substituted: [msg`the cable is ${amount(finishedMm, 'mm', 0)} stud to stud`],
        source: msg`room for two sleeves that do not meet`,
        assumes: msg`measured along the cable from stud A`,
      },
    },
    least,
    Math.max(finishedMm - least, least + 1),
  );
}

function fill(join: ResolvedJoin, connector: Lug): Finding {
  const { boreMm, flared } = connector;
  const value = boreFill(join.copperMm2, boreMm);
  const verdict = fillVerdict(value, flared);
  const { least, most } = fillWindow(connector);
  const state: State =
    verdict === 'right' ? 'holds' : verdict === 'tight' || verdict === 'loose' ? 'watch' : 'fails';
  return within(
    {
      ...facts(join, 'join-fill', msg`bore fill`),
      value,
      unit: '',
      decimals: 2,
      work: {
        formula: msg`fill = n · A ÷ (π/4 · bore²)`,
        substituted: [
          verbatim`= ${numeral(join.copperMm2, 1)} ÷ ${numeral(circleMm2(boreMm), 1)} = ${numeral(value, 3)}`,
        ],
        source: msg`craft practice: ${numeral(least, 2)}–${numeral(most, 2)} right`,
        assumes:
          join.spec.kind === 'branch' ? msg`cable and branch in one barrel` : msg`one cable in each barrel`,
      },
    },
    least,
    most,
    state,
  );
}

function die(join: ResolvedJoin): Finding {
  const { die: offer, connector } = join;
  const base = facts(join, 'join-die', 'die');
  if (!offer || !connector) {
    return stated(
      {
        ...base,
        value: null,
        unit: '',
        decimals: 0,
        because: msg`No die in the case closes right on this connector.`,
        remedy: msg`Another connector, or its maker’s own die.`,
        work: { formula: msg`κ ≥ 0.90 and c ≤ 1.16`, substituted: [], source: SOURCE, assumes: '' },
      },
      'fails',
    );
  }
  const good = offer.verdict === 'right' && crimpsASide(connector, offer) > 0;
  return atMost(
    {
      ...base,
      value: offer.c,
      unit: '',
      decimals: 2,
      because: good
        ? msg`${offer.die.stamp ? msg`Die ${offer.die.stamp}` : msg`The unmarked die`} packs it; one crimp a side.`
        : crimpsASide(connector, offer) === 0
          ? msg`The die is wider than a side of the connector.`
          : msg`This die is ${term(offer.verdict)} on it.`,
      work: {
        formula: msg`c = (A_wall + n · A) ÷ A_die, κ = n · A ÷ (A_die − A_wall)`,
        substituted: [
          msg`c ${numeral(offer.c, 3)}, κ ${Number.isFinite(offer.kappa) ? numeral(offer.kappa, 3) : msg`no room`}, flats ${numeral(offer.parts.acrossFlatsMm, 2)}`,
        ],
        source: msg`area balance of a hexagon crimp`,
        assumes: msg`connector as measured`,
      },
    },
    COMPACTION.rightC,
    0.5,
    good ? (offer.sure ? 'holds' : 'watch') : 'fails',
  );
}

/** Whether the gap between the two cables of a branch was closed while the sleeve was hot, by who did it and looked. */
function seal(join: ResolvedJoin, { done }: Pick<Cable, 'done'>): Finding {
  const isMoulded = join.mouldedTask !== undefined;
  const tick = done.find(
    ({ step, at: when }) =>
      step === `join-pinch-${join.spec.id}` ||
      (step === `join-shrink-${join.spec.id}` && (isMoulded || when < MORE_ASKED_SINCE)),
  );
  const base = {
    ...facts(join, 'join-seal', msg`gap between the cables`),
    unit: '' as const,
    decimals: 0,
    work: {
      formula: isMoulded
        ? msg`adhesive at the body and at every leg`
        : msg`nipped while hot, and looked into`,
      substituted: tick ? [msg`ticked by ${tick.by || msg`nobody named`}`] : [msg`not ticked yet`],
      source: isMoulded
        ? msg`craft practice: a moulded part has a leg for each cable`
        : msg`craft practice: a branch is sealed by nipping a large adhesive sleeve with pliers while it is hot`,
      assumes: msg`adhesive was seen all round each cable`,
    },
  };
  return tick
    ? stated(
        {
          ...base,
          value: null,
          because: isMoulded
            ? msg`Shrunk, with adhesive at every leg.`
            : msg`Nipped while it was hot, and looked into.`,
        },
        'holds',
      )
    : notProved({
        ...base,
        because: isMoulded
          ? msg`The moulded part is not shrunk yet.`
          : msg`Two cables side by side leave a gap that no sleeve closes by itself.`,
        remedy: isMoulded
          ? msg`Shrink it at the bench, and look at every leg.`
          : msg`Nip it while it is hot, at the bench.`,
      });
}

function sleeve({ sleeveTask, sleeve: chosen, ...join }: ResolvedJoin): Finding {
  const needs = sleeveTask && sleeveWindow(sleeveTask);
  const ok =
    chosen &&
    needs &&
    chosen.suppliedMm >= needs.suppliedLeastMm &&
    chosen.recoveredMm <= needs.recoveredMostMm;
  return stated(
    {
      ...facts({ ...join, sleeveTask, sleeve: chosen }, 'join-sleeve', 'sleeve'),
      value: null,
      unit: '',
      decimals: 0,
      because: chosen
        ? ok
          ? msg`${chosen.suppliedMm}/${chosen.recoveredMm} passes the connector and grips the cable.`
          : msg`${chosen.suppliedMm}/${chosen.recoveredMm} does not pass and grip.`
        : msg`No sleeve owned passes the connector and grips the cable.`,
      ...(!ok && { remedy: msg`A 4:1 adhesive sleeve spans most.` }),
      work: {
        formula: msg`supplied ≥ 1.1 × connector, recovered ≤ 0.9 × cable`,
        substituted: needs
          ? [
              msg`pass ${amount(needs.suppliedLeastMm, 'mm', 1)}, grip ${amount(needs.recoveredMostMm, 'mm', 1)}`,
            ]
          : [],
        source: msg`customary sizes`,
        assumes:
          join.spec.kind === 'branch'
            ? msg`a branch is sealed by nipping a large adhesive sleeve with pliers while it is hot`
            : msg`slid on before the second side is crimped`,
      },
    },
    ok ? 'holds' : 'fails',
  );
}
