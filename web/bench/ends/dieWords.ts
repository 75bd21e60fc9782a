import type { DieOffer } from '../../../core/termination/dieOffers.ts';
import { say } from '../../../core/words/say.ts';

/** What a verdict on a die is called. */
export const DIE_WORDS: Readonly<Record<DieOffer['verdict'], string>> = {
  open: say`open`,
  light: say`light`,
  right: say`right`,
  tight: say`tight`,
  'will-not-close': say`will not close`,
  untried: say`untried`,
};
