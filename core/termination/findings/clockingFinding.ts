import { type Finding, stated } from '../../finding/finding.ts';
import { digits, figure } from '../../model/units/figure.ts';
import { CLOCKING_TOLERANCE_DEG, twistLeftDeg } from '../clocking.ts';
import type { EndSubject } from '../endSubject.ts';
import { say } from '../../words/say.ts';
import { word } from '../../words/terms.ts';

/** Whether the angle between the palms can still be put right once both lugs are on. */
export function clockingFindings({ cable, conductor, ends, cutMm }: EndSubject): Finding[] {
  if (cutMm === null) return [];
  const betweenMm = Math.max(0, cutMm - (ends.A.stripMm ?? 0) - (ends.B.stripMm ?? 0));
  const twist = twistLeftDeg(conductor.strands, betweenMm, conductor.outerMm);
  const stiff = twist < 2 * CLOCKING_TOLERANCE_DEG;
  const amount = twist >= 180 ? say`Any angle` : `± ${figure(twist, '°', 0)}`;
  return [
    stated(
      {
        topic: 'clocking',
        stage: 'ends',
        title: say`Palm to palm`,
        value: cable.palmAngleDeg,
        unit: '°',
        decimals: 0,
        because: stiff
          ? say`Only ${amount} can be twisted in afterwards: set it before the second crimp.`
          : say`${amount} can still be twisted in afterwards.`,
        ...(stiff && { remedy: say`Lay it out in its own curve, mark lug and jacket with one line.` }),
        work: {
          formula: 'θ = γ · L ÷ r',
          substituted: [
            say`${word(conductor.strands)} strands, ${digits(betweenMm, 0)} mm between the strips, ${digits(conductor.outerMm, 1)} mm thick: ± ${figure(twist, '°', 0)}`,
          ],
          source: say`shop practice: a stiff thick cable gives about ten degrees a metre`,
          assumes: say`low confidence; by hand, without springing back`,
        },
      },
      stiff ? 'watch' : 'holds',
    ),
  ];
}
