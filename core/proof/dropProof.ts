import { resistancePerMetre } from '../conductor/resistance.ts';
import { conductorTable } from './cableResistance.ts';
import { atMost, type Finding, notProved, type State } from '../finding/finding.ts';
import type { ReadingOf } from '../model/reading.ts';
import type { ResolvedEnd } from '../termination/resolveEnd.ts';
import { amount, msg, numeral, verbatim } from '../words/message.ts';
import { GOOD_INDEX, jointIndex, WATCH_INDEX } from './jointIndex.ts';
import { ampsPart, copperPart, instrumentParts, probePart } from './budget.ts';
import { type Budget, type Check, judge } from './judge.ts';
import { countingReadings } from './readings.ts';
import { resolutionNeeded, resolutionWords } from './resolution.ts';
import type { ProofSubject } from './subject.ts';

/** Resistance of one metre of the cable's conductor, mΩ, by its table at a temperature. */
const perMetre = ({ size, copper }: ProofSubject, copperC: number) =>
  resistancePerMetre(size, copper, copperC) * 1000;

/** Heat that a resistance makes at a current, W. @example wattsLost(0.2, 100) // 2 */
const wattsLost = (milliohm: number, amps: number) => (milliohm / 1000) * amps ** 2;

/** What millivolts under load may be off by, mV. */
const dropParts =
  (subject: ProofSubject): Budget<ReadingOf<'drop'>> =>
  (reading) => [
    ...instrumentParts(reading, 'millivolt', reading.millivolt),
    ampsPart(reading.millivolt),
    copperPart(reading.millivolt),
    probePart((perMetre(subject, reading.copperC) / 1000) * reading.amps),
  ];

/** Millivolts over one crimp at a load current, against what its barrel and the stretch beyond it should lose. */
export function jointDrop(subject: ProofSubject, end: ResolvedEnd): Finding {
  const barrelMm = end.lug?.barrelMm ?? 0;
  const readings = countingReadings(subject.cable, 'drop', end.name);
  const expectedOf = ({ amps, spanMm, copperC }: ReadingOf<'drop'>) =>
    (perMetre(subject, copperC) * amps * (barrelMm + spanMm)) / 1000;
  const last = readings.at(-1);
  const amps = last?.amps ?? subject.ratedA ?? 100;
  const span = ((perMetre(subject, 20) * barrelMm) / 1000) * amps * (WATCH_INDEX - GOOD_INDEX);
  const check: Check = {
    topic: 'drop',
    title: msg`Loaded drop`,
    unit: 'mV',
    decimals: 2,
    end: end.name,
    ...(last && { limit: { kind: 'most', most: expectedOf(last) } }),
    ...(span > 0 && { needs: { least: resolutionNeeded(span), unit: 'mV' } }),
    missing: msg`Not measured under load yet: shoulder of the lug to a point beyond the mouth, with the amps.`,
    remedy: msg`At ${amount(amps, 'A', 0)} it needs a meter that resolves ${resolutionWords(resolutionNeeded(Math.max(span, 1e-6)), 'mV')}. Probes insulated, hands clear of the other pole.`,
    work: {
      formula: msg`mV ≤ r(T) · (L_barrel + x) · I`,
      substituted: last
        ? [
            verbatim`${numeral(perMetre(subject, last.copperC), 4)} mΩ/m · ${numeral((barrelMm + last.spanMm) / 1000, 3)} m · ${amount(last.amps, 'A', 0)} = ${amount(expectedOf(last), 'mV', 2)}`,
          ]
        : [],
      source: msg`${conductorTable(subject)} at the copper’s temperature; up to 1.5 barrels is watched, a shop setting`,
      assumes: msg`the table’s resistance is a maximum, so a joint that just passes may be a little worse`,
    },
  };
  if (barrelMm <= 0)
    return notProved({ ...check, stage: 'prove', because: msg`Without a lug there is no barrel.` });
  return judge<ReadingOf<'drop'>>(
    check,
    readings,
    (reading, facts) => {
      const milliohm = reading.millivolt / reading.amps;
      const index = jointIndex({
        milliohm,
        beyondMm: reading.spanMm,
        barrelMm,
        milliohmPerM: perMetre(subject, reading.copperC),
      });
      const state: State = index <= GOOD_INDEX ? 'holds' : index <= WATCH_INDEX ? 'watch' : 'fails';
      const most = expectedOf(reading);
      const over = wattsLost(Math.max(0, milliohm - most / reading.amps), subject.ratedA ?? reading.amps);
      const because =
        state === 'holds'
          ? msg`No more than its own copper loses.`
          : msg`${amount(over, 'W', 1)} more than its own copper would be lost here at full load.`;
      return atMost({ ...facts, value: reading.millivolt, because }, most, 0, state);
    },
    dropParts(subject),
  );
}

/** Millivolts over a stretch of the conductor at a load current: is it the copper it is sold as? */
export function lengthDrop(subject: ProofSubject): Finding {
  const readings = countingReadings(subject.cable, 'drop').filter(({ end }) => end === undefined);
  const expectedOf = ({ amps, spanMm, copperC }: ReadingOf<'drop'>) =>
    (perMetre(subject, copperC) * amps * spanMm) / 1000;
  const last = readings.at(-1);
  const check: Check = {
    topic: 'drop-length',
    title: msg`Loaded drop, conductor`,
    unit: 'mV',
    decimals: 1,
    ...(last && { limit: { kind: 'most', most: expectedOf(last) } }),
    missing: msg`Not measured under load yet: two probes on the conductor, their distance, and the amps.`,
    remedy: msg`Probes well clear of the lugs, insulated, hands clear of the other pole.`,
    work: {
      formula: msg`mV ≤ r(T) · length · I`,
      substituted: last
        ? [
            verbatim`${numeral(perMetre(subject, last.copperC), 4)} mΩ/m · ${numeral(last.spanMm / 1000, 3)} m · ${amount(last.amps, 'A', 0)} = ${amount(expectedOf(last), 'mV', 1)}`,
          ]
        : [],
      source: msg`${conductorTable(subject)} at the copper’s temperature`,
      assumes: msg`the table’s resistance is a maximum`,
    },
  };
  return judge<ReadingOf<'drop'>>(
    check,
    readings,
    (reading, facts) => {
      const most = expectedOf(reading);
      const because =
        reading.millivolt <= most
          ? msg`The copper is what it is sold as.`
          : msg`More than its table allows: thinner copper, damage, or it is warmer than entered.`;
      return atMost({ ...facts, value: reading.millivolt, because }, most);
    },
    dropParts(subject),
  );
}
