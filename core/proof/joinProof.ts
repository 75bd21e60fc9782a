import { atMost, type Finding, notProved, within } from '../finding/finding.ts';
import { END_NAMES, type EndName } from '../model/end.ts';
import type { ReadingOf } from '../model/reading.ts';
import type { ResolvedJoin } from '../termination/join.ts';
import { digits, figure } from '../model/units/figure.ts';
import { acrossFlatsWindow, MOST_EARS_MM } from '../termination/dies/dieClosed.ts';
import { type Check, judge } from './judge.ts';
import { kilogramsToHang, pullTargets } from '../termination/dies/pullForce.ts';
import { pulled } from './pullProof.ts';
import type { ProofSubject } from './subject.ts';
import { say } from '../words/say.ts';

/** What proves a join: both of its crimps measured, and one pull through the two of them. */
export function joinProof(subject: ProofSubject, join: ResolvedJoin): Finding[] {
  return [...END_NAMES.flatMap((side) => sideProof(subject, join, side)), pull(subject, join)];
}

const named = ({ title, spec }: ResolvedJoin) => say`${title} at ${digits(spec.atMm / 1000, 2)} m`;

function readings<Check extends 'join' | 'join-pull'>(
  subject: ProofSubject,
  join: ResolvedJoin,
  check: Check,
): ReadingOf<Check>[] {
  const reworked = subject.cable.reworks
    .filter(({ joinId }) => joinId === join.spec.id)
    .reduce((latest, { at }) => (at > latest ? at : latest), '');
  return subject.cable.readings.filter(
    (reading): reading is ReadingOf<Check> =>
      reading.check === check &&
      (reading as ReadingOf<'join' | 'join-pull'>).joinId === join.spec.id &&
      reading.at > reworked &&
      reading.struck === undefined,
  );
}

function sideProof(subject: ProofSubject, join: ResolvedJoin, side: EndName): Finding[] {
  const own = readings(subject, join, 'join').filter((reading) => reading.side === side);
  const window = join.die && acrossFlatsWindow(join.die.die.acrossFlatsMm);
  const towards = say`towards ${side}`;
  const flats: Check = {
    topic: 'join-flats',
    part: side,
    join: join.spec.id,
    title: say`${named(join)}, flats ${towards}`,
    unit: 'mm',
    decimals: 2,
    ...(window && { limit: { kind: 'window', least: window.leastMm, most: window.mostMm } }),
    missing: say`This crimp is not measured yet.`,
    remedy: say`Measure across the flats with a calliper, die open.`,
    work: {
      formula: say`F_die − 0.1 ≤ F ≤ F_die · 1.02`,
      substituted: window
        ? [say`${figure(window.leastMm, 'mm', 2)} to ${figure(window.mostMm, 'mm', 2)}`]
        : [say`no die is chosen`],
      source: say`craft practice: spring-back up to 2 %, a calliper within 0.1 mm`,
      assumes: say`the die’s own across flats was measured closed`,
    },
  };
  const ears: Check = {
    topic: 'join-ears',
    part: side,
    join: join.spec.id,
    title: say`${named(join)}, ears ${towards}`,
    unit: 'mm',
    decimals: 2,
    limit: { kind: 'most', most: MOST_EARS_MM },
    missing: say`The flash at the parting line is not measured yet.`,
    remedy: say`Measure the ears before filing; none is 0.`,
    work: {
      formula: say`ears ≤ 0.5 mm before filing`,
      substituted: [],
      source: say`craft practice, a shop setting`,
      assumes: say`measured at the worst place`,
    },
  };
  return [
    window
      ? judge<ReadingOf<'join'>>(flats, own, (reading, facts) =>
          within({ ...facts, value: reading.acrossFlatsMm }, window.leastMm, window.mostMm),
        )
      : notProved({
          ...flats,
          stage: 'prove',
          because: say`No die is chosen, so there is nothing to compare with.`,
        }),
    judge<ReadingOf<'join'>>(ears, own, (reading, facts) =>
      atMost({ ...facts, value: reading.earsMm }, MOST_EARS_MM),
    ),
  ];
}

function pull(subject: ProofSubject, join: ResolvedJoin): Finding {
  const target = pullTargets(subject.copperMm2).leastN;
  const check: Check = {
    topic: 'join-pull',
    join: join.spec.id,
    title: say`${named(join)}, pull`,
    unit: 'N',
    decimals: 0,
    limit: { kind: 'least', least: target },
    missing: say`Not pulled yet: ${figure(target, 'N', 0)}, ${figure(kilogramsToHang(target), 'kg', 1)} to hang.`,
    remedy: say`One pull through the join tries both crimps. Over 100 kg: a load cell and a guarded rig.`,
    work: {
      formula: say`as an end of this size`,
      substituted: [say`${figure(target, 'N', 0)}, held one minute`],
      source: say`ABYC E-11 and ISO 10133 tensile tables; UL 486A-B; IEC 61238-1 class A`,
      assumes: say`pulled along the cable`,
    },
  };
  return judge<ReadingOf<'join-pull'>>(check, readings(subject, join, 'join-pull'), (reading, facts) =>
    pulled(reading, facts, target),
  );
}
