import { type Message, msg } from '../../words/message.ts';

/** How a cable lies among others. */
export type Placing = 'free' | 'wall' | 'touching' | 'conduit1' | 'conduit2' | 'bundle';

export const PLACINGS: Readonly<Record<Placing, { title: Message; factor: number }>> = {
  free: { title: msg`free in air`, factor: 1 },
  wall: { title: msg`on a wall`, factor: 0.93 },
  touching: { title: msg`touching its return`, factor: 0.88 },
  conduit1: { title: msg`in conduit, alone`, factor: 0.85 },
  conduit2: { title: msg`in conduit, with its return`, factor: 0.7 },
  bundle: { title: msg`in a bundle`, factor: 1 },
};
