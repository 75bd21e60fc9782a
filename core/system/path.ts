import { bestFirst } from '../lib/bestFirst.ts';
import { addTo } from '../lib/lists.ts';
import { isBetween, jointsIn, type PieceOf, postAt } from './installation.ts';
import { LEAST_OHM } from './pieces.ts';
import type { SolvedState, SolvedSystem } from './solve.ts';

/** One that spends of a load's drop. */
export interface Share {
  readonly of: PieceOf;
  readonly volts: number;
  /** A through it. */
  readonly amps: number;
  /** The posts that it lies between, by number, in the order of the way out and back. */
  readonly from: number;
  readonly to: number;
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
  const { conductors, system } = installation;
  const links = new Map<number, Link[]>();
  const add = (link: Link) => {
    addTo(links, link.from, link);
    addTo(links, link.to, { ...link, from: link.to, to: link.from, amps: -link.amps });
  };
  conductors.forEach(({ cable, at }, i) =>
    add({ of: { kind: 'cable', id: cable.id }, from: at.A, to: at.B, amps: solved.cables[i]?.amps ?? 0 }),
  );
  system.places.forEach((place, i) => {
    const flow = solved.places[i];
    if (isBetween(place) && flow?.isOn)
      add({
        of: { kind: 'place', id: place.id },
        from: postAt(installation, place.id, 'line'),
        to: postAt(installation, place.id, 'load'),
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
interface Sources {
  readonly plus: ReadonlyMap<number, string>;
  readonly minus: ReadonlyMap<number, string>;
}

/**
 * Sources that loads are traced to: those that set the volts. A charger at its limit sets none: the battery beside it does,
 * and only where there is none is the charger itself the source.
 */
function sourcesIn(
  { installation }: SolvedSystem,
  solved: SolvedState,
  are: 'set' | 'batteries' | 'any',
): Sources {
  const [plus, minus] = [new Map<number, string>(), new Map<number, string>()];
  installation.system.places.forEach((place, i) => {
    const flow = solved.places[i];
    const isSupply = place.kind === 'supply' || place.kind === 'dcdc';
    if (!flow || !(place.kind === 'battery' || isSupply)) return;
    const counts =
      are === 'batteries'
        ? !isSupply
        : flow.amps > 1e-9 && (are === 'any' || !isSupply || flow.mode === 'holds');
    if (!counts) return;
    const [out, back] =
      place.kind === 'dcdc' ? (['out-plus', 'out-minus'] as const) : (['plus', 'minus'] as const);
    plus.set(postAt(installation, place.id, out), place.id);
    minus.set(postAt(installation, place.id, back), place.id);
  });
  return { plus, minus };
}

/** A way from a post of a load to one of a source, the links from the load on. */
interface Walk {
  readonly post: number;
  readonly source: string;
  readonly links: readonly Link[];
}
type Links = ReadonlyMap<number, readonly Link[]>;

/** Against the current from the plus of a load to a source, always along what carries most. Null where none is found. */
function upstream(from: number, ends: ReadonlyMap<number, string>, links: Links): Walk | null {
  const seen = new Set([from]);
  const taken: Link[] = [];
  for (let post = from; ;) {
    const source = ends.get(post);
    if (source !== undefined) return { post, source, links: taken };
    // What comes in here flows against the link as it is seen from this post.
    const next = (links.get(post) ?? [])
      .filter(({ to, amps }) => !seen.has(to) && amps < -1e-12)
      .toSorted((a, b) => a.amps - b.amps)[0];
    if (!next) return null;
    taken.push(next);
    seen.add(next.to);
    post = next.to;
  }
}

/** The way with the least volts between to one of some posts; of two alike, along what carries more. */
function nearest(
  from: number,
  ends: ReadonlyMap<number, string>,
  links: Links,
  volts: readonly number[],
): Walk | null {
  const step = (post: number, { to, amps }: Link) =>
    Math.abs((volts[post] ?? 0) - (volts[to] ?? 0)) + 1e-9 / (1 + Math.abs(amps));
  const walk = bestFirst<number, { readonly far: number; readonly taken: readonly Link[] }>(
    [[from, { far: 0, taken: [] }]],
    (own, known) => known === undefined || own.far < known.far,
    (post, { far, taken }) =>
      (links.get(post) ?? []).map((link) => [
        link.to,
        { far: far + step(post, link), taken: [...taken, link] },
      ]),
  );
  for (const [post, { taken }] of walk) {
    const source = ends.get(post);
    if (source !== undefined) return { post, source, links: taken };
  }
  return null;
}

/**
 * What each load gets in a state: from the posts of the source that sets its volts, along what carries most, each piece
 * with its share. A piece through which current runs the other way, towards a battery that is charged, gives back: its
 * share is negative. A load that does not run, or that nothing reaches, is left out.
 *
 * @example loadDrops(solved, thrusting)[0]?.dropPercent // 5.13
 */
export function loadDrops(system: SolvedSystem, solved: SolvedState): LoadDrop[] {
  if (solved.collapse) return [];
  const { installation, nominalV } = system;
  const links = linksOf(system, solved);
  const [set, batteries, any] = (['set', 'batteries', 'any'] as const).map((are) =>
    sourcesIn(system, solved, are),
  );
  const voltsAt = (number: number) => solved.volts[number] ?? 0;
  /** Out from a source, and back to the same one, or to the last battery of its string. */
  const ways = (plus: number, minus: number): { readonly out: Walk; readonly back: Walk } | null => {
    if (!set || !batteries || !any) return null;
    const out =
      upstream(plus, set.plus, links) ??
      nearest(plus, batteries.plus, links, solved.volts) ??
      upstream(plus, any.plus, links);
    if (!out) return null;
    const own = new Map([...any.minus, ...batteries.minus].filter(([, source]) => source === out.source));
    const back =
      nearest(minus, own, links, solved.volts) ?? nearest(minus, batteries.minus, links, solved.volts);
    return back && { out, back };
  };
  return installation.system.places.flatMap((load, i): LoadDrop[] => {
    const flow = solved.places[i];
    if (load.kind !== 'load' || !flow?.isOn || !flow.isFed || flow.amps <= 0) return [];
    const [plus, minus] = [postAt(installation, load.id, 'plus'), postAt(installation, load.id, 'minus')];
    const found = ways(plus, minus);
    if (!found) return [];
    const { out, back } = found;
    const share = ({ of, from, to, amps }: Link, isOut: boolean): Share => {
      const [first, second] = isOut ? [to, from] : [from, to];
      return { of, volts: voltsAt(first) - voltsAt(second), amps: Math.abs(amps), from: first, to: second };
    };
    const sourceV = voltsAt(out.post) - voltsAt(back.post);
    const nominal = (nominalV[plus] ?? 0) - (nominalV[minus] ?? 0);
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
        shares: [
          ...out.links.toReversed().map((link) => share(link, true)),
          ...back.links.map((link) => share(link, false)),
        ],
      },
    ];
  });
}
