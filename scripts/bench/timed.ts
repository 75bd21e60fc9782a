/** Milliseconds of a piece of work: the median of several runs after one to warm up. */
export function timed(work: () => void, runs = 5): number {
  work();
  const times = Array.from({ length: runs }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
  return times.sort((a, b) => a - b)[Math.floor(runs / 2)] ?? 0;
}
