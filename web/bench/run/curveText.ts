import type { ClearingPoint } from '../../../core/catalogue/tables/fuses.ts';
import { parseQuantity } from '../../../core/units/quantity.ts';

type Curve =
  | { readonly ok: true; readonly points: readonly ClearingPoint[]; readonly sentence: '' }
  | { readonly ok: false; readonly sentence: string };

/** A curve as it is typed: "1.5 200, 3 4, 6 0.1". */
export function writtenCurve(points: readonly ClearingPoint[]): string {
  return points.map(({ multiple, seconds }) => `${multiple} ${seconds}`).join(', ');
}

/** Reads a curve: pairs of multiple and seconds, apart by commas, the multiples rising and the times falling. */
export function parseCurve(text: string): Curve {
  const refuse = (sentence: string): Curve => ({ ok: false, sentence });
  const points: ClearingPoint[] = [];
  for (const pair of text.split(/[,;]/).map((part) => part.trim())) {
    const [first, second, more] = pair.split(/\s+/);
    const multiple = parseQuantity(first ?? '', 'number');
    const seconds = parseQuantity(second ?? '', 'duration');
    if (!multiple.ok || !seconds.ok || more !== undefined)
      return refuse(`"${pair}" is not a multiple and its seconds.`);
    const before = points.at(-1);
    if (before && (multiple.value <= before.multiple || seconds.value > before.seconds)) {
      return refuse('The multiples must rise and the times must fall.');
    }
    if (multiple.value < 1 || multiple.value > 100 || seconds.value < 0.001 || seconds.value > 1e5) {
      return refuse(`"${pair}" is out of range: multiples 1 to 100, 0.001 s to 100 000 s.`);
    }
    points.push({ multiple: multiple.value, seconds: seconds.value });
  }
  return points.length > 20 ? refuse('At most 20 points.') : { ok: true, points, sentence: '' };
}
