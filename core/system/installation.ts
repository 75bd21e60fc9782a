import { resistancePerMetre } from '../conductor/resistance.ts';
import type { Cable } from '../model/cable.ts';
import { END_NAMES, type EndName } from '../model/end.ts';
import type { Job } from '../model/job.ts';
import type { Device, Fuse } from '../model/run.ts';
import { type CableKind, type CableSize, ownedKind, type Shop } from '../model/shop.ts';
import { everythingOn, type Place, type PlaceOf, type System, type SystemState } from '../model/system.ts';
import { CUSTOMARY_RELAY_MILLIOHM, PLACE_POSTS, type PostName } from '../model/tables/places.ts';
import { areaMm2, sameSize } from '../model/tables/size.ts';
import { CUSTOMARY_CHASSIS_MILLIOHM } from '../model/tables/sources.ts';
import { deviceMilliohm } from '../sizing/devices.ts';
import { typicalBarrelMm } from '../sizing/loop.ts';
import { sourceResistance } from '../sizing/source.ts';
import type { NetBattery, NetConverter, NetDraw, NetSupply, Network, Pair } from './pieces.ts';
import { type OnPost, postKey } from './places.ts';

/** A conductor as it is calculated: which size, of which kind, and the fuses that sit in the cable itself. */
export interface Conductor {
  readonly cable: Cable;
  readonly kind: CableKind;
  readonly size: CableSize;
  /** The posts that its ends are on, by number. */
  readonly at: Readonly<Record<EndName, number>>;
  /** Typed on the cable, where no fuse of the system is at either end. */
  readonly fuses: readonly Fuse[];
}

/** The installation with its posts numbered. */
export interface Installation {
  readonly job: Job;
  readonly system: System;
  /** Every post, in the order of the places. */
  readonly posts: readonly (OnPost & { readonly at: Place })[];
  readonly numberOf: ReadonlyMap<string, number>;
  /** Cables with both ends on posts. */
  readonly conductors: readonly Conductor[];
  /** Cables with an end on no place. */
  readonly loose: readonly Cable[];
}

/** The number of a post; -1 where there is none such. */
export const postAt = ({ numberOf }: Pick<Installation, 'numberOf'>, place: string, post: PostName): number =>
  numberOf.get(postKey({ place, post })) ?? -1;

const EMPTY: System = { places: [], bonds: [], states: [everythingOn('all-on', '-')] };

/** What stands between two posts and opens or conducts. */
export type Between = PlaceOf<'fuse' | 'breaker' | 'switch' | 'relay' | 'shunt'>;
export const isBetween = (place: Place): place is Between =>
  (PLACE_POSTS[place.kind] as readonly string[]).includes('line');
/** What opens by itself on too many amps. */
export const isFuse = (place: Place): place is PlaceOf<'fuse' | 'breaker'> =>
  place.kind === 'fuse' || place.kind === 'breaker';

const DEVICE_OF = {
  fuse: 'fuse',
  breaker: 'breaker',
  shunt: 'shunt',
  switch: 'isolator',
} as const satisfies Record<string, Device['kind']>;

/** Ohms of a device while it is closed: as typed, else as such devices customarily have. */
export function ohmOfDevice(place: Between): number {
  const { milliohm, ratingA } = place;
  if (place.kind === 'relay') return (milliohm ?? CUSTOMARY_RELAY_MILLIOHM) / 1000;
  return (
    deviceMilliohm({
      kind: DEVICE_OF[place.kind],
      ...(ratingA !== undefined && { ratingA }),
      ...(milliohm !== undefined && { milliohm }),
    }) / 1000
  );
}

/** Which size a cable is calculated with where none is chosen. */
export type SizeOf = (cable: Cable, kind: CableKind) => CableSize;

/** The thickest of the kind, until something better is known. */
const thickest: SizeOf = (_, kind) =>
  kind.sizes.reduce((most, own) => (areaMm2(own.size) > areaMm2(most.size) ? own : most));

/**
 * Numbers the posts of a job's system and finds its conductors.
 *
 * @param job with places, see {@link withPlaces}
 * @throws RangeError when the shop has no cable at all
 */
