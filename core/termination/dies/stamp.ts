import { type Message, msg } from '../../words/message.ts';
import { LUG_FAMILIES } from '../../model/tables/lugFamilies.ts';
import { areaMm2, type ConductorSize, sizeNamed } from '../../model/tables/size.ts';
import type { Die, Lug } from '../../model/shop.ts';
import { parseSize } from '../../model/parseSize.ts';

/**
 * The size a stamp seems to promise: mm², a gauge, or a code number of the standard lugs. Null where it says nothing
 * that means a size.
 *
 * @example stampClaims('70') // 70 mm²; stampClaims('K16') // 70 mm²; stampClaims('2/0') // AWG 2/0
 */
export function stampClaims(stamp: string): ConductorSize | null {
  const [, code] = /^K(\d+)$/i.exec(stamp.trim()) ?? [];
  if (code !== undefined) {
    const codes = Object.entries(LUG_FAMILIES['compression-metric'].dieCode ?? {});
    const name = codes.find(([, own]) => own === Number(code))?.[0];
    const claimed = name === undefined ? null : parseSize(`${name} mm2`, 'metric');
    return claimed?.ok ? claimed.size : null;
  }
  if (stamp.trim() === '') return null;
  const parsed = parseSize(stamp, 'metric');
  return parsed.ok ? parsed.size : null;
}

/** Installers take sizes this near in copper for one another, as a share. */
const SAME_CLAIM = 0.15;

/**
 * What a stamp leads one to believe of a die on a lug, where that is not so; empty where it does not mislead.
 *
 * @param claim what the stamp seems to promise, see {@link stampClaims}
 * @param isRight whether the figures or trials call the die right on the lug
 */
export function stampMisleads(
  { stamp }: Die,
  claim: ConductorSize | null,
  { forSize }: Lug,
  isRight: boolean,
): Message {
  if (claim === null) return '';
  const names = Math.abs(areaMm2(claim) / areaMm2(forSize) - 1) <= SAME_CLAIM;
  if (names && !isRight) return msg`The die stamped ${stamp} is wrong for this ${sizeNamed(forSize)} lug.`;
  return !names && isRight ? msg`The die stamped ${stamp} fits this ${sizeNamed(forSize)} lug.` : '';
}
