import { luma, type Picture, type Point } from './picture.ts';

/** Air in a section. */
export interface Voids {
  /** Pixels inside the outline. */
  readonly insidePx: number;
  /** Air inside it, in pixels; parts of pixels count as parts. */
  readonly voidPx: number;
  readonly largestPx: number;
  /** How much of each pixel of the box is air, 0–255, rows from its top. */
  readonly mask: Uint8Array;
  readonly box: {
    readonly left: number;
    readonly top: number;
    readonly width: number;
    readonly height: number;
  };
}

/** Bright copper is learned in so many tiles each way, so that a shine or a shade is copper still. */
const TILES = 10;
/** Of the pixels of a tile this share is darker than what is taken for its copper. */
const COPPER_RANK = 0.72;
/** Air is darker than this share of the copper round it; the ring where strands meet the barrel is not. */
const AIR_UNDER = 0.46;
/** What is this dark is air through and through, at most. */
const DARKEST = 0.3;
/** What is this bright, of 255, is glare: nothing is seen under it. */
const GLARE_OVER = 250;
/** Smaller specks than this share of the section are grain, not air. */
const LEAST_SPECK = 4e-6;

/** A section seen pixel by pixel within its box, rows from its top. */
export interface Seen {
  readonly voids: Voids;
  /** Pixels inside it that are blown out. */
  readonly glarePx: number;
  /** How bright each pixel inside the outline is, against the copper round it; 0 outside. */
  readonly relative: Float32Array;
}

/** Measures how much of what is inside an outline is air: what is dark against the copper round it. */
export function findVoids(picture: Picture, contour: readonly Point[]): Seen {
  const box = boxOf(contour, picture);
  const inside = insideOf(contour, box);
  const bright = brightness(picture, box);
  const copper = copperLevels(bright, inside, box);
  const share = new Float32Array(bright.length);
  let [insidePx, glarePx] = [0, 0];
  const ranks = new Uint32Array(256);
  const level = new Float32Array(box.width);
  for (let y = 0; y < box.height; y += 1) {
    copper(y, level);
    for (let x = 0; x < box.width; x += 1) {
      const i = y * box.width + x;
      if (inside[i] === 0) continue;
      insidePx += 1;
      if ((bright[i] ?? 0) > GLARE_OVER) glarePx += 1;
      const relative = (bright[i] ?? 0) / (level[x] ?? 1);
      share[i] = relative;
      const rank = Math.min(255, Math.floor(relative * 128));
      ranks[rank] = (ranks[rank] ?? 0) + 1;
    }
  }
  const dark = Math.min(DARKEST, darkLevel(ranks, insidePx));
  const air = airOf(share, inside, box, dark);
  const { total, largest } = summed(air, box, insidePx);
  return {
    voids: {
      insidePx,
      voidPx: total,
      largestPx: largest,
      mask: Uint8Array.from(air, (value) => Math.round(255 * value)),
      box,
    },
    glarePx,
    relative: share,
  };
}

function boxOf(contour: readonly Point[], { width, height }: Picture): Voids['box'] {
  const xs = contour.map(([x]) => x);
  const ys = contour.map(([, y]) => y);
  const left = Math.max(0, Math.floor(Math.min(...xs)));
  const top = Math.max(0, Math.floor(Math.min(...ys)));
  return {
    left,
    top,
    width: Math.min(width, Math.ceil(Math.max(...xs)) + 1) - left,
    height: Math.min(height, Math.ceil(Math.max(...ys)) + 1) - top,
  };
}

/** 1 where the middle of a pixel of a box lies inside an outline, by where each row crosses its sides. */
export function insideOf(contour: readonly Point[], box: Voids['box']): Uint8Array {
  const mask = new Uint8Array(box.width * box.height);
  for (let row = 0; row < box.height; row += 1) {
    const y = row + box.top;
    const crossings = contour
      .flatMap(([x1, y1], i) => {
        const [x2, y2] = contour[(i + 1) % contour.length] as Point;
        return y1 <= y === y2 <= y ? [] : [x1 + ((y - y1) * (x2 - x1)) / (y2 - y1)];
      })
      .sort((a, b) => a - b);
    for (let k = 0; k + 1 < crossings.length; k += 2) {
      const from = Math.max(0, Math.ceil((crossings[k] ?? 0) - box.left));
      const to = Math.min(box.width - 1, Math.floor((crossings[k + 1] ?? 0) - box.left));
      if (to >= from) mask.fill(1, row * box.width + from, row * box.width + to + 1);
    }
  }
  return mask;
}

function brightness({ width, data }: Picture, box: Voids['box']): Float32Array {
  const plane = new Float32Array(box.width * box.height);
  for (let y = 0; y < box.height; y += 1) {
    let from = ((y + box.top) * width + box.left) * 4;
    for (let i = y * box.width; i < (y + 1) * box.width; i += 1, from += 4) {
      plane[i] = luma(data[from] ?? 0, data[from + 1] ?? 0, data[from + 2] ?? 0);
    }
  }
  return plane;
}

