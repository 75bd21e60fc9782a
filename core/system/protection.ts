import { bestFirst } from '../lib/bestFirst.ts';
import { groupsOf } from '../lib/groups.ts';
import { addTo } from '../lib/lists.ts';
import { remember } from '../lib/remember.ts';
import type { EndName } from '../model/end.ts';
import { otherEnd } from '../model/end.ts';
import type { Fuse } from '../model/run.ts';
import type { Place, PlaceOf } from '../model/system.ts';
import { FUSE_PLACES, type FuseKind, type FusePlace } from '../model/tables/fuses.ts';
import { type Conductor, type Installation, isBetween, isFuse, jointsIn, postAt } from './installation.ts';

/** What opens a fault: a fuse or breaker of the system, or a fuse typed on a cable, at its end. */
export type Guard =
  | { readonly kind: 'place'; readonly place: PlaceOf<'fuse' | 'breaker'> }
  | { readonly kind: 'inline'; readonly cableId: string; readonly fuse: Fuse };

export const guardRatingA = (guard: Guard): number =>
  guard.kind === 'place' ? guard.place.ratingA : guard.fuse.ratingA;
/** What kind of fuse it is; a breaker where it is one. */
export const guardKind = (guard: Guard): FuseKind =>
  guard.kind === 'inline' ? guard.fuse.kind : guard.place.kind === 'fuse' ? guard.place.fuse : 'breaker';
export const guardKey = (guard: Guard): string =>
  guard.kind === 'place' ? guard.place.id : `${guard.cableId} ${guard.fuse.end}`;

/** A cable that a source can feed, and what stands between the two. */
export interface FedCable {
  readonly sourceId: string;
  readonly cableId: string;
  /** The end that the fault current comes in at. */
  readonly from: EndName;
  /** The smallest fuse on the way to it, by the way that is guarded least; null where one way meets none. */
  readonly guard: Guard | null;
  /** Where nothing guards it: mm of conductor from the source's post to its near end. */
  readonly distanceMm: number;
  /** Where nothing guards it: the fuses that its far side comes to next, without another one before. */
  readonly leadsTo: readonly Guard[];
}

/** The first fuse that a source comes to, and how far that is along the conductor. */
export interface FirstFuse {
  readonly sourceId: string;
  readonly guard: Guard;
  readonly distanceMm: number;
  readonly mostMm: number;
  readonly place: FusePlace;
}

export interface Protection {
  readonly fed: readonly FedCable[];
  readonly first: readonly FirstFuse[];
  /** Every post: whether it is on the return side, that all else comes back to. */
  readonly isReturn: readonly boolean[];
}

/** A way from one post to another on which current may come. */
interface Way {
  readonly to: number;
  /** A cable; a fuse, breaker, switch or shunt; a relay; grounds joined by their metal. */
  readonly kind: 'cable' | 'switch' | 'relay' | 'joint';
  readonly cable?: { readonly of: Conductor; readonly from: EndName };
  readonly guards: readonly Guard[];
  readonly lengthMm: number;
  /** mm from its beginning to its first guard. */
  readonly guardAtMm: number;
}

const lengthOf = ({ cable }: Conductor): number => cable.run.lengthMm + cable.run.loopMm;

/** Ways by post: cables, and what stands between two posts, whether open or closed: it may be closed when it matters. */
const waysOf = (installation: Installation): ReadonlyMap<number, readonly Way[]> =>
  waysKnown([installation], '', () => waysIn(installation));
const waysKnown = remember<Map<number, Way[]>>();

