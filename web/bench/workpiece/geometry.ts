/** A point of the workpiece, mm: `u` from the centre of the stud along the cable, `v` across it, downwards. */
export type Point = readonly [u: number, v: number];

export type Segment = readonly ['M' | 'L', Point] | readonly ['C', Point, Point, Point] | readonly ['Z'];

/** Where a point of the workpiece lies on the sheet, px. */
export type Place = (point: Point) => Point;

/** End A runs to the right of its stud; end B is its mirror image. */
export function placeEnd(originX: number, centreY: number, scale: number, direction: 1 | -1): Place {
  return ([u, v]) => [originX + direction * scale * u, centreY + scale * v];
}

const written = ([x, y]: Point) => `${round(x)} ${round(y)}`;
const round = (px: number) => Math.round(px * 100) / 100;

/** An outline as an SVG path. */
export function toPath(segments: readonly Segment[], place: Place): string {
  return segments
    .map((segment) => {
      const [command, ...points] = segment;
      return command + points.map((point) => written(place(point))).join(' ');
    })
    .join('');
}

/** A closed outline through points. */
export function polygon(points: readonly Point[]): Segment[] {
  return [...points.map((point, i): Segment => [i === 0 ? 'M' : 'L', point]), ['Z']];
}

export function rectangle(fromU: number, toU: number, half: number): Segment[] {
  return polygon([
    [fromU, -half],
    [toU, -half],
    [toU, half],
    [fromU, half],
  ]);
}
