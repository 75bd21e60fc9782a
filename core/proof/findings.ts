import { INSULATION_TEST, NEW_CABLE_MEGOHM } from '../catalogue/tables/insulationTest.ts';
import { STUDS } from '../catalogue/tables/studs.ts';
import type { ConductorSize } from '../conductor/size.ts';
import type { CableLengths } from '../cutting/cutLength.ts';
import {
  atLeast,
  atMost,
  type Facts,
  type Finding,
  type Limit,
  notProved,
  type Provenance,
  simulated,
  stated,
  type State,
  within,
  worstFirst,
} from '../finding.ts';
import {
  type Cable,
  type EndName,
  LOOK_ITEMS,
  type LookItem,
  type Reading,
  type ReadingOf,
} from '../job/cable.ts';
import type { HousePractice } from '../practice/housePractice.ts';
import type { ResolvedEnd } from '../termination/resolveEnd.ts';
import { digits, figure, type Unit } from '../units/figure.ts';
import { expectedResistance } from './cableResistance.ts';
import { acrossFlatsWindow, MOST_EARS_MM } from './dieClosed.ts';
import { HANG_LIMIT_KG, kilogramsToHang, pullTargets } from './pullForce.ts';
import { countingReadings } from './readings.ts';

/** The cable a proof is about, as it was made. */
export interface ProofSubject {
  readonly cable: Cable;
  readonly size: ConductorSize;
  readonly copperMm2: number;
  readonly tinned: boolean;
  readonly ends: { readonly A: ResolvedEnd; readonly B: ResolvedEnd };
  readonly lengths: CableLengths | null;
  readonly practice: HousePractice;
}

/** Every proof a cable needs: what was read, judged; what was not read, not proved. */
export function proofFindings(subject: ProofSubject): Finding[] {
  const { A, B } = subject.ends;
  return [
    ...[A, B].flatMap((end) => [
      acrossFlats(subject, end),
      ears(subject, end),
      pull(subject, end),
      look(subject, end),
    ]),
    resistance(subject),
    insulation(subject),
  ];
}

interface Check {
  readonly id: string;
  readonly title: string;
  readonly unit: Unit;
  readonly decimals: number;
  readonly end?: EndName;
  readonly limit?: Limit;
  readonly missing: string;
  readonly remedy: string;
  readonly work: Finding['work'];
}

/**
 * Judges all readings of one check and answers with the worst that is real. Simulated ones speak only where there is
 * no real one, and then prove nothing; with none at all the check is not proved.
 */
function judge<R extends Reading>(
  check: Check,
  readings: readonly R[],
  one: (reading: R, facts: Omit<Facts, 'value'>) => Finding,
): Finding {
  const { missing, limit, ...facts } = check;
  const base = { ...facts, stage: 'prove' as const };
  const findings = readings.map((reading) => ({
    provenance: reading.source,
    finding: {
      ...(limit && { limit }),
      ...one(reading, base),
      provenance: reading.source satisfies Provenance,
    },
  }));
  const real = findings.filter(({ provenance }) => provenance !== 'simulated');
  const [worstReal] = worstFirst(real.map(({ finding }) => finding));
  if (worstReal) return withoutRemedy(worstReal);
  const [worstSimulated] = worstFirst(findings.map(({ finding }) => finding));
  if (worstSimulated) return simulated(worstSimulated);
  return notProved({ ...base, because: missing }, limit);
}

/** A finding that holds has nothing to be done about it. */
function withoutRemedy(finding: Finding): Finding {
  if (finding.state !== 'holds') return finding;
  const { remedy: _, ...rest } = finding;
  return rest;
}

