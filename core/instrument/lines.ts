/** More than this without an end of line is not a line: it is let go. */
const LONGEST = 1000;

/**
 * Puts lines together from the pieces in which they arrive. Lines end with a newline, a carriage return or both; empty
 * ones are left out. A line without end is given out cut short once, and its rest is let go.
 *
 * @example const take = lineSplitter(); take('12.3 m'); take('m\r\n') // [] then ['12.3 mm']
 */
export function lineSplitter(): (piece: string) => string[] {
  let held = '';
  let isLetGo = false;
  return (piece) => {
    const parts = (held + piece).split(/[\r\n]+/);
    held = parts.pop() ?? '';
    const lines = parts.filter((line, i) => line.trim() !== '' && !(isLetGo && i === 0));
    if (parts.length > 0) isLetGo = false;
    if (held.length > LONGEST) {
      if (!isLetGo) lines.push(held.slice(0, LONGEST));
      isLetGo = true;
      held = '';
    }
    return lines;
  };
}
