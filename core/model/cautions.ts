import { type Message, msg } from '../words/message.ts';

/**
 * What can hurt at the bench, each with the list that a careful person goes through before it. A professional says once
 * a day, for a job, that it has been gone through; the caution itself stays where the danger is.
 */
export const CAUTIONS = {
  live: {
    title: msg`Battery`,
    items: [
      msg`Isolated at the switch, and tagged: a battery itself cannot be switched off`,
      msg`Negative off first; it goes on last`,
      msg`Rings, watch and chain off; tools insulated`,
      msg`Nothing metal lies where it can fall across the terminals`,
    ],
  },
  'hot work': {
    title: msg`Hot work`,
    items: [
      msg`No fuel vapour: locker and bilge smelled and aired`,
      msg`No battery on charge near the flame: it gives off hydrogen`,
      msg`Extinguisher within reach`,
      msg`Eyes covered; what can burn is taken away or shielded`,
    ],
  },
  tools: {
    title: msg`Tools that close`,
    items: [
      msg`Fingers out before the foot or hand goes down`,
      msg`Eyes covered: a die can chip, a cut end can fly`,
      msg`Nothing improvised: no jack, no welded frame`,
    ],
  },
  blades: { title: msg`Blades`, items: [msg`Cut away from the hand that holds the cable`] },
  burns: { title: msg`Hot ends`, items: [msg`A soldered or shrunk end burns long after it looks cold`] },
} as const satisfies Record<string, { readonly title: Message; readonly items: readonly Message[] }>;

export type CautionId = keyof typeof CAUTIONS;
export const CAUTION_IDS = Object.keys(CAUTIONS) as [CautionId, ...CautionId[]];

/** A caution that a person of this job has gone through on a day. */
export interface Heeded {
  readonly caution: CautionId;
  /** Year-month-day. */
  readonly day: string;
}

/** Whether a caution was gone through today. Yesterday's counts for nothing. */
export const isHeeded = (heeded: readonly Heeded[], caution: CautionId, today: string) =>
  heeded.some((own) => own.caution === caution && own.day === today);
