import * as z from 'zod';

/** How a person likes to see things. Every part has a default, so an old or damaged entry is never in the way. */
export const prefsSchema = z.object({
  theme: z.enum(['system', 'light', 'dark']).catch('system'),
  sizes: z.enum(['metric', 'gauge']).catch('metric'),
  lengths: z.enum(['mm', 'in']).catch('mm'),
  /** Who is working: written beside readings and steps. */
  person: z.string().max(60).catch(''),
  /** The address last looked at, to come back to. */
  place: z.string().max(300).catch(''),
  guideSeen: z.boolean().catch(false),
  /** The day of the first work in this browser that is no demo, ISO 8601; empty before it. */
  firstWorked: z.string().max(40).catch(''),
  /** When everything was last put into a backup, ISO 8601; empty before the first. */
  backedUp: z.string().max(40).catch(''),
  /** The day until which the reminder of it is put off, ISO 8601. */
  backupPutOff: z.string().max(10).catch(''),
});

export type Prefs = z.infer<typeof prefsSchema>;
