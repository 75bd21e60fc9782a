import { describe, expect, test } from '@jest/globals';
import { cases } from '../lib/casesFixture.ts';
import { tell } from '../words/message.ts';
import fc from 'fast-check';
import { genericShop } from '../model/catalogue/genericShop.ts';
import { chainSpecimenOf, type HiddenFault } from '../instrument/standIn/specimen.ts';
import { truthAt } from '../instrument/standIn/truth.ts';
import { newCable } from '../model/newCable.ts';
import {
  CHAIN_PATTERNS,
  type ChainPattern,
  movedPiece,
  withAmps,
  withoutPiece,
  withPiece,
  withReading,
} from './changes.ts';
import { type Hunt, huntSchema, type Span } from '../model/hunt.ts';
import { expectedMilliohm } from './expected.ts';
import { huntFindings, suspectWork } from './huntFindings.ts';
import { ladderOf } from './ladder.ts';
import { cableOfPiece, chainOf, newHunt, remadeCable } from './newHunt.ts';
import { huntFound } from './suspects.ts';

const AMPS = 100;
let n = 0;
const newId = () => `n${(n += 1)}`;
const hunt = newHunt('h', 'circuit', 24, newId);
const idAt = (own: Hunt, at: number) => own.pieces[at]?.id ?? '';
const span = (own: Hunt, first: number, last: number, millivolt: number, amps = AMPS): Span => ({
  id: `${first}-${last}`,
  first: idAt(own, first),
  last: idAt(own, last),
  millivolt,
  amps,
  at: '2026-11-02T14:52:00Z',
  by: '',
  source: 'typed',
});
/** Every piece read by itself, as a sound one takes, but for the one that takes more. */
const readAll = (own: Hunt, bad: number, more: number): Hunt => {
  const takes = own.pieces.map((piece, i) => expectedMilliohm(piece, own.copperC) + (i === bad ? more : 0));
  const lost = takes.reduce((sum, milliohm) => sum + milliohm, 0) * AMPS;
  return {
    ...own,
    restV: 25,
    loaded: { postsV: 24.5, loadV: 24.5 - lost / 1000, amps: AMPS },
    spans: takes.map((milliohm, i) => span(own, i, i, milliohm * AMPS)),
  };
};

describe('a hunt to begin with', () => {
  test.each(Object.keys(CHAIN_PATTERNS) as ChainPattern[])('%s is one its own schema takes', (pattern) => {
    const fresh = newHunt('x', pattern, 12, newId);
    expect(huntSchema.parse(fresh)).toEqual(fresh);
    expect(huntFound(fresh).verdict.what).toBe('nothing read');
    expect(ladderOf(fresh, huntFound(fresh))).toBeNull();
  });
  test('follows the cables of a circuit from post to load and back, whatever their order', () => {
    const shop = genericShop();
    const cable = (id: string, polarity: 'positive' | 'negative', A: string, B: string) => {
      const own = newCable(id, id.toUpperCase(), shop);
      return {
        cable: { ...own, polarity, ends: { A: { ...own.ends.A, at: A }, B: { ...own.ends.B, at: B } } },
        size: { system: 'metric', name: '50' } as const,
        tinned: true,
        lengthMm: 1000,
      };
    };
    const chain = chainOf(
      [
        cable('c', 'negative', 'Motor −', 'Bank −'),
        cable('b', 'positive', 'Fuse F1', 'Motor +'),
        cable('a', 'positive', 'Bank +', 'Fuse F1'),
      ],
      newId,
    );
    expect(chain.map(({ title }) => title)).toEqual([
      'Post, Bank +',
      'A lug A',
      'A',
      'A lug B',
      'Fuse F1',
      'B lug A',
      'B',
      'B lug B',
      'Stud, Motor +',
      'Stud, Motor −',
      'C lug A',
      'C',
      'C lug B',
      'Post, Bank −',
    ]);
    expect(chain.filter(({ side }) => side === 'back').map(({ kind }) => kind)).toEqual([
      'stud',
      'lug',
      'cable',
      'lug',
      'post',
    ]);
    expect(chain[4]?.kind).toBe('fuse');
  });
});

