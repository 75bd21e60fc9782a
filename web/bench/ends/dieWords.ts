import type { DieOffer } from '../../../core/termination/dieOffers.ts';

/** What a verdict on a die is called. */
export const DIE_WORDS: Readonly<Record<DieOffer['verdict'], string>> = {
  open: 'open',
  light: 'light',
  right: 'right',
  tight: 'tight',
  'will-not-close': 'will not close',
  untried: 'untried',
};
