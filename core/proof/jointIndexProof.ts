import { resistancePerMetre } from '../conductor/resistance.ts';
import { atMost, type Finding, notProved, stated, type State } from '../finding/finding.ts';
import type { ReadingOf } from '../model/reading.ts';
import type { ResolvedEnd } from '../termination/resolveEnd.ts';
import { type Message, msg, numeral, amount } from '../words/message.ts';
import { barrelOf, GOOD_INDEX, jointIndex, LEAST_PLAIN_MM, WATCH_INDEX } from './jointIndex.ts';
import { instrumentParts, probePart } from './budget.ts';
import { type Budget, type Check, judge } from './judge.ts';
import { countingReadings } from './readings.ts';
import { resolutionNeeded, resolutionWords } from './resolution.ts';
import type { ProofSubject } from './subject.ts';

/** One crimp by four wires, against its own barrel length of the same cable. */
export function jointIndexProof(subject: ProofSubject, end: ResolvedEnd): Finding {
  const barrelMm = end.lug?.barrelMm ?? 0;
  const tableMilliohmPerM = resistancePerMetre(subject.size, subject.copper, 20) * 1000;
  const span = barrelOf(barrelMm, tableMilliohmPerM) * (WATCH_INDEX - GOOD_INDEX);
  const readings = countingReadings(subject.cable, 'joint', end.name);
  const last = readings.at(-1);
  const check: Check = {
    topic: 'joint',
    title: msg`Joint index`,
    unit: '',
    decimals: 2,
    end: end.name,
    limit: { kind: 'most', most: GOOD_INDEX },
    ...(span > 0 && { needs: { least: resolutionNeeded(span), unit: 'mΩ' } }),
    missing: msg`Not probed yet: shoulder of the lug to a point beyond the mouth, and a plain stretch beside it.`,
    remedy:
      span > 0
        ? msg`Needs a four-wire meter that resolves ${resolutionWords(resolutionNeeded(span), 'mΩ')}; a hand multimeter cannot see it.`
        : msg`Choose the lug first: its barrel is what the crimp is compared with.`,
    work: {
      formula: msg`index = (R − r·x)/(r·L_barrel)`,
      substituted: last && barrelMm > 0 ? [substituted(last, barrelMm)] : [],
      source: msg`four wires, the same cable as its own standard; 1.0 and 1.5 are shop settings`,
      assumes: msg`crimp and plain stretch at one temperature, the plain stretch at least ${amount(LEAST_PLAIN_MM, 'mm', 0)}`,
    },
  };
  if (barrelMm <= 0)
    return notProved({ ...check, stage: 'prove', because: msg`Without a lug there is no barrel.` });
  return judge<ReadingOf<'joint'>>(
    check,
    readings,
    (reading, facts) => {
      const milliohmPerM = reading.plain.milliohm / (reading.plain.lengthMm / 1000);
      const index = jointIndex({ ...reading, barrelMm, milliohmPerM });
      const judged = { ...facts, value: index };
      if (reading.plain.lengthMm < LEAST_PLAIN_MM) {
        return stated(
          {
            ...judged,
            because: msg`The plain stretch is ${amount(reading.plain.lengthMm, 'mm', 0)}; ${amount(LEAST_PLAIN_MM, 'mm', 0)} is the least.`,
          },
          'unproved',
        );
      }
      if (index <= 0) {
        return stated(
          { ...judged, because: msg`Less than the cable alone must have: a probe or a length is wrong.` },
          'unproved',
        );
      }
      const state: State = index <= GOOD_INDEX ? 'holds' : index <= WATCH_INDEX ? 'watch' : 'fails';
      return atMost({ ...judged, because: SAYS[state] }, GOOD_INDEX, 0, state);
    },
    jointParts(barrelMm),
  );
}

/** What a joint index may be off by: both readings of the meter, and where the probes stand. */
export const jointParts =
  (barrelMm: number): Budget<ReadingOf<'joint'>> =>
  (reading) => {
    const { milliohm, plain } = reading;
    const milliohmPerM = plain.milliohm / (plain.lengthMm / 1000);
    const scale = 1 / barrelOf(barrelMm, milliohmPerM);
    return [
      ...instrumentParts(reading, 'milliohm', milliohm, scale),
      ...instrumentParts(reading, 'milliohm', plain.milliohm, (milliohm / plain.milliohm) * scale).map(
        ({ what, standard }) => ({ what: msg`plain stretch, ${what}`, standard }),
      ),
      probePart(1 / barrelMm),
    ];
  };

const SAYS: Readonly<Record<State, Message>> = {
  holds: msg`Conducts as well as its own length of cable.`,
  watch: msg`A little worse than its own length of cable: watch it under load.`,
  fails: msg`Far worse than its own length of cable: the strands are not gripped.`,
  unproved: '',
};

function substituted({ milliohm, beyondMm, plain }: ReadingOf<'joint'>, barrelMm: number): Message {
  const r = plain.milliohm / (plain.lengthMm / 1000);
  const index = jointIndex({ milliohm, beyondMm, barrelMm, milliohmPerM: r });
  return msg`(${numeral(milliohm * 1000, 2)} − ${numeral(r, 4)}·${numeral(beyondMm, 0)})/(${numeral(r, 4)}·${numeral(barrelMm, 1)}) = ${numeral(index, 2)}, in µΩ and mm`;
}
