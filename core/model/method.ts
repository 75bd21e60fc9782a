import type { Cable } from './cable.ts';
import type { End } from './end.ts';
import type { Lug, Shop } from './shop.ts';
import type { HousePractice, Method } from './housePractice.ts';

/** How a lug is held: by a school's method, or by screws until it is made properly. */
export type LugMethod = Method | 'screwed';

/** Whether a lug holds its cable by screws, and is for getting home. */
export const isScrewed = ({ form }: Pick<Lug, 'form'>): boolean =>
  form === 'screw clamp' || form === 'screw terminal';

/** The method that a lug's make leaves: a casting is only soldered, a clamp or terminal with screws is screwed. */
export function methodOf(end: End, lug: Lug | null | undefined, practice: HousePractice): LugMethod {
  if (lug?.form === 'cast clamp') return 'solder';
  if (lug && isScrewed(lug)) return 'screwed';
  return end.method ?? practice.method;
}

export const usesSolder = (method: LugMethod) => method !== 'crimp' && method !== 'screwed';
export const usesDie = (method: LugMethod) => method !== 'solder' && method !== 'screwed';

/** Whether an end of a cable is soldered, as far as it is given: a lug that is only proposed is a tube. */
export function isSoldered(cable: Cable, shop: Shop): boolean {
  return [cable.ends.A, cable.ends.B].some((end) =>
    usesSolder(
      methodOf(
        end,
        shop.lugs.find(({ id }) => id === end.lugId),
        shop.practice,
      ),
    ),
  );
}

/** A soldered end is bolted to what may be this hot at most, °C. Source: small-craft practice. */
export const SOLDERED_END_C = 105;
/** A short may heat a soldered end to this at most, °C. Source: IEC 60724. */
export const SOLDERED_SHORT_C = 160;
