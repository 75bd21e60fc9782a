import { areaMm2 } from '../model/tables/size.ts';
import { type Facts, type Finding, stated } from '../finding/finding.ts';
import type { Reading, ReadingOf } from '../model/reading.ts';
import type { Trial } from '../model/shop.ts';
import type { ResolvedEnd } from '../termination/resolveEnd.ts';
import { amount, msg, numeral, verbatim } from '../words/message.ts';
import { evenly, expanded, instrumentParts, type Part } from './budget.ts';
import { type Check, judge } from './judge.ts';
import { HANG_LIMIT_KG, kilogramsToHang, pullAsked, pullTargets } from '../termination/dies/pullForce.ts';
import { countingReadings } from './readings.ts';
import type { ProofSubject } from './subject.ts';

import { term } from '../words/terms.ts';

/** A pull is held so long, s. */
export const HOLD_S = 60;
/** A force is read to within so much, N. */
const READ_N = 0.5;

/** A pull that is not quite in line with the lug, or swings, is off by so much, ± % of the force. Shop practice. */
const SWING_PERCENT = 1;

/** What a pull may be off by, of whatever was pulled. */
export const pullParts = (reading: Pick<Reading, 'instrument'> & { readonly forceN: number }): Part[] => [
  ...instrumentParts(reading, 'scale', reading.forceN),
  { what: msg`out of line, ± ${SWING_PERCENT} %`, standard: evenly((SWING_PERCENT / 100) * reading.forceN) },
];

/**
 * The least force whose reading can be separated from the force that must be held, in whole newtons.
 *
 * @param from what it is read with; a usual scale where none is named
 * @example forceToPull(400, {}) // 407
 */
export function forceToPull(targetN: number, from: Pick<Reading, 'instrument'>): number {
  let forceN = targetN;
  // What it may be off by grows by a hundredth of the force at most: this comes to rest at once.
  for (let round = 0; round < 5; round += 1) forceN = targetN + expanded(pullParts({ ...from, forceN }));
  return Math.ceil(forceN);
}

/**
 * The pull of one end: a proof on the cable itself at the least figure, and a sample made in the same way where the shop asks
 * for more than a cable that will be used may be pulled with.
 */
export function pullProof(subject: ProofSubject, end: ResolvedEnd): Finding {
  const targets = pullTargets(subject.copperMm2);
  const { pull: school } = subject.practice;
  const asked = pullAsked(subject.copperMm2, school);
  const hang = (force: number) =>
    verbatim`${amount(force, 'N', 0)}, ${amount(kilogramsToHang(force), 'kg', 1)}`;
  const wantsSample = asked > targets.leastN + READ_N;
  const check: Check = {
    topic: 'pull',
    title: msg`Pull, one minute`,
    unit: 'N',
    decimals: 0,
    end: end.name,
    limit: { kind: 'least', least: targets.leastN },
    missing: msg`Not pulled yet: ${hang(forceToPull(targets.leastN, {}))} to hang, so that it is clearly above the least.`,
    remedy:
      kilogramsToHang(asked) > HANG_LIMIT_KG
        ? msg`${wantsSample ? msg`And a sample with ${hang(asked)}. ` : ''}Over ${amount(100, 'kg', 0)}: use a load cell and a guarded rig. Never hang a person.`
        : msg`Hang ${amount(kilogramsToHang(forceToPull(targets.leastN, {})), 'kg', 1)} for one minute, feet clear of the load.${wantsSample ? msg` And an identical sample with ${amount(kilogramsToHang(asked), 'kg', 1)}.` : ''}`,
    work: {
      formula: msg`the greater of the small-craft row by gauge and the metric row`,
      substituted: [
        msg`least ${amount(targets.leastN, 'N', 0)} = ${amount(kilogramsToHang(targets.leastN), 'kg', 1)}`,
        msg`usual ${amount(targets.usualN, 'N', 0)} = ${amount(kilogramsToHang(targets.usualN), 'kg', 1)}; heaviest ${amount(targets.heaviestN, 'N', 0)} = ${amount(kilogramsToHang(targets.heaviestN), 'kg', 1)}`,
        msg`this shop requires the ${term(school)}`,
        msg`clearly above the least: ${amount(targets.leastN, 'N', 0)} + U = ${amount(forceToPull(targets.leastN, {}), 'N', 0)}, by a usual scale`,
      ],
      source: msg`ABYC E-11 and ISO 10133 tensile tables; UL 486A-B; IEC 61238-1 class A`,
      assumes: msg`held one minute; a cable that will be used is pulled no harder than the least, harder pulls are for samples`,
    },
  };
  const readings = countingReadings(subject.cable, 'pull', end.name);
  const proof = judge<ReadingOf<'pull'>>(
    check,
    readings,
    (reading, facts) => pulled(reading, facts, reading.sample ? asked : targets.leastN),
    pullParts,
  );
  if (proof.state !== 'holds' && proof.state !== 'watch') return proof;
  const real = readings.filter(({ source }) => source !== 'simulated');
  const isHeld = real.some(({ sample, forceN }) => !sample && forceN >= targets.leastN - READ_N);
  if (!isHeld)
    return stated({ ...proof, because: msg`A sample held; this end itself is not pulled yet.` }, 'unproved');
  if (!wantsSample || sampleHeld(subject, end, asked)) return proof;
  return stated(
    {
      ...proof,
      because: msg`It held the least; an identical sample must hold ${hang(asked)}, and none did yet.`,
    },
    'unproved',
  );
}

