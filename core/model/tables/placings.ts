import { say } from '../../words/say.ts';

/** How a cable lies among others. */
export type Placing = 'free' | 'wall' | 'touching' | 'conduit1' | 'conduit2' | 'bundle';

export const PLACINGS: Readonly<Record<Placing, { title: string; factor: number }>> = {
  free: { title: say`free in air`, factor: 1 },
  wall: { title: say`on a wall`, factor: 0.93 },
  touching: { title: say`touching its return`, factor: 0.88 },
  conduit1: { title: say`in conduit, alone`, factor: 0.85 },
  conduit2: { title: say`in conduit, with its return`, factor: 0.7 },
  bundle: { title: say`in a bundle`, factor: 1 },
};
