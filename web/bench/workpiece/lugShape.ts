import type { Lug } from '../../../core/model/shop.ts';
import type { Point, Segment } from './geometry.ts';

/** A hexagon crimp along the barrel, in the lug's own measure, mm. */
export interface CrimpShape {
  readonly fromU: number;
  readonly toU: number;
  readonly acrossFlatsMm: number;
}

const radians = (degrees: number) => (degrees * Math.PI) / 180;

/** Width across the corners over width across the flats. */
const CORNERS = 2 / Math.sqrt(3);

/**
 * A hexagon seen from its side, turned with the palm: half its height, and the edges that face the eye.
 * Its flats lie parallel to the palm, so flat-on two edges show and on edge one does.
 */
export function hexagonView(acrossFlatsMm: number, angleDeg: number): { half: number; edges: number[] } {
  const radius = (acrossFlatsMm * CORNERS) / 2;
  const corners = [0, 60, 120, 180, 240, 300].map((corner) => radians(corner + angleDeg));
  const half = Math.max(...corners.map((corner) => Math.abs(Math.cos(corner)))) * radius;
  const edges = corners
    .filter((corner) => Math.sin(corner) > 1e-6)
    .map((corner) => Math.cos(corner) * radius)
    .filter((v) => Math.abs(v) < half - 1e-6)
    .sort((a, b) => a - b);
  return { half, edges };
}

/** How the palm looks when the lug is turned about the cable: half its height on the sheet, and its middle. */
export function palmView(
  lug: Lug,
  angleDeg: number,
): { half: number; middle: number; foreshortening: number } {
  const flat = Math.abs(Math.cos(radians(angleDeg)));
  const edge = Math.sin(radians(angleDeg));
  return {
    half: (lug.palmWidthMm * flat + lug.palmThicknessMm * Math.abs(edge)) / 2,
    // A palm pressed from the tube lies level with one side of the barrel.
    middle: (edge * (lug.outerMm - lug.palmThicknessMm)) / 2,
    foreshortening: flat,
  };
}

/** How far the palm reaches beyond the centre of its hole, mm. */
export function palmTipMm(lug: Lug): number {
  return lug.palmWidthMm / 2;
}

/** One side of the barrel from its bottom to its mouth, pressed in where it is crimped. */
function barrelSide(lug: Lug, side: 1 | -1, crimps: readonly CrimpShape[], angleDeg: number): Point[] {
  const radius = lug.outerMm / 2;
  const slope = 0.5;
  const pressed = [...crimps]
    .sort((a, b) => a.fromU - b.fromU)
    .flatMap(({ fromU, toU, acrossFlatsMm }): Point[] => {
      const half = Math.min(radius, hexagonView(acrossFlatsMm, angleDeg).half) * side;
      return [
        [fromU - slope, side * radius],
        [fromU, half],
        [toU, half],
        [toU + slope, side * radius],
      ];
    });
  const bottom = lug.studToBarrelMm;
  return [[bottom, side * radius], ...pressed, [bottom + lug.barrelMm, side * radius]];
}

/**
 * Outline of a lug, its palm turned by an angle about the cable: 0 seen flat, 90 on edge.
 *
 * @param crimps those already pressed; planned ones do not change the outline
 */
export function lugOutline(lug: Lug, angleDeg: number, crimps: readonly CrimpShape[]): Segment[] {
  const { half, middle, foreshortening } = palmView(lug, angleDeg);
  const [top, bottom] = [middle - half, middle + half];
  const tip = -palmTipMm(lug);
  const radius = lug.outerMm / 2;
  const corner = 0.34 * lug.palmWidthMm;
  const cornerV = Math.min(half, Math.max(corner * foreshortening, 0.4));
  const neckFrom = Math.min(0.5 * lug.palmWidthMm, 0.62 * lug.studToBarrelMm);
  const neckTo = lug.studToBarrelMm;
  const bend = 0.5 * (neckTo - neckFrom);
  const round = 0.55;
  return [
    ['M', [tip + corner, top]],
    ['L', [neckFrom, top]],
    ['C', [neckFrom + bend, top], [neckTo - bend, -radius], [neckTo, -radius]],
    ...barrelSide(lug, -1, crimps, angleDeg).map((point): Segment => ['L', point]),
    ...barrelSide(lug, 1, crimps, angleDeg)
      .reverse()
      .map((point): Segment => ['L', point]),
    ['C', [neckTo - bend, radius], [neckFrom + bend, bottom], [neckFrom, bottom]],
    ['L', [tip + corner, bottom]],
    [
      'C',
      [tip + corner * (1 - round), bottom],
      [tip, bottom - cornerV * (1 - round)],
      [tip, bottom - cornerV],
    ],
    ['L', [tip, top + cornerV]],
    ['C', [tip, top + cornerV * (1 - round)], [tip + corner * (1 - round), top], [tip + corner, top]],
    ['Z'],
  ];
}
