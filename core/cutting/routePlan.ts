import { arcMm, type Route, tangentMm } from './route.ts';

/** A place along a route seen from above, mm; `heading` is the way it goes on, radians, 0 to the right. */
export interface PlanPoint {
  readonly x: number;
  readonly y: number;
  readonly heading: number;
}

/** A straight or bent stretch, with how far along the cable it begins. */
export type Stretch =
  | {
      readonly kind: 'straight';
      readonly fromMm: number;
      readonly lengthMm: number;
      readonly start: PlanPoint;
    }
  | {
      readonly kind: 'bend';
      readonly fromMm: number;
      readonly lengthMm: number;
      readonly start: PlanPoint;
      readonly radiusMm: number;
      /** 1 turns right (downwards on a screen), −1 left. */
      readonly turn: 1 | -1;
    };

/** Where a stretch has got to, so many mm after its beginning. */
function after(stretch: Stretch, mm: number): PlanPoint {
  const { x, y, heading } = stretch.start;
  if (stretch.kind === 'straight') {
    return { x: x + mm * Math.cos(heading), y: y + mm * Math.sin(heading), heading };
  }
  const { radiusMm, turn } = stretch;
  const swept = (turn * mm) / radiusMm;
  const side = heading + (turn * Math.PI) / 2;
  const centre = { x: x + radiusMm * Math.cos(side), y: y + radiusMm * Math.sin(side) };
  const out = side + Math.PI + swept;
  return {
    x: centre.x + radiusMm * Math.cos(out),
    y: centre.y + radiusMm * Math.sin(out),
    heading: heading + swept,
  };
}

/** The stretches of a route in plan, from stud A at the origin, first leg to the right. */
export function planStretches({ legsMm, bends }: Route): Stretch[] {
  const stretches: Stretch[] = [];
  let start: PlanPoint = { x: 0, y: 0, heading: 0 };
  let fromMm = 0;
  const go = (stretch: Stretch) => {
    stretches.push(stretch);
    start = after(stretch, stretch.lengthMm);
    fromMm += stretch.lengthMm;
  };
  legsMm.forEach((legMm, i) => {
    const [before, bend] = [bends[i - 1], bends[i]];
    const lengthMm = legMm - (before ? tangentMm(before) : 0) - (bend ? tangentMm(bend) : 0);
    go({ kind: 'straight', fromMm, lengthMm, start });
    if (bend) {
      const turn = bend.side === 'right' ? 1 : -1;
      go({ kind: 'bend', fromMm, lengthMm: arcMm(bend), start, radiusMm: bend.radiusMm, turn });
    }
  });
  return stretches;
}

/** The place so many mm along a route; past its end it stays at the end. */
export function pointAlong(stretches: readonly Stretch[], mm: number): PlanPoint {
  const last = stretches.at(-1);
  if (!last) return { x: 0, y: 0, heading: 0 };
  const on = stretches.find(({ fromMm, lengthMm }) => mm <= fromMm + lengthMm) ?? last;
  return after(on, Math.min(Math.max(mm - on.fromMm, 0), on.lengthMm));
}

/** Points along a route close enough together to draw it. */
export function trace(stretches: readonly Stretch[], fromMm: number, toMm: number): PlanPoint[] {
  const inside = stretches.flatMap((stretch) => {
    const steps = stretch.kind === 'bend' ? 12 : 1;
    return Array.from({ length: steps + 1 }, (_, i) => stretch.fromMm + (stretch.lengthMm * i) / steps);
  });
  const marks = [fromMm, ...inside.filter((mm) => mm > fromMm && mm < toMm), toMm];
  return marks.map((mm) => pointAlong(stretches, mm));
}
