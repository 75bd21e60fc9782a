import { addTo } from '../lib/lists.ts';
import type { PostName } from '../model/tables/places.ts';
import type { Place } from '../model/system.ts';
import { type Installation, isBetween, jointsIn } from './installation.ts';
import { netsOf } from './protection.ts';
import { postKey } from './places.ts';
import type { SystemView } from './view.ts';

/** An end of a drawn conductor: a post, or the corner that two ends of one conductor are drawn round. */
export interface DiagramEnd {
  readonly node: string;
  /** Null at a corner. */
  readonly post: PostName | null;
}

/** A conductor as it is drawn, from what stands above to what stands below. */
export interface DiagramEdge {
  readonly id: string;
  readonly of: { readonly kind: 'cable' | 'joint' | 'stud'; readonly id: string };
  readonly above: DiagramEnd;
  readonly below: DiagramEnd;
}

/** What is drawn at a spot: a place, or a corner. */
export interface DiagramNode {
  readonly id: string;
  readonly place: Place | null;
  /** The post that points up, where a device has two; the other points down. */
  readonly up: PostName | null;
  /** It gathers all that comes back, and so stands lowest of its own. */
  readonly isLowest: boolean;
  /** The stud of a post that several cables share, drawn as a bar of its own. */
  readonly isStud: boolean;
}

/** The single-line diagram before it has a scale: both poles, plus above, return below. */
export interface Diagram {
  readonly nodes: readonly DiagramNode[];
  readonly edges: readonly DiagramEdge[];
}

/** A conductor between two posts, in neither direction yet. */
interface Link {
  readonly id: string;
  readonly of: DiagramEdge['of'];
  readonly a: number;
  readonly b: number;
}

const isTwoPole = (place: Place | null): boolean =>
  place !== null && ['battery', 'supply', 'load', 'dcdc'].includes(place.kind);
const HUB_RANK = { bar: 4, ground: 3 } as const;
const STUD_RANK = 2;

/**
 * The post that a net is hung from: its bar with the most on it, else its ground, else a stud that cables share, else the
 * device with the most on it. Null where only posts of batteries, chargers and loads are on it.
 */
function hubOf(
  posts: readonly number[],
  placeAt: (spot: number) => Place | null,
  count: (post: number) => number,
): number | null {
  const rank = (post: number) => {
    const kind = placeAt(post)?.kind;
    const own = kind === 'bar' || kind === 'ground' ? HUB_RANK[kind] : kind === undefined ? STUD_RANK : 0;
    return own * 1000 + count(post);
  };
  const able = posts.filter((post) => !isTwoPole(placeAt(post)));
  return able.reduce<number | null>(
    (best, post) => (best === null || rank(post) > rank(best) ? post : best),
    null,
  );
}

/** A post, or the stud on it that several cables share. */
interface Spot {
  readonly end: DiagramEnd;
  /** The post that it is, or is the stud of. */
  readonly post: number;
}

/** A post of a battery, charger or load with several cables gets a stud that they hang on, and it hangs on that itself. */
function withStuds(
  { posts }: Installation,
  links: readonly Link[],
): { readonly spots: readonly Spot[]; readonly links: readonly Link[] } {
  const spots: Spot[] = posts.map(({ place, post }, i) => ({ end: { node: place, post }, post: i }));
  const count = new Map<number, number>();
  for (const { a, b } of links) for (const post of [a, b]) count.set(post, (count.get(post) ?? 0) + 1);
  const studOf = new Map<number, number>();
  const stubs: Link[] = [];
  posts.forEach(({ place, post, at }, i) => {
    if (!isTwoPole(at) || (count.get(i) ?? 0) < 2) return;
    const node = `stud ${place} ${post}`;
    const stud = spots.push({ end: { node, post: null }, post: i }) - 1;
    studOf.set(i, stud);
    stubs.push({ id: node, of: { kind: 'stud', id: place }, a: i, b: stud });
  });
  const moved = links.map((link) => ({
    ...link,
    a: studOf.get(link.a) ?? link.a,
    b: studOf.get(link.b) ?? link.b,
  }));
  return { spots, links: [...moved, ...stubs] };
}

/**
 * What is above what: each net is hung from its hub, live nets downwards, the return side upwards, so that every branch
 * becomes a column between its two poles.
 */
