import { type Finding, stated } from '../finding/finding.ts';
import { otherEnd } from '../model/end.ts';
import type { Run } from '../model/run.ts';
import type { ResolvedEnd } from '../termination/resolveEnd.ts';
import { digits, figure } from '../model/units/figure.ts';
import { type CableLengths, cableLengths } from './cutLength.ts';
import { say } from '../words/say.ts';

/** Lengths of one cable; null while an end has no lug, since a lug's own length decides the cut. */
export function lengthsOf(run: Run, a: ResolvedEnd, b: ResolvedEnd): CableLengths | null {
  if (!a.lug || !b.lug) return null;
  return cableLengths(run.lengthMm, run.loopMm, [a.lug.studToBarrelMm, b.lug.studToBarrelMm], run.laid?.on);
}

export function cutFindings(run: Run, a: ResolvedEnd, b: ResolvedEnd): Finding[] {
  const lengths = lengthsOf(run, a, b);
  const facts = { stage: 'cut', unit: 'mm', decimals: 0 } as const;
  const source = say`geometry of the finished cable`;
  if (!lengths || !a.lug || !b.lug) {
    return [
      stated(
        {
          ...facts,
          topic: 'cut',
          title: say`Cut length`,
          value: null,
          because: say`Each lug adds the distance from its hole to its barrel: choose both lugs first.`,
          remedy: say`Choose the lugs in Ends.`,
          work: {
            formula: say`cut = L + loop − (a_A + a_B)`,
            substituted: [say`a lug is missing`],
            source,
            assumes: '',
          },
        },
        'unproved',
      ),
    ];
  }
  const [aA, aB] = [a.lug.studToBarrelMm, b.lug.studToBarrelMm];
  const first = run.laid?.on ?? 'A';
  const second = otherEnd(first);
  const ends = stated(
    {
      ...facts,
      topic: 'finished',
      title: say`Finished, stud to stud`,
      value: lengths.finishedMm,
      because: say`The route as it lies, and the slack for the next remake.`,
      work: {
        formula: say`finished = L + loop`,
        substituted: [
          `= ${digits(run.lengthMm, 0)} + ${digits(run.loopMm, 0)} = ${figure(lengths.finishedMm, 'mm', 0)}`,
        ],
        source,
        assumes: run.laid
          ? say`laid out: ${figure(run.laid.markMm, 'mm', 0)} from stud ${run.laid.on} to the mark at the other stud`
          : say`the length was measured along the route, not in a straight line`,
      },
    },
    'holds',
  );
  const isTooShort =
    lengths.cutMm <
    (a.stripMm ?? 0) + (b.stripMm ?? 0) + (a.sleeve?.onJacketMm ?? 0) + (b.sleeve?.onJacketMm ?? 0);
  return [
    stated(
      {
        ...facts,
        topic: 'cut',
        title: say`Cut length`,
        value: lengths.cutMm,
        because: isTooShort
          ? say`The two ends meet: sleeves and strips need more cable than there is.`
          : say`Square-cut, between the bottoms of the two barrels.`,
        ...(isTooShort && {
          remedy: say`Shorten the sleeves, or use a bus bar instead of so short a cable.`,
        }),
        work: {
          formula: say`cut = L + loop − (a_A + a_B)`,
          substituted: [
            `= ${digits(lengths.finishedMm, 0)} − (${digits(aA, 1)} + ${digits(aB, 1)}) = ${figure(lengths.cutMm, 'mm', 0)}`,
          ],
          source,
          assumes: say`cable pressed home to the bottom of both barrels`,
        },
      },
      isTooShort ? 'fails' : 'holds',
    ),
    ends,
    stated(
      {
        ...facts,
        topic: 'second-mark',
        title: say`Cut for end ${second}, ${first} bolted on`,
        value: lengths.secondMarkMm,
        because: say`From the centre of stud ${first} along the laid cable to where ${second}’s barrel will end.`,
        work: {
          formula: say`mark = finished − a_${second}`,
          substituted: [
            `= ${digits(lengths.finishedMm, 0)} − ${digits(first === 'A' ? aB : aA, 1)} = ${figure(lengths.secondMarkMm, 'mm', 0)}`,
          ],
          source,
          assumes: say`end ${first} finished and on its stud`,
        },
      },
      'holds',
    ),
  ];
}
