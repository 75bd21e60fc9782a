import { addTo } from '../lib/lists.ts';
import { chargingVolts } from '../sizing/source.ts';
import type { PlaceOf } from '../model/system.ts';
import { batteryOhm, COLD_COPPER_C, postAt, wire, type Wiring } from './installation.ts';
import { shortsOf } from './network.ts';
import type { SolvedSystem } from './solve.ts';

/** A prospective short-circuit current, A. */
export interface ShortAt {
  /** Copper at 20 °C, batteries charged, every supply at its limit. */
  readonly mostA: number;
  /** Copper as hot as any state makes it, batteries at twice their resistance and their nominal volts, no supply. */
  readonly leastA: number;
  /** A battery that feeds it gives no resistance: the figures are no bound. */
  readonly isUnknown: boolean;
  /** A of the supplies in `mostA`. */
  readonly suppliesA: number;
}

/** Shorts of an installation, each worked when asked for. */
export interface Shorts {
  /** Which posts hang together through sources and conductors. */
  readonly islandOf: (post: number) => number;
  /** Between two posts. */
  readonly between: (plus: number, minus: number) => ShortAt;
  /** V that the island of a post is charged to, at most, and whose. */
  readonly chargedV: (post: number) => number;
}

/** The highest volts a battery is charged to, V. */
export const chargedV = ({ chargingV, source, nominalV }: PlaceOf<'battery'>): number =>
  chargingV ?? chargingVolts(source, nominalV).volts;

/** V from the lowest post to the highest of each part that hangs together, by its number. */
export function spansOf(
  volts: readonly number[],
  islandOf: (post: number) => number,
): ReadonlyMap<number, number> {
  const posts = new Map<number, number[]>();
  volts.forEach((own, post) => {
    const island = islandOf(post);
    if (island >= 0) addTo(posts, island, own);
  });
  return new Map([...posts].map(([island, own]) => [island, Math.max(...own) - Math.min(...own)]));
}

const SHORTED: Omit<Wiring, 'copperC' | 'batteryV' | 'batteryOhms'> = {
  isOpen: () => false,
  isOff: () => false,
  loadShare: () => 0,
};

/**
 * Prospective short-circuit currents, all switches closed and no load on.
 *
 * Source: Thévenin, see {@link shortsOf}; the least current by IEC 60364-4-43's way of hot conductors, and half the source's
 * current as the bench calculates it.
 *
 * @param solved for how hot each conductor gets
 */
export function shortsIn({ installation, states }: SolvedSystem): Shorts {
  const hottest = installation.conductors.map((_, i) =>
    Math.max(COLD_COPPER_C, ...states.map(({ cables }) => cables[i]?.copperC ?? COLD_COPPER_C)),
  );
  const cold = wire(installation, {
    ...SHORTED,
    copperC: () => COLD_COPPER_C,
    batteryV: chargedV,
    batteryOhms: 1,
  });
  const hot = wire(installation, {
    ...SHORTED,
    copperC: (conductor) => hottest[conductor] ?? COLD_COPPER_C,
    batteryV: ({ nominalV }) => nominalV,
    batteryOhms: 2,
  });
  const outputs = cold.network.converters.map(({ output, volts, amps, ohm }) => ({
    ...output,
    volts,
    amps,
    ohm,
  }));
  const most = shortsOf({ ...cold.network, supplies: [...cold.network.supplies, ...outputs] });
  const least = shortsOf({ ...hot.network, supplies: [] });
  const batteries = installation.system.places.filter((own) => own.kind === 'battery');
  const unknown = new Set(
    batteries
      .filter((own) => batteryOhm(own) === null)
      .map(({ id }) => most.islandOf(postAt(installation, id, 'plus'))),
  );
  const charged = spansOf(most.opened, most.islandOf);
  const known = new Map<string, ShortAt>();
  return {
    islandOf: most.islandOf,
    between(plus, minus) {
      const key = `${plus} ${minus}`;
      const before = known.get(key);
      if (before) return before;
      const [high, low] = [most.between({ plus, minus }), least.between({ plus, minus })];
      const short: ShortAt = {
        mostA: high.amps,
        leastA: low.amps,
        isUnknown: unknown.has(most.islandOf(plus)),
        suppliesA: high.ohm > 0 ? Math.max(0, high.amps - Math.abs(high.openV) / high.ohm) : 0,
      };
      known.set(key, short);
      return short;
    },
    chargedV: (post) => charged.get(most.islandOf(post)) ?? 0,
  };
}
