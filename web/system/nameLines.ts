/** Letters of a name that stand beside a shape on one line of the diagram. */
const LETTERS = 19;
const LETTER_PX = 5.6;
/** Before the next column there is so much anyway. */
const GAP_PX = 12;
const LEAST_ROOM = 74;

/**
 * A place's name as it stands on the diagram: on two lines at most, broken between words where it can be, and cut with
 * an ellipsis where it is longer still. What is pressed or spoken has all of it.
 *
 * @example nameLines('Refrigerator compressor, galley') // ['Refrigerator', 'compressor, galley']
 */
export function nameLines(name: string): readonly string[] {
  const whole = name.trim();
  if (whole.length <= LETTERS) return [whole];
  const gap = whole.lastIndexOf(' ', LETTERS);
  const first = gap > 0 ? whole.slice(0, gap) : whole.slice(0, LETTERS);
  const rest = whole.slice(first.length).trim();
  return [first, rest.length <= LETTERS ? rest : `${rest.slice(0, LETTERS - 1).trimEnd()}…`];
}

/** Room that a name needs beside its shape, px. */
export const nameRoom = (name: string): number =>
  Math.max(
    LEAST_ROOM,
    Math.ceil(LETTER_PX * Math.max(...nameLines(name).map(({ length }) => length))) - GAP_PX,
  );