export function installationOf(job: Job, shop: Shop, sizeOf: SizeOf = thickest): Installation {
  const system = job.system ?? EMPTY;
  const posts = system.places.flatMap((place) =>
    PLACE_POSTS[place.kind].map((post: PostName) => ({ place: place.id, post, at: place })),
  );
  const numberOf = new Map(posts.map((post, i) => [postKey(post), i]));
  const conductors: Conductor[] = [];
  const loose: Cable[] = [];
  for (const cable of job.cables) {
    const [a, b] = END_NAMES.map((end) => {
      const { on } = cable.ends[end];
      return on && numberOf.get(postKey(on));
    });
    if (a === undefined || b === undefined) {
      loose.push(cable);
      continue;
    }
    const kind = ownedKind(cable, shop);
    const { size } = cable.gauge;
    const chosen = size && kind.sizes.find((own) => sameSize(own.size, size));
    const isAtFuse = [a, b].some((post) => {
      const place = posts[post]?.at;
      return place !== undefined && isFuse(place);
    });
    const takesFuses = cable.run.fromSystem?.includes('fuses') ?? false;
    conductors.push({
      cable,
      kind,
      size: chosen ?? sizeOf(cable, kind),
      at: { A: a, B: b },
      fuses: isAtFuse || takesFuses ? [] : cable.run.fuses,
    });
  }
  return { job, system, posts, numberOf, conductors, loose };
}

/** Ohms of a conductor with its copper at a temperature: its cable, its two joints, and the fuses in it. */
export function ohmOf({ cable, kind, size, fuses }: Conductor, copperC: number): number {
  const { run, gauge } = cable;
  const metres = (run.lengthMm + run.loopMm + 2 * typicalBarrelMm(areaMm2(size.size))) / 1000;
  const copper = (resistancePerMetre(size.size, kind, copperC) * metres) / (gauge.parallel ?? 1);
  return fuses.reduce((sum, { ratingA }) => sum + deviceMilliohm({ kind: 'fuse', ratingA }) / 1000, copper);
}

/** What a piece of the network stands for. */
export type PieceOf =
  | { readonly kind: 'cable'; readonly id: string }
  | { readonly kind: 'place'; readonly id: string }
  | { readonly kind: 'bond'; readonly id: string };

/** A network with what each of its numbers stands for. */
export interface Wired {
  readonly network: Network;
  readonly conductors: readonly PieceOf[];
  readonly batteries: readonly string[];
  readonly supplies: readonly string[];
  readonly converters: readonly string[];
  readonly draws: readonly string[];
}

/** How the pieces of an installation are taken for one question. */
export interface Wiring {
  /** °C of a conductor's copper, by its place among the conductors. */
  readonly copperC: (index: number) => number;
  readonly isOpen: (place: Place) => boolean;
  readonly isOff: (place: Place) => boolean;
  /** Share of what a load takes: 0 is off. */
  readonly loadShare: (place: Place) => number;
  readonly batteryV: (battery: PlaceOf<'battery'>) => number;
  /** Times its resistance: a battery half charged gives half the amps into a short. */
  readonly batteryOhms: number;
}

export const batteryOhm = ({ source, nominalV }: PlaceOf<'battery'>): number | null =>
  sourceResistance(source, nominalV)?.ohm ?? null;
export const bondOhm = ({ milliohm }: { readonly milliohm?: number | undefined }): number =>
  (milliohm ?? CUSTOMARY_CHASSIS_MILLIOHM) / 1000;
/** Volts of a battery at rest: as given, else what it is called. */
export const restV = ({ restV: given, nominalV }: PlaceOf<'battery'>): number => given ?? nominalV;

/** Metal that joins two posts without a cable: grounds by a bond, a load by its case. */
export interface Joint {
  readonly id: string;
  readonly from: number;
  readonly to: number;
  readonly ohm: number;
  /** Nobody measured it: a customary figure stands for it. */
  readonly isCustomary: boolean;
}

/** A case that is bolted to its ground, Ω. */
const CASE_OHM = 1e-5;

/** Everything that is joined by its own metal. */
export function jointsIn({ system, numberOf }: Installation): Joint[] {
  const ground = (place: string) => numberOf.get(postKey({ place, post: 'post' }));
  const bonds = system.bonds.flatMap((bond): Joint[] => {
    const [from, to] = [ground(bond.a), ground(bond.b)];
    if (from === undefined || to === undefined || from === to) return [];
    return [{ id: bond.id, from, to, ohm: bondOhm(bond), isCustomary: bond.milliohm === undefined }];
  });
  const cases = system.places.flatMap((place): Joint[] => {
    if (place.kind !== 'load' || place.groundId === undefined) return [];
    const [from, to] = [numberOf.get(postKey({ place: place.id, post: 'minus' })), ground(place.groundId)];
    if (from === undefined || to === undefined) return [];
    return [{ id: place.id, from, to, ohm: CASE_OHM, isCustomary: false }];
  });
  return [...bonds, ...cases];
}

