import fc from 'fast-check';
import { resistancePerMetre20 } from '../conductor/resistance.ts';
import type { ConductorSize } from '../model/tables/size.ts';
import type { Network, Solution } from './pieces.ts';
import { isCollapse, solveNetwork } from './network.ts';

/** Ohms of so many metres of plain class 5 copper at 20 °C. */
export const copperOhm = (metres: number, name: string): number =>
  metres * resistancePerMetre20({ system: 'metric', name } as ConductorSize, { tinned: false });

export const bare: Network = {
  posts: 0,
  conductors: [],
  batteries: [],
  supplies: [],
  converters: [],
  draws: [],
};

/** A network that settles, or a thrown error that says which draws do not. */
export function settled(network: Network): Solution {
  const solved = solveNetwork(network);
  if (isCollapse(solved)) throw new Error(`draws ${solved.together.join(', ')} cannot run together`);
  return solved;
}
export const across = ({ volts }: Solution, plus: number, minus: number): number =>
  (volts[plus] ?? 0) - (volts[minus] ?? 0);

const ohm = fc.double({ min: 1e-4, max: 0.05, noNaN: true });

/**
 * Networks of batteries, chargers, DC-DC chargers and loads between two poles: trees, rings and parallel paths. Even
 * posts are of the plus side, odd ones of the minus side.
 */
export const anyNetwork = (kinds: {
  readonly supplies: boolean;
  readonly converters: boolean;
}): fc.Arbitrary<Network> =>
  fc.integer({ min: 2, max: 7 }).chain((pairs) => {
    const pair = fc.integer({ min: 0, max: pairs - 1 }).map((n) => ({ plus: 2 * n, minus: 2 * n + 1 }));
    const links = fc.array(
      fc.record({
        a: fc.integer({ min: 0, max: pairs - 1 }),
        b: fc.integer({ min: 0, max: pairs - 1 }),
        side: fc.constantFrom(0, 1),
        ohm,
      }),
      { maxLength: 6 },
    );
    // Every pole hangs on the one before it, so that all is reached.
    const spine = fc.array(ohm, { minLength: 2 * (pairs - 1), maxLength: 2 * (pairs - 1) });
    return fc
      .record({
        spine,
        links,
        batteries: fc.array(
          fc.tuple(
            pair,
            fc.double({ min: 11, max: 14, noNaN: true }),
            fc.double({ min: 0.002, max: 0.03, noNaN: true }),
          ),
          { minLength: 1, maxLength: 3 },
        ),
        supplies: fc.array(
          fc.tuple(
            pair,
            fc.double({ min: 12, max: 15, noNaN: true }),
            fc.double({ min: 1, max: 80, noNaN: true }),
          ),
          { maxLength: kinds.supplies ? 3 : 0 },
        ),
        converter: fc.option(fc.double({ min: 5, max: 40, noNaN: true }), {
          freq: kinds.converters ? 2 : 1e6,
        }),
        draws: fc.array(fc.tuple(pair, fc.boolean(), fc.double({ min: 0, max: 60, noNaN: true })), {
          maxLength: 4,
        }),
      })
      .map(({ spine: own, links: more, batteries, supplies, converter, draws }): Network => {
        const posts = 2 * pairs + (converter === null ? 0 : 2);
        return {
          posts,
          conductors: [
            ...own.map((value, i) => ({ plus: i, minus: i + 2, ohm: value })),
            ...more
              .filter(({ a, b }) => a !== b)
              .map(({ a, b, side, ohm: value }) => ({ plus: 2 * a + side, minus: 2 * b + side, ohm: value })),
          ],
          batteries: batteries.map(([at, volts, own2]) => ({ ...at, volts, ohm: own2 })),
          supplies: supplies.map(([at, volts, amps]) => ({ ...at, volts, amps, ohm: 0.002 })),
          converters:
            converter === null || !kinds.converters
              ? []
              : [
                  {
                    input: { plus: 0, minus: 1 },
                    output: { plus: posts - 2, minus: posts - 1 },
                    volts: 27,
                    amps: converter,
                    ohm: 0.002,
                    efficiency: 0.9,
                  },
                ],
          draws: [
            ...draws.map(([at, isWatts, size]) =>
              isWatts ? { ...at, watts: size * 10 } : { ...at, amps: size },
            ),
            ...(converter === null || !kinds.converters
              ? []
              : [{ plus: posts - 2, minus: posts - 1, watts: 0.7 * 27 * converter }]),
          ],
        };
      });
  });
