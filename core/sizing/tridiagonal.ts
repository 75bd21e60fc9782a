/**
 * Solves a symmetric tridiagonal system whose off-diagonal is `−links`, as a chain of conductances gives.
 *
 * Row i reads `−links[i−1]·x[i−1] + diagonal[i]·x[i] − links[i]·x[i+1] = right[i]`. The arguments are left as they
 * are. Stable without pivoting while each diagonal exceeds the links beside it.
 *
 * @example solveChain([2, 2], [1], [1, 0]) // [2/3, 1/3]
 */
export function solveChain(
  diagonal: readonly number[],
  links: readonly number[],
  right: readonly number[],
): number[] {
  const pivots: number[] = [];
  const reduced: number[] = [];
  let [pivot, carried, link] = [1, 0, 0];
  for (let i = 0; i < diagonal.length; i += 1) {
    const factor = link / pivot;
    pivot = entry(diagonal, i) - factor * link;
    carried = entry(right, i) + factor * carried;
    link = entry(links, i);
    pivots.push(pivot);
    reduced.push(carried);
  }
  const solution = [...reduced];
  for (let i = diagonal.length - 1; i >= 0; i -= 1) {
    solution[i] = (entry(reduced, i) + entry(links, i) * entry(solution, i + 1)) / entry(pivots, i);
  }
  return solution;
}

/** The i-th number, or 0 beyond either end: a chain has nothing there. */
export function entry(numbers: readonly number[], i: number): number {
  return numbers[i] ?? 0;
}
