import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { inverse } from './inverse.ts';

const size = 5;
const entries = fc.array(fc.double({ min: -3, max: 3, noNaN: true }), {
  minLength: size * size,
  maxLength: size * size,
});
/** B Bᵀ + 1: symmetric, and positive definite whatever B is. */
const definite = (b: readonly number[]) =>
  Array.from({ length: size }, (_, i) =>
    Array.from({ length: size }, (__, j) =>
      Array.from({ length: size }, (___, k) => (b[i * size + k] ?? 0) * (b[j * size + k] ?? 0)).reduce(
        (sum, own) => sum + own,
        i === j ? 1 : 0,
      ),
    ),
  );

test('a matrix times its inverse is one', () =>
  fc.assert(
    fc.property(entries, (b) => {
      const matrix = definite(b);
      const other = inverse(matrix);
      for (const [i, row] of matrix.entries())
        for (let j = 0; j < size; j += 1) {
          const product = row.reduce((sum, own, k) => sum + own * (other[k]?.[j] ?? 0), 0);
          expect(product).toBeCloseTo(i === j ? 1 : 0, 6);
        }
    }),
  ));