function waysIn(installation: Installation): Map<number, Way[]> {
  const ways = new Map<number, Way[]>();
  const add = (from: number, way: Way) => addTo(ways, from, way);
  for (const conductor of installation.conductors) {
    const { cable, fuses, at: posts } = conductor;
    const lengthMm = lengthOf(conductor);
    const guard = (fuse: Fuse): Guard => ({ kind: 'inline', cableId: cable.id, fuse });
    for (const from of ['A', 'B'] as const) {
      const near = fuses.find(({ end }) => end === from);
      const far = fuses.find(({ end }) => end !== from);
      add(posts[from], {
        to: posts[otherEnd(from)],
        kind: 'cable',
        cable: { of: conductor, from },
        guards: [...(near ? [guard(near)] : []), ...(far ? [guard(far)] : [])],
        lengthMm,
        guardAtMm: near ? near.distanceMm : far ? Math.max(0, lengthMm - far.distanceMm) : lengthMm,
      });
    }
  }
  for (const place of installation.system.places) {
    if (!isBetween(place)) continue;
    const [line, load] = [postAt(installation, place.id, 'line'), postAt(installation, place.id, 'load')];
    const guards: readonly Guard[] = isFuse(place) ? [{ kind: 'place', place }] : [];
    const kind = place.kind === 'relay' ? 'relay' : 'switch';
    add(line, { to: load, kind, guards, lengthMm: 0, guardAtMm: 0 });
    add(load, { to: line, kind, guards, lengthMm: 0, guardAtMm: 0 });
  }
  for (const { from, to } of jointsIn(installation)) {
    add(from, { to, kind: 'joint', guards: [], lengthMm: 0, guardAtMm: 0 });
    add(to, { to: from, kind: 'joint', guards: [], lengthMm: 0, guardAtMm: 0 });
  }
  return ways;
}

/** Posts that hang together through cables, devices and bonds alone, each by the number of its net. */
export const netsOf = (installation: Installation): readonly number[] =>
  joinedBy(installation, waysOf(installation), () => true);

/** The same by cables and devices alone: what a person laid, not the metal that is there anyway. */
export const conductorNetsOf = (installation: Installation): readonly number[] =>
  joinedBy(installation, waysOf(installation), ({ kind }) => kind !== 'joint');

/**
 * Posts that hang together as the poles of one bank do: not over grounds, a relay, or a cable that is fused at both ends,
 * which is how a charging line between two banks is made.
 */
export const bankNetsOf = (installation: Installation): readonly number[] =>
  joinedBy(
    installation,
    waysOf(installation),
    ({ kind, guards }) => kind === 'switch' || (kind === 'cable' && guards.length < 2),
  );

const joinedBy = (
  installation: Installation,
  ways: ReadonlyMap<number, readonly Way[]>,
  counts: (way: Way) => boolean,
): readonly number[] =>
  groupsOf(
    installation.posts.length,
    [...ways].flatMap(([from, own]) => own.filter(counts).map(({ to }) => [from, to] as const)),
  );

/**
 * The return side of each island: the net that its grounds are on; without one, the net that stands lowest by the names of
 * the batteries, unless that alone holds fuses, as where the plus is earthed.
 */
function returnPosts(
  installation: Installation,
  nets: readonly number[],
  islandOf: (post: number) => number,
  nominalV: readonly number[],
): boolean[] {
  const { posts } = installation;
  const returns = new Set<number>();
  const islands = new Map<number, number[]>();
  posts.forEach((_, post) => {
    const island = islandOf(post);
    if (island >= 0) addTo(islands, island, post);
  });
  for (const members of islands.values()) {
    const grounds = members.filter((post) => posts[post]?.at.kind === 'ground');
    if (grounds.length > 0) {
      for (const post of grounds) returns.add(nets[post] ?? -1);
      continue;
    }
    const byVolts = members.toSorted((a, b) => (nominalV[a] ?? 0) - (nominalV[b] ?? 0));
    const [lowest, highest] = [nets[byVolts[0] ?? -1] ?? -1, nets[byVolts.at(-1) ?? -1] ?? -1];
    const holdsFuses = (net: number) =>
      members.some((post) => nets[post] === net && isFuse(posts[post]?.at as Place));
    returns.add(lowest !== highest && holdsFuses(lowest) && !holdsFuses(highest) ? highest : lowest);
  }
  return posts.map((_, post) => returns.has(nets[post] ?? -1));
}

