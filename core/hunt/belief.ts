import type { Hunt } from '../model/hunt.ts';
import { mostOf } from './bounds.ts';
import { sigmaOf } from './errors.ts';
import { type Edge, edges } from './known.ts';
import { FAULTS_PRIOR, type Prior, priorsOf, worstMilliohm } from './prior.ts';

/** Which pieces are at fault and no other, and how likely that is. */
export interface Explanation {
  /** Their places in the chain; none where all are sound. */
  readonly places: readonly number[];
  readonly probability: number;
}

/** A fault as it is guessed at: where, and what it takes too much, with how unsure that is, mΩ and mΩ². */
export interface Fault {
  readonly place: number;
  readonly milliohm: number;
  readonly variance: number;
}

/** Faults of about such sizes in such places: a share of one explanation. */
export interface Guess {
  readonly explanation: number;
  readonly weight: number;
  readonly faults: readonly Fault[];
}

/** A chain as a linear Gaussian model, with its readings taken in as if no piece were at fault. */
export interface Model {
  /** What each piece takes, mΩ, and how the pieces go together, mΩ². */
  readonly mean: readonly number[];
  readonly covariance: readonly (readonly number[])[];
  /** By how much the mean of a piece falls for each mΩ that another is taken to have too much. */
  readonly pull: readonly (readonly number[])[];
}

/** What the readings leave to believe. */
export interface Belief {
  /** The likeliest first. */
  readonly explanations: readonly Explanation[];
  /** Of each piece: how likely it is at fault. */
  readonly faulty: readonly number[];
  /** Of each piece: what it takes, on the mean of all guesses, mΩ. */
  readonly milliohm: readonly number[];
  readonly model: Model;
  readonly guesses: readonly Guess[];
}

/** Sizes of a fault, from the least that counts to the worst, each a like factor larger; each is a normal distribution. */
const SIZES = 8;
/** How wide each is: together they leave no gap. */
const SIZE_SIGMA = 0.4;
/** What is less likely than this beside the likeliest is not followed. */
const NEGLIGIBLE = 1e-7;

/**
 * What to believe of a chain after its readings: which pieces are at fault, and how likely that is.
 *
 * A sound piece takes what is customary, scattered as a normal distribution; a few take a fault's worth more, of any
 * size. A reading is the sum of its pieces, with the meter's error. For none, one and two faults, wherever and of
 * whatever size, the likelihood of all readings together follows in closed form, and Bayes' rule weighs them. A piece
 * that a reading across it alone shows to be at fault, at the worst end of its error, is taken as that and is not one of
 * the two; one that the readings leave no room for a fault is sound.
 *
 * Source: Bayes' rule on a linear Gaussian model with sparse faults, see docs/method.md.
 *
 * @param amps that millivolts are counted at
 */
export function beliefOf(hunt: Hunt, amps: number): Belief {
  const given = priorsOf(hunt, amps);
  const worst = worstMilliohm(hunt, amps);
  const readings = edges(hunt);
  const shown = shownIn(given, readings);
  const cleared = clearedIn(hunt, given);
  const isRead = (i: number) => readings.some(({ from, to }) => from === i && to === i + 1);
  // What is settled and read by itself may take anything: it explains its own readings and nothing else.
  const priors = given.map((prior, i) =>
    shown.has(i) || (cleared.has(i) && isRead(i)) ? { ...prior, sigmaMilliohm: worst } : prior,
  );
  const evidence = evidenceOf(priors, readings);
  const model = modelOf(priors, evidence);
  const { sets, guesses } = guessesOf(priors, evidence, { shown, cleared }, worst);
  const probabilities = sets.map(() => 0);
  const faulty: number[] = priors.map((_, i) => (shown.has(i) ? 1 : 0));
  /** What each piece takes too much on the mean of all guesses, mΩ. */
  const excess = priors.map(() => 0);
  for (const { explanation, weight, faults } of guesses) {
    probabilities[explanation] = (probabilities[explanation] ?? 0) + weight;
    for (const { place, milliohm } of faults) {
      faulty[place] = (faulty[place] ?? 0) + weight;
      excess[place] = (excess[place] ?? 0) + weight * milliohm;
    }
  }
  return {
    explanations: sets
      .map((places, n) => ({
        places: [...shown, ...places].sort((a, b) => a - b),
        probability: probabilities[n] ?? 0,
      }))
      .filter(({ probability }) => probability > 0)
      .sort((a, b) => b.probability - a.probability),
    faulty,
    milliohm: model.mean.map((mean, i) =>
      excess.reduce((sum, more, place) => sum + more * effectOn(model, i, place), mean),
    ),
    model,
    guesses,
  };
}

