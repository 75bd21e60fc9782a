import { describe, expect, test } from '@jest/globals';
import { measureSection } from './measure.ts';
import type { Picture } from './picture.ts';

/** A patch of copper on a grey bench. */
function patch(isInside: (x: number, y: number) => boolean): Picture {
  const [width, height] = [480, 360];
  const data = new Uint8ClampedArray(width * height * 4);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1)
      data.set(isInside(x - 240, y - 180) ? [208, 124, 84, 255] : [120, 124, 126, 255], (y * width + x) * 4);
  return { width, height, data };
}
const refusedOf = (picture: Picture) => {
  const measured = measureSection(picture);
  return measured.ok ? null : measured.refused;
};

describe('what is no hexagon', () => {
  test.each([
    ['a circle', 130, 130],
    ['an oval', 130, 112],
  ])('%s has no corners, and is called so', (_what, a, b) =>
    expect(refusedOf(patch((x, y) => (x / a) ** 2 + (y / b) ** 2 < 1))).toBe('round'),
  );
  test('a square is none either', () =>
    expect(refusedOf(patch((x, y) => Math.max(Math.abs(x), Math.abs(y)) < 110))).toBe('no outline'));
  test('a hexagon is one', () => {
    const far = (x: number, y: number) =>
      Math.max(
        ...[0.2, 0.2 + Math.PI / 3, 0.2 + (2 * Math.PI) / 3].map((turn) =>
          Math.abs(x * Math.cos(turn) + y * Math.sin(turn)),
        ),
      );
    expect(refusedOf(patch((x, y) => far(x, y) < 120))).toBeNull();
  });
});