describe('changing a hunt', () => {
  test('a reading over the same pieces takes the old one’s place', () => {
    const once = withReading(hunt, span(hunt, 2, 3, 10));
    const twice = withReading(once, { ...span(hunt, 2, 3, 12), id: 'anew' });
    expect(twice.spans.map(({ millivolt }) => millivolt)).toEqual([12]);
  });
  test('under a steady load all readings go with its amps; while cranking each keeps its own', () => {
    const read = withReading(hunt, span(hunt, 2, 2, 10, 80));
    expect(withAmps(read, 120).spans[0]?.amps).toBe(120);
    expect(withAmps({ ...read, test: 'cranking' }, 120).spans[0]?.amps).toBe(80);
  });
  test('a piece taken out takes with it what was read from it or to it', () => {
    const read = withReading(withReading(hunt, span(hunt, 1, 3, 10)), span(hunt, 5, 5, 3));
    const less = withoutPiece(read, idAt(hunt, 3));
    expect(less.pieces).toHaveLength(hunt.pieces.length - 1);
    expect(less.spans.map(({ id }) => id)).toEqual(['5-5']);
  });
  test('a piece moved out of what was read over it takes that reading out, and leaves others', () => {
    const read = withReading(withReading(hunt, span(hunt, 1, 3, 10)), span(hunt, 5, 6, 3));
    expect(movedPiece(read, idAt(hunt, 3), 1).spans.map(({ id }) => id)).toEqual(['5-6']);
    expect(movedPiece(read, idAt(hunt, 8), 1).spans).toHaveLength(2);
  });
  test('past the end of its side a piece goes over to the other', () => {
    const last = hunt.pieces.filter(({ side }) => side === 'out').at(-1);
    const moved = movedPiece(hunt, last?.id ?? '', 1);
    expect(moved.pieces.find(({ id }) => id === last?.id)?.side).toBe('back');
  });
  test('whatever is added or moved, the way out comes before the way back, and its schema takes it', () =>
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(40), fc.constantFrom('add', 'up', 'down', 'out'))), (acts) => {
        let own = hunt;
        for (const [at, act] of acts) {
          const piece = own.pieces[at % Math.max(1, own.pieces.length)];
          if (!piece) break;
          if (act === 'add' && own.pieces.length < 60)
            own = withPiece(own, { id: newId(), kind: 'stud', title: 'new', side: piece.side }, piece.id);
          else if (act === 'out') own = withoutPiece(own, piece.id);
          else own = movedPiece(own, piece.id, act === 'up' ? -1 : 1);
        }
        const firstBack = own.pieces.findIndex(({ side }) => side === 'back');
        const ordered = firstBack < 0 || own.pieces.slice(firstBack).every(({ side }) => side === 'back');
        return ordered && huntSchema.safeParse(own).success;
      }),
      { numRuns: cases(60) },
    ));
});

