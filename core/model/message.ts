import * as z from 'zod/mini';
import { text } from './text.ts';

/** Letters of the English of a kept message, and of a text put into it. */
export const LONGEST_MESSAGE = 800;
/** Places in a message, and messages in a list. */
const MOST_PARTS = 200;

const amountSchema = z.strictObject({
  figure: z.number(),
  decimals: z.int().check(z.gte(0), z.lte(20)),
  unit: z.optional(text(20)),
  brief: z.optional(z.literal(true)),
  bare: z.optional(z.literal(true)),
});

/** A message as plain data that may be written to, as what is kept is edited. */
export type KeptMessage =
  | string
  | {
      figure: number;
      decimals: number;
      unit?: string | undefined;
      brief?: true | undefined;
      bare?: true | undefined;
    }
  | { say: string; with?: (KeptMessage | number | null)[] | undefined }
  | { list: KeptMessage[]; by?: KeptMessage | undefined }
  | { shape: 'capital' | 'small' | 'head'; of: KeptMessage }
  | { metric: string; gauge: string };

/** A message that is kept, to be told in the language of whoever reads it; or a text as it was told once. */
export const messageSchema: z.ZodMiniType<KeptMessage, KeptMessage> = z.lazy(() =>
  z.union([
    text(LONGEST_MESSAGE),
    amountSchema,
    z.strictObject({
      say: text(LONGEST_MESSAGE),
      with: z.optional(
        z.array(z.union([messageSchema, z.number(), z.null()])).check(z.maxLength(MOST_PARTS)),
      ),
    }),
    z.strictObject({
      list: z.array(messageSchema).check(z.maxLength(MOST_PARTS)),
      by: z.optional(messageSchema),
    }),
    z.strictObject({ shape: z.enum(['capital', 'small', 'head']), of: messageSchema }),
    z.strictObject({ metric: text(40), gauge: text(40) }),
  ]),
);