/** Writes how bright copper is along a row: a rank of each tile, drawn evenly from tile to tile. */
function copperLevels(
  bright: Float32Array,
  inside: Uint8Array,
  { width, height }: Voids['box'],
): (y: number, row: Float32Array) => void {
  const counts = Array.from({ length: TILES * TILES }, () => new Uint32Array(256));
  const all = new Uint32Array(256);
  const tileOf = (at: number, length: number) => Math.min(TILES - 1, Math.floor((at * TILES) / length));
  for (let y = 0; y < height; y += 1) {
    const row = tileOf(y, height) * TILES;
    for (let x = 0; x < width; x += 1) {
      const i = y * width + x;
      if (inside[i] === 0) continue;
      const bin = Math.floor(bright[i] ?? 0);
      const tile = counts[row + tileOf(x, width)] as Uint32Array;
      tile[bin] = (tile[bin] ?? 0) + 1;
      all[bin] = (all[bin] ?? 0) + 1;
    }
  }
  const whole = rankOf(all, COPPER_RANK);
  const least = (width * height) / TILES ** 2 / 6;
  const levels = counts.map((own) => {
    const count = own.reduce((sum, n) => sum + n, 0);
    return Math.max(1, count < least ? whole : rankOf(own, COPPER_RANK));
  });
  const level = (tx: number, ty: number) => levels[ty * TILES + tx] ?? whole;
  // Between the middles of two tiles it changes evenly; beyond the outermost it stays.
  const between = (at: number, length: number) => {
    const place = Math.max(0, Math.min(TILES - 1, (at * TILES) / length - 0.5));
    const tile = Math.min(TILES - 2, Math.floor(place));
    return { tile, share: place - tile };
  };
  const columns = Array.from({ length: width }, (_, x) => between(x, width));
  const tiles = Uint8Array.from(columns, ({ tile }) => tile);
  const shares = Float32Array.from(columns, ({ share }) => share);
  return (y, row) => {
    const { tile, share } = between(y, height);
    const down = Float32Array.from(
      { length: TILES },
      (_, tx) => level(tx, tile) * (1 - share) + level(tx, tile + 1) * share,
    );
    for (let x = 0; x < width; x += 1) {
      const at = tiles[x] ?? 0;
      const own = shares[x] ?? 0;
      row[x] = (down[at] ?? whole) * (1 - own) + (down[at + 1] ?? whole) * own;
    }
  };
}

function rankOf(counts: Uint32Array, share: number): number {
  const wanted = share * counts.reduce((sum, n) => sum + n, 0);
  let sum = 0;
  for (const [bin, n] of counts.entries()) {
    sum += n;
    if (sum >= wanted) return bin + 0.5;
  }
  return 255;
}

/** How dark the middle of air is: the median of what is surely air; nothing where too little is. */
function darkLevel(ranks: Uint32Array, insidePx: number): number {
  const airBins = Math.floor(AIR_UNDER * 0.75 * 128);
  const air = ranks.slice(0, airBins);
  const count = air.reduce((sum, n) => sum + n, 0);
  return count < insidePx * LEAST_SPECK * 4 ? DARKEST : rankOf(air, 0.4) / 128;
}

/** The part of each pixel that is air: whole where it is dark, a part at its edge, none away from it. */
function airOf(
  relative: Float32Array,
  inside: Uint8Array,
  { width, height }: Voids['box'],
  dark: number,
): Float32Array {
  const air = new Float32Array(relative.length);
  const half = (1 + dark) / 2;
  const level = (i: number) => (inside[i] === 1 ? (relative[i] ?? 1) : 1);
  const core = new Uint8Array(relative.length);
  // From what is surely air to where it is half air, and one pixel on to where it ends.
  for (let i = 0; i < core.length; i += 1) core[i] = level(i) < AIR_UNDER ? 1 : 0;
  const spread = (mask: Uint8Array, under: number) => {
    const to = Uint8Array.from(mask);
    for (let y = 1; y < height - 1; y += 1) {
      for (let x = 1; x < width - 1; x += 1) {
        const i = y * width + x;
        if (mask[i] === 1 || level(i) >= under) continue;
        const up = i - width;
        const down = i + width;
        if (
          (mask[i - 1] ?? 0) |
          (mask[i + 1] ?? 0) |
          (mask[up] ?? 0) |
          (mask[down] ?? 0) |
          (mask[up - 1] ?? 0) |
          (mask[up + 1] ?? 0) |
          (mask[down - 1] ?? 0) |
          (mask[down + 1] ?? 0)
        )
          to[i] = 1;
      }
    }
    return to;
  };
  const near = spread(spread(core, half), 1);
  for (let i = 0; i < air.length; i += 1) {
    if (near[i] === 1) air[i] = Math.max(0, Math.min(1, (1 - level(i)) / (1 - dark)));
  }
  return air;
}

/** All air, and the largest patch of it; specks are left out. */
function summed(
  air: Float32Array,
  { width, height }: Voids['box'],
  insidePx: number,
): { total: number; largest: number } {
  const seen = new Uint8Array(air.length);
  const stack: number[] = [];
  let [total, largest] = [0, 0];
  for (let start = 0; start < air.length; start += 1) {
    if ((air[start] ?? 0) < 0.5 || seen[start] === 1) continue;
    const pixels: number[] = [];
    let sum = 0;
    seen[start] = 1;
    stack.push(start);
    for (let i = stack.pop(); i !== undefined; i = stack.pop()) {
      pixels.push(i);
      sum += air[i] ?? 0;
      const x = i % width;
      const near = [
        x > 0 ? i - 1 : -1,
        x < width - 1 ? i + 1 : -1,
        i - width,
        i + width < width * height ? i + width : -1,
      ];
      for (const at of near) {
        if (at < 0 || seen[at] === 1 || (air[at] ?? 0) === 0) continue;
        seen[at] = 1;
        stack.push(at);
      }
    }
    if (sum < LEAST_SPECK * insidePx) {
      for (const i of pixels) air[i] = 0;
      continue;
    }
    total += sum;
    largest = Math.max(largest, sum);
  }
  return { total, largest };
}
