import { atLeast, type Finding, notProved, stated, type State } from '../finding/finding.ts';
import type { ReadingOf } from '../model/reading.ts';
import type { Lug } from '../model/shop.ts';
import { COMPACTION, hexagonMm2, packingFromVoid } from '../termination/dies/dieOnLug.ts';
import { wallMm2 } from '../termination/lugs/lugOnCable.ts';
import { usesDie } from '../model/method.ts';
import type { ResolvedEnd } from '../termination/resolveEnd.ts';
import { type Message, msg, numeral, verbatim } from '../words/message.ts';
import { COVERAGE } from './budget.ts';
import { type Budget, type Check, judge } from './judge.ts';
import { countingReadings } from './readings.ts';
import type { ProofSubject } from './subject.ts';

/** How tightly a packing is: good, to be watched, or open. */
export const packingState = (kappa: number): State =>
  kappa >= COMPACTION.rightKappa ? 'holds' : kappa >= COMPACTION.openKappa ? 'watch' : 'fails';

/** What a packing says in a sentence. */
export const PACKING_SAYS: Readonly<Record<State, Message>> = {
  holds: msg`The strands are packed: good.`,
  watch: msg`A little air is left: watch it, and try the next die down.`,
  fails: msg`Too much air between the strands: the die is too large, or did not shut.`,
  unproved: '',
};

/**
 * What a packing means that is only known to lie between two: judged by its worse end. Where that would fail and the
 * better one would not, nothing is proved.
 *
 * @param kappa as measured
 * @param worst with all the air that its picture may hide
 */
export function packingVerdict(kappa: number, worst: number): { state: State; because: Message } {
  const [state, atWorst] = [packingState(kappa), packingState(worst)];
  if (state === atWorst || state === 'fails') return { state, because: PACKING_SAYS[state] };
  const range = msg`κ lies between ${numeral(worst, 2)} and ${numeral(kappa, 2)} with all that the picture may hide`;
  return atWorst === 'fails'
    ? { state: 'unproved', because: msg`Too near its limit to decide: ${range}.` }
    : { state: 'watch', because: msg`Close to its limit: ${range}.` };
}

type KappaOf = (reading: ReadingOf<'section'>, voidShare: number) => number | null;

/** What a packing may be off by: the air that its picture may hide. */
const airParts =
  (kappaOf: KappaOf): Budget<ReadingOf<'section'>> =>
  (reading) => {
    const kappa = kappaOf(reading, reading.voidShare);
    const worst = kappaOf(reading, Math.max(reading.voidShare, reading.mostVoidShare ?? 0));
    return kappa === null || worst === null
      ? []
      : [{ what: msg`air that the picture may hide`, standard: (kappa - worst) / COVERAGE }];
  };

/**
 * How tightly strands are packed in a section; null where its outline holds less than the wall of the lug.
 *
 * @param voidShare air, as a share of the outline
 */
export function sectionKappa(acrossFlatsMm: number, voidShare: number, lug: Lug | null): number | null {
  const outline = hexagonMm2(acrossFlatsMm);
  const wall = lug ? wallMm2(lug) : outline;
  return outline > wall ? packingFromVoid(voidShare, outline, wall) : null;
}

/** What a packing is judged by, wherever it is seen. */
export const packingCheck = {
  topic: 'section',
  unit: '',
  decimals: 2,
  limit: { kind: 'least', least: COMPACTION.rightKappa },
  remedy: msg`Saw one through and photograph it: the section lab measures the air.`,
  work: {
    formula: msg`κ = 1 − void·A_outline/(A_outline − A_wall)`,
    substituted: [],
    source: msg`area balance of the section; 0.90 and 0.85 are shop settings`,
    assumes: msg`the sample was made in the same way; a sawn crimp is used up`,
  },
} as const satisfies Partial<Check>;

/** A crimp made like this end's, sawn through: how tightly its strands are packed. Null where no die closed on it. */
export function sectionProof(subject: ProofSubject, end: ResolvedEnd): Finding | null {
  if (!usesDie(end.method)) return null;
  const readings = countingReadings(subject.cable, 'section', end.name);
  const { lug } = end;
  const last = readings.at(-1);
  const kappaOf = ({ acrossFlatsMm }: ReadingOf<'section'>, voidShare: number) =>
    sectionKappa(acrossFlatsMm, voidShare, lug);
  const check: Check = {
    ...packingCheck,
    title: msg`Section, packing κ`,
    end: end.name,
    missing: msg`No identical crimp was sawn yet: same lug, die, press and cable.`,
    work: {
      ...packingCheck.work,
      substituted:
        last && lug
          ? [
              verbatim`1 − ${numeral(last.voidShare, 4)}·${numeral(hexagonMm2(last.acrossFlatsMm), 1)}/(${numeral(hexagonMm2(last.acrossFlatsMm), 1)} − ${numeral(wallMm2(lug), 1)}) = ${numeral(kappaOf(last, last.voidShare) ?? 0, 3)}`,
            ]
          : [],
    },
  };
  if (!lug)
    return notProved({ ...check, stage: 'prove', because: msg`Without a lug its wall is not known.` });
  return judge<ReadingOf<'section'>>(
    check,
    readings,
    (reading, facts) => {
      const kappa = kappaOf(reading, reading.voidShare);
      if (kappa === null) {
        return stated(
          {
            ...facts,
            value: null,
            because: msg`The outline is smaller than the wall of this lug: it was another lug.`,
          },
          'unproved',
        );
      }
      const worst = kappaOf(reading, Math.max(reading.voidShare, reading.mostVoidShare ?? 0)) ?? kappa;
      const { state, because } = packingVerdict(kappa, worst);
      return atLeast({ ...facts, value: kappa, because }, COMPACTION.rightKappa, state);
    },
    airParts(kappaOf),
  );
}