function acrossFlats(subject: ProofSubject, end: ResolvedEnd): Finding {
  const die = end.die?.die;
  const readings = countingReadings(subject.cable, 'across-flats', end.name);
  const window = die && acrossFlatsWindow(die.acrossFlatsMm);
  const asked = Math.max(end.crimps.length, 1);
  const check: Check = {
    id: `across-flats.${end.name}`,
    title: 'Across flats',
    unit: 'mm',
    decimals: 2,
    end: end.name,
    ...(window && { limit: { kind: 'window', least: window.leastMm, most: window.mostMm } }),
    missing: asked > 1 ? 'No crimp is measured yet: measure both.' : 'The crimp is not measured yet.',
    remedy: 'Measure across the flats with a calliper, die open.',
    work: {
      formula: 'F_die − 0.1 ≤ F ≤ F_die · 1.02',
      substituted: window
        ? [`${figure(window.leastMm, 'mm', 2)} to ${figure(window.mostMm, 'mm', 2)}`]
        : ['no die is chosen'],
      source: 'craft practice: spring-back up to 2 %, a calliper within 0.1 mm',
      assumes: 'the die’s own across flats was measured closed',
    },
  };
  if (!window)
    return notProved({
      ...check,
      stage: 'prove',
      because: 'No die is chosen, so there is nothing to compare with.',
    });
  const finding = judge<ReadingOf<'across-flats'>>(check, readings, (reading, facts) => {
    const value = reading.valueMm;
    const because =
      value < window.leastMm
        ? 'Under the die: it was another die.'
        : value > window.mostMm
          ? 'Over: the die did not shut.'
          : 'The die shut.';
    return within({ ...facts, value, because }, window.leastMm, window.mostMm);
  });
  const measured = readings.filter(({ source }) => source !== 'simulated').length;
  return finding.state === 'holds' && measured < asked
    ? notProved(
        { ...check, stage: 'prove', because: `${measured} of ${asked} crimps measured.` },
        check.limit,
      )
    : finding;
}

function ears(subject: ProofSubject, end: ResolvedEnd): Finding {
  const check: Check = {
    id: `ears.${end.name}`,
    title: 'Ears, unfiled',
    unit: 'mm',
    decimals: 2,
    end: end.name,
    limit: { kind: 'most', most: MOST_EARS_MM },
    missing: 'The flash at the parting line is not measured yet.',
    remedy: 'Measure the ears before filing; none is 0.',
    work: {
      formula: 'ears ≤ 0.5 mm before filing',
      substituted: [],
      source: 'craft practice, a shop setting',
      assumes: 'measured at the worst place',
    },
  };
  return judge<ReadingOf<'ears'>>(
    check,
    countingReadings(subject.cable, 'ears', end.name),
    (reading, facts) => atMost({ ...facts, value: reading.valueMm }, MOST_EARS_MM),
  );
}

function pull(subject: ProofSubject, end: ResolvedEnd): Finding {
  const targets = pullTargets(subject.copperMm2);
  const { pull: school } = subject.practice;
  const target = { least: targets.leastN, usual: targets.usualN, heaviest: targets.heaviestN }[school];
  const kilograms = kilogramsToHang(target);
  const check: Check = {
    id: `pull.${end.name}`,
    title: 'Pull, one minute',
    unit: 'N',
    decimals: 0,
    end: end.name,
    limit: { kind: 'least', least: target },
    missing: `Not pulled yet: ${figure(target, 'N', 0)}, ${figure(kilograms, 'kg', 1)} to hang.`,
    remedy:
      kilograms > HANG_LIMIT_KG
        ? 'Over 100 kg: use a load cell and a guarded rig. Never hang a person.'
        : `Hang ${figure(kilograms, 'kg', 1)} for one minute, feet clear of the load.`,
    work: {
      formula: 'the greater of the small-craft row by gauge and the metric row',
      substituted: [
        `least ${figure(targets.leastN, 'N', 0)} = ${figure(kilogramsToHang(targets.leastN), 'kg', 1)}`,
        `usual ${figure(targets.usualN, 'N', 0)} = ${figure(kilogramsToHang(targets.usualN), 'kg', 1)}; heaviest ${figure(targets.heaviestN, 'N', 0)} = ${figure(kilogramsToHang(targets.heaviestN), 'kg', 1)}`,
        `this shop asks the ${school}`,
      ],
      source: 'ABYC E-11 and ISO 10133 tensile tables; UL 486A-B; IEC 61238-1 class A',
      assumes:
        'held one minute; a cable that will be used is pulled no harder than the least, harder pulls are for samples',
    },
  };
  return judge<ReadingOf<'pull'>>(
    check,
    countingReadings(subject.cable, 'pull', end.name),
    (reading, facts) => {
      const judged = { ...facts, value: reading.forceN };
      if (!reading.held)
        return stated({ ...judged, because: `It slipped at ${figure(reading.forceN, 'N', 0)}.` }, 'fails');
      // A pull that reached its force has no margin to show: it was not pulled to breaking.
      return reading.forceN >= target - 0.5
        ? stated({ ...judged, because: `Held ${figure(reading.forceN, 'N', 0)} for a minute.` }, 'holds')
        : stated({ ...judged, because: `Held, but ${figure(target, 'N', 0)} is asked.` }, 'unproved');
    },
  );
}

