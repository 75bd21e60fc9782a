/**
 * Solves a symmetric tridiagonal system whose off-diagonal is `−links`, as a chain of conductances gives.
 *
 * Row i reads `−links[i−1]·x[i−1] + diagonal[i]·x[i] − links[i]·x[i+1] = right[i]`. Solved where it stands, as it is
 * asked some thousand times for a duty: `right` becomes the solution, `diagonal` the pivots. Stable without pivoting
 * while each diagonal exceeds the links beside it.
 *
 * @example
 * const right = Float64Array.of(1, 0);
 * solveChain(Float64Array.of(2, 2), Float64Array.of(1), right); // right is 2/3, 1/3
 */
export function solveChain(diagonal: Float64Array, links: Float64Array, right: Float64Array): void {
  const last = diagonal.length - 1;
  for (let i = 1; i <= last; i += 1) {
    const link = entry(links, i - 1);
    const factor = link / entry(diagonal, i - 1);
    diagonal[i] = entry(diagonal, i) - factor * link;
    right[i] = entry(right, i) + factor * entry(right, i - 1);
  }
  right[last] = entry(right, last) / entry(diagonal, last);
  for (let i = last - 1; i >= 0; i -= 1)
    right[i] = (entry(right, i) + entry(links, i) * entry(right, i + 1)) / entry(diagonal, i);
}

/** The i-th number, or 0 beyond either end: a chain has nothing there. */
export function entry(numbers: Float64Array, i: number): number {
  return numbers[i] ?? 0;
}
