import type { DieOffer } from '../../../core/termination/dieOffers.ts';
import { say } from '../../../core/words/say.ts';

/** What a verdict on a die is called. */
export const DIE_WORDS: Readonly<Record<DieOffer['verdict'], string>> = {
  open: 'open',
  light: 'light',
  right: 'right',
  tight: 'tight',
  'will-not-close': say`will not close`,
  untried: 'untried',
};
