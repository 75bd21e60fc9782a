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
): (injected: Float64Array, volts: Float64Array) => void {
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
  const spent = unrolled(takenOut);
  const factors = rest.length > 0 ? new CholeskyDecomposition(matrix) : null;
  return (injected, volts) => {
    const amps = Float64Array.from(injected);
    spent.handOn(amps);
    const solved = factors?.solve(Matrix.columnVector(rest.map((post) => amps[post] ?? 0)));
    rest.forEach((post, i) => (volts[post] = solved?.get(i, 0) ?? 0));
    spent.takeBack(amps, volts);
  };
}

/**
 * What was taken out, in rows of plain numbers: an installation asks for hundreds of shorts, each once through all of it.
 * A neighbour that is not there is the post itself, by nothing.
 */
function unrolled(takenOut: readonly TakenOut[]) {
  const posts = Int32Array.from(takenOut, ({ post }) => post);
  const siemens = Float64Array.from(takenOut, (its) => its.siemens);
  const neighbour = (i: number) => ({
    posts: Int32Array.from(takenOut, ({ post, on }) => on[i]?.[0] ?? post),
    siemens: Float64Array.from(takenOut, ({ on }) => on[i]?.[1] ?? 0),
  });
  const [first, second] = [neighbour(0), neighbour(1)];
  const entry = (list: ArrayLike<number>, i: number) => list[i] ?? 0;
  return {
    /** Amps of each go to what it hung on. */
    handOn(amps: Float64Array): void {
      for (let i = 0; i < posts.length; i += 1) {
        const handed = entry(amps, entry(posts, i));
        if (handed === 0) continue;
        for (const { posts: others, siemens: by } of [first, second])
          if (entry(by, i) > 0)
            amps[entry(others, i)] =
              entry(amps, entry(others, i)) + (handed * entry(by, i)) / entry(siemens, i);
      }
    },
    /** Volts of each follow from those of what it hung on. */
    takeBack(amps: Float64Array, volts: Float64Array): void {
      for (let i = posts.length - 1; i >= 0; i -= 1) {
        const post = entry(posts, i);
        const sum = entry(amps, post) + entry(first.siemens, i) * entry(volts, entry(first.posts, i));
        volts[post] =
          (sum + entry(second.siemens, i) * entry(volts, entry(second.posts, i))) / entry(siemens, i);
      }
    },
  };
}