// oxlint-disable-next-line max-lines-per-function -- each net hung from its hub, in one walk
export function diagramOf(view: SystemView): Diagram {
  const { installation, protection } = view;
  const { posts, system, numberOf, conductors } = installation;
  const nets = netsOf(installation);
  const links: Link[] = [
    ...conductors.map(({ cable: { id }, at: ends }): Link => ({
      id,
      of: { kind: 'cable', id },
      a: ends.A,
      b: ends.B,
    })),
    ...jointsIn(installation).map(({ id, from, to }): Link => ({
      id: `joint ${id}`,
      of: { kind: 'joint', id },
      a: from,
      b: to,
    })),
  ];
  const devices: Link[] = system.places.filter(isBetween).map(({ id }) => ({
    id: `device ${id}`,
    of: { kind: 'joint', id },
    a: numberOf.get(postKey({ place: id, post: 'line' })) ?? -1,
    b: numberOf.get(postKey({ place: id, post: 'load' })) ?? -1,
  }));
  const { spots, links: hung } = withStuds(installation, [...links, ...devices]);
  const byPost = new Map<number, Link[]>();
  for (const link of hung) for (const post of [link.a, link.b]) addTo(byPost, post, link);
  const placeAt = (spot: number): Place | null => (spot < posts.length ? (posts[spot]?.at ?? null) : null);
  const count = (post: number) => byPost.get(post)?.length ?? 0;
  const byNet = new Map<number, number[]>();
  spots.forEach(({ post }, spot) => {
    const net = nets[post] ?? -1;
    if (count(spot) > 0) addTo(byNet, net, spot);
  });
  const up = new Map<string, PostName>();
  const edges: DiagramEdge[] = [];
  const corners: DiagramNode[] = [];
  const lowest = new Set<string>();
  const end = (spot: number): DiagramEnd => spots[spot]?.end ?? { node: '', post: null };
  for (const own of byNet.values()) {
    const isBack = own.some((spot) => protection.isReturn[spots[spot]?.post ?? -1]);
    const hub = hubOf(own, placeAt, count);
    const start = hub ?? own.find((post) => posts[post]?.post === 'minus') ?? own[0] ?? -1;
    if (hub !== null && isBack) lowest.add(end(hub).node);
    const seen = new Set([start]);
    const drawn = new Set<string>();
    const queue = [start];
    // Nearest to the hub first: a ring is drawn from where it is nearer.
    while (queue.length > 0) {
      const from = queue.shift() ?? -1;
      for (const link of byPost.get(from) ?? []) {
        if (drawn.has(link.id)) continue;
        drawn.add(link.id);
        const to = link.a === from ? link.b : link.a;
        if (!seen.has(to)) {
          seen.add(to);
          queue.push(to);
        }
        const place = placeAt(from);
        if (link.id.startsWith('device ')) {
          if (place) up.set(place.id, (isBack ? posts[to]?.post : posts[from]?.post) ?? 'line');
          continue;
        }
        const [above, below] = isBack ? [end(to), end(from)] : [end(from), end(to)];
        // A cable straight from pole to pole goes round a corner, so that both stand side by side.
        if (
          isTwoPole(placeAt(from)) &&
          isTwoPole(placeAt(to)) &&
          !isMiddle(posts[from]?.post, posts[to]?.post)
        ) {
          const corner = `corner ${link.id}`;
          corners.push({ id: corner, place: null, up: null, isLowest: isBack, isStud: false });
          const at: DiagramEnd = { node: corner, post: null };
          const [one, other] = isBack ? ([above, at] as const) : ([at, above] as const);
          const [two, another] = isBack ? ([below, at] as const) : ([at, below] as const);
          edges.push({ id: link.id, of: link.of, above: one, below: other });
          edges.push({ id: `${link.id} on`, of: link.of, above: two, below: another });
          continue;
        }
        edges.push({ id: link.id, of: link.of, above, below });
      }
    }
  }
  const nodes = system.places.map((place): DiagramNode => ({
    id: place.id,
    place,
    up: isBetween(place) ? (up.get(place.id) ?? 'line') : null,
    isLowest: lowest.has(place.id),
    isStud: false,
  }));
  const studs = spots.slice(posts.length).map(({ end: { node } }): DiagramNode => ({
    id: node,
    place: null,
    up: null,
    isLowest: lowest.has(node),
    isStud: true,
  }));
  return { nodes: [...nodes, ...studs, ...corners], edges };
}

/** From a minus down to a plus: two batteries in series, one above the other. */
const isMiddle = (a: PostName | undefined, b: PostName | undefined): boolean =>
  (a === 'minus' && b === 'plus') || (a === 'plus' && b === 'minus');
