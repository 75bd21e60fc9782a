/**
 * Work that is done when its answer is first asked for, and once.
 *
 * @example const steps = once(() => order(ends)); steps() === steps() // true, ordered once
 */
export function once<T>(work: () => T): () => T {
  let known: { readonly answer: T } | undefined;
  return () => (known ??= { answer: work() }).answer;
}
