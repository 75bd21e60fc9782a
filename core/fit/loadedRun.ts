import { CHAIN_PIECES } from '../model/tables/chainPieces.ts';
import { resistancePerMetre } from '../conductor/resistance.ts';
import { conductorTable } from '../proof/cableResistance.ts';
import { atMost, type Finding, notProved, type State } from '../finding/finding.ts';
import { END_NAMES, type EndName } from '../model/end.ts';
import type { ReadingOf } from '../model/reading.ts';
import { ampsPart, instrumentParts } from '../proof/budget.ts';
import { type Check, judge } from '../proof/judge.ts';
import { countingReadings } from '../proof/readings.ts';
import { resolutionNeeded } from '../proof/resolution.ts';
import type { ProofSubject } from '../proof/subject.ts';
import { type Message, amount, msg, numeral, verbatim, listed } from '../words/message.ts';

/** A sound face on a stud takes so much, mΩ. */
const CONTACT = CHAIN_PIECES.stud.milliohm;
/** Past this many times it a contact fails; in between it is watched. Shop setting. */
const CONTACT_TIMES = 1.5;

const isAsked = ({ cable }: ProofSubject) =>
  cable.readings.some(({ check }) => check === 'contact' || check === 'drop');

/**
 * What the first loaded run says beyond the readings of each joint: the contact on each stud, and the volts that the
 * whole cable costs at its rated load. Nothing is asked before the first reading under load is taken.
 */
export function loadedRunFindings(subject: ProofSubject): Finding[] {
  if (!isAsked(subject)) return [];
  return [contact(subject, 'A'), contact(subject, 'B'), wholeDrop(subject)];
}

/** Millivolts from palm to stud, against what a clean, tight face takes. */
function contact(subject: ProofSubject, name: EndName): Finding {
  const readings = countingReadings(subject.cable, 'contact', name);
  const last = readings.at(-1);
  const amps = last?.amps ?? subject.ratedA ?? 100;
  const check: Check = {
    topic: 'face-drop' as const,
    title: msg`Contact on the stud`,
    unit: 'mV',
    decimals: 2,
    end: name,
    limit: { kind: 'most', most: CONTACT * amps },
    needs: { least: resolutionNeeded(CONTACT * amps), unit: 'mV' },
    missing: msg`Not measured under load yet: palm to stud, with the amps.`,
    remedy: msg`Take it off: paint, a washer between the faces, or a loose nut. Clean, tighten, measure again.`,
    work: {
      formula: msg`mV ≤ R_contact · I`,
      substituted: [
        verbatim`${numeral(CONTACT, 3)} mΩ · ${amount(amps, 'A', 0)} = ${amount(CONTACT * amps, 'mV', 2)}`,
      ],
      source: msg`milliohms customary for a sound contact on a stud; the maker’s figure governs`,
      assumes: msg`up to ${numeral(CONTACT_TIMES, 1)} times it is watched, a shop setting`,
    },
  };
  const finding = judge<ReadingOf<'contact'>>(
    check,
    readings,
    (reading, facts) => {
      const times = reading.millivolt / (CONTACT * reading.amps);
      const state: State = times <= 1 ? 'holds' : times <= CONTACT_TIMES ? 'watch' : 'fails';
      const wastedW = (Math.max(0, reading.millivolt - CONTACT * reading.amps) / 1000) * reading.amps;
      const because =
        state === 'holds'
          ? msg`No more than a clean, tight face loses.`
          : msg`${amount(wastedW * ratedShare(subject, reading.amps), 'W', 1)} for nothing at the rated load.`;
      return atMost({ ...facts, value: reading.millivolt, because }, CONTACT * reading.amps, 0, state);
    },
    (reading) => [...instrumentParts(reading, 'millivolt', reading.millivolt), ampsPart(reading.millivolt)],
  );
  return { ...finding, stage: 'fit' };
}

/** Watts go with the square of the amps. */
const ratedShare = ({ ratedA }: ProofSubject, amps: number) => ((ratedA ?? amps) / amps) ** 2;

interface Part {
  readonly title: Message;
  readonly milliohm: number | null;
}

