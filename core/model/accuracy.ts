import * as z from 'zod/mini';

/** What an instrument may be off by: a share of its reading, %, and digits of its last place. */
export const accuracySchema = z.strictObject({
  percent: z.number().check(z.gte(0), z.lte(50)),
  digits: z.number().check(z.gte(0), z.lte(1000)),
});

export type Accuracy = z.infer<typeof accuracySchema>;
