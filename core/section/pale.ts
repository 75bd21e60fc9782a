import { middleOf, type Outline } from './hexagon.ts';
import type { Picture, Point } from './picture.ts';
import { insideOf, type Seen } from './voids.ts';

/** Colours are averaged over blocks of so many pixels each way, so that grain does not count. */
const BLOCK = 4;
/** The rim is left out: a lug's tin is pale and nothing lies under it. */
const RIM_SHARE = 0.1;
/** A block this much darker than copper is air, and has no colour of its own. */
const COPPER_OVER = 0.48;
/** Its blue is so much nearer to its red than copper’s is: something lies over it, or between the strands. */
const PALER_BY = 0.14;

/**
 * How much of a section is paler than its copper, as a share of what was looked at: a shine, dust, resin or solder.
 * Where that lies, air would not show. A grey picture has no colours: there it is 0.
 *
 * @example paleShare(picture, seen, outline) // 0.002 of a clean cut
 */
export function paleShare(picture: Picture, { relative, voids: { box } }: Seen, outline: Outline): number {
  const inner = insideOf(shrunk(outline, RIM_SHARE), box);
  const ratios: number[] = [];
  let looked = 0;
  for (let y = 0; y + BLOCK <= box.height; y += BLOCK) {
    for (let x = 0; x + BLOCK <= box.width; x += BLOCK) {
      if (inner[(y + BLOCK / 2) * box.width + x + BLOCK / 2] === 0) continue;
      looked += 1;
      let [red, blue, bright] = [0, 0, 0];
      for (let row = y; row < y + BLOCK; row += 1) {
        for (let column = x; column < x + BLOCK; column += 1) {
          const place = ((row + box.top) * picture.width + column + box.left) * 4;
          red += picture.data[place] ?? 0;
          blue += picture.data[place + 2] ?? 0;
          bright += relative[row * box.width + column] ?? 0;
        }
      }
      if (bright >= COPPER_OVER * BLOCK ** 2 && red > 0) ratios.push(blue / red);
    }
  }
  if (ratios.length === 0) return 0;
  const sorted = Float64Array.from(ratios).sort();
  const copper = sorted[Math.floor(sorted.length / 2)] ?? 1;
  return ratios.filter((own) => own > copper + PALER_BY).length / looked;
}

/** An outline drawn in towards its middle by a share. */
function shrunk(outline: Outline, share: number): Point[] {
  const [mx, my] = middleOf(outline);
  return outline.map(([x, y]): Point => [x + (mx - x) * share, y + (my - y) * share]);
}
