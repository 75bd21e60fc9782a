import type { Lug } from '../../model/shop.ts';
import { type Message, msg, numeral } from '../../words/message.ts';
import { stackMm, type StudStack } from './studStack.ts';

/** What a stud asks of the palm that goes on it. */
export interface PalmAsked {
  /** Thin where several share it; heavy on a bare block, where thread is no matter and the face is large. */
  readonly want: 'thin' | 'heavy' | 'any';
  /** Thread left for it, mm; null where the length of the stud is not known. */
  readonly roomMm: number | null;
}

/**
 * Thread that a stud leaves for each palm not yet chosen, mm: what the palms that are known, the washers, the nut and one
 * and a half threads do not need. Never below 0; null where the length of the stud is not known.
 *
 * @example an M8 stud of 20 mm with palms of 3 mm and one unknown: 20 − (3 + 1.6 + 6.8 + 1.9) = 6.7
 */
export function palmRoomMm({ stud, lengthMm, springWasher, members }: StudStack): number | null {
  if (lengthMm === null) return null;
  const known = members.flatMap(({ palmMm }) => palmMm ?? []);
  const open = Math.max(1, members.length - known.length);
  return Math.max(0, (lengthMm - stackMm(stud, known, springWasher)) / open);
}

/** Whether the stud has thread for a palm; nobody knows better where its length is not known. */
export const isThinEnough = (
  { palmThicknessMm }: Pick<Lug, 'palmThicknessMm'>,
  { roomMm }: PalmAsked,
): boolean => roomMm === null || palmThicknessMm <= roomMm;

/** How a palm suits the stud it goes on. */
export interface PalmSuits {
  readonly good: boolean;
  readonly words: Message;
}

/** A palm this thick counts as heavy on a block, mm: as heavy-walled lugs for large cable have. Craft practice. */
export const HEAVY_PALM_MM = 4;

/** What a palm is on its stud; null where the stud asks nothing. */
export function palmSuits(lug: Pick<Lug, 'palmThicknessMm'>, asked: PalmAsked): PalmSuits | null {
  const { palmThicknessMm: palmMm } = lug;
  const { want, roomMm } = asked;
  const palm = numeral(palmMm, 1);
  if (roomMm !== null && !isThinEnough(lug, asked))
    return { good: false, words: msg`palm ${palm} mm, where the stud leaves ${numeral(roomMm, 1)}` };
  if (want === 'thin' && roomMm !== null)
    return { good: true, words: msg`palm ${palm} mm, of ${numeral(roomMm, 1)} that the stud leaves` };
  if (want === 'heavy' && palmMm >= HEAVY_PALM_MM)
    return { good: true, words: msg`heavy palm, ${palm} mm, right on a block` };
  return null;
}
