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

const FACTS = { stage: 'cut', unit: 'mm', decimals: 0 } as const;
const SOURCE = say`geometry of the finished cable`;

/** Both ends with their lugs, which give the lengths. */
type Lugged = ResolvedEnd & { readonly lug: NonNullable<ResolvedEnd['lug']> };
const isLugged = (end: ResolvedEnd): end is Lugged => end.lug !== null;

/** The finished length, what to cut for it, and the mark for the end that is finished second. */
export function cutFindings(run: Run, a: ResolvedEnd, b: ResolvedEnd): Finding[] {
  const lengths = lengthsOf(run, a, b);
  if (!lengths || !isLugged(a) || !isLugged(b)) return [noLength()];
  return [cutLength(lengths, a, b), finishedLength(lengths, run), secondMark(lengths, run, a, b)];
}

const noLength = (): Finding =>
  stated(
    {
      ...FACTS,
      topic: 'cut',
      title: say`Cut length`,
      value: null,
      because: say`Each lug adds the distance from its hole to its barrel: choose both lugs first.`,
      remedy: say`Choose the lugs in Ends.`,
      work: {
        formula: say`cut = L + loop − (a_A + a_B)`,
        substituted: [say`a lug is missing`],
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
      title: say`Finished, stud to stud`,
      value: finishedMm,
      because: say`The route as it lies, and the slack for the next remake.`,
      work: {
        formula: say`finished = L + loop`,
        substituted: [`= ${digits(lengthMm, 0)} + ${digits(loopMm, 0)} = ${figure(finishedMm, 'mm', 0)}`],
        source: SOURCE,
        assumes: laid
          ? say`laid out: ${figure(laid.markMm, 'mm', 0)} from stud ${laid.on} to the mark at the other stud`
          : say`the length was measured along the route, not in a straight line`,
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
      title: say`Cut length`,
      value: cutMm,
      because: isTooShort
        ? say`The two ends meet: sleeves and strips need more cable than there is.`
        : say`Square-cut, between the bottoms of the two barrels.`,
      ...(isTooShort && {
        remedy: say`Shorten the sleeves, or use a bus bar instead of so short a cable.`,
      }),
      work: {
        formula: say`cut = L + loop − (a_A + a_B)`,
        substituted: [
          `= ${digits(finishedMm, 0)} − (${digits(a.lug.studToBarrelMm, 1)} + ${digits(b.lug.studToBarrelMm, 1)}) = ${figure(cutMm, 'mm', 0)}`,
        ],
        source: SOURCE,
        assumes: say`cable pressed home to the bottom of both barrels`,
      },
    },
    isTooShort ? 'fails' : 'holds',
  );
}

function secondMark({ finishedMm, secondMarkMm }: CableLengths, run: Run, a: Lugged, b: Lugged): Finding {
  const first = run.laid?.on ?? 'A';
  const second = otherEnd(first);
  const { studToBarrelMm } = (second === 'A' ? a : b).lug;
  return stated(
    {
      ...FACTS,
      topic: 'second-mark',
      title: say`Cut for end ${second}, ${first} bolted on`,
      value: secondMarkMm,
      because: say`From the centre of stud ${first} along the laid cable to where ${second}’s barrel will end.`,
      work: {
        formula: say`mark = finished − a_${second}`,
        substituted: [
          `= ${digits(finishedMm, 0)} − ${digits(studToBarrelMm, 1)} = ${figure(secondMarkMm, 'mm', 0)}`,
        ],
        source: SOURCE,
        assumes: say`end ${first} finished and on its stud`,
      },
    },
    'holds',
  );
}
