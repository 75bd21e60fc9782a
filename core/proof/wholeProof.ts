import { resistancePerMetre } from '../conductor/resistance.ts';
import { insulationRow, NEW_CABLE_MEGOHM } from '../model/tables/insulationLimits.ts';
import { atLeast, atMost, type Finding, notProved, stated } from '../finding/finding.ts';
import type { ReadingOf } from '../model/reading.ts';
import { amount, msg, numeral } from '../words/message.ts';
import { conductorTable, expectedResistance } from './cableResistance.ts';
import { furtherWhole } from './further.ts';
import { copperPart, evenly, instrumentParts } from './budget.ts';
import { type Budget, type Check, judge } from './judge.ts';
import { countingReadings } from './readings.ts';
import { resolutionNeeded, resolutionWords } from './resolution.ts';
import type { ProofSubject } from './subject.ts';

/** What proves the cable as a whole: resistance from palm to palm, and insulation. */
export function wholeProof(subject: ProofSubject): Finding[] {
  return [
    resistance(subject),
    subject.isBare ? uninsulated(subject) : insulation(subject),
    ...furtherWhole(subject),
  ];
}

/** A reading far under what the copper must have means a wrong length or leads that touch. */
const TOO_GOOD = 0.7;

function resistance(subject: ProofSubject): Finding {
  const { cable, ends, lengths } = subject;
  const readings = countingReadings(cable, 'resistance');
  const barrels = [(ends.A.lug?.barrelMm ?? 0) / 1000, (ends.B.lug?.barrelMm ?? 0) / 1000] as const;
  const betweenM = lengths ? lengths.cutMm / 1000 - barrels[0] - barrels[1] : 0;
  const expectedAt = (celsius: number) =>
    expectedResistance(subject.size, subject.copper, betweenM, barrels, celsius);
  const copperC = readings.at(-1)?.copperC ?? 20;
  const expected = expectedAt(copperC);
  const most = expected.totalOhm * 1000;
  const check: Check = {
    topic: 'resistance',
    title: msg`Resistance, whole`,
    unit: 'mΩ',
    decimals: 3,
    ...(lengths && { limit: { kind: 'most', most }, needs: { least: resolutionNeeded(most), unit: 'mΩ' } }),
    missing: msg`Not measured yet: at most ${amount(most, 'mΩ', 3)} at ${amount(20, '°C', 0)} is expected.`,
    remedy: msg`Four wires, current both ways and averaged, on a meter that resolves ${resolutionWords(resolutionNeeded(Math.max(most, 1e-6)), 'mΩ')}. A hand multimeter cannot see this.`,
    work: {
      formula: msg`R = R(T) · (length between mouths) + 2 · R_joint`,
      substituted: [
        msg`= ${numeral(expected.conductorOhm * 1000, 3)} + ${numeral(expected.jointsOhm * 1000, 3)} = ${amount(most, 'mΩ', 3)} at ${amount(copperC, '°C', 0)}`,
      ],
      source: msg`${conductorTable(subject)} at the copper’s temperature`,
      assumes: msg`each joint as its own barrel of conductor. The table is a maximum, so this alone never proves a joint`,
    },
  };
  if (!lengths)
    return notProved({ ...check, stage: 'prove', because: msg`Without both lugs its length is not known.` });
  return judge<ReadingOf<'resistance'>>(
    check,
    readings,
    (reading, facts) => {
      const limit = expectedAt(reading.copperC).totalOhm * 1000;
      const judged = { ...facts, value: reading.milliohm };
      if (reading.milliohm < TOO_GOOD * limit) {
        return atMost(
          {
            ...judged,
            because: msg`Far under what this length must have: are the leads touching, is the length right?`,
          },
          limit,
          0,
          'watch',
        );
      }
      return atMost(judged, limit);
    },
    wholeParts(subject),
  );
}

/** How well the length between the mouths is known, ± mm. Shop practice. */
const LENGTH_MM = 5;