/** What one pull says, against the force it was to hold. */
export function pulled(
  { held, forceN, heldS = HOLD_S, sample }: Pick<ReadingOf<'pull'>, 'held' | 'forceN' | 'heldS' | 'sample'>,
  facts: Omit<Facts, 'value'>,
  targetN: number,
): Finding {
  const judged = { ...facts, value: forceN };
  const which = sample ? msg`An identical sample` : 'It';
  if (!held)
    return stated({ ...judged, because: msg`${which} slipped at ${amount(forceN, 'N', 0)}.` }, 'fails');
  if (heldS < HOLD_S) {
    return stated(
      { ...judged, because: msg`${which} held for ${numeral(heldS, 0)} s; a minute is required.` },
      'unproved',
    );
  }
  // A pull that reached its force has no margin to show: it was not pulled to breaking.
  return forceN >= targetN - READ_N
    ? stated({ ...judged, because: msg`${which} held ${amount(forceN, 'N', 0)} for a minute.` }, 'holds')
    : stated(
        { ...judged, because: msg`${which} held, but ${amount(targetN, 'N', 0)} is required.` },
        'unproved',
      );
}

/** Whether a sample of this end, or a trial of its die on its lug and cable, held the force. */
function sampleHeld({ cable, copperMm2, trials }: ProofSubject, end: ResolvedEnd, asked: number): boolean {
  const ownSampleHeld = countingReadings(cable, 'pull', end.name).some(
    ({ sample, held, forceN, heldS = HOLD_S, source }) =>
      sample && held && heldS >= HOLD_S && source !== 'simulated' && forceN >= asked - READ_N,
  );
  return (
    ownSampleHeld ||
    trialPulls(trials, end.die?.die.id, end.lug?.id, copperMm2).some(
      (pull) => pull.held && pull.forceN >= asked - READ_N,
    )
  );
}

/** Two sizes are one conductor within this share of their copper. */
const SAME_COPPER = 0.01;

/** The pulls of real trials of a die on a lug and so much copper. */
export const trialPulls = (
  trials: readonly Trial[],
  dieId: string | undefined,
  lugId: string | undefined,
  copperMm2: number,
): NonNullable<Trial['pull']>[] =>
  trials.flatMap((trial) =>
    trial.source !== 'simulated' &&
    trial.pull &&
    trial.dieId === dieId &&
    trial.lugId === lugId &&
    Math.abs(areaMm2(trial.size) / copperMm2 - 1) < SAME_COPPER
      ? [trial.pull]
      : [],
  );
