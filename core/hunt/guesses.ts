import type { Evidence } from './evidence.ts';
import { FAULTS_PRIOR, type Prior } from './prior.ts';

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

/** Sizes of a fault, from the least that counts to the worst, each a like factor larger; each is a normal distribution. */
const SIZES = 8;
/** How wide each is: together they leave no gap. */
const SIZE_SIGMA = 0.4;
/** What is less likely than this beside the likeliest is not followed. */
const NEGLIGIBLE = 1e-7;

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
export function guessesOf(
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
