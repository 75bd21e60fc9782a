import { type Finding, stated } from '../finding/finding.ts';
import { otherEnd } from '../model/end.ts';
import type { Run } from '../model/run.ts';
import type { ResolvedEnd } from '../termination/resolveEnd.ts';
import { amount, msg, numeral, verbatim } from '../words/message.ts';
import { reachMm } from '../termination/lugs/palmAngle.ts';
import { type CableLengths, cableLengths } from './cutLength.ts';

/** Lengths of one cable; null while an end has no lug, since a lug's own length decides the cut. */
export function lengthsOf(run: Run, a: ResolvedEnd, b: ResolvedEnd): CableLengths | null {
  if (!a.lug || !b.lug) return null;
  return cableLengths(run.lengthMm, run.loopMm, [reachMm(a.lug), reachMm(b.lug)], run.laid?.on);
}

const FACTS = { stage: 'cut', unit: 'mm', decimals: 0 } as const;
const SOURCE = msg`geometry of the finished cable`;

/** Both ends with their lugs, which give the lengths. */
type Lugged = ResolvedEnd & { readonly lug: NonNullable<ResolvedEnd['lug']> };
const isLugged = (end: ResolvedEnd): end is Lugged => end.lug !== null;

/** The finished length, what to cut for it, and the mark for the end that is finished second. */
export function cutFindings(run: Run, a: ResolvedEnd, b: ResolvedEnd): Finding[] {
  const lengths = lengthsOf(run, a, b);
  if (!lengths || !isLugged(a) || !isLugged(b)) return [noLength()];
  return [cutLength(lengths, a, b), finishedLength(lengths, run), secondMark(lengths, run, a, b)];
}

/** How far a bent lug reaches along the cable; nothing of a straight one, whose length that is. */
const reachSays = ({ name, lug }: Lugged) =>
  lug.angleDeg === 0
    ? []
    : [
        verbatim`a_${name} = ${numeral(lug.studToBarrelMm, 1)} · cos ${numeral(lug.angleDeg, 0)}° = ${numeral(reachMm(lug), 1)}`,
      ];

const noLength = (): Finding =>
  stated(
    {
      ...FACTS,
      topic: 'cut',
      title: msg`Cut length`,
      value: null,
      because: msg`Each lug adds the distance from its hole to its barrel: choose both lugs first.`,
      remedy: msg`Choose the lugs in Ends.`,
      work: {
        formula: msg`cut = L + loop − (a_A + a_B)`,
        substituted: [msg`a lug is missing`],
        source: SOURCE,
        assumes: '',
      },
    },
    'unproved',
  );

const finishedLength = ({ finishedMm }: CableLengths, { lengthMm, loopMm, laid }: Run): Finding =>
  stated(
    {
      ...FACTS,
      topic: 'finished',
      title: msg`Finished, stud to stud`,
      value: finishedMm,
      because: msg`The length along the route, and the slack for the next remake.`,
      work: {
        formula: msg`finished = L + loop`,
        substituted: [
          verbatim`= ${numeral(lengthMm, 0)} + ${numeral(loopMm, 0)} = ${amount(finishedMm, 'mm', 0)}`,
        ],
        source: SOURCE,
        assumes: laid
          ? msg`laid out: ${amount(laid.markMm, 'mm', 0)} from stud ${laid.on} to the mark at the other stud`
          : msg`the length was measured along the route, not in a straight line`,
      },
    },
    'holds',
  );

function cutLength({ finishedMm, cutMm }: CableLengths, a: Lugged, b: Lugged): Finding {
  const takenMm = ({ stripMm, sleeve }: Lugged) => (stripMm ?? 0) + (sleeve?.onJacketMm ?? 0);
  const isTooShort = cutMm < takenMm(a) + takenMm(b);
  return stated(
    {
      ...FACTS,
      topic: 'cut',
      title: msg`Cut length`,
      value: cutMm,
      because: isTooShort
        ? msg`The two ends meet: sleeves and strips need more cable than there is.`
        : msg`Square-cut, between the bottoms of the two barrels.`,
      ...(isTooShort && {
        remedy: msg`Shorten the sleeves, or use a bus bar instead of so short a cable.`,
      }),
      work: {
        formula: msg`cut = L + loop − (a_A + a_B)`,
        substituted: [
          ...[a, b].flatMap(reachSays),
          verbatim`= ${numeral(finishedMm, 0)} − (${numeral(reachMm(a.lug), 1)} + ${numeral(reachMm(b.lug), 1)}) = ${amount(cutMm, 'mm', 0)}`,
        ],
        source: SOURCE,
        assumes: msg`cable pressed home to the bottom of both barrels`,
      },
    },
    isTooShort ? 'fails' : 'holds',
  );
}

function secondMark({ finishedMm, secondMarkMm }: CableLengths, run: Run, a: Lugged, b: Lugged): Finding {
  const first = run.laid?.on ?? 'A';
  const second = otherEnd(first);
  const lastOn = second === 'A' ? a : b;
  return stated(
    {
      ...FACTS,
      topic: 'second-mark',
      title: msg`Cut for end ${second}, ${first} bolted on`,
      value: secondMarkMm,
      because: msg`From the centre of stud ${first} along the laid cable to where ${second}’s barrel will end.`,
      work: {
        formula: msg`mark = finished − a_${second}`,
        substituted: [
          ...reachSays(lastOn),
          verbatim`= ${numeral(finishedMm, 0)} − ${numeral(reachMm(lastOn.lug), 1)} = ${amount(secondMarkMm, 'mm', 0)}`,
        ],
        source: SOURCE,
        assumes: msg`end ${first} finished and on its stud`,
      },
    },
    'holds',
  );
}
