import { type Message, msg } from '../../words/message.ts';
import type { DieOffer } from './dieOffers.ts';
import { isUsable } from './dieOffers.ts';

/** Why a die is not the one for a lug. */
const NO: Readonly<Record<DieOffer['verdict'], Message>> = {
  right: '',
  light: msg`it would leave the strands loose`,
  open: msg`it hardly closes on the barrel`,
  tight: msg`it would squeeze the barrel out into ears`,
  'will-not-close': msg`it does not close over this much copper`,
  untried: '',
};

/**
 * Whether a die may be used on a lug, in words that begin with yes or no; never yes where only a trial can tell.
 *
 * @example tell(dieAnswer(offer)) // "Yes: use this die."
 */
export function dieAnswer(offer: DieOffer): Message {
  if (offer.verdict === 'untried')
    return msg`Not known: an indent is judged by a trial crimp, pulled or sawn.`;
  if (offer.unfit !== '') return msg`No: ${offer.unfit}.`;
  if (offer.crimpsFit === 0) return msg`No: it is wider than this barrel is deep.`;
  if (offer.verdict === 'right')
    return offer.sure
      ? msg`Yes: use this die.`
      : msg`Yes, but crimp a spare first: within the tolerances it may be light or tight.`;
  return isUsable(offer)
    ? msg`Only if nothing better is owned: ${NO[offer.verdict]}.`
    : msg`No: ${NO[offer.verdict]}.`;
}
