import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { sigmaOf } from './errors.ts';
import type { Edge } from './known.ts';
import type { Prior } from './prior.ts';

/** A chain as a linear Gaussian model, with its readings taken in as if no piece were at fault. */
export interface Model {
  /** What each piece takes, mΩ, and how the pieces go together, mΩ². */
  readonly mean: readonly number[];
  readonly covariance: readonly (readonly number[])[];
  /** By how much the mean of a piece falls for each mΩ that another is taken to have too much. */
  readonly pull: readonly (readonly number[])[];
}

/** What a milliohm too much in one piece makes of the mean of another, given the readings. */
export const effectOn = ({ pull }: Model, piece: number, faulty: number): number =>
  (piece === faulty ? 1 : 0) - (pull[piece]?.[faulty] ?? 0);

/** How the readings speak for something too much in each piece, 1/mΩ, and in each two together, 1/mΩ². */
export interface Evidence {
  readonly speaks: readonly number[];
  readonly binds: readonly (readonly number[])[];
}

/** Generalised least squares: the readings, weighed by the inverse of how they scatter together. */
export function evidenceOf(priors: readonly Prior[], readings: readonly Edge[]): Evidence {
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
  // Positive definite: every reading has an error of its own.
  const weights =
    scatter.length === 0
      ? []
      : new CholeskyDecomposition(new Matrix(scatter)).solve(Matrix.eye(scatter.length)).to2DArray();
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

/** The chain with its readings taken in as if no piece were at fault. */
export function modelOf(priors: readonly Prior[], { speaks, binds }: Evidence): Model {
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
