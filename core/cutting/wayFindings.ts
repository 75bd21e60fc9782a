import { MOST_SUPPORT_MM } from './supports.ts';
import { atLeast, atMost, type Finding, stated } from '../finding/finding.ts';
import type { Cable } from '../model/cable.ts';
import type { Run } from '../model/run.ts';
import type { Assessment } from '../sizing/assess.ts';
import { digits, figure } from '../model/units/figure.ts';
import { routeLengthMm, tightestBend } from './route.ts';
import { say } from '../words/say.ts';

/** A laid cable that differs from its measured route by more than this share was measured wrong somewhere. */
const ROUTE_SHARE = 0.03;

/** What the way asks: bends wide enough, supports close enough, nothing that rubs, and one length. */
export function wayFindings(cable: Cable, assessed: Assessment): Finding[] {
  const { run } = cable;
  const { way } = run;
  if (!way) return [];
  const guardedByBraid = [cable.ends.A, cable.ends.B].some(({ layers }) => layers?.includes('braid'));
  return [
    ...bends(run, assessed),
    ...supports(way.supportEveryMm),
    ...way.rubs.filter(({ guarded }) => !guarded).map((rub, i) => rubs(rub, i, guardedByBraid)),
    ...zones(run),
    ...measured(run),
  ];
}

const SOURCE = say`small-craft and craft practice; shop settings`;

function bends(run: Run, assessed: Assessment): Finding[] {
  const tight = run.way?.route && tightestBend(run.way.route);
  if (!tight) return [];
  return [
    atLeast(
      {
        topic: 'bend',
        stage: 'run',
        title: say`Tightest bend`,
        value: tight.radiusMm,
        unit: 'mm',
        decimals: 0,
        ...(tight.radiusMm < assessed.bendMm && {
          remedy: say`A wider bend, or a cable with finer strands.`,
        }),
        work: {
          formula: say`r ≥ the cable’s least radius`,
          substituted: [
            say`${digits(assessed.bendMm / assessed.outerMm, 0)} × ${digits(assessed.outerMm, 1)} = ${figure(assessed.bendMm, 'mm', 0)}, at its centreline`,
          ],
          source: say`${SOURCE}: 6 × D lying still, 10 × flexing, 4 × for fine welding strands`,
          assumes: run.meets.includes('flexing') ? say`it flexes in use` : say`it lies still`,
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
        title: say`Supports apart`,
        value: everyMm,
        unit: 'mm',
        decimals: 0,
        work: {
          formula: say`spacing ≤ 457 mm`,
          substituted: [say`${figure(everyMm, 'mm', 0)} apart`],
          source: say`small-craft practice, 18 in between supports`,
          assumes: say`clear of bends and studs; a conduit counts as support`,
        },
      },
      MOST_SUPPORT_MM,
      0,
      everyMm > MOST_SUPPORT_MM ? 'watch' : 'holds',
    ),
  ];
}

function rubs({ what, atMm }: { what: string; atMm: number }, i: number, braided: boolean): Finding {
  return stated(
    {
      topic: 'rub',
      part: i + 1,
      stage: 'run',
      title: say`Rubs: ${what}`,
      value: atMm,
      unit: 'mm',
      decimals: 0,
      because: braided
        ? say`At ${figure(atMm, 'mm', 0)}; braided sleeve takes it.`
        : say`At ${figure(atMm, 'mm', 0)} nothing is between jacket and edge.`,
      ...(!braided && { remedy: say`Braided sleeve, a bushing, or another way.` }),
      work: {
        formula: say`a jacket that rubs wears through`,
        substituted: [],
        source: say`craft practice: on the positive it matters far more`,
        assumes: say`as said of this way`,
      },
    },
    braided ? 'holds' : 'watch',
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
        title: say`Hottest: ${hottest.what}`,
        value: hottest.ambientC,
        unit: '°C',
        decimals: 0,
        because: say`The whole cable is sized for it, ${digits(hottest.fromMm, 0)} to ${digits(hottest.toMm, 0)} mm from stud A.`,
        work: {
          formula: say`air = the hottest zone’s`,
          substituted: all.map(
            ({ what, ambientC, engineSpace, sun }) =>
              `${what}: ${figure(ambientC, '°C', 0)}${engineSpace ? say`, engine space` : ''}${sun ? ', sun' : ''}`,
          ),
          source: say`a conductor is as warm as its warmest stretch; heat hardly runs along it`,
          assumes: say`zones longer than some thirty diameters`,
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
        title: say`Along the route`,
        value: computed,
        unit: 'mm',
        decimals: 0,
        because: run.laid
          ? say`Laid out it is ${figure(run.lengthMm, 'mm', 0)}, ${figure(Math.abs(off), 'mm', 0)} ${off < 0 ? say`shorter` : say`longer`}: the laid length is used.`
          : far
            ? say`The length in use, ${figure(run.lengthMm, 'mm', 0)}, is not the route’s.`
            : say`Legs, less what the bends cut off their corners.`,
        ...(far && { remedy: say`Measure again which of the two is right.` }),
        work: {
          formula: say`L = Σ legs − Σ(2 · r · tan(θ ÷ 2) − r · θ)`,
          substituted: [
            say`legs ${route.legsMm.map((mm) => digits(mm, 0)).join(' + ')}`,
            ...route.bends.map(({ deg, radiusMm }) => say`bend ${digits(deg, 0)}° r${digits(radiusMm, 0)}`),
            `= ${figure(computed, 'mm', 1)}`,
          ],
          source: say`geometry of the centreline`,
          assumes: say`bends lie flat, one after the other`,
        },
      },
      far ? 'watch' : 'holds',
    ),
  ];
}
