import { atMost, type Finding, type State, type Work } from '../../finding/finding.ts';
import { amount, msg, numeral, verbatim } from '../../words/message.ts';
import type { Lug } from '../../model/shop.ts';
import { about } from './about.ts';
import type { EndSubject } from '../endSubject.ts';
import type { ResolvedEnd } from '../resolveEnd.ts';
import { isStraight } from '../lugs/palmAngle.ts';
import { dressedMm, finishedPassesMm, lugPassesMm, passageOf } from '../throughHole.ts';

const PASSES = {
  source: msg`geometry: the lug is turned and tilted, palm and barrel go one after the other`,
  assumes: msg`a round hole, its edges bushed`,
};
const bareWork = (outerMm: number, holeMm: number): Work => ({
  ...PASSES,
  formula: msg`outside of the cable ≤ hole`,
  substituted: [verbatim`${amount(outerMm, 'mm', 1)} ≤ ${amount(holeMm, 'mm', 1)}`],
});
function finishedWork(end: ResolvedEnd, lug: Lug, outerMm: number, valueMm: number): Work {
  const { palmWidthMm, palmThicknessMm, outerMm: barrelMm, angleDeg, offsetMm } = lug;
  const sleeveMm = end.sleeve?.wallMm ?? 0;
  const dressed = numeral(dressedMm(end, outerMm), 1);
  const comes = amount(valueMm, 'mm', 1);
  if (isStraight(lug))
    return {
      ...PASSES,
      formula: msg`max(√(w² + t²), barrel + 2 · sleeve, jacket and all that is on it) ≤ hole`,
      substituted: [
        msg`= max(√(${numeral(palmWidthMm, 1)}² + ${numeral(palmThicknessMm, 1)}²), ${numeral(barrelMm, 1)} + 2 × ${numeral(sleeveMm, 1)}, ${dressed}) = ${comes}`,
      ],
    };
  const needed = lugPassesMm(lug, sleeveMm);
  return {
    ...PASSES,
    formula: msg`max(√(w² + (t + offset)²), √((w · sin α)² + (barrel + 2 · sleeve)² + (t · sin α)²), jacket and all that is on it) ≤ hole`,
    substituted: [
      msg`α = ${numeral(angleDeg, 0)}°, offset ${amount(offsetMm, 'mm', 1)}: the lug needs ${amount(needed, 'mm', 1)}`,
      msg`= max(${numeral(needed, 1)}, ${dressed}) = ${comes}`,
    ],
  };
}

/** Whether a finished end passes the hole; if not, that it is pulled bare and finished in place. */
export function holeFindings(end: ResolvedEnd, subject: EndSubject): Finding[] {
  const passage = passageOf(subject);
  const { holeMm } = subject.cable.run;
  if (!passage || holeMm === undefined || !end.lug) return [];
  if (passage.pulled !== end.name && !(passage.pulled === null && end.name === 'B')) return [];
  const { outerMm } = subject.conductor;
  const bare = end.spec.inPlace !== undefined;
  const value = bare || passage.pulled === null ? outerMm : finishedPassesMm(end, outerMm);
  const fits = value <= holeMm;
  const because = fits
    ? bare
      ? msg`The bare cable passes; this end is finished in place.`
      : msg`The finished end passes.`
    : passage.pulled === null
      ? msg`The cable itself, ${amount(outerMm, 'mm', 1)}, does not pass ${amount(holeMm, 'mm', 1)}.`
      : msg`The finished end does not pass.`;
  const remedy = fits
    ? undefined
    : passage.pulled === null
      ? msg`A larger hole, or a thinner cable.`
      : msg`Solution: pull it bare, crimp ${end.name} in place.`;
  const state: State = fits ? 'holds' : 'fails';
  return [
    atMost(
      {
        ...about(end, 'hole', msg`Through the hole`),
        value,
        unit: 'mm',
        decimals: 1,
        because,
        ...(remedy && { remedy }),
        work: bare ? bareWork(outerMm, holeMm) : finishedWork(end, end.lug, outerMm, value),
      },
      holeMm,
      0,
      state,
    ),
  ];
}
