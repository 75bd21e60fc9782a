import { between, type Random, scattered } from '../lib/random.ts';
import { hexagonAcrossFlats, hexagonMm2 } from '../termination/dies/dieOnLug.ts';
import type { Picture } from './picture.ts';

/** A crimp to be drawn as if it had been sawn through and photographed. */
export interface DrawnSection {
  readonly acrossFlatsMm: number;
  /** Copper of the barrel, mm²; less than the hexagon holds. */
  readonly wallMm2: number;
  /** Air to draw, as a share of the outline. */
  readonly voidShare: number;
  /** Strands to draw; more than a few hundred are too fine to see. */
  readonly strands: number;
  /** How far the strands lie off the middle, as a share of the wall. */
  readonly offCentre: number;
  readonly tinned: boolean;
}

/** What was really drawn. */
export interface DrawnTruth {
  readonly picture: Picture;
  /** Air among the pixels of the outline, counted. */
  readonly voidShare: number;
  readonly acrossFlatsPx: number;
}

type Colour = readonly [number, number, number];
const COPPER: Colour = [208, 124, 84];
const SEAM: Colour = [150, 92, 66];
const TIN: Colour = [206, 206, 208];
const AIR: Colour = [26, 20, 20];
const BENCHES: readonly Colour[] = [
  [120, 124, 126],
  [134, 106, 80],
  [58, 60, 70],
];
/** The section fills this share of the picture's height. */
const FILLS = 0.66;
const SEAM_SHARE = 0.018;
const CORNER_SHARE = 0.022;

/**
 * Draws a sawn crimp: a hexagon of barrel, and strands that were round and flatten where they meet. Air is what of
 * each strand's place its disc does not reach, and the discs grow until exactly so much air is left.
 *
 * @param random seeded, so that the same picture can be had again
 * @param width px, at least 300; it is four to three
 * @throws RangeError where the hexagon holds no more than the wall, or no room for so much air
 * @example drawSection({ acrossFlatsMm: 12, wallMm2: 50, voidShare: 0.05, … }, seeded(7), 1200)
 */
// oxlint-disable-next-line max-lines-per-function -- draws from one random source, so the order of its calls is the picture
export function drawSection(spec: DrawnSection, random: Random, width: number): DrawnTruth {
  const height = Math.round((width * 3) / 4);
  const outline = hexagonMm2(spec.acrossFlatsMm);
  const room = outline - spec.wallMm2;
  if (room <= 0 || spec.voidShare * outline >= 0.9 * room) throw new RangeError('no room for this section');
  const acrossPx = FILLS * height;
  const perMm = acrossPx / spec.acrossFlatsMm;
  const innerPx = hexagonAcrossFlats(room) * perMm;
  const turn = between(random, 0, Math.PI / 3);
  const centre = {
    x: width / 2 + between(random, -0.04, 0.04) * width,
    y: height / 2 + between(random, -0.04, 0.04) * height,
  };
  const aside = between(random, 0, 2 * Math.PI);
  const off = (spec.offCentre * (acrossPx - innerPx)) / 4;
  const middle = { x: centre.x + off * Math.cos(aside), y: centre.y + off * Math.sin(aside) };
  const far = hexagonDistance(turn);
  const corner = acrossPx / 2 / Math.cos(Math.PI / 6) - CORNER_SHARE * acrossPx;
  const isInside = (x: number, y: number) =>
    far(x - centre.x, y - centre.y) <= acrossPx / 2 && away(x - centre.x, y - centre.y) <= corner;
  const places = strandPlaces(spec.strands, innerPx, random, far);
  const nearest = nearestPlace(places, innerPx).farOf;

  const pixels = width * height;
  const inside = new Uint8Array(pixels);
  const reach = new Float32Array(pixels).fill(-1);
  let insidePx = 0;
  for (let i = 0; i < pixels; i += 1) {
    const x = i % width;
    const y = (i - x) / width;
    if (!isInside(x, y)) continue;
    inside[i] = 1;
    insidePx += 1;
    const dx = x - middle.x;
    const dy = y - middle.y;
    if (far(dx, dy) <= innerPx / 2) reach[i] = nearest(dx, dy);
  }
  const wanted = Math.round(spec.voidShare * insidePx);
  const longest = reach.filter((far) => far >= 0).sort();
  const radius = wanted === 0 ? Number.POSITIVE_INFINITY : (longest[longest.length - wanted] ?? 0);
  let airPx = 0;
  const bench = BENCHES[Math.floor(random() * BENCHES.length)] ?? BENCHES[0];
  const shine = { x: between(random, 0.3, 0.7) * width, y: between(random, 0.3, 0.7) * height };
  const waves = Array.from({ length: 4 }, () => ({
    x: between(random, 0.004, 0.03),
    y: between(random, 0.004, 0.03),
    at: between(random, 0, 7),
  }));
  const data = new Uint8ClampedArray(pixels * 4);
  for (let i = 0; i < pixels; i += 1) {
    const x = i % width;
    const y = (i - x) / width;
    let colour = bench as Colour;
    if (inside[i] === 1) {
      const depth = acrossPx / 2 - far(x - centre.x, y - centre.y);
      const under = innerPx / 2 - far(x - middle.x, y - middle.y);
      const reached = reach[i] ?? -1;
      if (reached >= radius) {
        colour = AIR;
        airPx += 1;
      } else if (reached >= 0) colour = COPPER;
      else if (under > -SEAM_SHARE * acrossPx) colour = SEAM;
      else colour = spec.tinned && depth < 0.012 * acrossPx ? TIN : COPPER;
    }
    let wavy = 0;
    for (const wave of waves) wavy += Math.sin(x * wave.x + y * wave.y + wave.at);
    const light = 1.08 - 0.3 * (away(x - shine.x, y - shine.y) / width) + 0.02 * wavy;
    const grain = scattered(random, colour === AIR ? 4 : 9);
    for (let c = 0; c < 3; c += 1) data[i * 4 + c] = (colour[c] ?? 0) * light + grain;
    data[i * 4 + 3] = 255;
  }
  return { picture: { width, height, data }, voidShare: airPx / insidePx, acrossFlatsPx: acrossPx };
}

