/**
 * Walks from node to node, always on from the best that is known: Dijkstra's algorithm. Each node comes once, with what
 * is known of it by its best way; who has seen enough stops asking.
 *
 * @param starts where it begins, with what is known there
 * @param isBetter whether something beats what is known of a node, if anything is
 * @param onward the nodes that come next, with what is known of each by this way; no way may make it better
 */
export function* bestFirst<Node, Known>(
  starts: Iterable<readonly [Node, Known]>,
  isBetter: (own: Known, known: Known | undefined) => boolean,
  onward: (node: Node, known: Known) => Iterable<readonly [Node, Known]>,
): Generator<readonly [Node, Known]> {
  const open = new Map(starts);
  const done = new Set<Node>();
  while (open.size > 0) {
    const best = [...open].reduce((now, next) => (isBetter(next[1], now[1]) ? next : now));
    open.delete(best[0]);
    done.add(best[0]);
    yield best;
    for (const [node, known] of onward(...best))
      if (!done.has(node) && isBetter(known, open.get(node))) open.set(node, known);
  }
}
