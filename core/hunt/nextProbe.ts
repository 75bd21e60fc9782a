import { CHAIN_PIECES } from '../model/tables/chainPieces.ts';
import type { Piece } from '../model/hunt.ts';
import type { Known } from './known.ts';
import type { Suspect } from './suspect.ts';

/** Where to put the probes next: from the first of these pieces to the last. `probeSays` puts it into words. */
export interface NextProbe {
  readonly first: Piece;
  readonly last: Piece;
}

const sum = (values: readonly number[]) => values.reduce((all, own) => all + own, 0);

/**
 * The measurement that splits the remaining doubt best: of the pieces known only together that may take most, across
 * the first of them until half of the likelihood lies on either side.
 */
export function nextProbe(
  open: readonly Suspect[],
  all: readonly Suspect[],
  known: readonly Known[],
): NextProbe | null {
  const groups = [
    ...known.filter(({ places }) => places.length > 1).map(({ places }) => places),
    all.filter(({ place }) => !known.some(({ places }) => places.includes(place))).map(({ place }) => place),
  ]
    .map((places) => places.filter((place) => open.some((own) => own.place === place)))
    .filter((places) => places.length > 0);
  const doubt = (places: readonly number[]) =>
    sum(places.map((place) => CHAIN_PIECES[all[place]?.piece.kind ?? 'other'].weight));
  const most = (places: readonly number[]) =>
    Math.max(...places.map((place) => all[place]?.mostMilliohm ?? Number.MAX_VALUE));
  // What is bounded by a reading and takes too much comes before what nobody has looked at.
  const [group] = groups.toSorted((a, b) => {
    const bounded = Number(most(b) < Number.MAX_VALUE) - Number(most(a) < Number.MAX_VALUE);
    return bounded || most(b) - most(a);
  });
  if (
    !group ||
    (group.length === 1 && known.some(({ places }) => places.length === 1 && places[0] === group[0]))
  )
    return null;
  const runs = group.reduce<number[][]>((found, place) => {
    const last = found.at(-1);
    if (last && last.at(-1) === place - 1) last.push(place);
    else found.push([place]);
    return found;
  }, []);
  const [longest = group] = runs.toSorted((a, b) => doubt(b) - doubt(a));
  const half = doubt(group) / 2;
  let count = longest.length;
  let best = Number.POSITIVE_INFINITY;
  for (let n = 1; n <= longest.length; n += 1) {
    // The whole of a group says nothing that is not known.
    if (n === group.length && group.length > 1) break;
    const off = Math.abs(doubt(longest.slice(0, n)) - half);
    if (off < best) [best, count] = [off, n];
  }
  const [first, last] = [all[longest[0] ?? 0]?.piece, all[longest[count - 1] ?? 0]?.piece];
  if (!first || !last) return null;
  return { first, last };
}
