import { say } from './say.ts';

/** What is counted in many places, in the forms that its language has: `say` picks one by its first number. */

/** So many cables. @example cablesSay(1) // "1 cable" */
export const cablesSay = (count: number): string => say`${count} cable¦${count} cables`;

/** So many trials. @example trialsSay(4) // "4 trials" */
export const trialsSay = (count: number): string => say`${count} trial¦${count} trials`;
