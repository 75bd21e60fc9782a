import type { Reading } from '../model/reading.ts';

/** Where a figure came from, and what it was read with. */
export type ReadWith = Pick<Reading, 'source' | 'instrument'>;

/** A figure typed by a person, with whatever was at hand. */
export const TYPED: ReadWith = { source: 'typed' };

/**
 * Where a reading came from that is made of several figures: simulated if any of them was, by instrument only if all
 * were. Its instrument is the coarsest of them, and the first to fall due among equals.
 *
 * @param parts at least one
 * @example readTogether([{ source: 'instrument' }, { source: 'typed' }]).source // 'typed'
 */
export function readTogether(parts: readonly ReadWith[]): ReadWith {
  const sources = parts.map(({ source }) => source);
  const source = sources.includes('simulated')
    ? 'simulated'
    : sources.length > 0 && sources.every((own) => own === 'instrument')
      ? 'instrument'
      : 'typed';
  const [instrument] = parts
    .flatMap((part) => part.instrument ?? [])
    .toSorted(
      (a, b) => (b.resolution ?? 0) - (a.resolution ?? 0) || (a.due ?? '9999').localeCompare(b.due ?? '9999'),
    );
  return { source, ...(instrument && { instrument }) };
}
