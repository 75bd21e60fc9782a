import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cases } from '../../lib/casesFixture.ts';
import { type CableKind, cableKindSchema, JACKETS } from '../shop.ts';
import { sizesOf } from '../tables/size.ts';
import { GENERIC_CABLE_KINDS } from './cableKinds.ts';
import { readKindsCsv, writeKindsCsv } from './kindsCsv.ts';

const tenths = (most: number) => fc.integer({ min: 20, max: most * 10 }).map((n) => n / 10);
const optional = <T, K extends string>(key: K, of: fc.Arbitrary<T>) =>
  fc.option(of).map((value) => (value === null ? {} : { [key]: value }) as Partial<Record<K, T>>);
const kindsArbitrary: fc.Arbitrary<CableKind[]> = fc
  .uniqueArray(
    fc
      .tuple(
        fc.record({
          title: fc.stringMatching(/^[A-Za-z][A-Za-z ,-]{1,30}[a-z]$/),
          tinned: fc.boolean(),
          strands: fc.constantFrom('coarse' as const, 'fine' as const, 'extra fine' as const),
          insulation: fc.constantFrom(
            'pvc' as const,
            'thermoplastic' as const,
            'xlpe' as const,
            'rubber' as const,
          ),
          limitC: fc.integer({ min: 60, max: 200 }),
          ratedV: fc.integer({ min: 12, max: 2000 }),
          bend: fc.integer({ min: 2, max: 20 }),
        }),
        fc
          .tuple(
            fc.record({ oil: fc.boolean(), sun: fc.boolean(), flame: fc.boolean() }),
            optional('rubbing', fc.boolean()),
          )
          .map(([stands, rubbing]) => ({ stands: { ...stands, ...rubbing } })),
        optional('colours', fc.subarray([...JACKETS], { minLength: 1 })),
        fc.uniqueArray(fc.constantFrom(...sizesOf('metric'), ...sizesOf('sae')), {
          minLength: 1,
          maxLength: 5,
        }),
        fc.tuple(
          fc.record({ outerMm: tenths(60), pricePerM: tenths(90) }),
          optional('gPerM', fc.integer({ min: 5, max: 20000 })),
          optional('ohmPerKm', tenths(50)),
          optional('strandCount', fc.integer({ min: 1, max: 20000 })),
        ),
      )
      .map(([made, stands, colours, sizes, at]) =>
        cableKindSchema.parse({
          id: 'x',
          ...made,
          ...stands,
          ...colours,
          sizes: sizes.map((size) => ({ size, ...Object.assign({}, ...at) })),
        }),
      ),
    { selector: ({ title }) => title, minLength: 1, maxLength: 4 },
  )
  .map((kinds) => kinds.map((kind, i) => ({ ...kind, id: `k${i}` })));

describe('kinds of cable as CSV', () => {
  test('what is written is read as it was, whatever it is, by a shop that has it and by one that has not', () => {
    fc.assert(
      fc.property(kindsArbitrary, (kinds) => {
        const file = writeKindsCsv(kinds);
        expect(readKindsCsv(file, kinds)).toEqual({ items: kinds, added: 0, changed: 0, problems: [] });
        const { items, added, problems } = readKindsCsv(file, []);
        expect(problems).toEqual([]);
        expect(added).toBe(kinds.length);
        expect(items.map(({ id: _, ...kind }) => kind)).toEqual(kinds.map(({ id: _, ...kind }) => kind));
      }),
      { numRuns: cases(100) },
    );
  });

  test('a kind that is owned keeps the sizes that the file does not name', () => {
    const [kind] = GENERIC_CABLE_KINDS as readonly [CableKind];
    const file = writeKindsCsv([
      { ...kind, sizes: kind.sizes.slice(0, 1).map((at) => ({ ...at, outerMm: 7.9 })) },
    ]);
    const { items, changed } = readKindsCsv(file, [kind]);
    expect(changed).toBe(1);
    expect(items[0]?.sizes).toHaveLength(kind.sizes.length);
    expect(items[0]?.sizes.find(({ size }) => size.name === '10')?.outerMm).toBe(7.9);
  });

  test('every problem has its line and column, and nothing wrong is taken in', () => {
    const [head = '', first = '', second = ''] = writeKindsCsv(GENERIC_CABLE_KINDS).split('\n');
    const bad = [
      head,
      first,
      second.replace('fine', 'hair'),
      first.replace('yes', 'no'),
      first.replace('105', '20'),
    ];
    const { items, problems } = readKindsCsv(bad.join('\n'), []);
    expect(problems.map(({ row, column }) => [row, column])).toEqual([
      [3, 'strand class'],
      [4, 'kind'],
      [5, 'limit °C'],
    ]);
    expect(items).toHaveLength(1);
    expect(items[0]?.sizes).toHaveLength(1);
  });
});