/** What a milliohm too much in one piece makes of the mean of another, given the readings. */
export const effectOn = ({ pull }: Model, piece: number, faulty: number): number =>
  (piece === faulty ? 1 : 0) - (pull[piece]?.[faulty] ?? 0);

/** Pieces that are at fault even at the worst end of a reading across them alone. */
function shownIn(priors: readonly Prior[], readings: readonly Edge[]): ReadonlySet<number> {
  return new Set(
    readings.flatMap(({ from, to, milliohm, errorMilliohm }) => {
      const prior = priors[from];
      const isShown =
        to - from === 1 &&
        prior !== undefined &&
        milliohm - errorMilliohm > prior.shouldMilliohm + prior.leastMilliohm;
      return isShown ? [from] : [];
    }),
  );
}

/** Pieces that cannot be at fault: what the readings leave for them at most, errors and all, is no fault. */
function clearedIn(hunt: Hunt, priors: readonly Prior[]): ReadonlySet<number> {
  const most = mostOf(hunt);
  return new Set(
    priors.flatMap(({ shouldMilliohm, leastMilliohm }, i) => {
      const own = most[i] ?? null;
      return own !== null && own < shouldMilliohm + leastMilliohm ? [i] : [];
    }),
  );
}

/** How the readings speak for something too much in each piece, 1/mΩ, and in each two together, 1/mΩ². */
interface Evidence {
  readonly speaks: readonly number[];
  readonly binds: readonly (readonly number[])[];
}

/** Generalised least squares: the readings, weighed by the inverse of how they scatter together. */
function evidenceOf(priors: readonly Prior[], readings: readonly Edge[]): Evidence {
  const overPieces = <T>(of: (i: number) => T) => priors.map((_, i) => of(i));
  const sumOver = (from: number, to: number, of: (prior: Prior) => number) =>
    priors.slice(from, to).reduce((sum, prior) => sum + of(prior), 0);
  const scatter = readings.map((a) =>
    readings.map(
      (b) =>
        sumOver(Math.max(a.from, b.from), Math.min(a.to, b.to), (prior) => prior.sigmaMilliohm ** 2) +
        (a === b ? sigmaOf(a.errorMilliohm, a.milliohm) ** 2 : 0),
    ),
  );
  const residual = readings.map(
    ({ from, to, milliohm }) => milliohm - sumOver(from, to, (prior) => prior.meanMilliohm),
  );
  const weights = inverse(scatter);
  const weighed = weights.map((row) => row.reduce((sum, weight, n) => sum + weight * (residual[n] ?? 0), 0));
  const covers = ({ from, to }: Edge, i: number) => from <= i && i < to;
  /** Of each reading and piece: the weights of all readings across that piece. */
  const across = weights.map((row) =>
    overPieces((i) =>
      readings.reduce((sum, reading, n) => (covers(reading, i) ? sum + (row[n] ?? 0) : sum), 0),
    ),
  );
  const overReadings = (i: number, of: (n: number) => number) =>
    readings.reduce((sum, reading, n) => (covers(reading, i) ? sum + of(n) : sum), 0);
  return {
    speaks: overPieces((i) => overReadings(i, (n) => weighed[n] ?? 0)),
    binds: overPieces((i) => overPieces((j) => overReadings(i, (n) => across[n]?.[j] ?? 0))),
  };
}

