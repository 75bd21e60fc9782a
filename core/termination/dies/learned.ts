import { type Message, msg, numeral, briefly } from '../../words/message.ts';
import { areaMm2 } from '../../model/tables/size.ts';
import type { Die, Lug, Trial } from '../../model/shop.ts';
import { MOST_EARS_MM } from './dieClosed.ts';
import { pullTargets } from './pullForce.ts';
import { compaction, COMPACTION, type DieVerdict, hexagonMm2, packingFromVoid } from './dieOnLug.ts';
import { wallMm2, MEASURE_TOLERANCE_MM } from '../lugs/lugOnCable.ts';

/** What a die's test crimps have taught about it, whatever lug they were made on. */
export interface Learned {
  readonly trials: number;
  /** The widest that its crimps really measure across flats, mm; the die's own figure while there is no trial. */
  readonly flatsMm: number;
  readonly flatsToleranceMm: number;
  /** The loosest packing seen in sawn sections over packing predicted; 1 while none was sawn. */
  readonly packing: number;
  readonly sections: number;
}

/** What test crimps of one die on one lug and cable came to. They outrank any prediction. */
export interface OwnTrials {
  readonly count: number;
  readonly verdict: DieVerdict;
  readonly because: Message;
  /** The loosest packing seen in its sections; null where none was sawn. */
  readonly kappa: number | null;
  readonly earsMm: number;
}

/** The best that callipered trials are trusted, mm. */
const LEAST_TOLERANCE_MM = 0.05;

/** Trials that count: a simulated one teaches nothing. */
export const countingTrials = (trials: readonly Trial[]) =>
  trials.filter(({ source }) => source !== 'simulated');

/** Packing of a trial's section, on the lug it was made on; null where none was sawn or the lug is gone. */
function packingSeen({ voidShare, acrossFlatsMm }: Trial, lug: Lug | undefined): number | null {
  if (voidShare === undefined || !lug) return null;
  const outline = hexagonMm2(acrossFlatsMm);
  const wall = wallMm2(lug);
  return outline > wall ? packingFromVoid(voidShare, outline, wall) : null;
}

/**
 * What a die's trials say of the die. The prediction is corrected by them, and by the worst of them: its crimps are taken
 * to be as wide as the widest, as far off as the narrowest lies from it, and packed as the loosest section showed. One
 * bad crimp in five is what the next cable may get; a mean would hide it.
 *
 * @param trials of this die
 */
export function learn(die: Die, trials: readonly Trial[], lugs: readonly Lug[]): Learned {
  const flats = trials.map(({ acrossFlatsMm }) => acrossFlatsMm);
  if (flats.length === 0) {
    return {
      trials: 0,
      flatsMm: die.acrossFlatsMm,
      flatsToleranceMm: MEASURE_TOLERANCE_MM,
      packing: 1,
      sections: 0,
    };
  }
  const flatsMm = Math.max(...flats);
  const apartMm = flats.length > 1 ? flatsMm - Math.min(...flats) : MEASURE_TOLERANCE_MM;
  const ratios = trials.flatMap((trial) => {
    const lug = lugs.find(({ id }) => id === trial.lugId);
    const seen = packingSeen(trial, lug);
    if (seen === null || !lug) return [];
    const expected = compaction({
      boreMm: lug.boreMm,
      outerMm: lug.outerMm,
      copperMm2: areaMm2(trial.size),
      acrossFlatsMm: trial.acrossFlatsMm,
    }).kappa;
    return [seen / Math.min(1, expected)];
  });
  return {
    trials: flats.length,
    flatsMm,
    flatsToleranceMm: Math.max(LEAST_TOLERANCE_MM, apartMm),
    packing: ratios.length > 0 ? Math.min(...ratios) : 1,
    sections: ratios.length,
  };
}

/** Two lugs that are the same to a die: the hole and the palm are no matter to it. */
export const sameBarrel = (a: Lug, b: Lug) =>
  a.boreMm === b.boreMm && a.outerMm === b.outerMm && a.barrelMm === b.barrelMm;

/** Copper within this share is the same conductor to a crimp. */
const SAME_COPPER = 0.01;

/**
 * What trials of a die on this very barrel and conductor came to; null where there is none that says enough: a pull,
 * a section, or ears past what is allowed.
 */
export function ownTrials(
  trials: readonly Trial[],
  lug: Lug,
  copperMm2: number,
  lugs: readonly Lug[],
): OwnTrials | null {
  const dieTrials = trials.filter((trial) => {
    const on = lugs.find(({ id }) => id === trial.lugId);
    return on && sameBarrel(on, lug) && Math.abs(areaMm2(trial.size) / copperMm2 - 1) <= SAME_COPPER;
  });
  if (dieTrials.length === 0) return null;
  const packings = dieTrials.flatMap((trial) => packingSeen(trial, lug) ?? []);
  const kappa = packings.length > 0 ? Math.min(...packings) : null;
  const earsMm = Math.max(0, ...dieTrials.map((trial) => trial.earsMm));
  const pulls = dieTrials.flatMap(({ pull }) => pull ?? []);
  const asked = pullTargets(copperMm2).usualN;
  const slipped = pulls.find(({ held, forceN }) => !held && forceN < asked);
  const base = { count: dieTrials.length, kappa, earsMm };
  if (slipped) {
    return { ...base, verdict: 'open', because: msg`A trial slipped at ${numeral(slipped.forceN, 0)} N.` };
  }
  if (kappa !== null && kappa < COMPACTION.rightKappa) {
    const isOpen = kappa < COMPACTION.openKappa;
    return {
      ...base,
      verdict: isOpen ? 'open' : 'light',
      because: msg`The sawn trial shows air between the strands.`,
    };
  }
  if (earsMm > MOST_EARS_MM)
    return { ...base, verdict: 'tight', because: msg`A trial raised ears of ${briefly(earsMm, 'mm', 2)}.` };
  const held = pulls.some((pull) => pull.held && pull.forceN >= asked) || pulls.some((pull) => !pull.held);
  if (kappa === null && !held) return null;
  return {
    ...base,
    verdict: 'right',
    because: kappa === null ? msg`A trial held the usual pull.` : msg`The sawn trial is packed.`,
  };
}
