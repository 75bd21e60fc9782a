import { areaMm2, type ConductorSize } from '../model/tables/size.ts';
import type { Cable } from '../model/cable.ts';
import { END_NAMES } from '../model/end.ts';
import type { CableKind, Shop } from '../model/shop.ts';
import { usesDie } from '../model/method.ts';
import { conductorOf, resolveEnd } from './resolveEnd.ts';

/** Whether the shop can put both ends on a size: a lug that suits cable and stud, and a die that suits the lug. */
export function canCrimp(size: ConductorSize, kind: CableKind, cable: Cable, shop: Shop): boolean {
  const outerMm = kind.sizes.find((own) => areaMm2(own.size) === areaMm2(size))?.outerMm ?? 0;
  const conductor = conductorOf(kind, { size, outerMm });
  // The lug and die said are for the size said: another size is offered its own.
  const ends = Object.fromEntries(
    END_NAMES.map((name) => {
      const { lugId: _lug, dieId: _die, sleeveId: _sleeve, ...rest } = cable.ends[name];
      return [name, rest];
    }),
  ) as unknown as Cable['ends'];
  return END_NAMES.every((name) => {
    const { lug, method, die } = resolveEnd(name, { ...cable, ends }, conductor, shop);
    return lug !== null && (!usesDie(method) || die !== null);
  });
}
