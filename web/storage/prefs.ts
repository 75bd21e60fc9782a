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
});

export type Prefs = z.infer<typeof prefsSchema>;