describe('figures of a hunt', () => {
  const read = readAll(hunt, 4, 3);
  const found = huntFound(read);
  test('the ladder falls to what the load gets, and its ways add up', () => {
    const ladder = ladderOf(read, found);
    const lostMv = ((read.loaded.postsV ?? 0) - (read.loaded.loadV ?? 0)) * 1000;
    expect((ladder?.outMillivolt ?? 0) + (ladder?.backMillivolt ?? 0)).toBeCloseTo(lostMv, 6);
    expect(ladder?.rungs.at(-1)?.to).toBeCloseTo(read.loaded.loadV ?? 0, 9);
    expect((ladder?.loadShouldV ?? 0) - (ladder?.loadV ?? 0)).toBeCloseTo((3 * AMPS) / 1000, 9);
    expect(ladder?.rungs.every(({ known }) => known === 'alone')).toBe(true);
  });
  test('readings that add up hold, those that do not fail, and some missing is not proved', () => {
    const [sum, sag] = huntFindings(read);
    expect(sum?.state).toBe('holds');
    expect(sum?.value).toBeCloseTo(0, 6);
    expect(sag).toMatchObject({ value: 0.5, state: 'holds' });
    const off = { ...read, loaded: { ...read.loaded, loadV: 23.4 } };
    expect(huntFindings(off)[0]?.state).toBe('fails');
    expect(huntFindings({ ...read, spans: read.spans.slice(1) })[0]?.state).toBe('unproved');
    expect(huntFindings({ ...read, loaded: {} }).map(({ state }) => state)).toEqual(['unproved', 'unproved']);
  });
  test('a source that falls too far fails, and a starter may fall further', () => {
    const low = { ...read, restV: 27 };
    expect(huntFindings(low)[1]?.state).toBe('fails');
    expect(huntFindings({ ...low, test: 'cranking' })[1]?.state).toBe('holds');
  });
  test('a suspect opens to its own numbers', () => {
    const [top] = found.suspects;
    if (!top) throw new Error('no suspect');
    const { substituted } = suspectWork(read, top, found);
    const plain = substituted.map((line) => tell(line).replaceAll('\u2009', ' '));
    expect(plain[0]).toBe('R = 330.0 mV / 100.0 A = 3.300 mΩ');
    expect(plain.at(-1)).toBe('waste = 3.000 mΩ · (100.0 A)² = 30.0 W');
  });
  test('all but the suspects are said together', () => {
    expect(found.others).toMatchObject({ count: hunt.pieces.length - 1, wastedW: 0 });
    expect((found.others.milliohm ?? 0) + (found.suspects[0]?.milliohm ?? 0)).toBeCloseTo(
      found.totalMilliohm ?? 0,
      9,
    );
  });
  test('a stand-in’s reading makes the whole verdict simulated', () => {
    const spans = read.spans.map((own, i): Span => (i === 2 ? { ...own, source: 'simulated' } : own));
    expect(huntFound({ ...read, spans }).verdict.simulated).toBe(true);
    expect(found.verdict.simulated).toBe(false);
  });
});

describe('a stand-in on a chain', () => {
  const fault: HiddenFault = { kind: 'bad piece', huntId: 'h', pieceId: idAt(hunt, 4), milliohm: 5 };
  const at = (first: number, last: number, faults: HiddenFault[] = []) =>
    truthAt(
      'millivolt',
      chainSpecimenOf(hunt),
      { at: 'chain', amps: AMPS, first: idAt(hunt, first), last: idAt(hunt, last) },
      faults,
      0,
    ) ?? Number.NaN;
  test('reads the sum of what lies between its probes, either way round', () => {
    expect(at(3, 6)).toBeCloseTo(at(3, 4) + at(5, 6), 9);
    expect(at(6, 3)).toBeCloseTo(at(3, 6), 9);
  });
  test('shows a hidden fault where it is, and nowhere else', () => {
    expect(at(4, 4, [fault])).toBe(500);
    expect(at(5, 5, [fault])).toBe(at(5, 5));
  });
  test('of another kind it reads nothing there', () =>
    expect(
      truthAt(
        'milliohm',
        chainSpecimenOf(hunt),
        { at: 'chain', amps: AMPS, first: idAt(hunt, 0), last: idAt(hunt, 1) },
        [],
        0,
      ),
    ).toBeNull());
});

describe('a guilty cable made anew', () => {
  const own = readAll(
    {
      ...hunt,
      pieces: hunt.pieces.map((piece) =>
        piece.kind === 'cable' ? { ...piece, size: { system: 'metric', name: '35' }, lengthMm: 2400 } : piece,
      ),
    },
    7,
    3,
  );
  test('a lug is found at fault, and its cable is the one beside it', () => {
    const piece = own.pieces[6];
    if (!piece) throw new Error('no piece');
    expect(piece.kind).toBe('lug');
    expect(cableOfPiece(own, piece)?.id).toBe(own.pieces[7]?.id);
  });
  test('goes from what its lugs were bolted to, as long as it was, at the hunt’s amps', () => {
    const shop = genericShop();
    const piece = own.pieces[7];
    if (!piece) throw new Error('no piece');
    const made = remadeCable(own, piece, newCable('new', 'C-1', shop));
    expect(made.ends.A.at).toBe('Switch');
    expect(made.ends.B.at).toBe('Stud');
    expect(made.run).toMatchObject({ systemV: 24, lengthMm: 2400, load: { kind: 'amps', amps: AMPS } });
    expect(made.polarity).toBe('positive');
    expect(made.notes).toContain(piece.title);
  });
});
