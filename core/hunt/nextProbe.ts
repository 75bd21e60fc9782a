import type { Hunt, Piece, Span } from '../model/hunt.ts';
import type { Belief } from './belief.ts';
import { effectOn } from './evidence.ts';
import type { Guess } from './guesses.ts';
import { readingErrorMillivolt, sigmaOf } from './errors.ts';

/** Where to put the probes next: from the first of these pieces to the last. `probeSays` puts it into words. */
export interface NextProbe {
  readonly first: Piece;
  readonly last: Piece;
}

/** Pieces from one place to another, both among them. */
interface Across {
  readonly from: number;
  readonly to: number;
}

/** Guesses that weigh less are not asked of a probe: together they are a few per cent. */
const LEAST_WEIGHT = 1e-3;
/** A probe that tells less than this tells nothing. */
const LEAST_BITS = 1e-4;
/** What a metre between the probes costs, in probes: leads are a metre and a half. */
const EFFORT_A_METRE = 0.08;
const LEADS_M = 1.5;
const MOST_EFFORT = 0.6;
/** What opening a panel costs, in probes; it is open once something behind it was read. */
const EFFORT_A_PANEL = 0.7;
/** What is spared where one probe stays. */
const ONE_STAYS = 0.05;

/**
 * The reading that is expected to tell most of where the fault is, for its effort: a reading over a long run or behind a
 * panel costs more, one for which a probe may stay costs less. The load's own volts are no drop, so the probes stay on one side of it.
 *
 * Source: mutual information of the reading and the explanations, the readings told apart in bins.
 *
 * @returns null where no reading tells anything more
 */
export function mostTelling(hunt: Hunt, belief: Belief, amps: number): NextProbe | null {
  const guesses = belief.guesses.filter(({ weight }) => weight > LEAST_WEIGHT);
  let best: { across: Across; worth: number } | null = null;
  for (const across of spansOf(hunt)) {
    const bits = bitsOf(across, belief, guesses, amps);
    const worth = bits / effortOf(hunt, across);
    if (bits > LEAST_BITS && worth > (best?.worth ?? 0)) best = { across, worth };
  }
  return best && probeAcross(hunt, best.across);
}

/** A probe across some pieces. */
export function probeAcross({ pieces }: Hunt, { from, to }: Across): NextProbe | null {
  const [first, last] = [pieces[from], pieces[to]];
  return first && last ? { first, last } : null;
}

/** Everything that can be read at once and was not yet. */
function spansOf({ pieces, spans }: Hunt): Across[] {
  const read = new Set(spans.map(({ first, last }) => `${first} ${last}`));
  return pieces.flatMap((first, from) =>
    pieces.flatMap((last, to) =>
      to >= from &&
      first.side === last.side &&
      !read.has(`${first.id} ${last.id}`) &&
      !read.has(`${last.id} ${first.id}`)
        ? [{ from, to }]
        : [],
    ),
  );
}

function effortOf({ pieces, spans }: Hunt, { from, to }: Across): number {
  const metres = pieces.slice(from, to + 1).reduce((sum, { lengthMm = 0 }) => sum + lengthMm / 1000, 0);
  const last = spans.at(-1);
  const stays =
    last !== undefined &&
    [pieces[from]?.id === last.first, pieces[to]?.id === last.last, pieces[from - 1]?.id === last.last].some(
      Boolean,
    );
  const closed = [pieces[from], pieces[to]].filter(
    (piece, i, both) => piece?.behindPanel && !isOpened(piece, spans) && both.indexOf(piece) === i,
  ).length;
  const reach = Math.min(MOST_EFFORT, EFFORT_A_METRE * Math.max(0, metres - LEADS_M));
  return 1 + reach + closed * EFFORT_A_PANEL - (stays ? ONE_STAYS : 0);
}

/** Whether a probe was at a piece before: what hid it is open. */
const isOpened = ({ id }: Piece, spans: readonly Span[]): boolean =>
  spans.some(({ first, last }) => first === id || last === id);

/** A normal distribution in equal steps, from −2.4 to 2.4 standard deviations, with the weight of each. */
const STEPS = Array.from({ length: 7 }, (_, n) => 0.8 * (n - 3));
const DENSITIES = STEPS.map((sigmas) => Math.exp(-(sigmas ** 2) / 2));
const DENSITY = DENSITIES.reduce((all, own) => all + own, 0);
const POINTS = STEPS.map((sigmas, n) => [sigmas, (DENSITIES[n] ?? 0) / DENSITY] as const);

/** Readings are told apart in so many bins: narrow about what a sound chain reads, and wider the more it is off. */
const BINS = 48;
const MIDDLE = 12;
const BIN_SIGMAS = 0.4;
const binOf = (sigmasOff: number) =>
  Math.min(BINS - 1, Math.max(0, Math.round(Math.asinh(sigmasOff) / BIN_SIGMAS) + MIDDLE));

/** What a reading across some pieces is expected to tell of the explanations, bits. */
function bitsOf({ from, to }: Across, { model }: Belief, guesses: readonly Guess[], amps: number): number {
  const places = Array.from({ length: to - from + 1 }, (_, n) => from + n);
  const sum = (of: (place: number) => number) => places.reduce((all, place) => all + of(place), 0);
  const errorOf = (milliohm: number) => sigmaOf(readingErrorMillivolt(milliohm * amps) / amps, milliohm);
  const sound = sum((i) => model.mean[i] ?? 0);
  const scatter = Math.max(
    0,
    sum((i) => sum((j) => model.covariance[i]?.[j] ?? 0)),
  );
  const sigma = Math.hypot(Math.sqrt(scatter), errorOf(sound));
  const effect = model.mean.map((_, faulty) => sum((i) => effectOn(model, i, faulty)));
  const any = new Float64Array(BINS);
  const byExplanation = new Map<number, Float64Array>();
  let whole = 0;
  for (const { faults, weight, explanation } of guesses) {
    let bins = byExplanation.get(explanation);
    if (!bins) byExplanation.set(explanation, (bins = new Float64Array(BINS)));
    let [mean, variance] = [sound, scatter];
    for (const { place, milliohm, variance: unsure } of faults) {
      mean += (effect[place] ?? 0) * milliohm;
      variance += (effect[place] ?? 0) ** 2 * unsure;
    }
    const wide = Math.sqrt(variance + errorOf(mean) ** 2);
    whole += weight;
    for (const [sigmas, part] of POINTS) {
      const bin = binOf((mean - sound + sigmas * wide) / sigma);
      bins[bin] = (bins[bin] ?? 0) + weight * part;
      any[bin] = (any[bin] ?? 0) + weight * part;
    }
  }
  let bits = 0;
  for (const own of byExplanation.values()) {
    const share = own.reduce((all, part) => all + part, 0);
    own.forEach((part, bin) => {
      if (part > 0) bits += part * Math.log2((part * whole) / (share * (any[bin] ?? 1)));
    });
  }
  return bits / whole;
}
