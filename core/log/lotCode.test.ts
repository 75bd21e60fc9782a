import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cases } from '../lib/casesFixture.ts';
import { lotOfCode } from './lotCode.ts';

const ARTICLE = '04012345678901';
const GS = '\u001d';

describe('the lot that a bag’s code says', () => {
  test('of a trade code the lot alone, however it is written', () => {
    expect(lotOfCode(`(01)${ARTICLE}(10)L2211`)).toBe('L2211');
    expect(lotOfCode(`(01)${ARTICLE}(17)271231(10)L2211(30)50`)).toBe('L2211');
    expect(lotOfCode(`]C101${ARTICLE}1727123110L2211`)).toBe('L2211');
    expect(lotOfCode(`${GS}01${ARTICLE}10L2211${GS}3050`)).toBe('L2211');
    expect(lotOfCode(`01${ARTICLE}3050${GS}10L2211`)).toBe('L2211');
  });
  test('of any other code all of it', () => {
    expect(lotOfCode(' 4711-B ')).toBe('4711-B');
    expect(lotOfCode('104711')).toBe('104711');
    // The last digit does not check: it is no article.
    expect(lotOfCode('010401234567890210L2211')).toBe('010401234567890210L2211');
    expect(lotOfCode(`01${ARTICLE}`)).toBe(`01${ARTICLE}`);
    expect(lotOfCode(`01${ARTICLE}99X`)).toBe(`01${ARTICLE}99X`);
  });
  test('no code breaks it, and a lot written in one is found again', () => {
    fc.assert(
      fc.property(fc.string(), (text) => lotOfCode(text).length <= text.length),
      { numRuns: cases(300) },
    );
    fc.assert(
      fc.property(fc.stringMatching(/^[A-Z0-9-]{1,20}$/), (lot) => lotOfCode(`01${ARTICLE}10${lot}`) === lot),
      { numRuns: cases(200) },
    );
  });
});