/** What a resistance of the whole cable may be off by, mΩ. */
const wholeParts =
  ({ size, copper }: ProofSubject): Budget<ReadingOf<'resistance'>> =>
  (reading) => [
    ...instrumentParts(reading, 'milliohm', reading.milliohm),
    copperPart(reading.milliohm),
    {
      what: msg`length between the mouths, ± ${amount(LENGTH_MM, 'mm', 0)}`,
      standard: evenly(LENGTH_MM * resistancePerMetre(size, copper, reading.copperC)),
    },
  ];

/** Insulation charges up while it is tested: a 60 s value under this share of the 15 s value is falling. */
const STEADY_SHARE = 0.9;

/** A ground strap has nothing to test; a live conductor without insulation fails whatever it reads. */
function uninsulated({ cable }: ProofSubject): Finding {
  const isGround = cable.polarity === 'negative';
  return stated(
    {
      topic: 'insulation',
      stage: 'prove',
      title: msg`Insulation, whole`,
      value: null,
      unit: 'MΩ',
      decimals: 1,
      because: isGround
        ? msg`A bare ground strap has none, and needs none.`
        : msg`Bare braid on a live conductor: there is none.`,
      ...(!isGround && { remedy: msg`Take an insulated kind.` }),
      work: {
        formula: msg`no insulation, no test`,
        substituted: [],
        source: msg`craft practice: bare braid is for ground alone`,
        assumes: msg`the negative is at ground where this strap is`,
      },
    },
    isGround ? 'holds' : 'fails',
  );
}

// oxlint-disable-next-line max-lines-per-function -- one check with its work; the figures of all three moments stand in it
function insulation(subject: ProofSubject): Finding {
  const { systemV } = subject.cable.run;
  const row = insulationRow(systemV);
  const check: Check = {
    topic: 'insulation',
    title: msg`Insulation, whole`,
    unit: 'MΩ',
    decimals: 1,
    limit: { kind: 'least', least: row.leastMegohm },
    missing: msg`Not measured yet: at least ${amount(row.leastMegohm, 'MΩ', 1)} at ${amount(row.testV, 'V', 0)}, 60 s.`,
    remedy: msg`Disconnect electronics first, discharge the cable after. Test against the structure, or foil round the jacket.`,
    work: {
      formula: msg`R_insulation at the test voltage, 60 s value`,
      substituted: [
        msg`${row.title}: ${amount(row.testV, 'V', 0)}, at least ${amount(row.leastMegohm, 'MΩ', 1)}`,
      ],
      source: msg`IEC 60364-6 table 6.1`,
      assumes: msg`a second electrode: the structure, or foil to 50 mm from the ends; without one nothing is tested`,
    },
  };
  return judge<ReadingOf<'insulation'>>(
    check,
    countingReadings(subject.cable, 'insulation'),
    (reading, facts) => {
      const judged = { ...facts, value: reading.megohm };
      if (reading.megohm < row.leastMegohm) return atLeast(judged, row.leastMegohm);
      if (reading.electrode === 'none') {
        return stated(
          { ...judged, because: msg`No second electrode: the jacket was not tested.` },
          'unproved',
        );
      }
      if (reading.testV < row.testV) {
        return stated(
          {
            ...judged,
            because: msg`Tested at ${amount(reading.testV, 'V', 0)}; ${amount(row.testV, 'V', 0)} is required.`,
          },
          'unproved',
        );
      }
      if (reading.at15Megohm !== undefined && reading.megohm < STEADY_SHARE * reading.at15Megohm) {
        return atLeast(
          {
            ...judged,
            because: msg`It fell from ${amount(reading.at15Megohm, 'MΩ', 0)} at 15 s while the voltage stood: damp or a track.`,
          },
          row.leastMegohm,
          'watch',
        );
      }
      if (reading.megohm < NEW_CABLE_MEGOHM && reading.electrode === 'foil') {
        return atLeast(
          { ...judged, because: msg`Enough, but a new dry cable reads far above: look for a nick or damp.` },
          row.leastMegohm,
          'watch',
        );
      }
      return atLeast(judged, row.leastMegohm);
    },
    (reading) => instrumentParts(reading, 'insulation', reading.megohm),
  );
}
