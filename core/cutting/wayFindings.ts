import { MOST_SUPPORT_MM } from './supports.ts';
import { atLeast, atMost, type Finding, stated } from '../finding/finding.ts';
import type { Cable } from '../model/cable.ts';
import type { Run } from '../model/run.ts';
import type { CableKind } from '../model/shop.ts';
import { GUARDS, type GuardFacts } from '../model/tables/guards.ts';
import { LAYERS, type Layer } from '../model/tables/layers.ts';
import { wornBy } from '../sizing/choose.ts';
import type { Assessment } from '../sizing/assess.ts';
import { amount, msg, numeral, verbatim, listed, bare } from '../words/message.ts';
import { routeLengthMm, tightestBend } from './route.ts';

/** A laid cable that differs from its measured route by more than this share was measured wrong somewhere. */
const ROUTE_SHARE = 0.03;

/** What the route requires: bends wide enough, supports close enough, nothing that rubs, and one length. */
export function wayFindings(cable: Cable, kind: CableKind, assessed: Assessment): Finding[] {
  const { run } = cable;
  const { way } = run;
  if (!way) return [];
  return [
    ...bends(run, assessed),
    ...supports(way.supportEveryMm),
    ...way.rubs.map((rub, i) => rubs(rub, i, cable, kind)),
    ...zones(run),
    ...measured(run),
  ];
}

type Rub = NonNullable<Run['way']>['rubs'][number];

const SOURCE = msg`small-craft and craft practice; shop settings`;

function bends(run: Run, assessed: Assessment): Finding[] {
  const tight = run.way?.route && tightestBend(run.way.route);
  if (!tight) return [];
  return [
    atLeast(
      {
        topic: 'bend',
        stage: 'run',
        title: msg`Tightest bend`,
        value: tight.radiusMm,
        unit: 'mm',
        decimals: 0,
        ...(tight.radiusMm < assessed.bendMm && {
          remedy: msg`A wider bend, or a cable with finer strands.`,
        }),
        work: {
          formula: msg`r ≥ the cable’s least radius`,
          substituted: [
            msg`${numeral(assessed.bendMm / assessed.outerMm, 0)} × ${numeral(assessed.outerMm, 1)} = ${amount(assessed.bendMm, 'mm', 0)}, at its centreline`,
          ],
          source: msg`${SOURCE}: 6 × D lying still, 10 × flexing, 4 × for fine welding strands`,
          assumes: run.meets.includes('flexing') ? msg`it flexes in use` : msg`it lies still`,
        },
      },
      assessed.bendMm,
    ),
  ];
}

function supports(everyMm: number | undefined): Finding[] {
  if (everyMm === undefined) return [];
  return [
    atMost(
      {
        topic: 'supports',
        stage: 'run',
        title: msg`Support spacing`,
        value: everyMm,
        unit: 'mm',
        decimals: 0,
        work: {
          formula: msg`spacing ≤ 457 mm`,
          substituted: [msg`${amount(everyMm, 'mm', 0)} apart`],
          source: msg`small-craft practice, 18 in between supports`,
          assumes: msg`clear of bends and studs; a conduit counts as support`,
        },
      },
      MOST_SUPPORT_MM,
      0,
      everyMm > MOST_SUPPORT_MM ? 'watch' : 'holds',
    ),
  ];
}

/** What keeps a cable off a place where it rubs: what is named there, else the braid over all of it. */
function guardOf(
  { guarded, guard }: Rub,
  worn: readonly Layer[],
): Pick<GuardFacts, 'title' | 'isSheath'> | null {
  if (guarded) return guard ? GUARDS[guard] : { title: msg`a guard`, isSheath: true };
  return worn.includes('braid') ? { title: LAYERS.braid.title, isSheath: false } : null;
}

/**
 * A place where it rubs. Worn through, a live conductor feeds a short: it needs a sheath there, and bare it fails. A ground
 * touches what it is bolted to anyway: anything between is enough, and a bare strap needs nothing.
 */
