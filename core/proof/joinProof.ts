import type { Finding } from '../finding/finding.ts';
import { END_NAMES, type EndName } from '../model/end.ts';
import type { ReadingOf } from '../model/reading.ts';
import type { ResolvedJoin } from '../termination/join.ts';
import { digits, figure } from '../model/units/figure.ts';
import { earsProof, flatsProof } from './crimpChecks.ts';
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
  const measured = readings(subject, join, 'join').filter((reading) => reading.side === side);
  const about = { part: side, join: join.spec.id };
  const towards = say`towards ${side}`;
  const flats = flatsProof(
    { ...about, topic: 'join-flats', title: say`${named(join)}, flats ${towards}` },
    join.die?.die,
    say`This crimp is not measured yet.`,
    measured,
    ({ acrossFlatsMm }) => acrossFlatsMm,
  );
  const ears = earsProof(
    { ...about, topic: 'join-ears', title: say`${named(join)}, ears ${towards}` },
    measured,
    ({ earsMm }) => earsMm,
  );
  return [flats.finding, ears];
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
