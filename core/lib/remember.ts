/** What was worked out before of the same things, or else now. */
export type Remembered<T> = (things: readonly object[], asked: string, work: () => T) => T;

interface Branch<T> {
  /** Answers by what was asked; made once there is one. */
  answers: Map<string, T> | undefined;
  /** The answer to a thing that is asked in one way only. */
  answer: T | undefined;
  further: WeakMap<object, Branch<T>> | undefined;
}
const branch = <T>(): Branch<T> => ({ answers: undefined, answer: undefined, further: undefined });

/**
 * A memory for what is worked out of things that are never changed in place: asked again of the very same things in
 * the same words, it answers what it answered before. It holds nothing longer than the things live.
 *
 * @example const offers = remember<Offer[]>(); offers([lug, toolCase], '50 mm²', () => work(lug, toolCase, 50))
 */
export function remember<T extends object>(): Remembered<T> {
  const root = branch<T>();
  // It stands in the hottest loops: nothing is made here that need not be.
  return (things, asked, work) => {
    let place = root;
    for (const thing of things) {
      place.further ??= new WeakMap();
      let next = place.further.get(thing);
      if (!next) place.further.set(thing, (next = branch()));
      place = next;
    }
    if (asked === '') return (place.answer ??= work());
    place.answers ??= new Map();
    const known = place.answers.get(asked);
    if (known !== undefined) return known;
    const answer = work();
    place.answers.set(asked, answer);
    return answer;
  };
}
