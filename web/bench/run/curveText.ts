import type { ClearingPoint } from '../../../core/model/tables/fuses.ts';
import { parseQuantity } from '../../../core/model/units/quantity.ts';
import { say } from '../../../core/words/say.ts';
import { decimalMark } from '../../../core/words/language.ts';

type Curve =
  | { readonly ok: true; readonly points: readonly ClearingPoint[]; readonly sentence: '' }
  | { readonly ok: false; readonly sentence: string };

/** Where decimals are parted by commas, pairs are parted by semicolons. */
const isComma = () => decimalMark() === ',';
const plain = (value: number) => String(value).replace('.', decimalMark());

/** A curve as it is typed: "1.5 200, 3 4, 6 0.1", or "1,5 200; 3 4; 6 0,1". */
export function writtenCurve(points: readonly ClearingPoint[]): string {
  return points
    .map(({ multiple, seconds }) => `${plain(multiple)} ${plain(seconds)}`)
    .join(isComma() ? '; ' : ', ');
}

/** Reads a curve: pairs of multiple and seconds, apart by commas or semicolons, the multiples rising and the times falling. */
export function parseCurve(text: string): Curve {
  const refuse = (sentence: string): Curve => ({ ok: false, sentence });
  const points: ClearingPoint[] = [];
  for (const pair of text.split(isComma() ? /;|,\s/ : /[,;]/).map((part) => part.trim())) {
    const [first, second, more] = pair.split(/\s+/);
    const multiple = parseQuantity(first ?? '', 'number');
    const seconds = parseQuantity(second ?? '', 'duration');
    if (!multiple.ok || !seconds.ok || more !== undefined)
      return refuse(say`"${pair}" is not a multiple and its seconds.`);
    const before = points.at(-1);
    if (before && (multiple.value <= before.multiple || seconds.value > before.seconds)) {
      return refuse(say`The multiples must rise and the times must fall.`);
    }
    if (multiple.value < 1 || multiple.value > 100 || seconds.value < 0.001 || seconds.value > 1e5) {
      return refuse(say`"${pair}" is out of range: multiples 1 to 100, 0.001 s to 100 000 s.`);
    }
    points.push({ multiple: multiple.value, seconds: seconds.value });
  }
  return points.length > 20 ? refuse(say`At most 20 points.`) : { ok: true, points, sentence: '' };
}
