import { isFields } from '../../core/model/fields.ts';
import { AMERICAN, METRIC } from '../../core/words/measures.ts';
import * as z from 'zod/mini';

/** How a person likes to see things. Every part has a default, so an old or damaged entry is never in the way. */
export const prefsSchema = z.object({
  theme: z.catch(z.enum(['system', 'light', 'dark']), 'system'),
  sizes: z.catch(z.enum(['metric', 'gauge']), 'metric'),
  lengths: z.catch(z.enum(['mm', 'in']), 'mm'),
  temperatures: z.catch(z.enum(['°C', '°F']), '°C'),
  torques: z.catch(z.enum(['N·m', 'lbf·ft']), 'N·m'),
  forces: z.catch(z.enum(['N', 'lbf']), 'N'),
  dates: z.catch(z.enum(['iso', 'day', 'month']), 'iso'),
  paper: z.catch(z.enum(['A4', 'Letter']), 'A4'),
  /** Who is working: written beside readings and steps. */
  person: z.catch(z.string().check(z.maxLength(60)), ''),
  /** The address last looked at, to come back to. */
  place: z.catch(z.string().check(z.maxLength(300)), ''),
  guideSeen: z.catch(z.boolean(), false),
  /** The day of the first work in this browser that is no demo, ISO 8601; empty before it. */
  firstWorked: z.catch(z.string().check(z.maxLength(40)), ''),
  /** When everything was last put into a backup, ISO 8601; empty before the first. */
  backedUp: z.catch(z.string().check(z.maxLength(40)), ''),
  /** The day until which the reminder of it is put off, ISO 8601. */
  backupPutOff: z.catch(z.string().check(z.maxLength(10)), ''),
});

export type Prefs = z.infer<typeof prefsSchema>;

/** All that goes with one way of measuring, paper included. */
export const METRIC_SET = { ...METRIC, paper: 'A4' } as const satisfies Partial<Prefs>;
export const AMERICAN_SET = { ...AMERICAN, paper: 'Letter' } as const satisfies Partial<Prefs>;

/** Preferences out of whatever was kept: what is damaged is as if it had never been said. */
export const readPrefs = (data: unknown): Prefs => prefsSchema.parse(isFields(data) ? data : {});
