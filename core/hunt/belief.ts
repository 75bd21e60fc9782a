import type { Hunt } from '../model/hunt.ts';
import { mostOf } from './bounds.ts';
import { effectOn, evidenceOf, type Model, modelOf } from './evidence.ts';
import { type Guess, guessesOf } from './guesses.ts';
import { type Edge, edges } from './known.ts';
import { type Prior, priorsOf, worstMilliohm } from './prior.ts';

/** Which pieces are at fault and no other, and how likely that is. */
export interface Explanation {
  /** Their places in the chain; none where all are sound. */
  readonly places: readonly number[];
  readonly probability: number;
}

/** What the readings leave to believe. */
export interface Belief {
  /** The likeliest first. */
  readonly explanations: readonly Explanation[];
  /** Of each piece: how likely it is at fault. */
  readonly faulty: readonly number[];
  /** Of each piece: what it takes, on the mean of all guesses, mΩ. */
  readonly milliohm: readonly number[];
  /** Of each piece: the most it can take, mΩ, by {@link mostOf}; null where nothing bounds it. */
  readonly most: readonly (number | null)[];
  /** Of each piece: what was believed before. */
  readonly priors: readonly Prior[];
  readonly model: Model;
  readonly guesses: readonly Guess[];
}

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
  const most = mostOf(hunt);
  const cleared = clearedIn(given, most);
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
    most,
    priors: given,
    model,
    guesses,
  };
}

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
function clearedIn(priors: readonly Prior[], most: readonly (number | null)[]): ReadonlySet<number> {
  return new Set(
    priors.flatMap(({ shouldMilliohm, leastMilliohm }, i) => {
      const own = most[i] ?? null;
      return own !== null && own < shouldMilliohm + leastMilliohm ? [i] : [];
    }),
  );
}
