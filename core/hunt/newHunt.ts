import { CHAIN_PIECES, type ChainPieceKind } from '../model/tables/chainPieces.ts';
import type { Cable } from '../model/cable.ts';
import type { ConductorSize } from '../model/tables/size.ts';
import { CHAIN_PATTERNS, type ChainPattern } from './changes.ts';
import { capitalised, tell } from '../words/message.ts';
import type { Hunt, Piece } from '../model/hunt.ts';
import { say } from '../words/say.ts';

/** Copper is taken to be this warm until somebody says otherwise, °C. */
const USUAL_COPPER_C = 30;
const LONGEST_NAME = 80;

/** A hunt with nothing read yet: what a person starts from. */
export function newHunt(id: string, pattern: ChainPattern, systemV: number, newId: () => string): Hunt {
  const { title, test, load, out, back } = CHAIN_PATTERNS[pattern];
  const pieces = (kinds: readonly ChainPieceKind[], side: Piece['side']) => {
    const count = new Map<ChainPieceKind, number>();
    return kinds.map((kind): Piece => {
      const n = (count.get(kind) ?? 0) + 1;
      count.set(kind, n);
      return { id: newId(), kind, title: titleOf(kind, side, n, kinds), side };
    });
  };
  return {
    id,
    title: tell(capitalised(title)),
    systemV,
    test,
    load: tell(load),
    loaded: {},
    copperC: USUAL_COPPER_C,
    pieces: [...pieces(out, 'out'), ...pieces(back, 'back')],
    spans: [],
    notes: '',
  };
}

function titleOf(
  kind: ChainPieceKind,
  side: Piece['side'],
  n: number,
  kinds: readonly ChainPieceKind[],
): string {
  const { title } = CHAIN_PIECES[kind];
  const word = tell(capitalised(title));
  const pole = kind === 'post' ? (side === 'out' ? ' +' : ' −') : side === 'back' ? ' back' : '';
  return kinds.filter((own) => own === kind).length > 1 ? `${word} ${n}${pole}` : `${word}${pole}`;
}

/** A cable of a job as it would be walked along: its conductor, how long it finishes, and which side it is on. */
export interface WalkedCable {
  readonly cable: Cable;
  readonly size: ConductorSize;
  readonly tinned: boolean;
  /** Between the studs, mm. */
  readonly lengthMm: number;
}

const KIND_WORDS: readonly (readonly [RegExp, ChainPieceKind])[] = [
  [/fuse/i, 'fuse'],
  [/breaker/i, 'breaker'],
  [/shunt/i, 'shunt'],
  [/switch|isolator/i, 'switch'],
  [/bus ?bar|\bbar\b/i, 'busbar'],
];
/** What stands between two cables, by what its people call it. */
const kindOf = (called: string): ChainPieceKind | undefined =>
  KIND_WORDS.find(([word]) => word.test(called))?.[1];
const same = (a: string, b: string) => stem(a) === stem(b);
/** "Fuse F1 in" and "Fuse F1 out" are the same device. */
const stem = (called: string) =>
  called
    .toLowerCase()
    .replace(/\b(in|out|load|line|side)\b|[+−-]$/g, '')
    .replace(/\s+/g, ' ')
    .trim();
const named = (...parts: readonly string[]) => parts.filter(Boolean).join(', ').slice(0, LONGEST_NAME);

/** Cables one behind the other as their ends meet: it begins at the one whose first end no other reaches. */
function inLine(cables: readonly WalkedCable[]): WalkedCable[] {
  const left = [...cables];
  const line: WalkedCable[] = [];
  while (left.length > 0) {
    const last = line.at(-1);
    const next = last
      ? left.findIndex(({ cable }) => same(cable.ends.A.at, last.cable.ends.B.at))
      : left.findIndex(
          ({ cable }) =>
            !left.some((own) => own.cable !== cable && same(own.cable.ends.B.at, cable.ends.A.at)),
        );
    line.push(...left.splice(Math.max(0, next), 1));
  }
  return line;
}

/**
 * The chain of a circuit of a job: its positive cables out, its negative ones back, each with its two lugs, and between
 * them the device or the stud that they meet at.
 */
