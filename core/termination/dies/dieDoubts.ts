import { MEASURE_TOLERANCE_MM } from '../lugs/lugOnCable.ts';
import type { Doubt } from '../../finding/finding.ts';
import { msg, amount } from '../../words/message.ts';
import { compaction, COPPER_SHARE, type CrimpParts } from './dieOnLug.ts';

/**
 * What packing and compaction go by that is not known exactly, and how far each moves them towards their limits: packing
 * downwards, compaction upwards.
 *
 * @param flatsToleranceMm how well the die's flats are known; trials narrow it
 * @example dieDoubts(parts, 0.1, 'kappa')[0] // copper − 10 %: off 0.09
 */
export function dieDoubts(parts: CrimpParts, flatsToleranceMm: number, what: 'c' | 'kappa'): Doubt[] {
  const looser = what === 'kappa' ? 1 : -1;
  const middle = compaction(parts)[what];
  const off = (change: Partial<CrimpParts>) => {
    const moved = compaction({ ...parts, ...change })[what];
    return Number.isFinite(moved) && Number.isFinite(middle) ? Math.max(0, looser * (middle - moved)) : 0;
  };
  const copperMm2 = parts.copperMm2 * (what === 'kappa' ? COPPER_SHARE.least : COPPER_SHARE.most);
  return [
    {
      what: what === 'kappa' ? msg`copper − 10 %` : msg`copper + 2 %`,
      off: off({ copperMm2 }),
      settle: msg`weigh a metre of the cable, or measure its resistance`,
    },
    {
      what: msg`flats of the die ${looser > 0 ? '+' : '−'} its tolerance`,
      off: off({ acrossFlatsMm: parts.acrossFlatsMm + looser * flatsToleranceMm }),
      settle: msg`crimp a spare lug and measure it across the flats`,
    },
    {
      what: msg`barrel ± ${amount(0.1, 'mm', 1)}`,
      off: off({
        outerMm: parts.outerMm - looser * MEASURE_TOLERANCE_MM,
        boreMm: parts.boreMm + looser * MEASURE_TOLERANCE_MM,
      }),
      settle: msg`measure the lug’s bore and outside with a calliper`,
    },
  ];
}
