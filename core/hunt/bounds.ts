import { type Hunt } from '../model/hunt.ts';
import { expectedMilliohm } from './expected.ts';
import { edges } from './known.ts';

/** A cable has at least this share of its table's resistance; of a contact nothing is sure but that it has some. */
const CABLE_AT_LEAST = 0.6;

/**
 * The most that each piece can take, mΩ, given every reading with its error and that no piece takes less than nothing;
 * null where nothing bounds it.
 *
 * Source: readings are limits on differences of potential between nodes; the largest difference that all of them allow
 * is the shortest path between the two nodes.
 */
export function mostOf(hunt: Hunt): (number | null)[] {
  const { pieces, copperC } = hunt;
  const count = pieces.length + 1;
  const far = Array.from({ length: count }, (_, from) =>
    Array.from({ length: count }, (_, to) => (from === to ? 0 : Number.POSITIVE_INFINITY)),
  );
  const limit = (from: number, to: number, most: number) => {
    const row = far[from];
    if (row) row[to] = Math.min(row[to] ?? most, most);
  };
  pieces.forEach((piece, i) => {
    const least = piece.kind === 'cable' ? CABLE_AT_LEAST * expectedMilliohm(piece, copperC) : 0;
    limit(i + 1, i, -least);
  });
  for (const { from, to, milliohm, errorMilliohm } of edges(hunt)) {
    limit(from, to, milliohm + errorMilliohm);
    limit(to, from, errorMilliohm - milliohm);
  }
  for (let via = 0; via < count; via += 1) {
    for (let from = 0; from < count; from += 1) {
      const first = far[from]?.[via] ?? Number.POSITIVE_INFINITY;
      if (first === Number.POSITIVE_INFINITY) continue;
      for (let to = 0; to < count; to += 1) {
        const over = first + (far[via]?.[to] ?? Number.POSITIVE_INFINITY);
        limit(from, to, over);
      }
    }
  }
  return pieces.map((_, i) => {
    const most = far[i]?.[i + 1] ?? Number.POSITIVE_INFINITY;
    return most === Number.POSITIVE_INFINITY ? null : most;
  });
}
