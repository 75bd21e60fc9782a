import { digits } from '../../core/words/numerals.ts';
import type { Hunt } from '../../core/model/hunt.ts';
import type { Ladder } from '../../core/hunt/ladder.ts';

/** Where the columns of a chain stand on the sheet, px. */
export interface ChainLayout {
  readonly width: number;
  /** Left of the columns: the axis and the names of the rows. */
  readonly left: number;
  readonly columnPx: number;
  readonly outCount: number;
  /** Left edge of the column of a piece; the load stands between the ways. */
  readonly x: (place: number) => number;
  readonly loadX: number;
}

const LEFT = 52;
const RIGHT = 12;
const LEAST_COLUMN = 62;

/** The narrowest that a chain of so many pieces and their load can be drawn, px. */
export const leastWidth = (pieces: number): number => LEFT + (pieces + 1) * LEAST_COLUMN + RIGHT;

export function layoutOf(hunt: Hunt, hostPx: number): ChainLayout {
  const columns = hunt.pieces.length + 1;
  const columnPx = Math.max(LEAST_COLUMN, (hostPx - LEFT - RIGHT) / columns);
  const outCount = hunt.pieces.filter(({ side }) => side === 'out').length;
  return {
    width: LEFT + columns * columnPx + RIGHT,
    left: LEFT,
    columnPx,
    outCount,
    x: (place) => LEFT + (place < outCount ? place : place + 1) * columnPx,
    loadX: LEFT + outCount * columnPx,
  };
}

/** The scale of the ladder: volts to px, and the lines of its grid. */
export interface VoltScale {
  readonly y: (volts: number) => number;
  readonly lines: readonly { readonly volts: number; readonly says: string | null }[];
}

const STEPS = [0.01, 0.02, 0.05, 0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50];
const MOST_LINES = 7;

export function voltScale(ladder: Ladder, top: number, height: number): VoltScale {
  const volts = ladder.rungs.flatMap(({ from, to, shouldTo }) => [from, to, shouldTo]);
  const [low, high] = [Math.min(...volts), Math.max(...volts)];
  const room = Math.max(0.02, (high - low) * 0.08);
  const span = high - low + 2 * room;
  const y = (at: number) => top + ((high + room - at) / span) * height;
  const step = STEPS.find((own) => span / own <= MOST_LINES) ?? 100;
  const decimals = step < 0.1 ? 2 : step < 1 ? 1 : 0;
  const first = Math.ceil((low - room) / step);
  const count = Math.floor((high + room) / step) - first + 1;
  return {
    y,
    lines: Array.from({ length: count }, (_, i) => ({
      volts: (first + i) * step,
      says: digits((first + i) * step, decimals),
    })),
  };
}
