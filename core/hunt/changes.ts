import { type Message, msg } from '../words/message.ts';
import type { ChainPieceKind } from '../model/tables/chainPieces.ts';
import type { Hunt, Piece, Span } from '../model/hunt.ts';

const isOver = (span: Span, first: string, last: string) => span.first === first && span.last === last;

/** A hunt with a reading taken; one over the same pieces is read again and takes the old one's place. */
export const withReading = (hunt: Hunt, span: Span): Hunt => ({
  ...hunt,
  spans: [...hunt.spans.filter((own) => !isOver(own, span.first, span.last)), span],
});

/** A hunt without one of its readings. */
export const withoutReading = (hunt: Hunt, id: string): Hunt => ({
  ...hunt,
  spans: hunt.spans.filter((own) => own.id !== id),
});

/**
 * A hunt with a part repaired: what was read over it, and the volts of the whole, no longer hold. They are kept with who
 * mended it and when, and are read again; readings elsewhere stay.
 */
export function withMended(hunt: Hunt, piece: string, by: string, moment: string): Hunt {
  const over = spansOver(hunt.pieces, hunt.spans);
  const isAcross = ({ id }: Span) => over.get(id)?.split(' ').includes(piece) ?? false;
  return {
    ...hunt,
    loaded: {},
    spans: hunt.spans.filter((span) => !isAcross(span)),
    mended: [
      ...(hunt.mended ?? []),
      { piece, at: moment, by, loaded: hunt.loaded, spans: hunt.spans.filter(isAcross) },
    ],
  };
}

/** A hunt at other amps. Under a steady load every reading was taken at those; in a cranking test each keeps its own. */
export const withAmps = (hunt: Hunt, amps: number): Hunt => ({
  ...hunt,
  loaded: { ...hunt.loaded, amps },
  spans: hunt.test === 'steady' ? hunt.spans.map((span) => ({ ...span, amps })) : hunt.spans,
});

/** A hunt with a piece behind another of its side, or first of its side where none is named. */
export function withPiece(hunt: Hunt, piece: Piece, behind?: string): Hunt {
  const pieces = [...hunt.pieces];
  const at = pieces.findIndex(({ id }) => id === behind);
  const start = pieces.findIndex(({ side }) => side === piece.side);
  pieces.splice(at >= 0 ? at + 1 : start >= 0 ? start : piece.side === 'out' ? 0 : pieces.length, 0, piece);
  return { ...hunt, pieces: inOrder(pieces) };
}

/** The way out comes before the way back, whatever was moved. */
const inOrder = (pieces: readonly Piece[]): Piece[] => [
  ...pieces.filter(({ side }) => side === 'out'),
  ...pieces.filter(({ side }) => side === 'back'),
];

/**
 * A hunt without a piece. A reading that began or ended at it goes with it: it was taken across something that is no
 * longer there.
 */
export const withoutPiece = (hunt: Hunt, id: string): Hunt => ({
  ...hunt,
  pieces: hunt.pieces.filter((piece) => piece.id !== id),
  spans: hunt.spans.filter(({ first, last }) => first !== id && last !== id),
});

/**
 * A hunt with a piece one place on or back; past the end of its side it goes over to the other side. Readings over
 * several pieces that the move would change are taken out; those across one piece stay.
 */
export function movedPiece(hunt: Hunt, id: string, by: 1 | -1): Hunt {
  const index = hunt.pieces.findIndex((piece) => piece.id === id);
  const piece = hunt.pieces[index];
  const other = hunt.pieces[index + by];
  if (!piece) return hunt;
  if (!other || other.side !== piece.side) {
    const side = by === 1 ? 'back' : 'out';
    if (piece.side === side) return hunt;
    const over: Piece = { ...piece, side };
    return { ...hunt, pieces: inOrder(hunt.pieces.map((own) => (own.id === id ? over : own))) };
  }
  const pieces = [...hunt.pieces];
  pieces.splice(index, 1);
  pieces.splice(index + by, 0, piece);
  const before = spansOver(hunt.pieces, hunt.spans);
  const after = spansOver(pieces, hunt.spans);
  return {
    ...hunt,
    pieces,
    spans: hunt.spans.filter((span) => before.get(span.id) === after.get(span.id)),
  };
}

/** Which pieces each reading lies over, whatever their order, as one word. */
function spansOver(pieces: readonly Piece[], spans: readonly Span[]): Map<string, string> {
  const place = (id: string) => pieces.findIndex((piece) => piece.id === id);
  return new Map(
    spans.map(({ id, first, last }) => {
      const [a, b] = [place(first), place(last)];
      const over = pieces.slice(Math.min(a, b), Math.max(a, b) + 1).map((piece) => piece.id);
      return [id, over.toSorted().join(' ')];
    }),
  );
}

/** A circuit to begin from. */
export const CHAIN_PATTERNS = {
  circuit: {
    title: msg`a load with two cables of its own`,
    test: 'steady',
    load: msg`load`,
    out: ['post', 'lug', 'cable', 'lug', 'fuse', 'switch', 'lug', 'cable', 'lug', 'stud'],
    back: ['stud', 'lug', 'cable', 'lug', 'post'],
  },
  chassis: {
    title: msg`a load that returns through chassis or hull`,
    test: 'steady',
    load: msg`load`,
    out: ['post', 'lug', 'cable', 'fuse', 'switch', 'cable', 'lug', 'stud'],
    back: ['stud', 'chassis', 'stud', 'lug', 'cable', 'lug', 'post'],
  },
  starter: {
    title: msg`a starter, cranking`,
    test: 'cranking',
    load: msg`starter`,
    out: ['post', 'clamp', 'cable', 'lug', 'switch', 'lug', 'cable', 'lug', 'stud'],
    back: ['chassis', 'stud', 'lug', 'cable', 'clamp', 'post'],
  },
} as const satisfies Record<
  string,
  {
    title: Message;
    test: Hunt['test'];
    load: Message;
    out: readonly ChainPieceKind[];
    back: readonly ChainPieceKind[];
  }
>;
export type ChainPattern = keyof typeof CHAIN_PATTERNS;
