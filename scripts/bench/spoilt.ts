import { type SpoiltSection, spoiltSection } from '../spoiltSections.ts';

const PICTURES = 20;

/** How many spoilt pictures the section lab answers, and how far the worst of its answers is too low. */
export function benchSpoilt(): void {
  console.log(`section pictures as cameras spoil them, ${PICTURES} each, air in points of the outline:`);
  for (const kind of ['phone', 'any'] as const) {
    const all = Array.from({ length: PICTURES }, (_, i) => spoiltSection(kind, 900 + i));
    const answered = all.filter(({ refused }) => refused === null);
    const low = answered.map(({ drawn, voidShare }) => 100 * (drawn - voidShare));
    const outside = answered.filter(({ drawn, least, most }) => drawn < least || drawn > most);
    console.log(
      `  ${kind === 'phone' ? 'as by a phone' : 'anyhow'}: answered ${((100 * answered.length) / all.length).toFixed(0)} %, worst ${Math.max(0, ...low).toFixed(2)} too low, ${outside.length} outside their bounds; refused: ${reasons(all)}`,
    );
  }
}

function reasons(all: readonly SpoiltSection[]): string {
  const counts = new Map<string, number>();
  for (const { refused } of all) if (refused) counts.set(refused, (counts.get(refused) ?? 0) + 1);
  return [...counts].map(([why, count]) => `${why} ${count}`).join(', ') || 'none';
}
