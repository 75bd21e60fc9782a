import { CholeskyDecomposition, Matrix } from 'ml-matrix';

/** Siemens between two posts, by either. */
type Mesh = ReadonlyMap<number, ReadonlyMap<number, number>>;

/** A post that was taken out of the mesh, with what it hung on. */
interface TakenOut {
  readonly post: number;
  readonly siemens: number;
  readonly on: readonly (readonly [post: number, siemens: number])[];
}

/** Posts of more than this stay for the dense solve: taking one out joins each two of its neighbours. */
const MOST_NEIGHBOURS = 2;

/**
 * A mesh of conductances made ready: amps put into its posts give the volts of all, against the posts that stand at 0.
 * What hangs on one post, or between two, is taken out first, as one adds resistances in series and conductances side by
 * side; of an installation that is nearly all of it. The rest is factored whole.
 *
 * Source: Gaussian elimination in that order, exact; Cholesky by ml-matrix.
 *
 * @param grounded posts at 0 V
 */
export function reduced(
  mesh: Mesh,
  grounded: ReadonlySet<number>,
): (injected: readonly number[], volts: number[]) => void {
  const left = new Map([...mesh].map(([post, own]) => [post, new Map(own)]));
  const takenOut: TakenOut[] = [];
  const waiting = [...left.keys()];
  while (waiting.length > 0) {
    const post = waiting.pop() ?? -1;
    const neighbours = left.get(post);
    if (!neighbours || grounded.has(post) || neighbours.size > MOST_NEIGHBOURS || neighbours.size === 0)
      continue;
    const on = [...neighbours];
    const siemens = on.reduce((sum, [, own]) => sum + own, 0);
    takenOut.push({ post, siemens, on });
    left.delete(post);
    for (const [other] of on) left.get(other)?.delete(post);
    const [first, second] = on;
    if (first && second) {
      const through = (first[1] * second[1]) / siemens;
      for (const [a, b] of [
        [first[0], second[0]],
        [second[0], first[0]],
      ] as const) {
        const own = left.get(a);
        own?.set(b, (own.get(b) ?? 0) + through);
      }
    }
    waiting.push(...on.map(([other]) => other));
  }
  const rest = [...left.keys()].filter((post) => !grounded.has(post));
  const place = new Map(rest.map((post, i) => [post, i]));
  const matrix = Matrix.zeros(rest.length, rest.length);
  for (const [i, post] of rest.entries()) {
    for (const [other, siemens] of left.get(post) ?? []) {
      matrix.set(i, i, matrix.get(i, i) + siemens);
      const j = place.get(other);
      if (j !== undefined) matrix.set(i, j, matrix.get(i, j) - siemens);
    }
  }
  const factors = rest.length > 0 ? new CholeskyDecomposition(matrix) : null;
  return (injected, volts) => {
    const amps = [...injected];
    for (const { post, siemens, on } of takenOut)
      for (const [other, own] of on) amps[other] = (amps[other] ?? 0) + ((amps[post] ?? 0) * own) / siemens;
    const solved = factors?.solve(Matrix.columnVector(rest.map((post) => amps[post] ?? 0)));
    rest.forEach((post, i) => (volts[post] = solved?.get(i, 0) ?? 0));
    for (const { post, siemens, on } of takenOut.toReversed())
      volts[post] =
        on.reduce((sum, [other, own]) => sum + own * (volts[other] ?? 0), amps[post] ?? 0) / siemens;
  };
}
