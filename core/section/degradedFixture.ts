import { between, type Random, scattered } from '../lib/random.ts';
import { blurred } from './blurFixture.ts';
import type { Picture } from './picture.ts';

/** What a camera, a lamp and a hand do to a picture of a section. */
export interface Spoilt {
  /** Width it is taken at, px. */
  readonly width: number;
  /** How far it is turned, rad. */
  readonly turn: number;
  /** How much smaller its far edge is than its near one, as a share: it was not looked at from straight above. */
  readonly keystone: number;
  /** Standard deviation of what it is out of focus, px. */
  readonly blurPx: number;
  /** How much darker its dark side is, as a share. */
  readonly shade: number;
  /** How bright the glare of a lamp is at its middle, of 255. */
  readonly glare: number;
  /** Standard deviation of its grain, of 255. */
  readonly grain: number;
}

/** As a hand and a telephone of some years take it, near enough: in focus, lit unevenly, a little aslant. */
export const byPhone = (random: Random, widest = 4000): Spoilt => ({
  width: Math.round(between(random, 1200, widest)),
  turn: between(random, -Math.PI, Math.PI),
  keystone: between(random, 0, 0.06),
  blurPx: between(random, 0, 1.5),
  shade: between(random, 0, 0.4),
  glare: 0,
  grain: between(random, 0, 6),
});

/** Anything that a picture can have gone through. */
export const anyhow = (random: Random, widest = 4000): Spoilt => ({
  width: Math.round(300 * (widest / 300) ** random()),
  turn: between(random, -Math.PI, Math.PI),
  keystone: between(random, 0, 0.15),
  blurPx: random() < 0.2 ? 0 : between(random, 0, 8),
  shade: between(random, 0, 0.6),
  glare: random() < 0.7 ? 0 : between(random, 40, 255),
  grain: between(random, 0, 14),
});

/** Samples taken each way for a pixel that covers several of the picture it is made from. */
const MOST_SAMPLES = 3;

/** Turned, aslant and at its new size, on a bench that goes on past the picture's edges. */
function looked(from: Picture, { width, turn, keystone }: Spoilt): Picture {
  const height = Math.round((width * from.height) / from.width);
  const scale = from.width / width;
  const samples = Math.min(MOST_SAMPLES, Math.max(1, Math.ceil(scale)));
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const data = new Uint8ClampedArray(width * height * 4).fill(255);
  const sum = [0, 0, 0];
  const add = (x: number, y: number) => {
    // As a plane that leans away: what lies farther up is seen smaller.
    const far = 1 + keystone * (y / height - 0.5);
    const [u, v] = [((x - width / 2) / far) * scale, ((y - height / 2) / far) * scale];
    const sx = Math.min(from.width - 1.001, Math.max(0, from.width / 2 + u * cos - v * sin));
    const sy = Math.min(from.height - 1.001, Math.max(0, from.height / 2 + u * sin + v * cos));
    const [left, top] = [Math.floor(sx), Math.floor(sy)];
    const [a, b] = [sx - left, sy - top];
    const place = (top * from.width + left) * 4;
    const below = place + from.width * 4;
    for (let c = 0; c < 3; c += 1) {
      const upper = (from.data[place + c] ?? 0) * (1 - a) + (from.data[place + 4 + c] ?? 0) * a;
      const lower = (from.data[below + c] ?? 0) * (1 - a) + (from.data[below + 4 + c] ?? 0) * a;
      sum[c] = (sum[c] ?? 0) + upper * (1 - b) + lower * b;
    }
  };
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      sum.fill(0);
      for (let i = 0; i < samples; i += 1)
        for (let k = 0; k < samples; k += 1) add(x + (i + 0.5) / samples, y + (k + 0.5) / samples);
      const place = (y * width + x) * 4;
      for (let c = 0; c < 3; c += 1) data[place + c] = (sum[c] ?? 0) / samples ** 2;
    }
  }
  return { width, height, data };
}

/**
 * A picture as it comes out of a camera that was held, lit and focused so.
 *
 * @param random seeded: grain, and where shade and glare lie
 */
export function spoilt(from: Picture, how: Spoilt, random: Random): Picture {
  const seen = looked(from, how);
  const { width, height, data } = how.blurPx > 0.05 ? blurred(seen, how.blurPx) : seen;
  const angle = between(random, 0, 2 * Math.PI);
  const [sx, sy] = [Math.cos(angle) / width, Math.sin(angle) / width];
  const lamp = { x: between(random, 0.35, 0.65) * width, y: between(random, 0.35, 0.65) * height };
  const spread = between(random, 0.03, 0.12) * width;
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      const light = 1 - how.shade * (0.5 + (x - width / 2) * sx + (y - height / 2) * sy);
      const away = ((x - lamp.x) ** 2 + (y - lamp.y) ** 2) / (2 * spread ** 2);
      const glare = how.glare > 0 && away < 12 ? how.glare * Math.exp(-away) : 0;
      const grain = how.grain > 0 ? scattered(random, how.grain) : 0;
      const place = (y * width + x) * 4;
      for (let c = 0; c < 3; c += 1) data[place + c] = (data[place + c] ?? 0) * light + glare + grain;
    }
  }
  return { width, height, data };
}
