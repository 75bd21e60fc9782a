import type { Level } from '../../core/training/exercise.ts';
import { say } from '../../core/words/say.ts';

/** What the levels are called, and what each of them leaves to the eye. */
export const LEVEL_WORDS: Readonly<Record<Level, { readonly title: string; readonly says: string }>> = {
  1: {
    title: say`plain‖of a level`,
    says: say`Gross faults; what is seen and what is required are shown side by side.`,
  },
  2: {
    title: say`measured‖of a level`,
    says: say`Smaller faults; the calliper gives figures, the judgement is yours.`,
  },
  3: {
    title: say`fine‖of a level`,
    says: say`Faults just past their limit, and nothing shines through the barrel.`,
  },
};

/** The level of an address; the first where it names none. */
export const levelOf = (said: unknown): Level => (said === '2' ? 2 : said === '3' ? 3 : 1);
