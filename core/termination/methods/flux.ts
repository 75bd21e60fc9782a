import type { Lug } from '../../model/shop.ts';

/** Flux brushed into a barrel and over the strands: a film on each, mm, and its density. Craft practice. */
export const FLUX = { filmMm: 0.1, faces: 2, gPerCm3: 1 } as const;

/**
 * Rosin flux for one end that is fed with solder, g: a film in the bore and the same on the strands, `2·t·π·d·L·ρ`.
 *
 * @example fluxG({ boreMm: 12, barrelMm: 28 }) // 0.21
 */
export const fluxG = ({ boreMm, barrelMm }: Pick<Lug, 'boreMm' | 'barrelMm'>): number =>
  (FLUX.faces * FLUX.filmMm * Math.PI * boreMm * barrelMm * FLUX.gPerCm3) / 1000;
