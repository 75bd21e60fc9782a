import type { Die, DieCheck, Shop } from '../../model/shop.ts';
import { type Message, amount, msg } from '../../words/message.ts';
import { acrossFlatsWindow } from './dieClosed.ts';

type Checked = Pick<Shop, 'checks'>;

/** The check crimps of a die, oldest first; simulated ones check nothing. */
const checksOf = ({ checks = [] }: Checked, dieId: string): DieCheck[] =>
  checks.filter((check) => check.dieId === dieId && check.source !== 'simulated');

/** Whether a check crimp came out as its die should leave it. */
export function isGood(
  { acrossFlatsMm }: Pick<DieCheck, 'acrossFlatsMm'>,
  die: Pick<Die, 'acrossFlatsMm'>,
): boolean {
  const { leastMm, mostMm } = acrossFlatsWindow(die.acrossFlatsMm);
  return acrossFlatsMm >= leastMm - 1e-9 && acrossFlatsMm <= mostMm + 1e-9;
}

/** The day of the last check crimp that was good; null where none was. */
export const lastGoodDay = (shop: Checked, die: Die): string | null =>
  checksOf(shop, die.id)
    .findLast((check) => isGood(check, die))
    ?.at.slice(0, 10) ?? null;

/**
 * Why a die is held back; empty where it is not. After a check crimp that failed it stays held back until one is good;
 * where the shop checks each day, it is held back until a check of that day is good.
 *
 * @param today year-month-day; null where the day is not asked
 */
export function heldBack(shop: Checked & Pick<Shop, 'practice'>, die: Die, today: string | null): Message {
  const checks = checksOf(shop, die.id);
  const last = checks.at(-1);
  if (last && !isGood(last, die))
    return msg`The check crimp of ${last.at.slice(0, 10)} measured ${amount(last.acrossFlatsMm, 'mm', 2)}: this die is held back.`;
  return shop.practice.checkCrimps === 'each day' && today !== null && last?.at.slice(0, 10) !== today
    ? msg`No check crimp of today: this shop checks each die before its first crimp of a day.`
    : '';
}
