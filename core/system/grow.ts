import { resistancePerMetre20 } from '../conductor/resistance.ts';
import type { CableSize } from '../model/shop.ts';
import { areaMm2 } from '../model/tables/size.ts';
import { allowedPercent } from './allowed.ts';
import type { Conductor } from './installation.ts';
import { isHeld } from './solve.ts';
import type { SystemView } from './view.ts';

/** Drops are brought this far under what is allowed, so that a rounding does not tip them. */
const UNDER = 0.999;
const MOST_STEPS = 5000;

/** The next thicker size of a conductor's kind. */
const thicker = ({ kind }: Conductor, now: CableSize): CableSize | undefined =>
  kind.sizes
    .filter((own) => areaMm2(own.size) > areaMm2(now.size))
    .toSorted((a, b) => areaMm2(a.size) - areaMm2(b.size))[0];

/**
 * Sizes of cables without one of their own, made thicker until every load's drop is allowed: at each step the cable that
 * saves most volts for its copper. Currents are those of the solved states; they are found again afterwards.
 *
 * @param view solved with the sizes to begin from
 * @returns the new sizes by cable; none where nothing had to change, or nothing could
 */
export function grownFor(view: SystemView): ReadonlyMap<string, CableSize> {
  const sizes = new Map<string, CableSize>();
  /** For each load and state: its drop, its limit, and the V that each of its cables without a size loses. */
  const open = view.drops.flatMap((drop) => {
    const load = view.placeOf(drop.loadId);
    const state = view.stateOf(drop.stateId);
    if (load?.kind !== 'load' || !state || drop.nominalV <= 0) return [];
    const mostV = (UNDER * allowedPercent(load, isHeld(state)) * drop.nominalV) / 100;
    const cables = drop.shares.flatMap(({ of, volts }) => {
      const conductor = of.kind === 'cable' ? view.conductorOf(of.id) : undefined;
      return conductor && !conductor.cable.gauge.size ? [{ conductor, volts }] : [];
    });
    return [{ dropV: drop.dropV, mostV, cables }];
  });
  const ohms = ({ kind }: Conductor, { size }: CableSize) => resistancePerMetre20(size, kind);
  for (let step = 0; step < MOST_STEPS; step += 1) {
    const over = open.filter(({ dropV, mostV }) => dropV > mostV);
    let best: { conductor: Conductor; next: CableSize; gain: number } | null = null;
    for (const { conductor } of over.flatMap(({ cables }) => cables)) {
      const now = sizes.get(conductor.cable.id) ?? conductor.size;
      const next = thicker(conductor, now);
      if (!next) continue;
      const share = 1 - ohms(conductor, next) / ohms(conductor, now);
      const saved = over.reduce(
        (sum, { cables }) => sum + (cables.find((own) => own.conductor === conductor)?.volts ?? 0) * share,
        0,
      );
      const copper = (areaMm2(next.size) - areaMm2(now.size)) * conductor.cable.run.lengthMm;
      const gain = saved / copper;
      if (gain > 0 && (!best || gain > best.gain)) best = { conductor, next, gain };
    }
    if (!best) return sizes;
    const { conductor, next } = best;
    const share = ohms(conductor, next) / ohms(conductor, sizes.get(conductor.cable.id) ?? conductor.size);
    sizes.set(conductor.cable.id, next);
    for (const one of open)
      for (const own of one.cables) {
        if (own.conductor !== conductor) continue;
        one.dropV -= own.volts * (1 - share);
        own.volts *= share;
      }
  }
  return sizes;
}
