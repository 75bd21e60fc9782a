import { radians } from '../../../core/lib/angle.ts';
import type { Lug } from '../../../core/model/shop.ts';
import { reachMm } from '../../../core/termination/lugs/palmAngle.ts';
import type { Point, Segment } from './geometry.ts';

/** A hexagon crimp along the barrel, in the lug's own measure, mm. */
export interface CrimpShape {
  readonly fromU: number;
  readonly toU: number;
  readonly acrossFlatsMm: number;
}

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

/** A lug as it is drawn: `studToBarrelMm` along the cable, and how long it is along its palm. */
export type DrawnLug = Lug & { readonly alongMm: number };

export const drawnLug = (lug: Lug): DrawnLug => ({
  ...lug,
  studToBarrelMm: reachMm(lug),
  alongMm: lug.studToBarrelMm,
});

/** The neck takes up what the palm lies off the barrel's line within this share of its length. */
const CRANK = 0.45;

/**
 * Where a point of the palm comes to lie once the palm is bent: given as it would lie straight, from the hole's centre
 * along the palm, and as high as it is seen with the lug turned by an angle about the cable.
 */
export function bent(lug: DrawnLug, angleDeg: number): (point: Point) => Point {
  const turn = radians(lug.angleDeg);
  const edge = Math.sin(radians(angleDeg));
  const { middle } = palmView(lug, angleDeg);
  return ([u, v]) => {
    const before = Math.max(0, lug.alongMm - u);
    // What of its height is the plate's thickness turns with the plate; its width does not.
    const thick = (v - middle) * Math.abs(edge);
    const cranked = Math.min(1, before / Math.max(1, CRANK * lug.alongMm)) * lug.offsetMm;
    return [
      lug.studToBarrelMm - before * Math.cos(turn) + thick * Math.sin(turn) * Math.sign(edge),
      v + thick * (Math.cos(turn) - 1) + edge * (before * Math.sin(turn) + cranked),
    ];
  };
}

/** How short a bent palm looks along the cable, seen flat: 1 where it is straight. */
export const foreshortened = ({ angleDeg }: Pick<Lug, 'angleDeg'>): number => Math.cos(radians(angleDeg));

/** How far the palm's tip stands off the middle of the cable as it is seen, mm. */
export function riseMm(lug: DrawnLug, angleDeg: number): number {
  const { half, middle } = palmView(lug, angleDeg);
  const ends = [-half, half].map((side) =>
    Math.abs(bent(lug, angleDeg)([-palmTipMm(lug), middle + side])[1]),
  );
  return Math.max(Math.abs(middle) + half, ...ends);
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
export function lugOutline(lug: DrawnLug, angleDeg: number, crimps: readonly CrimpShape[]): Segment[] {
  const bend = bent(lug, angleDeg);
  const { half, middle, foreshortening } = palmView(lug, angleDeg);
  const [top, bottom] = [middle - half, middle + half];
  const tip = -palmTipMm(lug);
  const radius = lug.outerMm / 2;
  const corner = 0.34 * lug.palmWidthMm;
  const cornerV = Math.min(half, Math.max(corner * foreshortening, 0.4));
  const neckFrom = Math.min(0.5 * lug.palmWidthMm, 0.62 * lug.alongMm);
  const neckTo = lug.alongMm;
  const ease = 0.5 * (neckTo - neckFrom);
  const round = 0.55;
  return [
    ['M', bend([tip + corner, top])],
    ['L', bend([neckFrom, top])],
    ['C', bend([neckFrom + ease, top]), bend([neckTo - ease, -radius]), [lug.studToBarrelMm, -radius]],
    ...barrelSide(lug, -1, crimps, angleDeg).map((point): Segment => ['L', point]),
    ...barrelSide(lug, 1, crimps, angleDeg)
      .reverse()
      .map((point): Segment => ['L', point]),
    ['C', bend([neckTo - ease, radius]), bend([neckFrom + ease, bottom]), bend([neckFrom, bottom])],
    ['L', bend([tip + corner, bottom])],
    [
      'C',
      bend([tip + corner * (1 - round), bottom]),
      bend([tip, bottom - cornerV * (1 - round)]),
      bend([tip, bottom - cornerV]),
    ],
    ['L', bend([tip, top + cornerV])],
    [
      'C',
      bend([tip, top + cornerV * (1 - round)]),
      bend([tip + corner * (1 - round), top]),
      bend([tip + corner, top]),
    ],
    ['Z'],
  ];
}
