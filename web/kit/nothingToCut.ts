import { say } from '../../core/words/say.ts';

/**
 * Why no piece is planned, of so many cables of which so many are cut: what is neither waits for its length.
 *
 * @example nothingToCut(2, 1) // { title: 'Nothing to cut yet', why: '1 cable waits for its length.' }
 */
export function nothingToCut(cables: number, cut: number): { readonly title: string; readonly why: string } {
  const waiting = cables - cut;
  if (cables > 0 && waiting === 0)
    return { title: say`Nothing is left to cut`, why: say`Every cable has been cut.` };
  return {
    title: say`Nothing to cut yet`,
    why:
      waiting > 0
        ? say`${waiting} cable waits for its length.¦${waiting} cables wait for their lengths.`
        : say`There is no cable yet.`,
  };
}
