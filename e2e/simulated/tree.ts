// What stands in what, read where the page itself keeps it: a list for others is made anew for each element.
import { elementArray, nodeArray } from 'happy-dom/lib/PropertySymbol.js';

interface Kept {
  readonly [nodeArray]: readonly Node[];
  readonly [elementArray]: readonly Element[];
}

/** What stands directly in an element, words among it. */
export const nodesOf = (around: Element): readonly Node[] => (around as unknown as Kept)[nodeArray];

/** All elements in a part of the page, in its order. */
export function partsIn(around: Element): Element[] {
  const found: Element[] = [];
  const enter = (own: Element): void => {
    for (const part of (own as unknown as Kept)[elementArray]) {
      found.push(part);
      enter(part);
    }
  };
  enter(around);
  return found;
}
