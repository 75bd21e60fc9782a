import TinyQueue from 'tinyqueue';

/** What is known of a node by the best way so far; `order` is when it was first heard of. */
interface Heard<Node, Known> {
  readonly node: Node;
  readonly known: Known;
  readonly order: number;
}

/**
 * Walks from node to node, always on from the best that is known, of several alike from the first that was heard of:
 * Dijkstra's algorithm. Each node comes once, with what is known of it by its best way; who has seen enough stops asking.
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
  const open = new Map<Node, Heard<Node, Known>>();
  const done = new Set<Node>();
  const queue = new TinyQueue<Heard<Node, Known>>([], (a, b) =>
    isBetter(a.known, b.known) ? -1 : isBetter(b.known, a.known) ? 1 : a.order - b.order,
  );
  let heardOf = 0;
  const hear = (node: Node, known: Known) => {
    const heard = { node, known, order: open.get(node)?.order ?? (heardOf += 1) };
    open.set(node, heard);
    queue.push(heard);
  };
  for (const [node, known] of starts) hear(node, known);
  for (let next = queue.pop(); next; next = queue.pop()) {
    const { node, known } = next;
    // Of a node that a better way was found to, only that one counts.
    if (open.get(node) !== next) continue;
    open.delete(node);
    done.add(node);
    yield [node, known];
    for (const [other, its] of onward(node, known))
      if (!done.has(other) && isBetter(its, open.get(other)?.known)) hear(other, its);
  }
}
