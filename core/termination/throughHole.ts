import { radians } from '../lib/angle.ts';
import { LAYERS } from '../model/tables/layers.ts';
import { END_NAMES, type EndName } from '../model/end.ts';
import type { Lug, Sleeve } from '../model/shop.ts';
import type { EndSubject } from './endSubject.ts';
import type { ResolvedJoin } from './join.ts';
import type { ResolvedEnd } from './resolveEnd.ts';
import { overLayersMm } from './sleeves/layers.ts';
import { wallOnMm } from './sleeves/sleeve.ts';

type Passing = Pick<Lug, 'palmWidthMm' | 'palmThicknessMm' | 'outerMm' | 'angleDeg' | 'offsetMm'>;

/**
 * The round hole a lug needs to pass, mm: it is turned and tilted, so palm and barrel go one after the other. A palm
 * passes as the circle round its section, `√(w² + t²)`; one that lies beside its barrel's line with the step to it,
 * `√(w² + (t + o)²)`. Round a bend the elbow goes through last, palm and barrel at once: `√((w·sin α)² + D² + (t·sin α)²)`,
 * at least.
 *
 * @param sleeveWallMm of the sleeve shrunk over the barrel; 0 where it is bare
 * @example lugPassesMm({ palmWidthMm: 23.1, palmThicknessMm: 5, outerMm: 16.5, angleDeg: 0, offsetMm: 0 }, 1.5) // 23.6
 */
export function lugPassesMm(
  { palmWidthMm, palmThicknessMm, outerMm, angleDeg, offsetMm }: Passing,
  sleeveWallMm: number,
): number {
  const sleevedMm = outerMm + 2 * sleeveWallMm;
  const bent = Math.sin(radians(angleDeg));
  return Math.max(
    Math.hypot(palmWidthMm, palmThicknessMm + offsetMm),
    sleevedMm,
    bent === 0 ? 0 : Math.hypot(bent * palmWidthMm, sleevedMm, bent * palmThicknessMm),
  );
}

/**
 * Outside of the cable beside a finished end, with all that is caught, shrunk and pushed on there, mm.
 *
 * @param jacketMm outside of the cable
 */
export function dressedMm({ sleeve, layers, band }: ResolvedEnd, jacketMm: number): number {
  const over = overLayersMm(jacketMm, layers);
  const sealedMm = over + 2 * (sleeve?.wallMm ?? 0);
  const bandedMm = band ? sealedMm + 2 * wallOnMm(band, sealedMm) : sealedMm;
  return Math.max(bandedMm, layers.includes('boot') ? over + 2 * LAYERS.boot.wallMm : 0);
}

/** The round hole that a finished end needs, mm: for its lug, and for the cable dressed beside it. */
export const finishedPassesMm = (end: ResolvedEnd, jacketMm: number): number =>
  end.lug
    ? Math.max(lugPassesMm(end.lug, end.sleeve?.wallMm ?? 0), dressedMm(end, jacketMm))
    : Number.POSITIVE_INFINITY;

/** Outside of a sleeve as it is supplied, mm: its walls are thinner before it has shrunk. @example unshrunkMm({ suppliedMm: 24, recoveredMm: 8, wallMm: 2.5 }) // 26.1 */
export const unshrunkMm = (sleeve: Sleeve) => sleeve.suppliedMm + 2 * wallOnMm(sleeve, sleeve.suppliedMm);

/** Whether all that waits on the cable for an end passes a hole as it is pulled through, unshrunk. */
export const passesUnshrunk = ({ nesting, sleeve, band, spec }: ResolvedEnd, holeMm: number): boolean =>
  nesting.every(({ layer, mustPassMm }) => {
    // What comes on over the palm is not on the cable yet.
    if (layer === 'sleeve') return !sleeve || spec.sleeveAfterLug || unshrunkMm(sleeve.sleeve) <= holeMm;
    return (layer === 'band' && band ? unshrunkMm(band) : mustPassMm + 2 * LAYERS[layer].wallMm) <= holeMm;
  });

/** Outside of a join with the sleeve that is shrunk over it, mm; 0 while it has no connector. */
export const joinMm = ({ connector, sleeve }: ResolvedJoin): number =>
  connector ? connector.outerMm + 2 * (sleeve ? wallOnMm(sleeve, connector.outerMm) : 0) : 0;

/** How a cable gets through the smallest hole of its route, and what that means for the order of work. */
export interface Passage {
  /** The end that goes through; null where the bare cable itself does not pass. */
  readonly pulled: EndName | null;
  /** Whether that end goes through finished, or bare and is finished in place. */
  readonly finished: boolean;
}

/** Decides which end is pulled through: the one said, else one that passes finished, else B, bare. */
export function passageOf({
  cable,
  conductor,
  ends,
}: Pick<EndSubject, 'cable' | 'conductor' | 'ends'>): Passage | null {
  const { holeMm, pulledEnd } = cable.run;
  if (holeMm === undefined) return null;
  const candidates = pulledEnd ? [pulledEnd] : END_NAMES;
  const inPlace = candidates.find((name) => ends[name].spec.inPlace);
  if (inPlace) return { pulled: conductor.outerMm <= holeMm ? inPlace : null, finished: false };
  const passing = candidates.find((name) => finishedPassesMm(ends[name], conductor.outerMm) <= holeMm);
  if (passing) return { pulled: passing, finished: true };
  return { pulled: conductor.outerMm <= holeMm ? (pulledEnd ?? 'B') : null, finished: false };
}
