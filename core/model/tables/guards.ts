import { type Message, msg } from '../../words/message.ts';

/** What keeps a cable off what it rubs on. */
export interface GuardFacts {
  readonly title: Message;
  /** Whether it stays on and is not worn through by what would wear through a jacket: enough for a live conductor. */
  readonly isSheath: boolean;
  /** So much of it is cut for one place, mm; null where it is a piece. */
  readonly cutMm: number | null;
}

/**
 * Guards for places where a cable rubs. A ground that wears through touches what it is bolted to anyway; a live conductor
 * feeds a short, so it needs a sheath. Lengths are customary. Confidence: low to medium.
 */
export const GUARDS = {
  'slit hose': { title: msg`slit hose`, isSheath: true, cutMm: 300 },
  bushing: { title: msg`bushing`, isSheath: true, cutMm: null },
  'edge strip': { title: msg`edge strip`, isSheath: false, cutMm: 150 },
} as const satisfies Record<string, GuardFacts>;

export type Guard = keyof typeof GUARDS;
export const GUARD_IDS = Object.keys(GUARDS) as Guard[];
