/**
 * A root of `f` between `low` and `high`, by the Illinois form of false position: bracketed, so it cannot run away.
 *
 * @param f continuous, with values of opposite sign at the two ends
 * @param tolerance how narrow the bracket, or how small a step, ends the search; in the unit of `low`
 * @throws RangeError when the ends do not bracket a root
 * @example rootBetween((x) => x * x - 2, 0, 2, 1e-9) // 1.41421356
 */
export function rootBetween(f: (x: number) => number, low: number, high: number, tolerance: number): number {
  let [a, b] = [low, high];
  let [fa, fb] = [f(a), f(b)];
  if (fa === 0) return a;
  if (fb === 0) return b;
  if (fa * fb > 0) throw new RangeError(`no change of sign between ${low} and ${high}`);
  let previous = Number.POSITIVE_INFINITY;
  for (let step = 0; step < 200; step += 1) {
    const x = (a * fb - b * fa) / (fb - fa);
    const fx = f(x);
    if (fx === 0 || Math.abs(b - a) < tolerance || Math.abs(x - previous) < tolerance / 2) return x;
    if (fx * fb < 0) {
      [a, fa] = [b, fb];
    } else {
      // The same end moved twice: halve the weight of the end that stays, so that it moves next.
      fa /= 2;
    }
    [b, fb] = [x, fx];
    previous = x;
  }
  return b;
}
