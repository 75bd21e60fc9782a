import type { Stage } from '../../model/cable.ts';
import type { ResolvedEnd } from '../resolveEnd.ts';

/** What every finding of an end starts with: its id with the end's letter, its stage, and its title. */
export function about(end: ResolvedEnd, key: string, title: string) {
  const stage: Stage = 'ends';
  return { id: `${key}.${end.name}`, stage, end: end.name, title };
}
