import type { PostName } from '../model/tables/places.ts';
import { isBetween, jointsIn, type PieceOf } from './installation.ts';
import { LEAST_OHM } from './network.ts';
import { postKey } from './places.ts';
import type { SolvedState, SolvedSystem } from './solve.ts';

/** One that spends of a load's drop. */
export interface Share {
  readonly of: PieceOf;
  readonly volts: number;
  /** A through it. */
  readonly amps: number;
}

/** What a load gets in a state, and where the rest was lost. */
export interface LoadDrop {
  readonly loadId: string;
  readonly stateId: string;
  readonly amps: number;
  /** V at its own posts, and between the posts of its source. */
  readonly volts: number;
  readonly sourceV: number;
  /** The battery or charger that it is traced to on either side. */
  readonly source: { readonly plus: string; readonly minus: string };
  readonly dropV: number;
  /** Of the nominal volts at the load. */
  readonly nominalV: number;
  readonly dropPercent: number;
  /** From the source to the load and back; they sum to the drop. */
  readonly shares: readonly Share[];
}

/** A piece between two posts, with the amps from the first to the second. */
interface Link {
  readonly of: PieceOf;
  readonly from: number;
  readonly to: number;
  readonly amps: number;
}

/** Everything that conducts in a state, by the post it hangs on. */
export function linksOf(
  { installation }: SolvedSystem,
  solved: SolvedState,
): ReadonlyMap<number, readonly Link[]> {
  const { conductors, system, numberOf } = installation;
  const links = new Map<number, Link[]>();
  const add = (link: Link) => {
    for (const [post, own] of [
      [link.from, link],
      [link.to, { ...link, from: link.to, to: link.from, amps: -link.amps }],
    ] as const) {
      const known = links.get(post);
      if (known) known.push(own);
      else links.set(post, [own]);
    }
  };
  const post = (place: string, name: PostName) => numberOf.get(postKey({ place, post: name })) ?? -1;
  conductors.forEach(({ cable, at }, i) =>
    add({ of: { kind: 'cable', id: cable.id }, from: at.A, to: at.B, amps: solved.cables[i]?.amps ?? 0 }),
  );
  system.places.forEach((place, i) => {
    const flow = solved.places[i];
    if (isBetween(place) && flow?.isOn)
      add({
        of: { kind: 'place', id: place.id },
        from: post(place.id, 'line'),
        to: post(place.id, 'load'),
        amps: flow.amps,
      });
  });
  for (const { id, from, to, ohm } of jointsIn(installation)) {
    const amps = ((solved.volts[from] ?? 0) - (solved.volts[to] ?? 0)) / Math.max(ohm, LEAST_OHM);
    add({ of: { kind: 'bond', id }, from, to, amps });
  }
  return links;
}

/** Posts that current comes out of (`plus`) and goes back into, by number, with whose they are. */
function sourcePosts({ installation }: SolvedSystem, solved: SolvedState) {
  const [plus, minus] = [new Map<number, string>(), new Map<number, string>()];
  const post = (place: string, name: PostName) =>
    installation.numberOf.get(postKey({ place, post: name })) ?? -1;
  installation.system.places.forEach((place, i) => {
    const flow = solved.places[i];
    if (!flow || flow.amps <= 1e-9) return;
    const sides =
      place.kind === 'battery' || place.kind === 'supply'
        ? (['plus', 'minus'] as const)
        : place.kind === 'dcdc'
          ? (['out-plus', 'out-minus'] as const)
          : null;
    if (!sides) return;
    plus.set(post(place.id, sides[0]), place.id);
    minus.set(post(place.id, sides[1]), place.id);
  });
  return { plus, minus };
}

/** Against the current from a post to a source, always along what carries most. Null where none is found. */
function walk(
  from: number,
  direction: 1 | -1,
  ends: ReadonlyMap<number, string>,
  links: ReadonlyMap<number, readonly Link[]>,
): { readonly post: number; readonly source: string; readonly links: readonly Link[] } | null {
  const seen = new Set([from]);
  const taken: Link[] = [];
  for (let post = from; ;) {
    const source = ends.get(post);
    if (source !== undefined) return { post, source, links: taken };
    // What comes in here flows against the link as it is seen from this post.
    const next = (links.get(post) ?? [])
      .filter(({ to, amps }) => !seen.has(to) && -direction * amps > 1e-12)
      .toSorted((a, b) => Math.abs(b.amps) - Math.abs(a.amps))[0];
    if (!next) return null;
    taken.push(next);
    seen.add(next.to);
    post = next.to;
  }
}

/**
 * What each load gets in a state: from the posts of the source that it is traced to, along what carries most, each piece
 * with its share. A load that does not run, or that nothing reaches, is left out.
 *
 * @example loadDrops(solved, thrusting)[0]?.dropPercent // 5.16
 */
export function loadDrops(system: SolvedSystem, solved: SolvedState): LoadDrop[] {
  if (solved.collapse) return [];
  const { installation, nominalV } = system;
  const links = linksOf(system, solved);
  const ends = sourcePosts(system, solved);
  const at = (number: number) => solved.volts[number] ?? 0;
  return installation.system.places.flatMap((load, i): LoadDrop[] => {
    const flow = solved.places[i];
    if (load.kind !== 'load' || !flow?.isOn || !flow.isFed || flow.amps <= 0) return [];
    const post = (name: PostName) => installation.numberOf.get(postKey({ place: load.id, post: name })) ?? -1;
    const out = walk(post('plus'), 1, ends.plus, links);
    const back = walk(post('minus'), -1, ends.minus, links);
    if (!out || !back) return [];
    const share = ({ of, from, to, amps }: Link): Share => ({
      of,
      volts: Math.abs(at(from) - at(to)),
      amps: Math.abs(amps),
    });
    const sourceV = at(out.post) - at(back.post);
    const nominal = (nominalV[post('plus')] ?? 0) - (nominalV[post('minus')] ?? 0);
    const dropV = sourceV - flow.volts;
    return [
      {
        loadId: load.id,
        stateId: solved.stateId,
        amps: flow.amps,
        volts: flow.volts,
        sourceV,
        source: { plus: out.source, minus: back.source },
        dropV,
        nominalV: nominal,
        dropPercent: nominal > 0 ? (100 * dropV) / nominal : 0,
        shares: [...out.links.toReversed().map(share), ...back.links.map(share)],
      },
    ];
  });
}
