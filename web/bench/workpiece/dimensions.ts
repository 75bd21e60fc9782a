/** A distance to be written between two places on the sheet, px. */
export interface Dimension {
  readonly id: string;
  readonly from: number;
  readonly to: number;
  readonly text: string;
  /** What to write where the text has no room. */
  readonly shorter?: string;
}

export interface PlacedDimension extends Dimension {
  /** Middle of the text. */
  readonly textX: number;
  readonly textWidth: number;
  /** Whether the text stands in the line, or beside it for want of room. */
  readonly inside: boolean;
}

/** Air round a text, px. */
const AIR = 4;

/** Widths of the condensed face as shares of its size, measured once: near enough to keep texts apart. */
const NARROW = /[.,:;'’ |ijlI1t()\u2009]/;
const WIDE = /[mwMW⌀°%]/;

/** About how wide a text is in the condensed face, px; never less than it is. */
export function textWidth(text: string, sizePx: number): number {
  const shares = [...text].map((letter) => (NARROW.test(letter) ? 0.3 : WIDE.test(letter) ? 0.68 : 0.455));
  return shares.reduce((sum, share) => sum + share, 0) * sizePx;
}

/** A text cut short where it is wider than its room, px: the room decides, not a count of letters. */
export function shortened(text: string, sizePx: number, roomPx: number): string {
  if (textWidth(text, sizePx) <= roomPx) return text;
  const letters = [...text];
  const fits = letters.findLastIndex(
    (_, i) => textWidth(`${letters.slice(0, i + 1).join('')}…`, sizePx) <= roomPx,
  );
  return `${letters
    .slice(0, Math.max(1, fits + 1))
    .join('')
    .trimEnd()}…`;
}

interface Span {
  readonly from: number;
  readonly to: number;
}

const overlap = (a: Span, b: Span) => a.from < b.to && b.from < a.to;

/**
 * Places the texts of one row of dimensions so that none touches another's line or text: inside its own line where
 * there is room, else beside it, on the side away from its neighbours.
 *
 * @param bounds how far a text may reach, px
 * @throws RangeError when a text has no room on either side: the row holds too much
 */
export function placeRow(row: readonly Dimension[], sizePx: number, bounds: Span): PlacedDimension[] {
  const lines = row.map((dimension) => ({
    from: Math.min(dimension.from, dimension.to),
    to: Math.max(dimension.from, dimension.to),
  }));
  const taken: Span[] = [...lines];
  return row.map((dimension, i) => {
    const line = lines[i] as Span;
    const isFree = (span: Span) =>
      span.from >= bounds.from &&
      span.to <= bounds.to &&
      !taken.some((other) => other !== line && overlap(span, other));
    for (const text of [dimension.text, dimension.shorter].filter((text) => text !== undefined)) {
      const width = textWidth(text, sizePx);
      if (width + 2 * AIR <= line.to - line.from) {
        return {
          ...dimension,
          ...line,
          text,
          textX: (line.from + line.to) / 2,
          textWidth: width,
          inside: true,
        };
      }
      const right = { from: line.to + AIR, to: line.to + AIR + width };
      const left = { from: line.from - AIR - width, to: line.from - AIR };
      const beside = [right, left].find(isFree);
      if (beside) {
        taken.push(beside);
        return {
          ...dimension,
          ...line,
          text,
          textX: (beside.from + beside.to) / 2,
          textWidth: width,
          inside: false,
        };
      }
    }
    throw new RangeError(`no room for "${dimension.text}"`);
  });
}
