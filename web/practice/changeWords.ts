import { cablesSay } from '../../core/words/counts.ts';
import type { PracticeChange } from '../../core/practice/changes.ts';
import { digits } from '../../core/words/numerals.ts';
import { say } from '../../core/words/say.ts';
import { figure } from '../../core/model/units/figure.ts';

const signOf = (value: number) => (value < 0 ? '−' : '+');

/** So many steps more or fewer. @example stepsSay(-1) // "−1 step" */
export function stepsSay(steps: number): string {
  const sign = signOf(steps);
  return say`${sign}${Math.abs(steps)} step¦${sign}${Math.abs(steps)} steps`;
}

/** What a change comes to, in a few words: "2 cables, +3.5 kg, +£97.84". */
export function changeSays({ count, massG, price, steps, fails }: PracticeChange, currency: string): string {
  if (count === 0) return say`nothing on this job`;
  return [
    cablesSay(count),
    ...(Math.abs(massG) >= 10 ? [`${signOf(massG)}${figure(Math.abs(massG) / 1000, 'kg', 2)}`] : []),
    ...(Math.abs(price) >= 0.01 ? [`${signOf(price)}${currency}${digits(Math.abs(price), 2)}`] : []),
    ...(steps === 0 ? [] : [stepsSay(steps)]),
    ...(fails === 0 ? [] : [fails > 0 ? say`${fails} more fail` : say`${-fails} fewer fail`]),
  ].join(', ');
}
