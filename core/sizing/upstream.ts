import type { Cable } from '../model/cable.ts';
import type { EndName } from '../model/end.ts';
import { otherEnd } from '../model/end.ts';
import type { Fuse } from '../model/run.ts';

/** What the ends of a cable are on, by name; null where that is not given. */
export type Places = Readonly<Record<EndName, string | null>>;

/** The places of a cable's ends: the stud that others share, else what it is said to be bolted to. */
export function placesOf({ ends }: Pick<Cable, 'ends'>): Places {
  const place = ({ at, studId }: Cable['ends']['A']) =>
    studId === undefined ? at.trim().toLowerCase() || null : `stud ${studId}`;
  return { A: place(ends.A), B: place(ends.B) };
}

/** A cable of the circuit with its fuses. */
interface Fused {
  readonly places: Places;
  readonly fuses: readonly Fuse[];
}

/** Everything that hangs on a place through cables, without going through one of them. */
function reachedFrom(start: string, cables: readonly Places[]): ReadonlySet<string> {
  const found = new Set([start]);
  for (let grown = true; grown;) {
    grown = false;
    for (const { A, B } of cables) {
      if (A === null || B === null || found.has(A) === found.has(B)) continue;
      found.add(A).add(B);
      grown = true;
    }
  }
  return found;
}

const touches = (reached: ReadonlySet<string>, { A, B }: Places) =>
  (A !== null && reached.has(A)) || (B !== null && reached.has(B));

/**
 * Where a fuse of another cable stands, seen from the source at its end: before a cable, so that it guards it; behind
 * it, so that it does not; or not to be told from the names.
 */
function standing(
  ownPlaces: Places,
  fused: Fused,
  { end }: Fuse,
  others: readonly Places[],
): 'before' | 'behind' | null {
  const [source, far] = [fused.places[end], fused.places[otherEnd(end)]];
  if (source === null || far === null || source === far) return null;
  const rest = [ownPlaces, ...others];
  const [onSource, onFar] = [source, far].map((place) => touches(reachedFrom(place, rest), ownPlaces));
  if (onSource === onFar) return null;
  return onFar ? 'before' : 'behind';
}

const worst = (fuses: readonly Fuse[]) => {
  const key = (fuse: Fuse) => `${fuse.kind} ${JSON.stringify(fuse.curve ?? [])} ${fuse.breakingA ?? ''}`;
  return fuses.toSorted((a, b) => b.ratingA - a.ratingA || (key(a) < key(b) ? -1 : 1));
};

/**
 * The fuse that guards a cable which has none: of those that stand before it in its loop, the smallest; where the names
 * do not tell, of all that may, the one that guards it least. Those behind it, seen from the source, guard it not at all.
 * In whatever order the cables stand, it is the same.
 *
 * @param mates the other cables of its circuit
 * @returns none, or one
 */
export function guardOf(ownPlaces: Places, mates: readonly Fused[]): readonly Fuse[] {
  const all = mates.flatMap((mate) =>
    mate.fuses.map((fuse) => ({
      fuse,
      at: standing(
        ownPlaces,
        mate,
        fuse,
        mates.filter((other) => other !== mate).map(({ places }) => places),
      ),
    })),
  );
  const before = all.filter(({ at }) => at === 'before').map(({ fuse }) => fuse);
  if (before.length > 0) return worst(before).slice(-1);
  return worst(all.filter(({ at }) => at === null).map(({ fuse }) => fuse)).slice(0, 1);
}