/** What a walk from one source knows of a post: how little it is guarded there. */
interface Here {
  /** The largest of the smallest fuses of each way to it; no limit where a way meets none. */
  readonly mostA: number;
  readonly guard: Guard | null;
  /** mm of unguarded conductor to it, the shortest; only where no fuse is met. */
  readonly distanceMm: number;
}

const smallest = (a: Guard | null, b: Guard): Guard => (a && guardRatingA(a) <= guardRatingA(b) ? a : b);

/** Along a way: what guards at its far end. */
function beyond(here: Here, way: Way): Here {
  const guard = way.guards.reduce<Guard | null>(smallest, here.guard);
  return {
    guard,
    mostA: guard ? guardRatingA(guard) : Number.POSITIVE_INFINITY,
    distanceMm: here.distanceMm + way.lengthMm,
  };
}

const isWorse = (a: Here, b: Here | undefined): boolean =>
  b === undefined || a.mostA > b.mostA || (a.mostA === b.mostA && a.distanceMm < b.distanceMm);

/** From the posts of a source through everything that is not on the return side, the least guarded way first. */
function reach(
  starts: readonly number[],
  ways: ReadonlyMap<number, readonly Way[]>,
  isReturn: readonly boolean[],
): ReadonlyMap<number, Here> {
  return new Map(
    bestFirst<number, Here>(
      starts.map((post) => [post, { mostA: Number.POSITIVE_INFINITY, guard: null, distanceMm: 0 }]),
      isWorse,
      (post, here) =>
        (ways.get(post) ?? [])
          .filter(({ to }) => !isReturn[to])
          .map((way) => [way.to, beyond(here, way)] as const),
    ),
  );
}

/** The fuses that come next from a post on, not going back along a cable. */
function comesTo(
  from: number,
  notBy: Conductor,
  ways: ReadonlyMap<number, readonly Way[]>,
  isReturn: readonly boolean[],
): Guard[] {
  const seen = new Set([from]);
  const stack = [from];
  const guards = new Map<string, Guard>();
  while (stack.length > 0) {
    for (const way of ways.get(stack.pop() ?? -1) ?? []) {
      if (way.cable?.of === notBy || isReturn[way.to]) continue;
      const [first] = way.guards;
      if (first) guards.set(guardKey(first), first);
      else if (!seen.has(way.to)) {
        seen.add(way.to);
        stack.push(way.to);
      }
    }
  }
  return [...guards.values()];
}

const placeOfGuard = (guard: Guard): FusePlace =>
  guard.kind === 'place' ? (guard.place.place ?? 'near') : guard.fuse.place;

/** Cables on the shortest way from one post of the return side to another; none where there is no way. */
export function returnPath(
  installation: Installation,
  { isReturn }: Pick<Protection, 'isReturn'>,
  from: number,
  to: number,
): string[] {
  const ways = waysOf(installation);
  const walk = bestFirst<number, { readonly mm: number; readonly cables: readonly string[] }>(
    [[from, { mm: 0, cables: [] }]],
    (own, known) => known === undefined || own.mm < known.mm,
    (post, { mm, cables }) =>
      (ways.get(post) ?? [])
        .filter((way) => isReturn[way.to])
        .map((way) => [
          way.to,
          { mm: mm + way.lengthMm, cables: way.cable ? [...cables, way.cable.of.cable.id] : cables },
        ]),
  );
  for (const [post, { cables }] of walk) if (post === to) return [...cables];
  return [];
}

/** Whether a cable joins two batteries: it is within the bank, before any fuse of it. */
export const isLink = ({ posts }: Installation, { at }: Conductor): boolean =>
  posts[at.A]?.at.kind === 'battery' && posts[at.B]?.at.kind === 'battery';

