/** A memory for what is worked out of plain values, by the words that stand for them. */
export interface Latest<T> {
  /** What was kept; undefined where nothing was, or it was forgotten. */
  readonly known: (asked: string) => T | undefined;
  readonly keep: (asked: string, answer: T) => T;
}

/**
 * Keeps the latest answers and forgets the oldest. For what is worked out of objects that live, use `remember`.
 *
 * @param most how many are kept
 * @example const { keep, known } = latest<number>(2); keep('a', 1); keep('b', 2); keep('c', 3); known('a') // undefined
 */
export function latest<T>(most: number): Latest<T> {
  const answers = new Map<string, T>();
  return {
    known: (asked) => answers.get(asked),
    keep: (asked, answer) => {
      const [oldest] = answers.size >= most && !answers.has(asked) ? answers.keys() : [];
      if (oldest !== undefined) answers.delete(oldest);
      answers.set(asked, answer);
      return answer;
    },
  };
}
