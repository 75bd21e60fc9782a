import * as z from 'zod/mini';
import { FAULT_NAMES } from '../../core/training/faults.ts';
import { LEVELS } from '../../core/training/exercise.ts';
import { ROUND_LENGTH } from '../../core/training/round.ts';
import { stores } from './stores.ts';

const store = stores.training;

/** The rounds one can ask for by number. */
export const MOST_ROUND = 99_999;

/** A round as far as it was gone through: marks of each end, and whether it was handed in. */
export const roundSchema = z.object({
  level: z.literal(LEVELS),
  round: z.int().check(z.gte(1), z.lte(MOST_ROUND)),
  by: z.string().check(z.maxLength(60)),
  /** When its last end was handed in; empty before that. */
  at: z.string(),
  ends: z
    .array(z.object({ marks: z.array(z.enum(FAULT_NAMES)), handedIn: z.boolean() }))
    .check(z.length(ROUND_LENGTH)),
});
export type KeptRound = z.infer<typeof roundSchema>;

const keyOf = (level: number, round: number) => `${level}:${round}`;

/** A round as it was left; null where it was never begun, or where what is kept cannot be read. */
export async function loadRound(level: number, round: number): Promise<KeptRound | null> {
  return z.catch(z.nullable(roundSchema), null).parse(await store.getItem(keyOf(level, round)));
}

/** Every round that was kept and can be read. */
export async function allRounds(): Promise<KeptRound[]> {
  const found: KeptRound[] = [];
  for (const key of (await store.keys()).sort()) {
    const parsed = roundSchema.safeParse(await store.getItem(key));
    if (parsed.success) found.push(parsed.data);
  }
  return found;
}

/** Takes other rounds in the place of all there are. */
export async function replaceRounds(rounds: readonly KeptRound[]): Promise<void> {
  await store.clear();
  for (const own of rounds) await saveRound(own);
}

export async function saveRound(own: KeptRound): Promise<void> {
  await store.setItem(keyOf(own.level, own.round), roundSchema.parse(own));
}