/** What a source can feed, each cable from the end that its current comes in at and is guarded least. */
function fedBy(
  sourceId: string,
  installation: Installation,
  found: ReadonlyMap<number, Here>,
  isReturn: readonly boolean[],
): FedCable[] {
  const ways = waysOf(installation);
  const fed: FedCable[] = [];
  for (const conductor of installation.conductors) {
    // From each end that the current may come in at; the worse of the two counts.
    const from = (['A', 'B'] as const).flatMap((end) => {
      const post = conductor.at[end];
      const here = found.get(post);
      if (!here || isReturn[post] || isReturn[conductor.at[otherEnd(end)]]) return [];
      const near = conductor.fuses.find((fuse) => fuse.end === end);
      const inline: Guard | null = near ? { kind: 'inline', cableId: conductor.cable.id, fuse: near } : null;
      const guard = inline ? smallest(here.guard, inline) : here.guard;
      return [{ end, guard, distanceMm: here.distanceMm }];
    });
    const [worst] = from.toSorted(
      (a, b) =>
        (b.guard ? guardRatingA(b.guard) : Number.POSITIVE_INFINITY) -
          (a.guard ? guardRatingA(a.guard) : Number.POSITIVE_INFINITY) || a.distanceMm - b.distanceMm,
    );
    if (!worst) continue;
    const far = conductor.fuses.find((fuse) => fuse.end !== worst.end);
    fed.push({
      sourceId,
      cableId: conductor.cable.id,
      from: worst.end,
      guard: worst.guard,
      distanceMm: worst.distanceMm,
      leadsTo: worst.guard
        ? []
        : far
          ? [{ kind: 'inline', cableId: conductor.cable.id, fuse: far }]
          : comesTo(conductor.at[otherEnd(worst.end)], conductor, ways, isReturn),
    });
  }
  return fed;
}

/** The fuses that a source comes to first, each at its nearest. */
function firstOf(
  sourceId: string,
  found: ReadonlyMap<number, Here>,
  ways: ReadonlyMap<number, readonly Way[]>,
  isReturn: readonly boolean[],
): FirstFuse[] {
  const first = new Map<string, FirstFuse>();
  for (const [post, here] of found) {
    for (const way of ways.get(post) ?? []) {
      const [guard] = way.guards;
      if (here.guard === null && guard && !isReturn[way.to]) {
        const distanceMm = here.distanceMm + way.guardAtMm;
        const key = guardKey(guard);
        if (distanceMm >= (first.get(key)?.distanceMm ?? Number.POSITIVE_INFINITY)) continue;
        const place = placeOfGuard(guard);
        first.set(key, {
          sourceId,
          guard,
          distanceMm,
          place,
          mostMm: FUSE_PLACES[place].mostMm,
        });
      }
    }
  }
  return [...first.values()];
}

/**
 * What each source can feed without meeting a fuse, and behind which fuse everything else lies. Fuses guard from the
 * source that is before them: a cable between two sources is looked at from each.
 *
 * @param islandOf which posts hang together through sources and conductors, see {@link shortsOf}
 */
export function protectionOf(
  installation: Installation,
  islandOf: (post: number) => number,
  nominalV: readonly number[],
): Protection {
  const ways = waysOf(installation);
  const isReturn = returnPosts(installation, netsOf(installation), islandOf, nominalV);
  const zeroV = new Map<number, number>();
  isReturn.forEach((is, post) => {
    if (is) zeroV.set(islandOf(post), nominalV[post] ?? 0);
  });
  const awayFromReturn = (post: number) => Math.abs((nominalV[post] ?? 0) - (zeroV.get(islandOf(post)) ?? 0));
  const fed: FedCable[] = [];
  const first: FirstFuse[] = [];
  for (const source of installation.system.places) {
    if (source.kind !== 'battery') continue;
    // Current comes out of the post that is further from the return.
    const starts = (['plus', 'minus'] as const)
      .map((post) => postAt(installation, source.id, post))
      .filter((post) => !isReturn[post])
      .toSorted((a, b) => awayFromReturn(b) - awayFromReturn(a))
      .slice(0, 1);
    const found = reach(starts, ways, isReturn);
    fed.push(...fedBy(source.id, installation, found, isReturn));
    first.push(...firstOf(source.id, found, ways, isReturn));
  }
  return { fed, first, isReturn };
}
