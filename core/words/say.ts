import { keyOf, said } from './language.ts';
import { type Part, tell } from './message.ts';

const partOf = (part: Part) => (typeof part === 'object' ? tell(part) : part);

/**
 * Says something to the reader in their language: the tag of every text that a person sees. The English in the code is
 * the message; what a language says for it stands in `words/`. A message that a language lacks is said in English.
 *
 * Where one English message means two things, what follows a ‖ tells them apart and is not shown.
 *
 * @param parts inserted as they are, a number with the reader's decimal mark, a message told; one that is absent is left
 *   out
 * @example say`${4} of ${14} ticked` // "4 of 14 ticked", or "4 van 14 afgevinkt"
 */
export const say = (texts: TemplateStringsArray, ...parts: readonly Part[]): string =>
  said(keyOf(texts), parts.map(partOf));
