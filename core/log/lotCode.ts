/** Parts of a trade code that are of one length and stand before its lot, by their two digits. Source: GS1 general specifications. */
const FIXED: Readonly<Record<string, number>> = {
  ...{ '00': 18, '01': 14, '02': 14, '11': 6, '12': 6, '13': 6, '15': 6, '16': 6, '17': 6, '20': 2 },
};
const LOT = '10';
/** The longest lot of a trade code. */
const LONGEST = 20;
/** A part of any length ends with this sign, as readers hand it over. */
const ENDS = '\u001d';

/** Whether fourteen digits are an article: the last of them checks the others. */
function isArticle(digits: string): boolean {
  if (!/^\d{14}$/.test(digits)) return false;
  const sum = [...digits].reduce((all, digit, i) => all + Number(digit) * (i % 2 === 0 ? 3 : 1), 0);
  return sum % 10 === 0;
}

/**
 * The lot that the code of a bag or drum says: of a trade code its lot alone, of any other code all of it.
 *
 * @example lotOfCode('(01)04012345678901(10)L2211') // "L2211"
 * @example lotOfCode('4711-B') // "4711-B"
 */
export function lotOfCode(code: string): string {
  const text = code.trim();
  const bracketed = /\(10\)([^()]{1,20})/.exec(text)?.[1];
  if (bracketed !== undefined) return bracketed.trim();
  return tradeLot(text.replace(/^\](C1|d2|Q3|e0)/, '').replace(new RegExp(`^${ENDS}`), '')) ?? text;
}

/** The lot of a trade code as it is read, sign by sign; undefined where it is none, or has none. */
function tradeLot(code: string): string | undefined {
  if (!code.startsWith('01') || !isArticle(code.slice(2, 16))) return undefined;
  let rest = code;
  while (rest.length > 2) {
    const [key, value] = [rest.slice(0, 2), rest.slice(2)];
    if (key === LOT) return value.split(ENDS, 1)[0]?.slice(0, LONGEST);
    const length = FIXED[key];
    if (length === undefined) {
      // A part of another kind ends with its sign; without one it is the last.
      const end = value.indexOf(ENDS);
      if (end < 0) return undefined;
      rest = value.slice(end + 1);
    } else rest = value.slice(length).replace(new RegExp(`^${ENDS}`), '');
  }
  return undefined;
}
