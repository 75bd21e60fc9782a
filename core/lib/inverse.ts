/**
 * The inverse of a symmetric positive definite matrix, by Cholesky.
 *
 * @example inverse([[4, 0], [0, 2]]) // [[0.25, 0], [0, 0.5]]
 */
export function inverse(matrix: readonly (readonly number[])[]): number[][] {
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
