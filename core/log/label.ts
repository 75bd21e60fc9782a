import type { Cable } from '../model/cable.ts';
import { newCable } from '../model/newCable.ts';
import { JACKETS, type Shop } from '../model/shop.ts';
import { STUD_NAMES, type StudName } from '../model/tables/studs.ts';
import { readLabel } from '../paper/label.ts';
import { parseSize } from '../model/parseSize.ts';
import type { LogEntry } from './log.ts';
import { say } from '../words/say.ts';

type Fields = Extract<ReturnType<typeof readLabel>, { ok: true }>['fields'];

/** "Bank +, M8": the place, and what it is bolted to. */
const place = (told: string) => told.slice(0, Math.max(0, told.lastIndexOf(', '))).trim();
const oneLine = (text: string) => text.replace(/\s+/g, ' ').trim();
const stud = (told: string): StudName => STUD_NAMES.find((name) => told.includes(name)) ?? 'M8';

/**
 * The cable of the log that a label was printed for: the same tag between the same two places; of several the newest.
 */
export function findByLabel(entries: readonly LogEntry[], fields: Fields): LogEntry | null {
  const same = entries.filter(
    ({ cable }) =>
      oneLine(cable.tag) === fields.tag &&
      oneLine(cable.ends.A.at) === place(fields.from) &&
      oneLine(cable.ends.B.at) === place(fields.to),
  );
  return same.toSorted((a, b) => (b.made ?? '').localeCompare(a.made ?? ''))[0] ?? null;
}

/** A cable as far as its label tells of it. What was proved elsewhere stands in its notes: a label proves nothing here. */
export function cableOfLabel(fields: Fields, id: string, shop: Shop): Cable {
  const blank = newCable(id, fields.tag.slice(0, 80) || 'unnamed', shop);
  const sized = firstSize(fields.cable);
  const lengthMm = Number(/(\d[\d\s.]*)\s*mm/.exec(fields.length)?.[1]?.replace(/\s/g, '') ?? Number.NaN);
  const jacket = JACKETS.find((own) => fields.cable.includes(own));
  const polarity = (['positive', 'negative', 'link'] as const).find((own) => own === fields.pole);
  return {
    ...blank,
    ...(polarity && { polarity }),
    ...(jacket && { jacket }),
    ...(sized && { gauge: { ...blank.gauge, size: sized.size } }),
    run: { ...blank.run, ...(lengthMm >= 50 && lengthMm <= 1e6 && { lengthMm }) },
    ends: {
      A: { ...blank.ends.A, at: place(fields.from).slice(0, 60), stud: stud(fields.from) },
      B: { ...blank.ends.B, at: place(fields.to).slice(0, 60), stud: stud(fields.to) },
    },
    keywords: [say`from a label`],
    notes:
      say`From its label: ${fields.cable}; lugs ${fields.lugs}; die ${fields.die}; said to be ${fields.proof}, ${fields.by}.`.slice(
        0,
        4000,
      ),
  };
}

/** The first size that the words of a conductor begin with: "25 mm² Tinned marine, red". */
function firstSize(words: string) {
  const parts = words.split(/[\s,]+/);
  for (const take of [2, 1]) {
    const entry = parseSize(parts.slice(0, take).join(' '), 'metric');
    if (entry.ok) return entry;
  }
  return null;
}
