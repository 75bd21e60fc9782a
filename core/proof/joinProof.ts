import { latestOf } from '../lib/moments.ts';
import type { Finding } from '../finding/finding.ts';
import { END_NAMES, type EndName } from '../model/end.ts';
import type { ReadingOf } from '../model/reading.ts';
import type { ResolvedJoin } from '../termination/join.ts';
import { amount, msg } from '../words/message.ts';
import { earsProof, flatsProof } from './crimpChecks.ts';
import { type Check, judge } from './judge.ts';
import { kilogramsToHang, pullTargets } from '../termination/dies/pullForce.ts';
import { pulled, pullParts } from './pullProof.ts';
import type { ProofSubject } from './subject.ts';

/** What proves a join: both of its crimps measured, and one pull through the two of them. */
export function joinProof(subject: ProofSubject, join: ResolvedJoin): Finding[] {
  // Under a jacket of its own there is nothing to be measured.
  const isCovered = join.connector?.cover !== undefined;
  return [
    ...(isCovered ? [] : END_NAMES.flatMap((side) => sideProof(subject, join, side))),
    pull(subject, join),
  ];
}

const named = ({ title, spec }: ResolvedJoin) => msg`${title} at ${amount(spec.atMm / 1000, 'm', 2)}`;

function readings<Check extends 'join' | 'join-pull'>(
  subject: ProofSubject,
  join: ResolvedJoin,
  check: Check,
): ReadingOf<Check>[] {
  const reworked = latestOf(subject.cable.reworks.filter(({ joinId }) => joinId === join.spec.id));
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
  const towards = msg`towards ${side}`;
  const flats = flatsProof(
    { ...about, topic: 'join-flats', title: msg`${named(join)}, flats ${towards}` },
    join.die?.die,
    msg`This crimp is not measured yet.`,
    measured,
    ({ acrossFlatsMm }) => acrossFlatsMm,
  );
  const ears = earsProof(
    { ...about, topic: 'join-ears', title: msg`${named(join)}, ears ${towards}` },
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
    title: msg`${named(join)}, pull`,
    unit: 'N',
    decimals: 0,
    limit: { kind: 'least', least: target },
    missing: msg`Not pulled yet: ${amount(target, 'N', 0)}, ${amount(kilogramsToHang(target), 'kg', 1)} to hang.`,
    remedy: msg`One pull through the join tests both crimps. Over ${amount(100, 'kg', 0)}: a load cell and a guarded rig.`,
    work: {
      formula: msg`as an end of this size`,
      substituted: [msg`${amount(target, 'N', 0)}, held one minute`],
      source: msg`ABYC E-11 and ISO 10133 tensile tables; UL 486A-B; IEC 61238-1 class A`,
      assumes: msg`pulled along the cable`,
    },
  };
  return judge<ReadingOf<'join-pull'>>(
    check,
    readings(subject, join, 'join-pull'),
    (reading, facts) => pulled(reading, facts, target),
    pullParts,
  );
}
