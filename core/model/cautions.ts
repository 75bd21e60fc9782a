import { say } from '../words/say.ts';

/**
 * What can hurt at the bench, each with the list that a careful person goes through before it. A professional says once
 * a day, for a job, that it has been gone through; the caution itself stays where the danger is.
 */
export const CAUTIONS = {
  live: {
    title: say`Battery`,
    items: [
      say`Isolated at the switch, and tagged: a battery itself cannot be switched off`,
      say`Negative off first; it goes on last`,
      say`Rings, watch and chain off; tools insulated`,
      say`Nothing metal lies where it can fall across the terminals`,
    ],
  },
  'hot work': {
    title: say`Hot work`,
    items: [
      say`No fuel vapour: locker and bilge smelled and aired`,
      say`No battery on charge near the flame: it gives off hydrogen`,
      say`Extinguisher within reach`,
      say`Eyes covered; what can burn is taken away or shielded`,
    ],
  },
  tools: {
    title: say`Tools that close`,
    items: [
      say`Fingers out before the foot or hand goes down`,
      say`Eyes covered: a die can chip, a cut end can fly`,
      say`Nothing improvised: no jack, no welded frame`,
    ],
  },
  blades: { title: say`Blades`, items: [say`Cut away from the hand that holds the cable`] },
  burns: { title: say`Hot ends`, items: [say`A soldered or shrunk end burns long after it looks cold`] },
} as const satisfies Record<string, { readonly title: string; readonly items: readonly string[] }>;

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
