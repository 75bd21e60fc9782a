import { type Term, word } from '../../core/words/terms.ts';

/** Words of the files as choices, each called as the reader calls it. */
export const choicesOf = <T extends Term>(
  terms: readonly T[],
): { readonly value: T; readonly title: string }[] => terms.map((value) => ({ value, title: word(value) }));
