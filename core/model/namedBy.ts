import type { Read } from './csv.ts';
import { JACKETS } from './shop.ts';
import { STUD_NAMES, type StudName } from './tables/studs.ts';
import { say } from '../words/say.ts';

const fold = (text: string) => text.trim().toLowerCase().replace(/\s+/g, ' ');

/** One of some words, by any of the names that people have for it. */
const byNames =
  <T extends string>(names: Readonly<Record<T, readonly string[]>>) =>
  (text: string): Read => {
    const asked = fold(text);
    const found = (Object.keys(names) as T[]).find((own) => own === asked || names[own].includes(asked));
    return found === undefined
      ? { ok: false, sentence: say`“${text}” is not one of: ${Object.keys(names).join(', ')}.` }
      : { ok: true, value: found };
  };

/** A pole, as people write it. @example readPole('neg') // negative */
export const readPole = byNames({
  positive: ['+', 'pos', 'pos.', 'plus', 'p', '+ve', 'positief', 'live', 'hot', 'red'],
  negative: [
    '-',
    '−',
    '–',
    'neg',
    'neg.',
    'minus',
    'n',
    '-ve',
    'negatief',
    'min',
    'ground',
    'gnd',
    'earth',
    'massa',
    'return',
    'black',
  ],
  link: ['±', '+/-', 'bridge', 'jumper', 'koppeling', 'brug'],
});

/** The colour of a jacket, as people write it. @example readJacket('BLK') // black */
export const readJacket = byNames({
  red: ['r', 'rd', 'rood', 'rojo', 'rot'],
  black: ['b', 'bk', 'blk', 'zwart', 'zw', 'schwarz'],
  yellow: ['y', 'ye', 'yel', 'ylw', 'geel', 'gelb'],
  green: ['g', 'gn', 'grn', 'groen', 'grün', 'green/yellow', 'yellow/green', 'gy'],
} satisfies Record<(typeof JACKETS)[number], readonly string[]>);

/** Fractions that have a sign of their own. */
const FRACTIONS: ReadonlyMap<string, StudName> = new Map([
  ['¼', '1/4'],
  ['⅜', '3/8'],
  ['½', '1/2'],
]);

/**
 * A stud, as people write it: by its thread, its millimetres, or its inches.
 *
 * @example readStud('8 mm') // M8
 * @example readStud('3/8 in') // 3/8
 */
export function readStud(text: string): Read {
  const bare = fold(text)
    .replace(/^(?:stud|bolt|bout|ring|hole|hole for)\s+/u, '')
    .replace(/\s*(?:mm|millimet(?:er|re)s?|in|inch(?:es)?|"|″|''|duim)\.?$/u, '')
    .replace(/\s*⁄\s*/u, '/')
    .trim();
  const asked = FRACTIONS.get(bare) ?? bare;
  const found = STUD_NAMES.find((own) => {
    const name = own.toLowerCase();
    return name === asked || name === `m${asked}` || name === asked.replace(/^m\s+/u, 'm');
  });
  return found === undefined
    ? { ok: false, sentence: say`“${text}” is not one of: ${STUD_NAMES.join(', ')}.` }
    : { ok: true, value: found };
}
