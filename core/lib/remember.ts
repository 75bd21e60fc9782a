/** What was worked out before of the same things, or else now. */
export type Remembered<T> = (things: readonly object[], asked: string, work: () => T) => T;

interface Branch<T> {
  readonly answers: Map<string, T>;
  readonly further: WeakMap<object, Branch<T>>;
}
const branch = <T>(): Branch<T> => ({ answers: new Map(), further: new WeakMap() });

/**
 * A memory for what is worked out of things that are never changed in place: asked again of the very same things in
 * the same words, it answers what it answered before. It holds nothing longer than the things live.
 *
 * @param most how many answers are kept of the same things, asked in other words: the oldest goes first
 * @param keeps whether an answer is one to keep, asked whenever it would be: what still waits for something is worked
 *   out again, also where that was only found when more of it was read
 * @example const offers = remember<Offer[]>(); offers([lug, toolCase], '50 mm²', () => work(lug, toolCase, 50))
 */
export function remember<T extends object>(
  most = Infinity,
  keeps: (answer: T) => boolean = () => true,
): Remembered<T> {
  const root = branch<T>();
  return (things, asked, work) => {
    const { answers } = things.reduce<Branch<T>>((place, thing) => {
      const known = place.further.get(thing);
      if (known) return known;
      const next = branch<T>();
      place.further.set(thing, next);
      return next;
    }, root);
    const known = answers.get(asked);
    if (known !== undefined && keeps(known)) return known;
    const answer = work();
    if (!keeps(answer)) return answer;
    const [oldest] = answers.keys();
    if (answers.size >= most && oldest !== undefined) answers.delete(oldest);
    answers.set(asked, answer);
    return answer;
  };
}