/** The network of an installation, as it is wired for a question. */
// oxlint-disable-next-line max-lines-per-function -- each kind of place in its turn
export function wire(installation: Installation, wiring: Wiring): Wired {
  const { system, numberOf, posts, conductors } = installation;
  const at = (place: Place, post: PostName) => numberOf.get(postKey({ place: place.id, post })) ?? 0;
  const pair = (place: Place, plus: PostName = 'plus', minus: PostName = 'minus'): Pair => ({
    plus: at(place, plus),
    minus: at(place, minus),
  });
  const joins: { readonly piece: Pair & { readonly ohm: number }; readonly of: PieceOf }[] = conductors.map(
    (conductor, i) => ({
      piece: {
        plus: conductor.at.A,
        minus: conductor.at.B,
        ohm: ohmOf(conductor, wiring.copperC(i)),
      },
      of: { kind: 'cable', id: conductor.cable.id },
    }),
  );
  const batteries: { readonly piece: NetBattery; readonly id: string }[] = [];
  const supplies: { readonly piece: NetSupply; readonly id: string }[] = [];
  const converters: { readonly piece: NetConverter; readonly id: string }[] = [];
  const draws: { readonly piece: NetDraw; readonly id: string }[] = [];
  for (const place of system.places) {
    const { id } = place;
    if (place.kind === 'battery') {
      const ohm = (batteryOhm(place) ?? 0) * wiring.batteryOhms;
      batteries.push({ piece: { ...pair(place), volts: wiring.batteryV(place), ohm }, id });
    } else if (place.kind === 'supply' && !wiring.isOff(place)) {
      const { volts, amps, milliohm = 0 } = place;
      supplies.push({ piece: { ...pair(place), volts, amps, ohm: milliohm / 1000 }, id });
    } else if (place.kind === 'dcdc' && !wiring.isOff(place)) {
      const { volts, amps, efficiencyPercent } = place;
      const piece = {
        input: pair(place, 'in-plus', 'in-minus'),
        output: pair(place, 'out-plus', 'out-minus'),
        ...{ volts, amps, ohm: 0, efficiency: efficiencyPercent / 100 },
      };
      converters.push({ piece, id });
    } else if (place.kind === 'load') {
      const share = wiring.loadShare(place);
      const { draws: takes } = place;
      const between = pair(place);
      if (share <= 0) continue;
      if (takes.kind === 'amps') draws.push({ piece: { ...between, amps: takes.amps * share }, id });
      else if (takes.kind === 'watts')
        draws.push({
          piece: { ...between, watts: (takes.watts / (takes.efficiencyPercent / 100)) * share },
          id,
        });
      else
        joins.push({ piece: { ...between, ohm: takes.milliohm / 1000 / share }, of: { kind: 'place', id } });
    } else if (isBetween(place) && !wiring.isOpen(place))
      joins.push({
        piece: { ...pair(place, 'line', 'load'), ohm: ohmOfDevice(place) },
        of: { kind: 'place', id },
      });
  }
  for (const { id, from, to, ohm } of jointsIn(installation))
    joins.push({ piece: { plus: from, minus: to, ohm }, of: { kind: 'bond', id } });
  return {
    network: {
      posts: posts.length,
      conductors: joins.map(({ piece }) => piece),
      batteries: batteries.map(({ piece }) => piece),
      supplies: supplies.map(({ piece }) => piece),
      converters: converters.map(({ piece }) => piece),
      draws: draws.map(({ piece }) => piece),
    },
    conductors: joins.map(({ of }) => of),
    batteries: batteries.map(({ id }) => id),
    supplies: supplies.map(({ id }) => id),
    converters: converters.map(({ id }) => id),
    draws: draws.map(({ id }) => id),
  };
}

/** Copper is taken to be this warm where nothing heats it, °C. */
export const COLD_COPPER_C = 20;

/** As a state has it: what is open, off, and how hard loads run. */
export const inState = (state: SystemState, copperC: Wiring['copperC']): Wiring => ({
  copperC,
  isOpen: ({ id }) => state.open.includes(id),
  isOff: ({ id }) => state.off.includes(id),
  loadShare: ({ id }) => (Object.hasOwn(state.loads, id) ? (state.loads[id] ?? 100) : 100) / 100,
  batteryV: restV,
  batteryOhms: 1,
});
