import { radians } from '../lib/angle.ts';
import { parseQuantity } from '../model/units/quantity.ts';
import { MOST_BEND_DEG, RUN_LENGTH_MM } from '../model/limits.ts';
import { type Message, msg, shortest, amount, bare } from '../words/message.ts';

/** A turn between two legs: by how much it leaves the straight way, and how tightly. */
export interface Bend {
  /** Deflection, degrees, 1–150. */
  readonly deg: number;
  /** Of the cable's centreline, mm. */
  readonly radiusMm: number;
  readonly side: 'left' | 'right';
}

/** A way as it is measured: legs between the corners, and a bend at each corner. */
export interface Route {
  readonly legsMm: readonly number[];
  readonly bends: readonly Bend[];
}

/** From the corner to where the bend begins, mm: `r·tan(θ/2)`. */
export function tangentMm({ deg, radiusMm }: Bend): number {
  return radiusMm * Math.tan(radians(deg) / 2);
}

/** Along a bend, mm: `r·θ`. */
export const arcMm = ({ deg, radiusMm }: Bend): number => radiusMm * radians(deg);

/**
 * Length of a cable laid along a route, mm: `L = Σ legs − Σ(2·r·tan(θ/2) − r·θ)`, as bends cut the corners.
 *
 * @example routeLengthMm({ legsMm: [850, 1240, 420], bends: [90° r80, 45° r100] }) // 2471.4
 */
export function routeLengthMm({ legsMm, bends }: Route): number {
  const legs = legsMm.reduce((sum, mm) => sum + mm, 0);
  return bends.reduce((length, bend) => length - (2 * tangentMm(bend) - arcMm(bend)), legs);
}

/** Legs too short for the bends at their ends: which, how long, and how long they have to be. */
export function shortLegs({ legsMm, bends }: Route): { leg: number; mm: number; needsMm: number }[] {
  return legsMm.flatMap((mm, leg) => {
    const before = bends[leg - 1];
    const after = bends[leg];
    const needsMm = (before ? tangentMm(before) : 0) + (after ? tangentMm(after) : 0);
    return mm < needsMm - 1e-9 ? [{ leg, mm, needsMm }] : [];
  });
}

/** The tightest bend of a route; null where it is straight. */
export function tightestBend({ bends }: Route): Bend | null {
  return bends.reduce<Bend | null>(
    (tight, bend) => (tight && tight.radiusMm <= bend.radiusMm ? tight : bend),
    null,
  );
}

export type RouteEntry =
  | { readonly ok: true; readonly route: Route }
  | { readonly ok: false; readonly sentence: Message };

const BEND = /^([+-]?)\s*(\d+(?:\.\d+)?)\s*(?:°|deg)\s*(l|r(?!\s*\d)|left|right)?\s*(?:r\s*(.+))?$/i;

/**
 * Reads a route as a quick list: legs and bends by turns, parted by commas. A bend is an angle with a radius; it turns
 * right, or left with a minus or an L. Units as typed; a bare number is millimetres.
 *
 * @param usualRadiusMm taken where a bend gives no radius
 * @example parseRoute('850, 90° r80, 1.24 m, 45° L r100, 420', 100)
 */
export function parseRoute(text: string, usualRadiusMm: number): RouteEntry {
  const parts = text
    .split(/[,;\n]/)
    .map((part) => part.trim())
    .filter((part) => part !== '');
  const refuse = (sentence: Message): RouteEntry => ({ ok: false, sentence });
  if (parts.length === 0) return refuse(msg`Write legs and bends, such as 850, 90° r80, 1240.`);
  if (parts.length > 60) return refuse(msg`At most 60 legs and bends.`);
  const legsMm: number[] = [];
  const bends: Bend[] = [];
  for (const [i, part] of parts.entries()) {
    const match = BEND.exec(part);
    const wantsBend = i % 2 === 1;
    if (match && !wantsBend) return refuse(msg`“${part}” is a bend; a leg comes before and after each bend.`);
    if (!match && wantsBend) return refuse(msg`“${part}”: between two legs write a bend, such as 90° r80.`);
    if (!match) {
      const leg = parseQuantity(part, 'length', 'mm', '.');
      if (!leg.ok) return refuse(`“${part}”: ${leg.sentence}`);
      if (leg.value <= 0) return refuse(msg`“${part}”: a leg is longer than nothing.`);
      legsMm.push(leg.value);
      continue;
    }
    const [, sign = '', degrees = '', hand = '', radius] = match;
    const deg = Number(degrees);
    if (deg < 1 || deg > MOST_BEND_DEG)
      return refuse(msg`A bend turns by 1° to ${MOST_BEND_DEG}°, not ${degrees}°.`);
    const read = radius === undefined ? null : parseQuantity(radius, 'length', 'mm', '.');
    if (read && !read.ok) return refuse(`“${part}”: ${read.sentence}`);
    const radiusMm = read ? read.value : usualRadiusMm;
    if (radiusMm <= 0) return refuse(msg`“${part}”: a radius is longer than nothing.`);
    bends.push({ deg, radiusMm, side: sign === '-' || /^l/i.test(hand) ? 'left' : 'right' });
  }
  if (bends.length === legsMm.length) return refuse(msg`A leg is missing after the last bend.`);
  const route = { legsMm, bends };
  const [short] = shortLegs(route);
  return short
    ? refuse(
        msg`Leg ${short.leg + 1} is ${amount(short.mm, 'mm', 0)}, but its bends need ${bare(Math.ceil(short.needsMm), 'mm', 0)}.`,
      )
    : { ok: true, route };
}

/** A route as a quick list, for {@link parseRoute}. */
export function writeRoute({ legsMm, bends }: Route): string {
  const plain = (mm: number) => String(Math.round(mm * 10) / 10);
  return legsMm
    .flatMap((mm, i) => {
      const bend = bends[i];
      return bend
        ? [plain(mm), `${plain(bend.deg)}°${bend.side === 'left' ? ' L' : ''} r${plain(bend.radiusMm)}`]
        : [plain(mm)];
    })
    .join(', ');
}

/**
 * Why a length cannot be that of a cable, in a sentence; empty where it can. Mostly a bare figure was meant in metres.
 *
 * @example lengthProblem(3.5) // "3.5 mm in all is no cable: bare figures are mm, so write 3.5 m."
 */
export function lengthProblem(lengthMm: number): Message {
  if (lengthMm < RUN_LENGTH_MM.least)
    return msg`${shortest(lengthMm, 1)} mm in all is no cable: bare figures are mm, so write ${shortest(lengthMm, 1)} m where metres are meant.`;
  return lengthMm > RUN_LENGTH_MM.most
    ? msg`${shortest(lengthMm / 1000, 1)} m in all is longer than any run: ${shortest(RUN_LENGTH_MM.most / 1000, 0)} m is the most.`
    : '';
}
