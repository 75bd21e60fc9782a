/**
 * Which of some things hang together, where pairs of them are joined: union and find.
 *
 * @param count how many things, numbered from 0; pairs of others are left out
 * @returns of each thing the number of its group, counted in the order of their first members
 *
 * @example groupsOf(4, [[0, 2]]) // [0, 1, 0, 2]
 */
export function groupsOf(count: number, pairs: Iterable<readonly [number, number]>): number[] {
  const parent = Array.from({ length: count }, (_, thing) => thing);
  const find = (thing: number): number => {
    let root = thing;
    while (parent[root] !== root) {
      // Half way up each time, so that the next one is shorter.
      parent[root] = parent[parent[root] ?? root] ?? root;
      root = parent[root] ?? root;
    }
    return root;
  };
  const isThing = (thing: number) => thing >= 0 && thing < count;
  for (const [a, b] of pairs) if (isThing(a) && isThing(b)) parent[find(a)] = find(b);
  const numbers = new Map<number, number>();
  return parent.map((_, thing) => {
    const root = find(thing);
    const number = numbers.get(root) ?? numbers.size;
    numbers.set(root, number);
    return number;
  });
}
