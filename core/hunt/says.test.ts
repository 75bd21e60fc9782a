import { describe, expect, test } from '@jest/globals';
import { type Message, tell } from '../words/message.ts';
import { inWords } from '../words/inWordsFixture.ts';
import type { Piece } from '../model/hunt.ts';
import { contradictionSays, probeSays, verdictSays } from './says.ts';
import type { HuntVerdict } from './verdict.ts';

const piece = (id: string, title: string): Piece => ({ id, kind: 'stud', title, side: 'back' });
const stud = piece('s', 'Stud, hull side');
const atLoad = { load: 'bow thruster', volts: 21.2, shouldV: 23.1 };
const bad: HuntVerdict = {
  simulated: false,
  what: 'joint',
  piece: stud,
  also: [],
  isAll: true,
  wastedW: 28.4,
  circuitWastedW: null,
  isSourceWeak: false,
  atLoad,
};
const plain = (message: Message) => tell(message).replaceAll('\u2009', ' ');

describe('the end of a hunt, in words', () => {
  test('a piece that wastes, the source cleared, and what the load gets', () => {
    const { says, more } = verdictSays(bad);
    expect(plain(says)).toBe('Not the battery: stud, hull side wastes 28 W');
    expect(plain(more)).toBe(
      'Nothing else loses too much. The bow thruster gets 21.20 V and should get 23.10 V.',
    );
  });
  test('one of several says its share; a source that is not known is not spoken of', () => {
    const { says, more } = verdictSays({
      ...bad,
      also: [piece('f', 'Fuse')],
      isAll: false,
      circuitWastedW: 56.8,
      isSourceWeak: null,
      atLoad: null,
    });
    expect(plain(says)).toBe('Stud, hull side wastes 28 W');
    expect(plain(more)).toBe(
      'So does fuse. 50 % of the 57 W that this circuit wastes. Whether anything else loses too much is not shown yet.',
    );
  });
  test('a name in capitals stays as it is inside a sentence', () =>
    expect(tell(verdictSays({ ...bad, piece: piece('h', 'HB-4'), isSourceWeak: true }).says)).toContain(
      'The source sags, and HB-4 wastes',
    ));
  test('what is not known yet, and what was read that cannot be', () => {
    const open = { simulated: false, what: 'not yet', mayBe: 3, pieces: 15, atLoad: null } as const;
    expect(inWords(verdictSays(open))).toEqual({
      says: '3 of 15 parts could still be faulty',
      more: 'Measure across more of them.',
    });
    const contradiction = { readings: ['a', 'b'], millivolt: 40, why: 'parts over' } as const;
    expect(tell(contradictionSays(contradiction))).toMatch(/^The parts lose more/);
    expect(plain(verdictSays({ simulated: false, what: 'contradiction', contradiction }).more)).toContain(
      'They disagree by 40 mV',
    );
  });
  test('the source, and nothing wrong at all', () => {
    expect(plain(verdictSays({ simulated: false, what: 'battery', sagV: 2.1 }).says)).toContain(
      'falls by 2.10 V',
    );
    const sound = { simulated: false, what: 'nothing wrong', isMended: false } as const;
    expect(tell(verdictSays({ ...sound, isSourceKnown: true }).more)).not.toBe(
      verdictSays({ ...sound, isSourceKnown: false }).more,
    );
    expect(tell(verdictSays({ ...sound, isSourceKnown: true, isMended: true }).says)).toMatch(/^Repaired/);
    expect(tell(verdictSays({ simulated: false, what: 'nothing read' }).more)).not.toBe('');
  });
});

test('a probe across one piece, and one over several', () => {
  expect(tell(probeSays({ first: stud, last: stud }))).toBe('Probe next across Stud, hull side.');
  expect(tell(probeSays({ first: stud, last: piece('l', 'Lug') }))).toContain('from Stud, hull side to Lug');
});
