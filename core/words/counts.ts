import { say } from './say.ts';

/** What is counted in many places, in the forms that its language has: `say` picks one by its first number. */

/** So many cables. @example cablesSay(1) // "1 cable" */
export const cablesSay = (count: number): string => say`${count} cable¦${count} cables`;

/** So many jobs. @example jobsSay(2) // "2 jobs" */
export const jobsSay = (count: number): string => say`${count} job¦${count} jobs`;

/** So many fault hunts. @example huntsSay(1) // "1 hunt" */
export const huntsSay = (count: number): string => say`${count} hunt¦${count} hunts`;

/** So many photographs. @example photographsSay(3) // "3 photographs" */
export const photographsSay = (count: number): string => say`${count} photograph¦${count} photographs`;

/** So many trials. @example trialsSay(4) // "4 trials" */
export const trialsSay = (count: number): string => say`${count} trial¦${count} trials`;