export function chainOf(cables: readonly WalkedCable[], newId: () => string): Piece[] {
  const side = (direction: Piece['side'], members: readonly WalkedCable[]): Piece[] => {
    const line = inLine(members);
    const piece = (kind: ChainPieceKind, title: string): Piece => ({
      id: newId(),
      kind,
      title: title.slice(0, LONGEST_NAME),
      side: direction,
    });
    const meeting = (called: string): Piece[] => {
      const kind = kindOf(called);
      return kind ? [piece(kind, called)] : [piece('stud', named(say`Stud`, called))];
    };
    /** Where a side begins or ends: on the battery's post or on a stud. */
    const terminal = (at: string, isPost: boolean): Piece =>
      isPost ? piece('post', named(say`Post`, at)) : piece('stud', named(say`Stud`, at));
    const first = line[0];
    const last = line.at(-1);
    return [
      ...(first ? [terminal(first.cable.ends.A.at, direction === 'out')] : []),
      ...line.flatMap(({ cable, size, tinned, lengthMm }, i): Piece[] => [
        ...(i > 0 ? meeting(cable.ends.A.at) : []),
        { ...piece('lug', say`${cable.tag} lug A`), ofCable: cable.id, ofEnd: 'A' },
        { ...piece('cable', cable.tag), size, tinned, lengthMm, ofCable: cable.id },
        { ...piece('lug', say`${cable.tag} lug B`), ofCable: cable.id, ofEnd: 'B' },
      ]),
      ...(last ? [terminal(last.cable.ends.B.at, direction === 'back')] : []),
    ];
  };
  return [
    ...side(
      'out',
      cables.filter(({ cable }) => cable.polarity !== 'negative'),
    ),
    ...side(
      'back',
      cables.filter(({ cable }) => cable.polarity === 'negative'),
    ),
  ];
}

/**
 * The cable that a piece belongs to: itself, or the one next to it on its side, past a lug.
 *
 * @returns null where there is no cable on its side
 */
export function cableOfPiece({ pieces }: Hunt, piece: Piece): Piece | null {
  const at = pieces.findIndex(({ id }) => id === piece.id);
  const cables = pieces
    .map((own, i) => ({ own, off: Math.abs(i - at) }))
    .filter(({ own }) => own.kind === 'cable' && own.side === piece.side)
    .sort((a, b) => a.off - b.off);
  const same = cables.find(({ own }) => piece.ofCable !== undefined && own.ofCable === piece.ofCable);
  return (same ?? cables[0])?.own ?? null;
}

/** What a cable's notes say of the one that it replaces. */
export const inPlaceOf = ({ title }: Hunt, cable: string): string =>
  say`In place of ${cable}, found at fault in the hunt “${title}”.`;

/** What a hunt tells of a cable to be made again in place of a faulty one. */
export function remadeCable(hunt: Hunt, piece: Piece, blank: Cable): Cable {
  const at = hunt.pieces.findIndex(({ id }) => id === piece.id);
  const reach = (by: 1 | -1) => {
    let i = at + by;
    // Its own lugs go with it: it reaches from what they are bolted to.
    while (hunt.pieces[i]?.kind === 'lug' && hunt.pieces[i]?.side === piece.side) i += by;
    const next = hunt.pieces[i];
    return next && next.side === piece.side
      ? next.title
      : by === 1 && piece.side === 'out'
        ? hunt.load
        : by === -1 && piece.side === 'back'
          ? hunt.load
          : say`battery`;
  };
  const lengthMm = Math.max(50, piece.lengthMm ?? blank.run.lengthMm);
  return {
    ...blank,
    polarity: piece.side === 'out' ? 'positive' : 'negative',
    jacket: piece.side === 'out' ? 'red' : 'black',
    run: {
      ...blank.run,
      systemV: hunt.systemV,
      lengthMm,
      load: { kind: 'amps', amps: Math.min(5000, hunt.loaded.amps ?? 0) },
      starter: hunt.test === 'cranking',
      return: { kind: 'none' },
    },
    ends: {
      A: { ...blank.ends.A, at: reach(-1) },
      B: { ...blank.ends.B, at: reach(1) },
    },
    notes: inPlaceOf(hunt, piece.title),
  };
}
