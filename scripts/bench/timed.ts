/** Milliseconds of a piece of work, once. */
function once(work: () => void): number {
  const start = performance.now();
  work();
  return performance.now() - start;
}

/** Milliseconds of a piece of work: the median of several runs after one to warm up. */
export function timed(work: () => void, runs = 5): number {
  work();
  const times = Array.from({ length: runs }, () => once(work));
  return times.sort((a, b) => a - b)[Math.floor(runs / 2)] ?? 0;
}

/**
 * How many times longer one piece of work takes than another: the median over rounds in which both are run, so that a
 * machine that slows down slows both, and after both are warm.
 */
export function timesAs(work: () => void, base: () => void, rounds = 15): number {
  for (let i = 0; i < rounds; i += 1) [work, base].forEach(once);
  const ratios = Array.from({ length: rounds }, () => once(work) / once(base));
  return ratios.sort((a, b) => a - b)[Math.floor(rounds / 2)] ?? 0;
}