function look(subject: ProofSubject, end: ResolvedEnd): Finding {
  const items = Object.keys(LOOK_ITEMS) as LookItem[];
  const check: Check = {
    id: `look.${end.name}`,
    title: 'Look list',
    unit: 'of 9',
    decimals: 0,
    end: end.name,
    missing: 'Not looked at yet.',
    remedy: 'Go down the list with the end in your hand.',
    work: {
      formula: 'nine things right',
      substituted: [],
      source: 'craft practice',
      assumes: 'looked at in good light, sleeve and all',
    },
  };
  return judge<ReadingOf<'look'>>(
    check,
    countingReadings(subject.cable, 'look', end.name),
    ({ marks }, facts) => {
      const wrong = items.filter((item) => marks[item] === false);
      const open = items.filter((item) => marks[item] === undefined);
      const says = (list: LookItem[]) => list.map((item) => LOOK_ITEMS[item]).join('; ');
      const state: State = wrong.length > 0 ? 'fails' : open.length > 0 ? 'unproved' : 'holds';
      const because =
        wrong.length > 0
          ? `Not so: ${says(wrong)}.`
          : open.length > 0
            ? `${open.length} still to look at.`
            : 'All nine right.';
      return stated({ ...facts, value: items.filter((item) => marks[item]).length, because }, state);
    },
  );
}

/** A reading far under what the copper must have means a wrong length or leads that touch. */
const TOO_GOOD = 0.7;

function resistance(subject: ProofSubject): Finding {
  const { cable, ends, lengths } = subject;
  const readings = countingReadings(cable, 'resistance');
  const barrels = [(ends.A.lug?.barrelMm ?? 0) / 1000, (ends.B.lug?.barrelMm ?? 0) / 1000] as const;
  const betweenM = lengths ? lengths.cutMm / 1000 - barrels[0] - barrels[1] : 0;
  const expectedAt = (celsius: number) =>
    expectedResistance(subject.size, subject.tinned, betweenM, barrels, celsius);
  const copperC = readings.at(-1)?.copperC ?? 20;
  const expected = expectedAt(copperC);
  const most = expected.totalOhm * 1000;
  const check: Check = {
    id: 'resistance',
    title: 'Resistance, whole',
    unit: 'mΩ',
    decimals: 3,
    ...(lengths && { limit: { kind: 'most', most } }),
    missing: `Not measured yet: at most ${figure(most, 'mΩ', 3)} at 20 °C is expected.`,
    remedy: 'Four wires, current both ways and averaged. A hand multimeter cannot see this.',
    work: {
      formula: 'R = R(T) · (length between mouths) + 2 · R_joint',
      substituted: [
        `= ${digits(expected.conductorOhm * 1000, 3)} + ${digits(expected.jointsOhm * 1000, 3)} = ${figure(most, 'mΩ', 3)} at ${figure(copperC, '°C', 0)}`,
      ],
      source: 'conductor table at the copper’s temperature',
      assumes:
        'each joint as its own barrel of conductor. The table is a maximum, so this alone never proves a joint',
    },
  };
  if (!lengths)
    return notProved({ ...check, stage: 'prove', because: 'Without both lugs its length is not known.' });
  return judge<ReadingOf<'resistance'>>(check, readings, (reading, facts) => {
    const limit = expectedAt(reading.copperC).totalOhm * 1000;
    const judged = { ...facts, value: reading.milliohm };
    if (reading.milliohm < TOO_GOOD * limit) {
      return atMost(
        {
          ...judged,
          because: 'Far under what this length must have: are the leads touching, is the length right?',
        },
        limit,
        0,
        'watch',
      );
    }
    return atMost(judged, limit);
  });
}

