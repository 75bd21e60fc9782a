import { atMost, type Finding, notProved, stated, type State, within } from '../finding/finding.ts';
import { LOOK_ITEMS, type LookItem, type ReadingOf } from '../model/reading.ts';
import { usesDie } from '../model/method.ts';
import type { ResolvedEnd } from '../termination/resolveEnd.ts';
import { figure } from '../model/units/figure.ts';
import { acrossFlatsWindow, MOST_EARS_MM } from '../termination/dies/dieClosed.ts';
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
  const die = end.die?.die;
  const readings = countingReadings(subject.cable, 'across-flats', end.name);
  const window = die && acrossFlatsWindow(die.acrossFlatsMm);
  const asked = Math.max(end.crimps.length, 1);
  const check: Check = {
    topic: 'across-flats',
    title: say`Across flats`,
    unit: 'mm',
    decimals: 2,
    end: end.name,
    ...(window && { limit: { kind: 'window', least: window.leastMm, most: window.mostMm } }),
    missing: asked > 1 ? say`No crimp is measured yet: measure both.` : say`The crimp is not measured yet.`,
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
  if (!window)
    return notProved({
      ...check,
      stage: 'prove',
      because: say`No die is chosen, so there is nothing to compare with.`,
    });
  const finding = judge<ReadingOf<'across-flats'>>(check, readings, (reading, facts) => {
    const value = reading.valueMm;
    const because =
      value < window.leastMm
        ? say`Under the die: it was another die.`
        : value > window.mostMm
          ? say`Over: the die did not shut.`
          : say`The die shut.`;
    return within({ ...facts, value, because }, window.leastMm, window.mostMm);
  });
  const measured = readings.filter(({ source }) => source !== 'simulated').length;
  return finding.state === 'holds' && measured < asked
    ? notProved(
        { ...check, stage: 'prove', because: say`${measured} of ${asked} crimps measured.` },
        check.limit,
      )
    : finding;
}

function ears(subject: ProofSubject, end: ResolvedEnd): Finding {
  const check: Check = {
    topic: 'ears',
    title: say`Ears, unfiled`,
    unit: 'mm',
    decimals: 2,
    end: end.name,
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
  return judge<ReadingOf<'ears'>>(
    check,
    countingReadings(subject.cable, 'ears', end.name),
    (reading, facts) => atMost({ ...facts, value: reading.valueMm }, MOST_EARS_MM),
  );
}

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
