import { type ClearingPoint, type FuseKind, FUSE_RATINGS_A, FUSES } from '../model/tables/fuses.ts';
import type { Fuse, Run } from '../model/run.ts';
import { nominalAmps } from './loadIn.ts';
import { chargedTo } from './source.ts';
import { type Message, msg } from '../words/message.ts';
import { clearingSeconds } from './fault.ts';

/** Above the cable's allowed amps it protects against a short circuit only; above this multiple not at all. */
export const SHORT_ONLY_UP_TO = 1.5;
/** The hottest the conductor may get while the fuse carries its rating, °C. */
export const HOTTEST_AT_RATING_C = 160;

/**
 * Current a kind of fuse can interrupt at a voltage, A; null where it is not made for that voltage.
 *
 * @param volts the highest charging voltage
 * @param nominalV a nominal 12 V system may use the 14 V row
 * @example breakingAmps('post-block', 14.6, 12) // 10000
 */
export function breakingAmps(kind: FuseKind, volts: number, nominalV: number): number | null {
  const counted = nominalV <= 12 ? Math.min(volts, 14) : volts;
  return FUSES[kind].breaking.find(({ upToV }) => counted <= upToV)?.amps ?? null;
}

/** Shortest melting times of bolt-in strips and links, at multiples of the rating. Confidence: low. */
const MELTS_NOT_BEFORE: readonly ClearingPoint[] = [
  { multiple: 2, seconds: 1 },
  { multiple: 3.5, seconds: 0.3 },
  { multiple: 6, seconds: 0.1 },
];
/** A curve from a sheet gives the longest times; the shortest are taken as so much less. Confidence: low. */
const LONGEST_OVER_SHORTEST = 15;

/**
 * The shortest time in which a fuse may melt at a multiple of its rating, s; null where nothing is known of it.
 *
 * Source: its shortest melting curve where that is typed; else a fifteenth of the longest; else the customary band of
 * bolt-in strips and links.
 *
 * @example meltsNotBefore({ kind: 'link', ratingA: 150 }, 2).notBeforeS // 1
 */
export function meltsNotBefore(
  fuse: Pick<Fuse, 'kind' | 'ratingA' | 'curve' | 'melts'>,
  multiple: number,
): { readonly notBeforeS: number | null; readonly how: Message; readonly isTyped: boolean } {
  const typed = fuse.melts ?? [];
  const first = typed[0];
  if (first) {
    const beyond = multiple > (typed.at(-1)?.multiple ?? 0);
    // Under its first point it takes at least as long as there.
    const within = Math.max(multiple, first.multiple);
    return {
      notBeforeS: beyond ? null : clearingSeconds(typed, within),
      how: beyond ? msg`beyond its melting curve` : msg`its shortest melting curve`,
      isTyped: true,
    };
  }
  return { ...customaryMelting(fuse, multiple), isTyped: false };
}

function customaryMelting(
  fuse: Pick<Fuse, 'kind' | 'curve'>,
  multiple: number,
): { readonly notBeforeS: number | null; readonly how: Message } {
  if (fuse.curve && fuse.curve.length > 0) {
    const longest =
      multiple > (fuse.curve.at(-1)?.multiple ?? 0) ? null : clearingSeconds(fuse.curve, multiple);
    return longest === null
      ? { notBeforeS: null, how: msg`beyond its curve` }
      : { notBeforeS: longest / LONGEST_OVER_SHORTEST, how: msg`a fifteenth of its curve` };
  }
  if (fuse.kind !== 'strip' && fuse.kind !== 'link')
    return { notBeforeS: null, how: msg`its melting curve is not given` };
  // Between the rating and twice it, it takes at least as long as at twice.
  const within = Math.max(multiple, MELTS_NOT_BEFORE[0]?.multiple ?? 2);
  const last = MELTS_NOT_BEFORE.at(-1);
  const seconds = last && within > last.multiple ? null : clearingSeconds(MELTS_NOT_BEFORE, within);
  return { notBeforeS: seconds, how: msg`customary band of bolt-in fuses` };
}

/** What a fuse has to carry: amps that are held, and steps for their time. */
export interface Carried {
  readonly heldA: number;
  readonly steps: readonly { readonly amps: number; readonly seconds: number }[];
}

/** A kind and a rating that carry a load, with what they interrupt. */
export interface FuseThatDoes {
  readonly kind: FuseKind;
  readonly ratingA: number;
  readonly breaksA: number;
}

/**
 * The smallest standard rating that carries a load: so much over the amps that are held, and every step over it shorter
 * than it takes to melt. Where several kinds do at that rating, a cartridge before the others. Null where none does.
 *
 * Source: the customary rating rule, by house practice; {@link meltsNotBefore}.
 *
 * @param overLoad how much over: customarily 1.25
 * @param volts the highest charging voltage
 * @param mostA what it must interrupt, 0 where that is not known
 * @param among the kinds that may be taken
 * @param sheet of the maker, for all ratings of a kind: its curves go by multiples of the rating
 * @example smallestFuse({ heldA: 150, steps: [] }, 1.25, 14.6, 12, 0) // class T of 200 A
 */
export function smallestFuse(
  { heldA, steps }: Carried,
  overLoad: number,
  volts: number,
  nominalV: number,
  mostA: number,
  among: readonly FuseKind[] = Object.keys(FUSES) as FuseKind[],
  sheet: Pick<Fuse, 'curve' | 'melts' | 'breakingA'> = {},
): FuseThatDoes | null {
  const carries = (kind: FuseKind, ratingA: number) =>
    ratingA >= overLoad * heldA &&
    steps.every(({ amps, seconds }) => {
      const { notBeforeS } = meltsNotBefore({ ...sheet, kind, ratingA }, amps / ratingA);
      return amps <= ratingA || (notBeforeS !== null && seconds < notBeforeS);
    });
  const kinds = among.includes('class-t') ? (['class-t', ...among] as const) : among;
  for (const ratingA of FUSE_RATINGS_A)
    for (const kind of kinds) {
      const breaksA = sheet.breakingA ?? breakingAmps(kind, volts, nominalV);
      if (breaksA !== null && breaksA >= mostA && carries(kind, ratingA)) return { kind, ratingA, breaksA };
    }
  return null;
}

/** A fuse as large as none other of its kind is made, A: where nothing smaller carries the load. */
const LARGEST_A = 600;

/**
 * The fuse to offer for a cable: the smallest that carries what it really draws, with its steps, at the first end that
 * has none.
 *
 * @param heldA amps through the cable as they were worked out, by efficiency and lowest battery, or by what repeats;
 *   null where none is
 */
export function proposedFuse(
  run: Pick<
    Run,
    'load' | 'fuses' | 'duty' | 'systemV' | 'source' | 'bothEndsLive' | 'farSource' | 'chargingV'
  >,
  heldA: number | null,
  overLoad: number,
): Fuse {
  const carried = { heldA: heldA ?? nominalAmps(run.load), steps: run.duty?.steps ?? [] };
  const does = smallestFuse(carried, overLoad, chargedTo(run).volts, run.systemV, 0);
  return {
    end: run.fuses.some(({ end }) => end === 'A') ? 'B' : 'A',
    kind: does?.kind ?? 'class-t',
    ratingA: does?.ratingA ?? LARGEST_A,
    place: 'near',
    distanceMm: 150,
  };
}
