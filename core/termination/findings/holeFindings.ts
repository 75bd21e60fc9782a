import { atMost, type Finding, type State } from '../../finding/finding.ts';
import { digits, figure } from '../../model/units/figure.ts';
import { about } from './about.ts';
import type { EndSubject } from '../endSubject.ts';
import type { ResolvedEnd } from '../resolveEnd.ts';
import { dressedMm, finishedPassesMm, passageOf } from '../throughHole.ts';
import { say } from '../../words/say.ts';

/** Whether a finished end passes the hole; if not, that it is pulled bare and finished in place. */
export function holeFindings(end: ResolvedEnd, subject: EndSubject): Finding[] {
  const passage = passageOf(subject);
  const { holeMm } = subject.cable.run;
  if (!passage || holeMm === undefined || !end.lug) return [];
  if (passage.pulled !== end.name && !(passage.pulled === null && end.name === 'B')) return [];
  const { outerMm } = subject.conductor;
  const bare = end.spec.inPlace !== undefined;
  const value = bare || passage.pulled === null ? outerMm : finishedPassesMm(end, outerMm);
  const { palmWidthMm, palmThicknessMm, outerMm: barrelMm } = end.lug;
  const fits = value <= holeMm;
  const because = fits
    ? bare
      ? say`The bare cable passes; this end is finished in place.`
      : say`The finished end passes.`
    : passage.pulled === null
      ? say`The cable itself, ${figure(outerMm, 'mm', 1)}, does not pass ${figure(holeMm, 'mm', 1)}.`
      : say`The finished end does not pass.`;
  const remedy = fits
    ? undefined
    : passage.pulled === null
      ? say`A larger hole, or a thinner cable.`
      : say`Way out: pull it bare, crimp ${end.name} in place.`;
  const state: State = fits ? 'holds' : 'fails';
  return [
    atMost(
      {
        ...about(end, 'hole', say`Through the hole`),
        value,
        unit: 'mm',
        decimals: 1,
        because,
        ...(remedy && { remedy }),
        work: {
          formula: bare
            ? say`outside of the cable ≤ hole`
            : say`max(√(w² + t²), barrel + 2 · sleeve, jacket and all that is on it) ≤ hole`,
          substituted: bare
            ? [`${figure(outerMm, 'mm', 1)} ≤ ${figure(holeMm, 'mm', 1)}`]
            : [
                say`= max(√(${digits(palmWidthMm, 1)}² + ${digits(palmThicknessMm, 1)}²), ${digits(barrelMm, 1)} + 2 × ${digits(end.sleeve?.wallMm ?? 0, 1)}, ${digits(dressedMm(end, outerMm), 1)}) = ${figure(value, 'mm', 1)}`,
              ],
          source: say`geometry: the lug is turned and tilted, palm and barrel go one after the other`,
          assumes: say`a round hole, its edges bushed`,
        },
      },
      holeMm,
      0,
      state,
    ),
  ];
}