function rubs(rub: Rub, i: number, cable: Cable, kind: CableKind): Finding {
  const { what, atMm } = rub;
  const isGround = cable.polarity === 'negative';
  const guard = guardOf(rub, wornBy(cable));
  const isEnough = isGround ? guard !== null || kind.insulation === 'bare' : guard?.isSheath === true;
  const where = amount(atMm, 'mm', 0);
  const because = isEnough
    ? guard
      ? msg`At ${where}; ${guard.title} keeps it off.`
      : msg`At ${where}; a bare strap has no jacket to wear, and ground to touch.`
    : guard
      ? msg`At ${where}; ${guard.title} alone wears through in time, and the conductor is live.`
      : isGround
        ? msg`At ${where} nothing is between jacket and edge.`
        : msg`At ${where} nothing is between jacket and edge, and the conductor is live: worn through, it is a short.`;
  return stated(
    {
      topic: 'rub',
      part: i + 1,
      stage: 'run',
      title: msg`Chafe: ${what}`,
      value: atMm,
      unit: 'mm',
      decimals: 0,
      because,
      ...(!isEnough && {
        remedy: isGround
          ? msg`Fit a braided sleeve, an edge strip or a bushing, or choose another route.`
          : msg`Fit a slit hose or a bushing, or choose another route.`,
      }),
      work: {
        formula: isGround
          ? msg`anything between jacket and edge`
          : msg`a sheath between a live conductor and an edge`,
        substituted: [
          isGround ? msg`this cable: ground` : msg`this cable: live`,
          guard ? guard.title : msg`unguarded`,
        ],
        source: msg`craft practice: on the positive it matters far more`,
        assumes: msg`as given for this route`,
      },
    },
    isEnough ? 'holds' : guard || isGround ? 'watch' : 'fails',
  );
}

function zones(run: Run): Finding[] {
  const all = run.way?.zones ?? [];
  const hottest = all.reduce<(typeof all)[number] | null>(
    (hot, zone) => (hot && hot.ambientC >= zone.ambientC ? hot : zone),
    null,
  );
  if (!hottest) return [];
  return [
    stated(
      {
        topic: 'zone',
        stage: 'run',
        title: msg`Hottest: ${hottest.what}`,
        value: hottest.ambientC,
        unit: '°C',
        decimals: 0,
        because: msg`The whole cable is sized for it, ${bare(hottest.fromMm, 'mm', 0)} to ${amount(hottest.toMm, 'mm', 0)} from stud A.`,
        work: {
          formula: msg`air = the hottest zone’s`,
          substituted: all.map(
            ({ what, ambientC, engineSpace, sun }) =>
              verbatim`${what}: ${amount(ambientC, '°C', 0)}${engineSpace ? msg`, engine space` : ''}${sun ? ', sun' : ''}`,
          ),
          source: msg`a conductor is as warm as its warmest stretch; heat hardly runs along it`,
          assumes: msg`zones longer than some thirty diameters`,
        },
      },
      'holds',
    ),
  ];
}

/** The length that is used, against the one the route gives. */
function measured(run: Run): Finding[] {
  const route = run.way?.route;
  if (!route) return [];
  const computed = routeLengthMm(route);
  const off = run.lengthMm - computed;
  const far = Math.abs(off) > ROUTE_SHARE * computed;
  return [
    stated(
      {
        topic: 'route',
        stage: 'run',
        title: msg`Along the route`,
        value: computed,
        unit: 'mm',
        decimals: 0,
        because: run.laid
          ? msg`Laid out it is ${amount(run.lengthMm, 'mm', 0)}, ${amount(Math.abs(off), 'mm', 0)} ${off < 0 ? msg`shorter` : msg`longer`}: the laid length is used.`
          : far
            ? msg`The length in use, ${amount(run.lengthMm, 'mm', 0)}, is not the route’s.`
            : msg`Legs, less what the bends cut off their corners.`,
        ...(far && { remedy: msg`Measure again to see which of the two is right.` }),
        work: {
          formula: msg`L = Σ legs − Σ(2 · r · tan(θ ÷ 2) − r · θ)`,
          substituted: [
            msg`legs ${listed(
              route.legsMm.map((mm) => numeral(mm, 0)),
              ' + ',
            )}`,
            ...route.bends.map(({ deg, radiusMm }) => msg`bend ${numeral(deg, 0)}° r${numeral(radiusMm, 0)}`),
            verbatim`= ${amount(computed, 'mm', 1)}`,
          ],
          source: msg`geometry of the centreline`,
          assumes: msg`bends lie flat, one after the other`,
        },
      },
      far ? 'watch' : 'holds',
    ),
  ];
}