function insulation(subject: ProofSubject): Finding {
  const { systemV } = subject.cable.run;
  const row = INSULATION_TEST.find(({ upToV }) => systemV <= upToV) ?? INSULATION_TEST[1];
  const check: Check = {
    id: 'insulation',
    title: 'Insulation, whole',
    unit: 'MΩ',
    decimals: 1,
    limit: { kind: 'least', least: row.leastMegohm },
    missing: `Not measured yet: at least ${figure(row.leastMegohm, 'MΩ', 1)} at ${figure(row.testV, 'V', 0)}, 60 s.`,
    remedy:
      'Disconnect electronics first, discharge the cable after. Test against the structure, or foil round the jacket.',
    work: {
      formula: 'R_insulation at the test voltage, 60 s value',
      substituted: [
        `${row.title}: ${figure(row.testV, 'V', 0)}, at least ${figure(row.leastMegohm, 'MΩ', 1)}`,
      ],
      source: 'IEC 60364-6 table 6.1',
      assumes:
        'a second electrode: the structure, or foil to 50 mm from the ends; without one nothing is tested',
    },
  };
  return judge<ReadingOf<'insulation'>>(
    check,
    countingReadings(subject.cable, 'insulation'),
    (reading, facts) => {
      const judged = { ...facts, value: reading.megohm };
      if (reading.megohm < row.leastMegohm) return atLeast(judged, row.leastMegohm);
      if (reading.electrode === 'none') {
        return stated({ ...judged, because: 'No second electrode: the jacket was not tested.' }, 'unproved');
      }
      if (reading.testV < row.testV) {
        return stated(
          {
            ...judged,
            because: `Tested at ${figure(reading.testV, 'V', 0)}; ${figure(row.testV, 'V', 0)} is asked.`,
          },
          'unproved',
        );
      }
      if (reading.megohm < NEW_CABLE_MEGOHM && reading.electrode === 'foil') {
        return atLeast(
          { ...judged, because: 'Enough, but a new dry cable reads far above: look for a nick or damp.' },
          row.leastMegohm,
          'watch',
        );
      }
      return atLeast(judged, row.leastMegohm);
    },
  );
}

/** Torque on both studs, once fitted. Not part of the verdict on the cable itself. */
export function fitFindings(subject: ProofSubject): Finding[] {
  return [subject.ends.A, subject.ends.B].map((end) => {
    const { stud } = end.spec;
    const [least, most] = STUDS[stud].torqueNm;
    const check: Check = {
      id: `torque.${end.name}`,
      title: `Torque, ${stud}`,
      unit: 'N·m',
      decimals: 1,
      end: end.name,
      limit: { kind: 'window', least, most },
      missing: `Not tightened yet: ${least} to ${most} N·m.`,
      remedy:
        'The equipment maker’s figure governs. Washer above, nothing between the faces that carry current.',
      work: {
        formula: 'customary range for the stud',
        substituted: [`${stud}: ${least} to ${most} N·m`],
        source: 'customary for copper-alloy and stainless studs on DC gear',
        assumes: 'clean dry threads, palm flat on the current face',
      },
    };
    const finding = judge<ReadingOf<'torque'>>(
      check,
      countingReadings(subject.cable, 'torque', end.name),
      (reading, facts) => within({ ...facts, value: reading.newtonMetre }, least, most),
    );
    return { ...finding, stage: 'fit' as const };
  });
}
