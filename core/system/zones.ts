import { remember } from '../lib/remember.ts';
import type { SystemState } from '../model/system.ts';
import { isFuse } from './installation.ts';
import { type Guard, guardKey } from './protection.ts';
import type { ShortAt } from './shorts.ts';
import { guardsOf, returnsFor, type SystemView } from './view.ts';

/** What a fuse has to do with: the cables that it guards, and the shorts that it must clear. */
export interface Zone {
  readonly guard: Guard;
  readonly cableIds: readonly string[];
  /** At its own posts: the most that it must interrupt. */
  readonly atFuse: ShortAt;
  /** The least of all shorts behind it, before the next fuse, and the load or post that it is at. */
  readonly least: { readonly amps: number; readonly at: string } | null;
}

/** The largest short from a post to a source's own return. */
export function shortAt(view: SystemView, post: number): ShortAt {
  const none: ShortAt = { mostA: 0, leastA: 0, isUnknown: false, suppliesA: 0 };
  return returnsFor(view, post)
    .map((back) => view.shorts.between(post, back))
    .reduce((most, own) => (own.mostA > most.mostA ? own : most), none);
}

/** The short at a place: between its own two posts, else from its post to the return of a source. */
export function shortAtPlace(view: SystemView, placeId: string): ShortAt | null {
  const place = view.placeOf(placeId);
  if (!place) return null;
  const post = (name: 'plus' | 'minus' | 'in-plus' | 'in-minus' | 'line' | 'load' | 'post') =>
    view.postOf(placeId, name);
  switch (place.kind) {
    case 'battery':
    case 'supply':
    case 'load':
      return view.shorts.between(post('plus'), post('minus'));
    case 'dcdc':
      return view.shorts.between(post('in-plus'), post('in-minus'));
    case 'bar':
    case 'ground':
      return view.protection.isReturn[post('post')] ? null : shortAt(view, post('post'));
    default: {
      if (view.protection.isReturn[post('line')]) return null;
      const [line, load] = [shortAt(view, post('line')), shortAt(view, post('load'))];
      return line.mostA >= load.mostA ? line : load;
    }
  }
}

/** What a guard carries in each state, A. */
export function flowsThrough(
  { solved, installation, stateOf }: SystemView,
  guard: Guard,
): { readonly state: SystemState; readonly amps: number }[] {
  const { system, conductors } = installation;
  const index =
    guard.kind === 'place'
      ? system.places.findIndex(({ id }) => id === guard.place.id)
      : conductors.findIndex(({ cable }) => cable.id === guard.cableId);
  return solved.states.flatMap(({ stateId, places, cables, collapse }) => {
    const state = stateOf(stateId);
    const flow = guard.kind === 'place' ? places[index] : cables[index];
    return state && flow && !collapse ? [{ state, amps: Math.abs(flow.amps) }] : [];
  });
}

/** The two sides of a guard, by post; of a fuse in a cable the end that it sits at. */
export function guardPosts(view: SystemView, guard: Guard): number[] {
  if (guard.kind === 'place')
    return [view.postOf(guard.place.id, 'line'), view.postOf(guard.place.id, 'load')];
  const conductor = view.conductorOf(guard.cableId);
  return conductor ? [conductor.at[guard.fuse.end]] : [];
}

/** A load or a charger, by its two posts. */
interface Taker {
  readonly id: string;
  readonly plus: number;
  readonly minus: number;
}

const takersIn = ({ installation, postOf }: SystemView): Taker[] =>
  installation.system.places.flatMap(({ id, kind }) =>
    kind === 'load' || kind === 'supply'
      ? [{ id, plus: postOf(id, 'plus'), minus: postOf(id, 'minus') }]
      : [],
  );

/** The least short at the far side of what a fuse guards: at the loads behind it, else at the cables' own ends. */
function leastOf(view: SystemView, cableIds: ReadonlySet<string>, takers: readonly Taker[]): Zone['least'] {
  const posts = new Set(
    view.installation.conductors
      .filter(({ cable }) => cableIds.has(cable.id))
      .flatMap(({ at }) => [at.A, at.B])
      .filter((post) => !view.protection.isReturn[post]),
  );
  const loads = takers.flatMap(({ id, plus, minus }) => {
    if (!posts.has(plus) && !posts.has(minus)) return [];
    const amps = view.shorts.between(plus, minus).leastA;
    return amps > 0 ? [{ amps, at: id }] : [];
  });
  const shorts =
    loads.length > 0
      ? loads
      : [...posts].map((post) => ({
          amps: Math.min(...returnsFor(view, post).map((back) => view.shorts.between(post, back).leastA)),
          at: view.installation.posts[post]?.place ?? '',
        }));
  const finite = shorts.filter(({ amps }) => Number.isFinite(amps) && amps > 0);
  return finite.length === 0 ? null : finite.reduce((least, own) => (own.amps < least.amps ? own : least));
}

/** Every fuse with what lies behind it and before the next one. */
export const zonesOf = (view: SystemView): readonly Zone[] => zonesKnown([view], '', () => zonesIn(view));
const zonesKnown = remember<Zone[]>();

function zonesIn(view: SystemView): Zone[] {
  const takers = takersIn(view);
  const zones = new Map<string, { guard: Guard; cableIds: Set<string> }>();
  const note = (guard: Guard, cableId: string | null) => {
    const key = guardKey(guard);
    const zone = zones.get(key) ?? { guard, cableIds: new Set() };
    if (cableId !== null) zone.cableIds.add(cableId);
    zones.set(key, zone);
  };
  for (const [cableId, { guard, fed }] of guardsOf(view)) {
    if (guard) note(guard, cableId);
    for (const { guard: own } of fed) if (own) note(own, cableId);
  }
  for (const place of view.installation.system.places)
    if (isFuse(place)) note({ kind: 'place', place }, null);
  for (const { cable, fuses } of view.installation.conductors)
    for (const fuse of fuses) note({ kind: 'inline', cableId: cable.id, fuse }, null);
  return [...zones.values()].map(({ guard, cableIds }) => {
    const [first, ...others] = guardPosts(view, guard).map((post) => shortAt(view, post));
    return {
      guard,
      cableIds: [...cableIds],
      atFuse: others.reduce(
        (most, own) => (own.mostA > most.mostA ? own : most),
        first ?? { mostA: 0, leastA: 0, isUnknown: false, suppliesA: 0 },
      ),
      least: leastOf(view, cableIds, takers),
    };
  });
}