function modelOf(priors: readonly Prior[], { speaks, binds }: Evidence): Model {
  const variance = priors.map(({ sigmaMilliohm }) => sigmaMilliohm ** 2);
  const pull = priors.map((_, i) => priors.map((__, j) => (variance[i] ?? 0) * (binds[i]?.[j] ?? 0)));
  return {
    mean: priors.map(({ meanMilliohm }, i) => meanMilliohm + (variance[i] ?? 0) * (speaks[i] ?? 0)),
    covariance: pull.map((row, i) =>
      row.map((own, j) => (i === j ? (variance[i] ?? 0) : 0) - own * (variance[j] ?? 0)),
    ),
    pull,
  };
}

/** A fault of about one size in one piece, before the readings weigh it. */
interface Size {
  readonly place: number;
  readonly mean: number;
  readonly variance: number;
  readonly log: number;
}

/** Sizes of a fault in a piece, mΩ and mΩ²: each as likely as any, a normal distribution. */
export function sizesOf({ leastMilliohm }: Prior, worst: number): { mean: number; variance: number }[] {
  const factor = (Math.max(worst, 4 * leastMilliohm) / leastMilliohm) ** (1 / SIZES);
  return Array.from({ length: SIZES }, (_, n) => {
    const mean = leastMilliohm * factor ** (n + 0.5);
    return { mean, variance: (SIZE_SIGMA * mean) ** 2 };
  });
}

/** Every guess with its weight: no fault, one, two. */
function guessesOf(
  priors: readonly Prior[],
  evidence: Evidence,
  { shown, cleared }: { readonly shown: ReadonlySet<number>; readonly cleared: ReadonlySet<number> },
  worst: number,
) {
  const others = priors.flatMap((prior, place) => (shown.has(place) ? [] : [{ place, prior }]));
  const all = others.reduce((sum, { prior }) => sum + prior.share, 0) || 1;
  // What is cleared was as likely as any: each that is leaves less for there being a fault at all.
  const free = others.filter(({ place }) => !cleared.has(place));
  const sizes = free.map(({ place, prior }) =>
    sizesOf(prior, worst).map((size): Size => ({ ...size, place, log: Math.log(prior.share / all / SIZES) })),
  );
  const [none, one, two] = FAULTS_PRIOR;
  const twice = 1 - others.reduce((sum, { prior }) => sum + (prior.share / all) ** 2, 0);
  const sets: number[][] = [[]];
  const logs = [Math.log(none)];
  const drawn: { explanation: number; faults: readonly Fault[] }[] = [{ explanation: 0, faults: [] }];
  let most = logs[0] ?? 0;
  const isWorth = (log: number) => log > most + Math.log(NEGLIGIBLE);
  const add = (explanation: number, log: number, faults: readonly Fault[]) => {
    most = Math.max(most, log);
    logs.push(log);
    drawn.push({ explanation, faults });
  };
  for (const own of sizes) {
    const alone = sets.push([own[0]?.place ?? 0]) - 1;
    for (const size of own) {
      const log = Math.log(one) + logOfOne(size, evidence);
      if (isWorth(log)) add(alone, log, faultOf(size, evidence));
    }
  }
  const prior = Math.log((2 * two) / twice);
  for (const [n, own] of sizes.entries()) {
    for (const second of sizes.slice(n + 1)) {
      const both = sets.push([own[0]?.place ?? 0, second[0]?.place ?? 0]) - 1;
      for (const size of own)
        for (const other of second) {
          const log = prior + logOfTwo(size, other, evidence);
          if (isWorth(log)) add(both, log, faultsOf(size, other, evidence));
        }
    }
  }
  const weights = logs.map((log) => Math.exp(log - most));
  const sum = weights.reduce((whole, weight) => whole + weight, 0);
  return {
    sets,
    guesses: drawn.map((own, n): Guess => ({ ...own, weight: (weights[n] ?? 0) / sum })),
  };
}

/** How likely a fault is, with its prior, against no fault at all: the logarithm. */
function logOfOne({ place, mean, variance, log }: Size, { speaks, binds }: Evidence): number {
  const [speaking, binding] = [speaks[place] ?? 0, binds[place]?.[place] ?? 0];
  const left = speaking - binding * mean;
  const grows = 1 + variance * binding;
  return (
    log +
    mean * speaking -
    (binding * mean ** 2) / 2 +
    (variance * left ** 2) / (2 * grows) -
    Math.log(grows) / 2
  );
}

