import type { SectionMeasure } from './measure.ts';

/** A strand of fine cable, as a share of the across flats: 420 in a hexagon, half of it barrel. Thicker ones show longer. */
export const FINE_STRAND_SHARE = 0.036;
/** Blur over strand past which gaps between strands turn grey, and a section full of air can look packed. */
export const MOST_BLUR_OF_STRAND = 0.083;
/** Past this share of the across flats an edge is too wide whatever the strands. */
export const WIDEST_EDGE_SHARE = 0.0102;
/** As much as this may be blown out, or paler than copper: no more air could lie under it than the reading may be off. */
export const MOST_HIDDEN_SHARE = 0.015;

/** The whole step of a normal edge takes so many standard deviations of its blur. */
const EDGE_SIGMAS = Math.sqrt(2 * Math.PI);
/** Air lost to blur, as a share of the outline, is at most this times (blur ÷ strand)². */
const LOST_TO_BLUR = 3;
/** What a sharp picture may be off, as a share of the outline, and of the air itself. */
const METHOD_SHARE = 0.004;
const METHOD_OF_AIR = 0.02;

/** Between what and what the air of a section lies, as far as its picture shows it; shares of the outline. */
export interface AirBounds {
  readonly least: number;
  readonly most: number;
  /** Standard deviation of the picture's blur over the diameter of a strand. */
  readonly blurOfStrand: number;
  /** What blur, glare and what is pale may hide, a share of the outline each. */
  readonly soft: number;
  readonly glare: number;
  readonly pale: number;
  /** What keeps it from being told at all; null where nothing does. */
  readonly hidden: 'soft' | 'glare' | 'pale' | null;
}

/**
 * Between what and what the air of a section lies: what was measured, less and more what the method may be off, and
 * more what blur, glare and dust may hide.
 *
 * Source: 233 drawn sections of 37 to 420 strands, spoilt at random: none that it answers holds more. See
 * `docs/method.md`.
 *
 * @param saidShare diameter of a strand of its cable as a share of the across flats, where that is known
 * @example airBounds(section) // { least: 0.028, most: 0.041, hidden: null, … }
 */
export function airBounds(
  { voidShare, edgeShare, glareShare, paleShare, strandShare: seenShare }: Sight,
  saidShare?: number,
): AirBounds {
  const strandShare = strandOf(saidShare, seenShare);
  const blurOfStrand = edgeShare / EDGE_SIGMAS / strandShare;
  const soft = Math.min(1, LOST_TO_BLUR * blurOfStrand ** 2);
  const off = METHOD_SHARE + METHOD_OF_AIR * voidShare;
  return {
    least: Math.max(0, voidShare - off),
    most: Math.min(1, voidShare + off + soft + glareShare + paleShare),
    blurOfStrand,
    soft,
    glare: glareShare,
    pale: paleShare,
    hidden: hiddenBy(blurOfStrand, edgeShare, glareShare, paleShare),
  };
}

/** What of a section tells how much of its air is seen. */
export type Sight = Pick<
  SectionMeasure,
  'voidShare' | 'edgeShare' | 'glareShare' | 'paleShare' | 'strandShare'
>;

/** Strands seen round measure from 0.58 of what they are to 0.97: less than this of what is said, and it was another. */
const LEAST_SEEN_OF_SAID = 0.5;

/** How thick its strands are: as given, else as seen where some stand round, else as in fine cable. */
function strandOf(said: number | undefined, seen: number | null): number {
  const taken = said ?? Math.max(FINE_STRAND_SHARE, seen ?? 0);
  return seen !== null && seen < LEAST_SEEN_OF_SAID * taken ? seen : taken;
}

function hiddenBy(
  blurOfStrand: number,
  edgeShare: number,
  glareShare: number,
  paleShare: number,
): AirBounds['hidden'] {
  if (blurOfStrand > MOST_BLUR_OF_STRAND || edgeShare > WIDEST_EDGE_SHARE) return 'soft';
  if (glareShare > MOST_HIDDEN_SHARE) return 'glare';
  return paleShare > MOST_HIDDEN_SHARE ? 'pale' : null;
}

/** Pictures of one crimp, taken together. */
export interface CombinedAir {
  readonly voidShare: number;
  readonly least: number;
  readonly most: number;
  /** No share of air suits them all: they are not of one crimp, or the outline of one is wrong. */
  readonly disagree: boolean;
  /** Those that tell anything, and how much each of them counts; together 1. */
  readonly telling: readonly (Pick<AirBounds, 'least' | 'most'> & {
    readonly voidShare: number;
    readonly weight: number;
  })[];
}

/**
 * Several pictures of one crimp: each says between what and what its air lies, and it lies where all of them say. Those
 * that hide air say nothing. Null where none tells.
 *
 * @example combinedAir([{ voidShare: 0.03, bounds }, …])?.most // the least of their upper ends
 */
export function combinedAir(
  pictures: readonly { readonly voidShare: number; readonly bounds: AirBounds }[],
): CombinedAir | null {
  const telling = pictures.filter(({ bounds }) => bounds.hidden === null);
  if (telling.length === 0) return null;
  const least = Math.max(...telling.map(({ bounds }) => bounds.least));
  const most = Math.min(...telling.map(({ bounds }) => bounds.most));
  const disagree = least > most;
  // The narrower its bounds, the more a picture says.
  const weights = telling.map(({ bounds }) => 1 / (bounds.most - bounds.least) ** 2);
  const whole = weights.reduce((sum, weight) => sum + weight, 0);
  const weighed = telling.map(({ voidShare, bounds }, i) => ({
    voidShare,
    least: bounds.least,
    most: bounds.most,
    weight: (weights[i] ?? 0) / whole,
  }));
  return {
    voidShare: weighed.reduce((sum, { voidShare, weight }) => sum + voidShare * weight, 0),
    least: disagree ? Math.min(...telling.map(({ bounds }) => bounds.least)) : least,
    most: disagree ? Math.max(...telling.map(({ bounds }) => bounds.most)) : most,
    disagree,
    telling: weighed,
  };
}
