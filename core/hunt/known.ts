import { type Hunt, loadedOf } from '../model/hunt.ts';
import { addTo } from '../lib/lists.ts';
import { readingErrorMillivolt, wholeErrorMillivolt } from './errors.ts';

/** Pieces whose resistance together is known from readings, and from nothing less. */
export interface Known {
  /** Their places in the chain, in order. */
  readonly places: readonly number[];
  readonly milliohm: number;
  /** How far the readings may be off, mΩ. */
  readonly errorMilliohm: number;
  /** The readings it rests on: ids of spans, and "loaded" for the two voltages. */
  readonly from: readonly string[];
}

/** Readings that cannot all be true, and by how much they disagree. */
export interface Contradiction {
  readonly readings: readonly string[];
  readonly millivolt: number;
  /** More volts at the load than at the posts; or parts and whole that do not agree, and which of them is over. */
  readonly why: 'swapped' | 'parts over' | 'whole over';
}

/** A reading as the resistance between two nodes: node n lies before piece n, the last one after the last piece. */
export interface Edge {
  readonly from: number;
  readonly to: number;
  readonly milliohm: number;
  readonly errorMilliohm: number;
  readonly amps: number;
  readonly id: string;
}

/** Every reading as the resistance between two nodes, the shortest first. */
export function edges(hunt: Hunt): Edge[] {
  const { pieces, spans } = hunt;
  const loaded = loadedOf(hunt);
  const place = (id: string) => pieces.findIndex((piece) => piece.id === id);
  const readEdges = spans.flatMap((span): Edge[] => {
    const [a, b] = [place(span.first), place(span.last)];
    if (a < 0 || b < 0) return [];
    return [
      {
        from: Math.min(a, b),
        to: Math.max(a, b) + 1,
        milliohm: span.millivolt / span.amps,
        errorMilliohm: readingErrorMillivolt(span.millivolt) / span.amps,
        amps: span.amps,
        id: span.id,
      },
    ];
  });
  const lost = loaded ? (loaded.postsV - loaded.loadV) * 1000 : 0;
  const whole: Edge[] = loaded
    ? [
        {
          from: 0,
          to: pieces.length,
          milliohm: lost / loaded.amps,
          errorMilliohm: wholeErrorMillivolt(lost) / loaded.amps,
          amps: loaded.amps,
          id: 'loaded',
        },
      ]
    : [];
  return [...readEdges, ...whole].sort((a, b) => a.to - a.from - (b.to - b.from));
}

/** What lies between two nodes: by one reading, or by several one after the other. */
interface Between {
  readonly milliohm: number;
  readonly errorMilliohm: number;
  readonly from: readonly string[];
}

/** Readings that tie nodes together, no two of them the same nodes: from each node, where one gets to and how. */
type Ties = Map<number, (Between & { readonly to: number })[]>;

/** What lies between two nodes as the readings tie them; null where they do not. */
function between(ties: Ties, start: number, end: number): Between | null {
  const seen = new Map<number, Between>([[start, { milliohm: 0, errorMilliohm: 0, from: [] }]]);
  const open = [start];
  for (let node = open.pop(); node !== undefined; node = open.pop()) {
    const path = seen.get(node);
    if (node === end || !path) break;
    for (const { to, milliohm, errorMilliohm, from } of ties.get(node) ?? []) {
      if (seen.has(to)) continue;
      seen.set(to, {
        milliohm: path.milliohm + milliohm,
        errorMilliohm: path.errorMilliohm + errorMilliohm,
        from: [...path.from, ...from],
      });
      open.push(to);
    }
  }
  return seen.get(end) ?? null;
}

/** Ties nodes by readings, the shortest first; a reading that does not fit what is tied already contradicts it. */
function tied(hunt: Hunt): { ties: Ties; contradictions: Contradiction[] } {
  const ties: Ties = new Map();
  const tie = (node: number, to: Between & { readonly to: number }) => addTo(ties, node, to);
  const contradictions: Contradiction[] = [];
  for (const { from, to, milliohm, errorMilliohm, amps, id } of edges(hunt)) {
    if (milliohm < -errorMilliohm) {
      contradictions.push({ readings: [id], millivolt: -milliohm * amps, why: 'swapped' });
      continue;
    }
    const known = between(ties, from, to);
    if (known) {
      const off = milliohm - known.milliohm;
      if (Math.abs(off) > errorMilliohm + known.errorMilliohm)
        contradictions.push({
          readings: [id, ...known.from],
          millivolt: Math.abs(off) * amps,
          why: off < 0 ? 'parts over' : 'whole over',
        });
      continue;
    }
    tie(from, { to, milliohm, errorMilliohm, from: [id] });
    tie(to, { to: from, milliohm: -milliohm, errorMilliohm, from: [id] });
  }
  return { ties, contradictions };
}

/** Stretches between neighbouring nodes that readings tie together. */
function stretchesOf(ties: Ties): Known[] {
  const nodes = [...ties.keys()].sort((a, b) => a - b);
  return nodes.flatMap((from, i): Known[] => {
    for (const to of nodes.slice(i + 1)) {
      const own = between(ties, from, to);
      if (own) return [{ ...own, places: Array.from({ length: to - from }, (_, n) => from + n) }];
    }
    return [];
  });
}

const isWithin = (inner: Known, outer: Known) => inner.places.every((own) => outer.places.includes(own));
const overlaps = (a: Known, b: Known) => a.places.some((own) => b.places.includes(own));

/**
 * What is known of which pieces: the stretches between neighbouring nodes that readings tie together, less the
 * stretches within them that are known by themselves. Volts and amps of a reading are taken as one moment, so a
 * falling current does no harm.
 *
 * @returns pieces that are known together, and readings that cannot all be true
 */
export function knownOf(hunt: Hunt): { known: Known[]; contradictions: Contradiction[] } {
  const { ties, contradictions } = tied(hunt);
  const stretches = stretchesOf(ties);
  const known: Known[] = [];
  for (const stretch of stretches.toSorted((a, b) => a.places.length - b.places.length)) {
    const inside: Known[] = [];
    for (const own of known)
      if (isWithin(own, stretch) && !inside.some((other) => overlaps(own, other))) inside.push(own);
    const places = stretch.places.filter((own) => !inside.some((part) => part.places.includes(own)));
    const milliohm = stretch.milliohm - inside.reduce((sum, own) => sum + own.milliohm, 0);
    const errorMilliohm = stretch.errorMilliohm + inside.reduce((sum, own) => sum + own.errorMilliohm, 0);
    const from = [...new Set([...stretch.from, ...inside.flatMap((own) => own.from)])];
    if (places.length === 0 ? Math.abs(milliohm) > errorMilliohm : milliohm < -errorMilliohm) {
      contradictions.push({
        readings: from,
        millivolt:
          Math.abs(milliohm) * Math.max(...hunt.spans.map(({ amps }) => amps), hunt.loaded.amps ?? 0),
        why: milliohm < 0 ? 'parts over' : 'whole over',
      });
    } else if (places.length > 0) {
      known.push({ places, milliohm: Math.max(0, milliohm), errorMilliohm, from });
    }
  }
  return { known, contradictions };
}
