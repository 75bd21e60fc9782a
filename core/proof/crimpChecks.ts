import { atMost, type Finding, notProved, within } from '../finding/finding.ts';
import type { Subject, Topic } from '../finding/topics.ts';
import type { Die } from '../model/shop.ts';
import { type Message, amount, msg } from '../words/message.ts';
import { acrossFlatsWindow, MOST_EARS_MM } from '../termination/dies/dieClosed.ts';

import { evenly, instrumentParts } from './budget.ts';
import { type Budget, type Check, judge, type Judgeable } from './judge.ts';

/** What a crimp's check is about, and what it is called there: of an end, or of one side of a join. */
type Of = Subject & { readonly topic: Topic; readonly title: Message };

/** Where the jaws are put, and how hard they close, makes so much of a difference, ± mm. Shop practice. */
const JAWS_MM = 0.03;

/** What a length by calliper may be off by. */
export const calliperParts =
  <R extends Judgeable>(valueMm: (reading: R) => number): Budget<R> =>
  (reading) => [
    ...instrumentParts(reading, 'calliper', valueMm(reading)),
    { what: msg`where the jaws are put, ± ${amount(JAWS_MM, 'mm', 2)}`, standard: evenly(JAWS_MM) },
  ];

/**
 * Across flats of a crimp against the die that closed on it: the same rule at an end and in a join.
 *
 * @param die null where none is chosen
 * @param missing what is said while nothing is measured
 * @param valueMm what a reading says, mm
 */
export function flatsProof<R extends Judgeable>(
  crimpSubject: Of,
  die: Die | undefined,
  missing: Message,
  readings: readonly R[],
  valueMm: (reading: R) => number,
): { check: Check; finding: Finding } {
  const window = die && acrossFlatsWindow(die.acrossFlatsMm);
  const check: Check = {
    ...crimpSubject,
    unit: 'mm',
    decimals: 2,
    ...(window && { limit: { kind: 'window', least: window.leastMm, most: window.mostMm } }),
    missing,
    remedy: msg`Measure across the flats with a calliper, die open.`,
    work: {
      formula: msg`F_die − 0.1 ≤ F ≤ F_die · 1.02`,
      substituted: window
        ? [msg`${amount(window.leastMm, 'mm', 2)} to ${amount(window.mostMm, 'mm', 2)}`]
        : [msg`no die is chosen`],
      source: msg`craft practice: spring-back up to 2 %, a calliper within 0.1 mm`,
      assumes: msg`the die’s own across flats was measured closed`,
    },
  };
  if (!window) {
    const because = msg`No die is chosen, so there is nothing to compare with.`;
    return { check, finding: notProved({ ...check, stage: 'prove', because }) };
  }
  const finding = judge(
    check,
    readings,
    (reading, facts) => {
      const value = valueMm(reading);
      const because =
        value < window.leastMm
          ? msg`Smaller than the die: a different die was used.`
          : value > window.mostMm
            ? msg`Larger than the die: it did not shut.`
            : msg`The die closed fully.`;
      return within({ ...facts, value, because }, window.leastMm, window.mostMm);
    },
    calliperParts(valueMm),
  );
  return { check, finding };
}

/**
 * Flash at the parting line, unfiled: the same rule at an end and in a join.
 *
 * @param valueMm what a reading says, mm
 */
export const earsProof = <R extends Judgeable>(
  crimpSubject: Of,
  readings: readonly R[],
  valueMm: (reading: R) => number,
): Finding =>
  judge(
    {
      ...crimpSubject,
      unit: 'mm',
      decimals: 2,
      limit: { kind: 'most', most: MOST_EARS_MM },
      missing: msg`The flash at the parting line is not measured yet.`,
      remedy: msg`Measure the ears before filing; none is 0.`,
      work: {
        formula: msg`ears ≤ 0.5 mm before filing`,
        substituted: [],
        source: msg`craft practice, a shop setting`,
        assumes: msg`measured at the worst place`,
      },
    },
    readings,
    (reading, facts) => atMost({ ...facts, value: valueMm(reading) }, MOST_EARS_MM),
    calliperParts(valueMm),
  );