function faultOf({ place, mean, variance }: Size, { speaks, binds }: Evidence): readonly Fault[] {
  const binding = binds[place]?.[place] ?? 0;
  const after = variance / (1 + variance * binding);
  return [{ place, milliohm: mean + after * ((speaks[place] ?? 0) - binding * mean), variance: after }];
}

/** Two faults together: what is left to explain of each, and the matrix 1/V + B that says how surely. */
function pairOf(a: Size, b: Size, { speaks, binds }: Evidence) {
  const both = binds[a.place]?.[b.place] ?? 0;
  const [bindA, bindB] = [binds[a.place]?.[a.place] ?? 0, binds[b.place]?.[b.place] ?? 0];
  const leftA = (speaks[a.place] ?? 0) - bindA * a.mean - both * b.mean;
  const leftB = (speaks[b.place] ?? 0) - bindB * b.mean - both * a.mean;
  const [sureA, sureB] = [1 / a.variance + bindA, 1 / b.variance + bindB];
  const determinant = sureA * sureB - both ** 2;
  return {
    both,
    bindA,
    bindB,
    leftA,
    leftB,
    sureA,
    sureB,
    determinant,
    moveA: (sureB * leftA - both * leftB) / determinant,
    moveB: (sureA * leftB - both * leftA) / determinant,
  };
}

function logOfTwo(a: Size, b: Size, evidence: Evidence): number {
  const { both, bindA, bindB, leftA, leftB, moveA, moveB, determinant } = pairOf(a, b, evidence);
  return (
    a.log +
    b.log +
    (evidence.speaks[a.place] ?? 0) * a.mean +
    (evidence.speaks[b.place] ?? 0) * b.mean -
    (bindA * a.mean ** 2) / 2 -
    (bindB * b.mean ** 2) / 2 -
    both * a.mean * b.mean +
    (leftA * moveA + leftB * moveB) / 2 -
    Math.log(determinant * a.variance * b.variance) / 2
  );
}

function faultsOf(a: Size, b: Size, evidence: Evidence): readonly Fault[] {
  const { moveA, moveB, sureA, sureB, determinant } = pairOf(a, b, evidence);
  return [
    { place: a.place, milliohm: a.mean + moveA, variance: sureB / determinant },
    { place: b.place, milliohm: b.mean + moveB, variance: sureA / determinant },
  ];
}

/** The inverse of a symmetric positive definite matrix, by Cholesky. */
function inverse(matrix: readonly (readonly number[])[]): number[][] {
  const size = matrix.length;
  const lower: number[][] = [];
  for (const [i, row] of matrix.entries()) {
    const current: number[] = [];
    for (let j = 0; j <= i; j += 1) {
      const other = j === i ? current : (lower[j] ?? []);
      let rest = row[j] ?? 0;
      for (let k = 0; k < j; k += 1) rest -= (current[k] ?? 0) * (other[k] ?? 0);
      current.push(i === j ? Math.sqrt(Math.max(rest, Number.MIN_VALUE)) : rest / (other[j] ?? 1));
    }
    lower.push(current);
  }
  return matrix.map((_, column) => {
    const solved: number[] = [];
    for (let i = 0; i < size; i += 1) {
      let rest = i === column ? 1 : 0;
      for (let k = 0; k < i; k += 1) rest -= (lower[i]?.[k] ?? 0) * (solved[k] ?? 0);
      solved.push(rest / (lower[i]?.[i] ?? 1));
    }
    for (let i = size - 1; i >= 0; i -= 1) {
      let rest = solved[i] ?? 0;
      for (let k = i + 1; k < size; k += 1) rest -= (lower[k]?.[i] ?? 0) * (solved[k] ?? 0);
      solved[i] = rest / (lower[i]?.[i] ?? 1);
    }
    return solved;
  });
}
