import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { bestFirst } from './bestFirst.ts';
import { groupsOf } from './groups.ts';

const COUNT = 8;
const node = fc.integer({ min: 0, max: COUNT - 1 });
const ways = fc.array(fc.tuple(node, node, fc.integer({ min: 0, max: 20 })), { maxLength: 16 });
type Ways = readonly (readonly [number, number, number])[];

/** The shortest way between all nodes, each by trying every node in between. */
function shortest(joins: Ways): number[][] {
  const far = Array.from({ length: COUNT }, (_, a) =>
    Array.from({ length: COUNT }, (__, b) => (a === b ? 0 : Number.POSITIVE_INFINITY)),
  );
  const at = (a: number, b: number) => far[a]?.[b] ?? Number.POSITIVE_INFINITY;
  const put = (a: number, b: number, value: number) => {
    const row = far[a];
    if (row) row[b] = Math.min(at(a, b), value);
  };
  for (const [a, b, long] of joins) {
    put(a, b, long);
    put(b, a, long);
  }
  for (let by = 0; by < COUNT; by += 1)
    for (let a = 0; a < COUNT; a += 1) for (let b = 0; b < COUNT; b += 1) put(a, b, at(a, by) + at(by, b));
  return far;
}

/** A walk from node 0 by the shortest way, and the nodes that it asked to go on from. */
function walkOf(joins: Ways) {
  const asked: number[] = [];
  const walk = bestFirst<number, number>(
    [[0, 0]],
    (own, known) => known === undefined || own < known,
    (from, far) => {
      asked.push(from);
      return joins.flatMap(([a, b, long]) => [
        ...(a === from ? [[b, far + long] as const] : []),
        ...(b === from ? [[a, far + long] as const] : []),
      ]);
    },
  );
  return { walk, asked };
}

describe('things that hang together', () => {
  test('they are in one group if and only if a way leads from one to the other', () => {
    fc.assert(
      fc.property(ways, (joins) => {
        const groups = groupsOf(
          COUNT,
          joins.map(([a, b]) => [a, b]),
        );
        shortest(joins).forEach((row, a) =>
          row.forEach((far, b) => expect(groups[a] === groups[b]).toBe(Number.isFinite(far))),
        );
      }),
    );
  });

  test('groups are counted in the order of their first members', () => {
    fc.assert(
      fc.property(ways, (joins) => {
        const groups = groupsOf(
          COUNT,
          joins.map(([a, b]) => [a, b]),
        );
        const met = [...new Set(groups)];
        expect(met).toEqual(met.map((_, i) => i));
      }),
    );
  });

  test('a pair with something that is not there joins nothing', () => {
    expect(groupsOf(3, [[0, -1], [-1, 1], [2, 3]])).toEqual([0, 1, 2]); // prettier-ignore
  });
});

describe('a walk from the best on', () => {
  test('each node that can be reached comes once, by its shortest way, the nearest first', () => {
    fc.assert(
      fc.property(ways, (joins) => {
        const found = [...walkOf(joins).walk];
        const reached = (shortest(joins)[0] ?? []).flatMap((far, to) =>
          Number.isFinite(far) ? [[to, far]] : [],
        );
        expect(found.toSorted((a, b) => a[0] - b[0])).toEqual(reached);
        expect(found.map(([, far]) => far)).toEqual(found.map(([, far]) => far).sort((a, b) => a - b));
      }),
    );
  });

  test('who has seen enough asks no further', () => {
    const { walk, asked } = walkOf([[0, 1, 1], [1, 2, 1], [2, 3, 1]]); // prettier-ignore
    for (const [to] of walk) if (to === 1) break;
    expect(asked).toEqual([0]);
  });

  test('of several that are alike, the one that was heard of first comes first', () => {
    fc.assert(
      fc.property(ways, (joins) => {
        const heard: number[] = [0];
        const walk = bestFirst<number, number>(
          [[0, 0]],
          (_, known) => known === undefined,
          (from) => {
            const next = joins.flatMap(([a, b]) => [...(a === from ? [b] : []), ...(b === from ? [a] : [])]);
            heard.push(...next.filter((one) => !heard.includes(one)));
            return next.map((one) => [one, 0] as const);
          },
        );
        expect([...walk].map(([one]) => one)).toEqual([...new Set(heard)]);
      }),
    );
  });
});