/** As `Math.hypot`, which also guards against overflow and takes longer: here it is asked for each pixel. */
const away = (x: number, y: number) => Math.sqrt(x * x + y * y);

/** How far a place lies out towards the nearest side of a hexagon turned so, px: half its across flats is its edge. */
function hexagonDistance(turn: number): (x: number, y: number) => number {
  const normal = (k: number) => {
    const angle = turn + (k * Math.PI) / 3;
    return [Math.cos(angle), Math.sin(angle)] as const;
  };
  const normals = [normal(0), normal(1), normal(2)] as const;
  const [[ax, ay], [bx, by], [cx, cy]] = normals;
  return (x, y) => Math.max(Math.abs(x * ax + y * ay), Math.abs(x * bx + y * by), Math.abs(x * cx + y * cy));
}

type Place = readonly [x: number, y: number];

/** Rounds in which each strand moves to the middle of its own place. */
const SETTLING = 4;
/** Spots that a strand's place is known by. */
const SPOTS_A_STRAND = 40;

/** How far a strand is thrown off its place in a triangular grid, as a share of the grid. */
const THROWN = 0.16;

/** Middles of strands in a hexagon: a grid thrown about, then settled, each in the middle of what is nearest to it. */
function strandPlaces(
  strands: number,
  innerPx: number,
  random: Random,
  far: (x: number, y: number) => number,
): Place[] {
  const half = innerPx / 2 / Math.cos(Math.PI / 6);
  const spot = (): Place => {
    for (;;) {
      const [x, y] = [between(random, -half, half), between(random, -half, half)];
      if (far(x, y) <= innerPx / 2) return [x, y];
    }
  };
  const spots = Array.from({ length: strands * SPOTS_A_STRAND }, spot);
  const pitch = Math.sqrt(hexagonMm2(innerPx) / strands / (Math.sqrt(3) / 2));
  const turned = random();
  const [cos, sin] = [Math.cos(turned), Math.sin(turned)];
  const rows = Math.ceil(innerPx / pitch);
  let places: Place[] = [];
  for (let row = -rows; row <= rows; row += 1) {
    for (let column = -rows; column <= rows; column += 1) {
      const u = (column + (row % 2 === 0 ? 0 : 0.5)) * pitch + scattered(random, THROWN * pitch);
      const v = row * pitch * (Math.sqrt(3) / 2) + scattered(random, THROWN * pitch);
      const [x, y] = [u * cos - v * sin, u * sin + v * cos];
      if (far(x, y) <= innerPx / 2) places.push([x, y]);
    }
  }
  for (let round = 0; round < SETTLING; round += 1) {
    const { indexOf } = nearestPlace(places, innerPx);
    const sums = places.map(() => ({ x: 0, y: 0, count: 0 }));
    for (const [x, y] of spots) {
      const cellSum = sums[indexOf(x, y)];
      if (!cellSum) continue;
      cellSum.x += x;
      cellSum.y += y;
      cellSum.count += 1;
    }
    places = places.map((place, i): Place => {
      const { x, y, count } = sums[i] ?? { x: 0, y: 0, count: 0 };
      return count > 0 ? [x / count, y / count] : place;
    });
  }
  return places;
}

/** The nearest of the places and how far it is, looked up by squares. */
function nearestPlace(places: readonly Place[], innerPx: number) {
  const half = innerPx;
  const cell = Math.max(2, innerPx / Math.sqrt(places.length));
  const across = Math.ceil((2 * half) / cell) + 1;
  const cells = Array.from({ length: across * across }, (): number[] => []);
  const cellOf = (value: number) => Math.floor((value + half) / cell);
  places.forEach(([x, y], i) => cells[cellOf(y) * across + cellOf(x)]?.push(i));
  const xs = Float64Array.from(places, ([x]) => x);
  const ys = Float64Array.from(places, ([, y]) => y);
  const none: readonly number[] = [];
  const indexOf = (x: number, y: number) => {
    const column = cellOf(x);
    const row = cellOf(y);
    let least = Number.POSITIVE_INFINITY;
    let index = -1;
    for (let r = Math.max(0, row - 2); r <= Math.min(across - 1, row + 2); r += 1) {
      for (let c = Math.max(0, column - 2); c <= Math.min(across - 1, column + 2); c += 1) {
        const cellPlaces = cells[r * across + c] ?? none;
        for (let k = 0; k < cellPlaces.length; k += 1) {
          const i = cellPlaces[k] ?? 0;
          const dx = (xs[i] ?? 0) - x;
          const dy = (ys[i] ?? 0) - y;
          const away = dx * dx + dy * dy;
          if (away < least) {
            least = away;
            index = i;
          }
        }
      }
    }
    return index;
  };
  const farOf = (x: number, y: number) => {
    const i = indexOf(x, y);
    return i < 0 ? Number.POSITIVE_INFINITY : away((xs[i] ?? 0) - x, (ys[i] ?? 0) - y);
  };
  return { farOf, indexOf };
}
