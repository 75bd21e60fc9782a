/** Numbers from 0 up to 1, the same ones for the same seed. Nothing in the core draws any other. */
export type Random = () => number;

/**
 * A seeded source of numbers.
 *
 * Source: the 32-bit mulberry generator, whose whole state is its seed.
 *
 * @param seed any whole number; only its lowest 32 bits count
 * @example seeded(7)() // 0.0116…, each time
 */
export function seeded(seed: number): Random {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
}

/** A number between two, both of the same unit. */
export const between = (random: Random, least: number, most: number) => least + random() * (most - least);

/**
 * One of a list.
 *
 * @throws RangeError when there is none
 */
export function pick<T>(random: Random, list: readonly T[]): T {
  const chosen = list[Math.floor(random() * list.length)];
  if (chosen === undefined) throw new RangeError('nothing to choose from');
  return chosen;
}

/** A list in another order; the list itself stays. */
export function shuffled<T>(random: Random, list: readonly T[]): T[] {
  return list
    .map((item) => ({ item, at: random() }))
    .sort((a, b) => a.at - b.at)
    .map(({ item }) => item);
}

/** A number scattered normally about 0, as noise is. Source: Box and Muller's transform. */
export function scattered(random: Random, deviation: number): number {
  const radius = Math.sqrt(-2 * Math.log(1 - random()));
  return deviation * radius * Math.cos(2 * Math.PI * random());
}
