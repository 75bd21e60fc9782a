import { CRIMPS_EACH } from './housePractice.ts';
import type { Shop } from './shop.ts';

/** What of a shop is only counted or noted: no size, offer, step or verdict rests on it. */
const ONLY_COUNTED: readonly (keyof Shop)[] = ['spools', 'shelf', 'recounts', 'lots', 'lid'];

/** Whether two lists hold the same things in the same order, but for how much there is of each. */
function sameBut<T extends object>(
  a: readonly T[],
  b: readonly T[],
  count: keyof T,
  isSameCount: (one: T, other: T) => boolean,
): boolean {
  const isSame = (one: T, other: T) =>
    one === other ||
    (isSameCount(one, other) &&
      [...new Set([...Object.keys(one), ...Object.keys(other)] as (keyof T)[])].every(
        (key) => key === count || one[key] === other[key],
      ));
  return a === b || (a.length === b.length && a.every((one, i) => isSame(one, b[i] as T)));
}

/**
 * Whether two states of a shop, neither changed in place, differ in nothing but counts that decide nothing: a lug fewer
 * while one is left, less sleeve or cable, a die closed once more where this shop does not check its dies by that.
 *
 * @example sameButCounts(shop, { ...shop, spools: [] }) // true
 */
export function sameButCounts(a: Shop, b: Shop): boolean {
  if (a === b) return true;
  const isByClosings = CRIMPS_EACH[a.practice.checkCrimps ?? 'when in doubt'] !== null;
  return [...new Set([...Object.keys(a), ...Object.keys(b)] as (keyof Shop)[])].every(
    (key) =>
      a[key] === b[key] ||
      ONLY_COUNTED.includes(key) ||
      (key === 'lugs' &&
        sameBut(a.lugs, b.lugs, 'stock', (one, other) => one.stock > 0 === other.stock > 0)) ||
      (key === 'sleeves' && sameBut(a.sleeves, b.sleeves, 'stockMm', () => true)) ||
      (key === 'dies' && !isByClosings && sameBut(a.dies, b.dies, 'closed', () => true)),
  );
}