/** What was read under load, as milliohms a piece; the conductor for its whole length. */
function partsOf(subject: ProofSubject): Part[] {
  const { cable, ends, lengths } = subject;
  const drops = countingReadings(cable, 'drop').filter(({ source }) => source !== 'simulated');
  // Two probes on one spot read no length of conductor.
  const length = drops.filter(({ end, spanMm }) => end === undefined && spanMm > 0).at(-1);
  const milliohmPerMm = length ? length.millivolt / length.amps / length.spanMm : null;
  let beyondMm = 0;
  const joints = END_NAMES.flatMap((name): Part[] => {
    const reading = drops.filter(({ end }) => end === name).at(-1);
    beyondMm += reading?.spanMm ?? 0;
    const face = countingReadings(cable, 'contact', name)
      .filter(({ source }) => source !== 'simulated')
      .at(-1);
    return [
      { title: msg`contact ${name}`, milliohm: face ? face.millivolt / face.amps : null },
      { title: msg`joint ${name}`, milliohm: reading ? reading.millivolt / reading.amps : null },
    ];
  });
  const barrels = (ends.A.lug?.barrelMm ?? 0) + (ends.B.lug?.barrelMm ?? 0);
  const plainMm = Math.max(0, (lengths?.cutMm ?? cable.run.lengthMm) - barrels - beyondMm);
  return [
    ...joints,
    { title: msg`conductor`, milliohm: milliohmPerMm === null ? null : milliohmPerMm * plainMm },
  ];
}

/** Volts from stud to stud at the rated load, against what this much copper and two sound contacts would lose. */
function wholeDrop(subject: ProofSubject): Finding {
  const { size, copper, lengths, cable, ratedA } = subject;
  const parts = partsOf(subject);
  const lengthMm = lengths?.finishedMm ?? cable.run.lengthMm;
  const copperC = countingReadings(cable, 'drop').at(-1)?.copperC ?? 20;
  const copperOhm = resistancePerMetre(size, copper, copperC) * lengthMm;
  const should = copperOhm + 2 * CONTACT;
  const facts = {
    topic: 'run-drop' as const,
    stage: 'fit' as const,
    title: msg`Stud to stud, rated load`,
    unit: 'mV' as const,
    decimals: 0,
    remedy: msg`Find the part that loses it: measure across each of them.`,
    work: {
      formula: msg`Σ (mV ÷ A) · I_rated ≤ (r(T) · L + 2 · R_contact) · I_rated`,
      substituted: parts.map(({ title, milliohm }) =>
        milliohm === null ? msg`${title}: not read` : verbatim`${title}: ${amount(milliohm, 'mΩ', 4)}`,
      ),
      source: msg`readings of the loaded run, scaled by their amps; ${conductorTable(subject)} at the copper’s temperature`,
      assumes: msg`the table’s resistance is a maximum`,
    },
  };
  const missing = parts.filter(({ milliohm }) => milliohm === null).map(({ title }) => title);
  if (!ratedA) {
    return notProved({
      ...facts,
      because: msg`Its load has no continuous current, so there is nothing to scale to.`,
    });
  }
  const limit = { kind: 'most' as const, most: should * ratedA };
  if (missing.length > 0) {
    return notProved({ ...facts, because: msg`Not read under load yet: ${listed(missing, ', ')}.` }, limit);
  }
  const milliohm = parts.reduce((sum, part) => sum + (part.milliohm ?? 0), 0);
  const { remedy, ...rest } = facts;
  const value = milliohm * ratedA;
  return atMost(
    {
      ...rest,
      value,
      ...(value > limit.most && { remedy }),
      work: {
        ...facts.work,
        substituted: [
          ...facts.work.substituted,
          verbatim`Σ = ${amount(milliohm, 'mΩ', 4)} · ${amount(ratedA, 'A', 0)} = ${amount(value, 'mV', 0)}`,
          verbatim`(${numeral(copperOhm, 4)} + 2 · ${numeral(CONTACT, 3)}) mΩ · ${amount(ratedA, 'A', 0)} = ${amount(limit.most, 'mV', 0)}`,
        ],
      },
    },
    limit.most,
  );
}
