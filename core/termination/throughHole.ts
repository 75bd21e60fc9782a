import type { Lug } from '../job/shop.ts';

/**
 * The round hole a lug needs to pass, mm: it is turned and tilted, so palm and barrel go one after the other. A palm
 * passes as the circle round its section, `√(w² + t²)`.
 *
 * @param sleeveWallMm of the sleeve shrunk over the barrel; 0 where it is bare
 * @example lugPassesMm({ palmWidthMm: 23.1, palmThicknessMm: 5, outerMm: 16.5 … }, 1.5) // 23.6
 */
export function lugPassesMm(
  { palmWidthMm, palmThicknessMm, outerMm }: Pick<Lug, 'palmWidthMm' | 'palmThicknessMm' | 'outerMm'>,
  sleeveWallMm: number,
): number {
  return Math.max(Math.hypot(palmWidthMm, palmThicknessMm), outerMm + 2 * sleeveWallMm);
}
