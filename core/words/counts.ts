import { say } from './say.ts';

/** So many cables. @example cablesSay(1) // "1 cable" */
export const cablesSay = (count: number): string => (count === 1 ? say`1 cable` : say`${count} cables`);

/** So many trials. @example trialsSay(4) // "4 trials" */
export const trialsSay = (count: number): string => (count === 1 ? say`1 trial` : say`${count} trials`);
