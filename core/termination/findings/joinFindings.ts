import type { Topic } from '../../finding/topics.ts';
import { atMost, type Finding, stated, type State, within } from '../../finding/finding.ts';
import { digits, figure } from '../../model/units/figure.ts';
import { COMPACTION } from '../dies/dieOnLug.ts';
import { crimpsASide, type ResolvedJoin } from '../join.ts';
import { boreFill, circleMm2, FILL, fillVerdict } from '../lugs/lugOnCable.ts';
import { sleeveWindow } from '../sleeves/sleeve.ts';
import { say } from '../../words/say.ts';
import { word } from '../../words/terms.ts';

/** What a join is held against before it is made: its connector, its die, its sleeve. */
export function joinFindings(join: ResolvedJoin, finishedMm: number): Finding[] {
  const { connector } = join;
  if (!connector) return [noConnector(join)];
  return [place(join, finishedMm), fill(join, connector.boreMm), die(join), sleeve(join)];
}

const facts = (join: ResolvedJoin, key: Topic, title: string) => ({
  topic: key,
  join: join.spec.id,
  stage: 'ends' as const,
  title: say`${join.title} at ${digits(join.spec.atMm / 1000, 2)} m, ${title}`,
});
const SOURCE = say`craft practice: a join is a last resort, two more crimps to prove`;

function noConnector(join: ResolvedJoin): Finding {
  return stated(
    {
      ...facts(join, 'join-fill', 'connector'),
      value: null,
      unit: '',
      decimals: 0,
      because: say`No copper in-line connector owned takes ${figure(join.copperMm2, 'mm²', 1)}.`,
      remedy: say`Buy one for this copper, or run the cable in one piece.`,
      work: {
        formula: say`fill = A ÷ A_bore`,
        substituted: [say`every connector was tried`],
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
      ...(atMm > finishedMm && { because: say`Beyond the end of the cable.` }),
      work: {
        formula: say`clear of both ends by 100 mm`,
        substituted: [say`the cable is ${figure(finishedMm, 'mm', 0)} stud to stud`],
        source: say`room for two sleeves that do not meet`,
        assumes: say`measured along the cable from stud A`,
      },
    },
    least,
    Math.max(finishedMm - least, least + 1),
  );
}

function fill(join: ResolvedJoin, boreMm: number): Finding {
  const value = boreFill(join.copperMm2, boreMm);
  const verdict = fillVerdict(value);
  const state: State =
    verdict === 'right' ? 'holds' : verdict === 'tight' || verdict === 'loose' ? 'watch' : 'fails';
  return within(
    {
      ...facts(join, 'join-fill', say`bore fill`),
      value,
      unit: '',
      decimals: 2,
      work: {
        formula: say`fill = n · A ÷ (π/4 · bore²)`,
        substituted: [
          `= ${digits(join.copperMm2, 1)} ÷ ${digits(circleMm2(boreMm), 1)} = ${digits(value, 3)}`,
        ],
        source: say`craft practice: 0.53–0.72 right`,
        assumes:
          join.spec.kind === 'branch' ? say`cable and branch in one barrel` : say`one cable in each barrel`,
      },
    },
    FILL.right,
    FILL.tight,
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
        because: say`No die in the case closes right on this connector.`,
        remedy: say`Another connector, or its maker’s own die.`,
        work: { formula: say`κ ≥ 0.90 and c ≤ 1.16`, substituted: [], source: SOURCE, assumes: '' },
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
        ? say`${offer.die.stamp ? say`Die ${offer.die.stamp}` : say`The unmarked die`} packs it; one crimp a side.`
        : crimpsASide(connector, offer) === 0
          ? say`The die is wider than a side of the connector.`
          : say`This die is ${word(offer.verdict)} on it.`,
      work: {
        formula: say`c = (A_wall + n · A) ÷ A_die, κ = n · A ÷ (A_die − A_wall)`,
        substituted: [
          say`c ${digits(offer.c, 3)}, κ ${Number.isFinite(offer.kappa) ? digits(offer.kappa, 3) : say`no room`}, flats ${digits(offer.parts.acrossFlatsMm, 2)}`,
        ],
        source: say`area balance of a hexagon crimp`,
        assumes: say`connector as measured`,
      },
    },
    COMPACTION.rightC,
    0.5,
    good ? (offer.sure ? 'holds' : 'watch') : 'fails',
  );
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
          ? say`${chosen.suppliedMm}/${chosen.recoveredMm} passes the connector and grips the cable.`
          : say`${chosen.suppliedMm}/${chosen.recoveredMm} does not pass and grip.`
        : say`No sleeve owned passes the connector and grips the cable.`,
      ...(!ok && { remedy: say`A 4:1 adhesive sleeve spans most.` }),
      work: {
        formula: say`supplied ≥ 1.1 × connector, recovered ≤ 0.9 × cable`,
        substituted: needs
          ? [
              say`pass ${figure(needs.suppliedLeastMm, 'mm', 1)}, grip ${figure(needs.recoveredMostMm, 'mm', 1)}`,
            ]
          : [],
        source: say`customary sizes`,
        assumes:
          join.spec.kind === 'branch'
            ? say`a branch is sealed by nipping a large adhesive sleeve with pliers while it is hot`
            : say`slid on before the second side is crimped`,
      },
    },
    ok ? 'holds' : 'fails',
  );
}
