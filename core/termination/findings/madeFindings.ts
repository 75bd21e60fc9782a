import { atLeast, type Finding, stated } from '../../finding/finding.ts';
import type { Run } from '../../model/run.ts';
import type { Lug } from '../../model/shop.ts';
import { amount, listed, msg, numeral, verbatim } from '../../words/message.ts';
import { madeFrom, type TubeLug } from '../lugs/tubeLug.ts';
import type { ResolvedEnd } from '../resolveEnd.ts';
import { about } from './about.ts';

/** A lug made here from tube: what it may carry by its metal, and where it may not go. */
export function madeFindings(end: ResolvedEnd, lug: Lug, run: Pick<Run, 'meets'>): Finding[] {
  const made = madeFrom(lug, end.wholeMm2);
  return made ? [metal(end, lug, made), place(end, lug, run)] : [];
}

function metal(end: ResolvedEnd, { label }: Lug, made: TubeLug): Finding {
  const share = made.leastMm2 / end.wholeMm2;
  return atLeast(
    {
      ...about(end, 'made-metal', msg`Metal of the made lug`),
      value: made.leastMm2,
      unit: 'mm²',
      decimals: 1,
      because:
        share >= 1
          ? msg`${label} has as much copper where it is least as the cable: it carries what the cable may.`
          : msg`${label} has ${amount(share * 100, '%', 0)} of the cable’s copper where it is least: it runs hotter than the cable.`,
      ...(share < 1 && { remedy: msg`Take tube with a thicker wall, or a bought lug.` }),
      work: {
        formula: msg`least of wall = π/4 · (D² − d²) and flat = palm · 2t, at least A`,
        substituted: [
          verbatim`${numeral(made.tubeMm2, 1)}; ${numeral(made.palmWidthMm, 1)} × ${numeral(made.palmThicknessMm, 1)} → ${amount(made.leastMm2, 'mm²', 1)}`,
        ],
        source: msg`geometry of a flattened tube; craft practice`,
        assumes: msg`both walls lie together, nothing is cracked, and the washer takes the current over before the hole`,
      },
    },
    end.wholeMm2,
  );
}

/** Where nobody can stand for a lug that nobody tested. */
function place(end: ResolvedEnd, { plating }: Lug, { meets }: Pick<Run, 'meets'>): Finding {
  const against = [
    meets.includes('flexing') && msg`it flexes: the neck was worked, and cracks first`,
    meets.includes('exhaust') && msg`it is beside an exhaust`,
    meets.includes('wet') && plating === 'none' && msg`it is wet, and the copper is bare`,
  ].filter((reason) => reason !== false);
  return stated(
    {
      ...about(end, 'made-place', msg`Where a made lug may go`),
      value: null,
      unit: '',
      decimals: 0,
      because:
        against.length > 0
          ? msg`Not here: ${listed(against, msg`; and `)}.`
          : msg`In the field, until a bought lug is to be had: no maker stands for it, and no survey accepts it.`,
      remedy:
        against.length > 0
          ? msg`Put a bought lug on${meets.includes('wet') && plating === 'none' && against.length === 1 ? msg`, or tin it and enter it as tinned` : ''}.`
          : msg`Pull one apart first, set a day to replace it, and say in the record what it is.`,
      work: {
        formula: msg`not where it flexes, by an exhaust, or bare in the wet`,
        substituted: [],
        source: msg`craft practice: a field expedient`,
        assumes: msg`what the run meets, as given in Run`,
      },
    },
    against.length > 0 ? 'fails' : 'watch',
  );
}
