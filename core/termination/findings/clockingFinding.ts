import { type Finding, stated } from '../../finding/finding.ts';
import { amount, msg, numeral, verbatim } from '../../words/message.ts';
import { CLOCKING_TOLERANCE_DEG, twistLeftDeg } from '../clocking.ts';
import type { EndSubject } from '../endSubject.ts';

import { term } from '../../words/terms.ts';

/** Whether the angle between the palms can still be corrected once both lugs are on. */
export function clockingFindings({ cable, conductor, ends, cutMm }: EndSubject): Finding[] {
  if (cutMm === null) return [];
  const betweenMm = Math.max(0, cutMm - (ends.A.stripMm ?? 0) - (ends.B.stripMm ?? 0));
  const twist = twistLeftDeg(conductor.strands, betweenMm, conductor.outerMm);
  const stiff = twist < 2 * CLOCKING_TOLERANCE_DEG;
  const span = twist >= 180 ? msg`Any angle` : verbatim`± ${amount(twist, '°', 0)}`;
  return [
    stated(
      {
        topic: 'clocking',
        stage: 'ends',
        title: msg`Palm to palm`,
        value: cable.palmAngleDeg,
        unit: '°',
        decimals: 0,
        because: stiff
          ? msg`Only ${span} can be twisted in afterwards: set it before the second crimp.`
          : msg`${span} can still be twisted in afterwards.`,
        ...(stiff && { remedy: msg`Lay it out in its own curve, mark lug and jacket with one line.` }),
        work: {
          formula: 'θ = γ · L ÷ r',
          substituted: [
            msg`${term(conductor.strands)} strands, ${numeral(betweenMm, 0)} mm between the strips, ${numeral(conductor.outerMm, 1)} mm thick: ± ${amount(twist, '°', 0)}`,
          ],
          source: msg`shop practice: a stiff thick cable gives about ten degrees a metre`,
          assumes: msg`low confidence; by hand, without springing back`,
        },
      },
      stiff ? 'watch' : 'holds',
    ),
  ];
}
