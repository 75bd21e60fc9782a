import { type Finding, notProved, stated, type State, turnedTo } from '../finding/finding.ts';
import { LOOK_ITEMS, type LookItem, type ReadingOf } from '../model/reading.ts';
import { usesDie, usesSolder } from '../model/method.ts';
import { MORE_ASKED_SINCE } from '../model/stepId.ts';
import type { ResolvedEnd } from '../termination/resolveEnd.ts';
import { earsProof, flatsProof } from './crimpChecks.ts';
import { type Check, judge } from './judge.ts';
import { furtherProof } from './further.ts';
import { pullProof } from './pullProof.ts';
import { crimpsMeasured, unnumbered } from './crimpsRead.ts';
import { countingReadings } from './readings.ts';
import type { ProofSubject } from './subject.ts';
import { msg, listed } from '../words/message.ts';

/** What proves one end: across flats and ears where a die closed on it, pull, and the look list. */
export function endProof(subject: ProofSubject, end: ResolvedEnd): Finding[] {
  const crimped = usesDie(end.method) ? [acrossFlats(subject, end), ears(subject, end)] : [];
  return [...crimped, pullProof(subject, end), look(subject, end), ...furtherProof(subject, end)];
}

function acrossFlats(subject: ProofSubject, end: ResolvedEnd): Finding {
  const readings = countingReadings(subject.cable, 'across-flats', end.name);
  const asked = Math.max(end.crimps.length, 1);
  const { check, finding } = flatsProof(
    { topic: 'across-flats', end: end.name, title: msg`Across flats` },
    end.die?.die,
    asked > 1 ? msg`No crimp is measured yet: measure both.` : msg`The crimp is not measured yet.`,
    readings,
    ({ valueMm }) => valueMm,
  );
  if (finding.state === 'fails') return finding;
  const real = readings.filter(({ source }) => source !== 'simulated');
  const flatsEach = subject.practice.flatsEach ?? 1;
  const measured = crimpsMeasured(real, asked, flatsEach);
  if (measured < asked && real.length > 0) {
    const because =
      flatsEach > 1
        ? msg`${measured} of ${asked} crimps measured, each across ${flatsEach} flats.`
        : msg`${measured} of ${asked} crimps measured.`;
    return notProved({ ...check, stage: 'prove', because }, check.limit);
  }
  return real.length > 0 && unnumbered(real).length >= asked
    ? {
        ...finding,
        because: msg`${finding.because} Read before crimps were numbered: which is which is not known.`,
      }
    : finding;
}

function ears(subject: ProofSubject, end: ResolvedEnd): Finding {
  const readings = countingReadings(subject.cable, 'ears', end.name);
  const finding = earsProof(
    { topic: 'ears', end: end.name, title: msg`Flash (ears) before filing` },
    readings,
    ({ valueMm }) => valueMm,
  );
  if (finding.state === 'fails') return finding;
  const real = readings.filter(({ source }) => source !== 'simulated');
  const asked = Math.max(end.crimps.length, 1);
  const measured = new Set(real.flatMap(({ crimp }) => crimp ?? [])).size;
  // One that names no crimp is of the worst place of them all.
  return real.length === 0 || unnumbered(real).length > 0 || measured >= asked
    ? finding
    : turnedTo(finding, 'unproved', { because: msg`${measured} of ${asked} crimps measured.` });
}

/**
 * What is looked for on an end: flux where it was soldered, the print of the hexagon where one was pressed and a sleeve is
 * over it, adhesive where there is any.
 *
 * @param takenAt when the look was taken, ISO 8601; now where it is still to be
 */
export function lookItems(
  { method, die, sleeve }: Pick<ResolvedEnd, 'method' | 'die' | 'sleeve'>,
  takenAt?: string,
): LookItem[] {
  const isOld = takenAt !== undefined && takenAt < MORE_ASKED_SINCE;
  const applies: Partial<Record<LookItem, boolean>> = {
    seal: sleeve?.seals ?? true,
    flux: !isOld && usesSolder(method),
    imprint: !isOld && usesDie(method) && die?.leaves === 'hexagon' && sleeve !== null,
  };
  return (Object.keys(LOOK_ITEMS) as LookItem[]).filter((item) => applies[item] ?? true);
}

function look(subject: ProofSubject, end: ResolvedEnd): Finding {
  const items = lookItems(end, countingReadings(subject.cable, 'look', end.name).at(-1)?.at);
  const check: Check = {
    topic: 'look',
    title: msg`Visual inspection`,
    unit: `of ${items.length}`,
    decimals: 0,
    end: end.name,
    missing: msg`Not inspected yet.`,
    remedy: msg`Go through the list with the end in your hand.`,
    work: {
      formula: msg`every item on the list right`,
      substituted: [],
      source: msg`craft practice`,
      assumes: msg`inspected in good light, sleeve and all`,
    },
  };
  return judge<ReadingOf<'look'>>(
    check,
    countingReadings(subject.cable, 'look', end.name),
    ({ marks }, facts) => {
      const wrong = items.filter((item) => marks[item] === false);
      const open = items.filter((item) => marks[item] === undefined);
      const says = (list: LookItem[]) =>
        listed(
          list.map((item) => LOOK_ITEMS[item]),
          '; ',
        );
      const state: State = wrong.length > 0 ? 'fails' : open.length > 0 ? 'unproved' : 'holds';
      const because =
        wrong.length > 0
          ? msg`Failed: ${says(wrong)}.`
          : open.length > 0
            ? msg`${open.length} still to inspect.`
            : msg`All ${items.length} right.`;
      return stated({ ...facts, value: items.filter((item) => marks[item]).length, because }, state);
    },
  );
}
