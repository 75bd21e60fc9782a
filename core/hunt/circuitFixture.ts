import { between, pick, type Random } from '../lib/random.ts';
import type { Hunt, Piece, Span } from '../model/hunt.ts';
import type { ChainPieceKind } from '../model/tables/chainPieces.ts';
import { readingErrorMillivolt } from './errors.ts';
import { expectedMilliohm } from './expected.ts';
import { GUILTY_TIMES } from './prior.ts';
import { huntFound, type HuntFound } from './suspects.ts';

/** A circuit that was made up: what a hunt begins with, and what each of its pieces really takes, mΩ. */
export interface Circuit {
  readonly hunt: Hunt;
  readonly amps: number;
  readonly real: readonly number[];
  /** Places of its faults. */
  readonly faults: readonly number[];
}

/** A usual chain of fifteen: out over an isolator and a fuse, back by a bar. */
const CHAIN: readonly (readonly [ChainPieceKind, Piece['side']])[] = [
  ...(['post', 'lug', 'cable', 'lug', 'switch', 'fuse', 'lug', 'cable', 'stud'] as const).map(
    (kind) => [kind, 'out'] as const,
  ),
  ...(['stud', 'cable', 'lug', 'busbar', 'lug', 'post'] as const).map((kind) => [kind, 'back'] as const),
];

const sum = (values: readonly number[]) => values.reduce((all, own) => all + own, 0);

/** What a sound piece takes of what it should: a cable a little less than its table, other things roughly that. */
const soundShare = (random: Random, kind: ChainPieceKind) =>
  kind === 'cable' ? between(random, 0.88, 1.02) : between(random, 0.65, 1.3);

/** Off by at most so much, evenly. */
const noisy = (random: Random, value: number, error: number) => value + between(random, -error, error);

/**
 * A circuit with faults of so many millivolts in pieces drawn by the seed; its two voltages are read with the meter's
 * errors.
 */
export function circuitOf(random: Random, faultsMillivolt: readonly number[]): Circuit {
  const systemV = pick(random, [12, 24, 48]);
  const amps = between(random, 60, 250);
  const name = pick(random, ['35', '50', '70'] as const);
  const pieces = CHAIN.map(([kind, side], i): Piece => ({
    id: `p${i}`,
    kind,
    title: `${kind} ${i}`,
    side,
    ...(kind === 'cable' && {
      size: { system: 'metric', name },
      lengthMm: Math.round(between(random, 400, 6000)),
    }),
  }));
  const copperC = 30;
  const real = pieces.map((piece) => soundShare(random, piece.kind) * expectedMilliohm(piece, copperC));
  const faults: number[] = [];
  for (const millivolt of faultsMillivolt) {
    // So much in a long cable is no fault: it takes half as much again as it should before it is one.
    const counts = (i: number) =>
      millivolt / amps > GUILTY_TIMES * expectedMilliohm(pieces[i] as Piece, copperC) - (real[i] ?? 0);
    const place = pick(
      random,
      pieces.flatMap((_, i) => (faults.includes(i) || !counts(i) ? [] : [i])),
    );
    faults.push(place);
    real[place] = (real[place] ?? 0) + millivolt / amps;
  }
  const postsV = systemV * 1.02;
  const loadV = postsV - (sum(real) * amps) / 1000;
  const volts = (value: number) => Math.round(noisy(random, value, 0.008) * 100) / 100;
  return {
    amps,
    real,
    faults,
    hunt: {
      id: 'h',
      title: 'made up',
      systemV,
      test: 'steady',
      load: 'load',
      loaded: { postsV: volts(postsV), loadV: volts(loadV), amps },
      copperC,
      pieces,
      spans: [],
      notes: '',
    },
  };
}

/** What a meter shows across some pieces of it, within its errors. */
export function readAcross(random: Random, { amps, real }: Circuit, first: number, last: number): Span {
  const millivolt = sum(real.slice(first, last + 1)) * amps;
  return {
    id: `s${first}-${last}`,
    first: `p${first}`,
    last: `p${last}`,
    millivolt:
      Math.round(10 * Math.max(0, noisy(random, millivolt, 0.9 * readingErrorMillivolt(millivolt)))) / 10,
    amps,
    at: '2026-11-02T14:52:00Z',
    by: '',
    source: 'typed',
  };
}

/** Follows the next probe until there is none, or a walk would be over; what was found, and after how many probes. */
export function followed(
  random: Random,
  circuit: Circuit,
  isDone: (found: HuntFound) => boolean = ({ next }) => next === null,
): { readonly found: HuntFound; readonly probes: number; readonly hunt: Hunt } {
  let { hunt } = circuit;
  for (let probes = 0; ; probes += 1) {
    const found = huntFound(hunt);
    if (isDone(found) || !found.next || probes >= 2 * circuit.real.length) return { found, probes, hunt };
    const place = (id: string) => hunt.pieces.findIndex((piece) => piece.id === id);
    const span = readAcross(random, circuit, place(found.next.first.id), place(found.next.last.id));
    hunt = { ...hunt, spans: [...hunt.spans, { ...span, id: `s${probes}` }] };
  }
}
