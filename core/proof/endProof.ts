import { type Finding, notProved, stated, type State } from '../finding/finding.ts';
import { LOOK_ITEMS, type LookItem, type ReadingOf } from '../model/reading.ts';
import { usesDie } from '../model/method.ts';
import type { ResolvedEnd } from '../termination/resolveEnd.ts';
import { earsProof, flatsProof } from './crimpChecks.ts';
import { type Check, judge } from './judge.ts';
import { furtherProof } from './further.ts';
import { pullProof } from './pullProof.ts';
import { countingReadings } from './readings.ts';
import type { ProofSubject } from './subject.ts';
import { say } from '../words/say.ts';

/** What proves one end: across flats and ears where a die closed on it, pull, and the look list. */
export function endProof(subject: ProofSubject, end: ResolvedEnd): Finding[] {
  const crimped = usesDie(end.method) ? [acrossFlats(subject, end), ears(subject, end)] : [];
  return [...crimped, pullProof(subject, end), look(subject, end), ...furtherProof(subject, end)];
}

function acrossFlats(subject: ProofSubject, end: ResolvedEnd): Finding {
  const readings = countingReadings(subject.cable, 'across-flats', end.name);
  const asked = Math.max(end.crimps.length, 1);
  const { check, finding } = flatsProof(
    { topic: 'across-flats', end: end.name, title: say`Across flats` },
    end.die?.die,
    asked > 1 ? say`No crimp is measured yet: measure both.` : say`The crimp is not measured yet.`,
    readings,
    ({ valueMm }) => valueMm,
  );
  const measured = readings.filter(({ source }) => source !== 'simulated').length;
  return finding.state === 'holds' && measured < asked
    ? notProved(
        { ...check, stage: 'prove', because: say`${measured} of ${asked} crimps measured.` },
        check.limit,
      )
    : finding;
}

const ears = (subject: ProofSubject, end: ResolvedEnd): Finding =>
  earsProof(
    { topic: 'ears', end: end.name, title: say`Ears, unfiled` },
    countingReadings(subject.cable, 'ears', end.name),
    ({ valueMm }) => valueMm,
  );

function look(subject: ProofSubject, end: ResolvedEnd): Finding {
  const items = Object.keys(LOOK_ITEMS) as LookItem[];
  const check: Check = {
    topic: 'look',
    title: say`Look list`,
    unit: 'of 9',
    decimals: 0,
    end: end.name,
    missing: say`Not looked at yet.`,
    remedy: say`Go down the list with the end in your hand.`,
    work: {
      formula: say`nine things right`,
      substituted: [],
      source: say`craft practice`,
      assumes: say`looked at in good light, sleeve and all`,
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
          ? say`Not so: ${says(wrong)}.`
          : open.length > 0
            ? say`${open.length} still to look at.`
            : say`All nine right.`;
      return stated({ ...facts, value: items.filter((item) => marks[item]).length, because }, state);
    },
  );
}
