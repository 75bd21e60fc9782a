import { type Circuit, circuitOf, followed } from '../../core/hunt/circuitFixture.ts';
import { between, type Random, seeded } from '../../core/lib/random.ts';

const percent = (count: number, of: number) => `${((100 * count) / of).toFixed(1)} %`;
const mean = (values: readonly number[]) => values.reduce((sum, own) => sum + own, 0) / values.length;

/** So many circuits with faults of so many millivolts, each hunted to the end. */
function hunted(count: number, seed: number, faults: (random: Random) => readonly number[]) {
  return Array.from({ length: count }, (_, i) => {
    const random = seeded(seed + i);
    const circuit = circuitOf(random, faults(random));
    const first = followed(random, circuit, ({ named, next }) => named.length > 0 || next === null);
    const whole = followed(seeded(seed + i + 7919), circuit);
    return { circuit, first, whole };
  });
}
const namedIn = ({ named }: { readonly named: readonly { readonly place: number }[] }) =>
  named.map(({ place }) => place);
const isInnocent = ({ faults }: Circuit, places: readonly number[]) =>
  places.some((place) => !faults.includes(place));

/** How sure a hunt is, and rightly: simulated circuits of fifteen pieces, read within the meters' own errors. */
export function benchHunt(count = 200): void {
  const sound = hunted(count, 1000, () => []);
  console.log(
    `hunt, sound circuits of 15 pieces: an innocent named in ${percent(
      sound.filter(({ whole }) => whole.found.named.length > 0).length,
      count,
    )} (at most 1), no fault concluded in ${percent(
      sound.filter(({ whole }) => whole.found.verdict.what === 'nothing wrong').length,
      count,
    )} (at least 90), within 6 probes in ${percent(
      sound.filter(({ whole }) => whole.found.verdict.what === 'nothing wrong' && whole.probes <= 6).length,
      count,
    )}, ${mean(sound.map(({ whole }) => whole.probes)).toFixed(1)} on average`,
  );
  for (const [title, least, most] of [
    ['120 to 800 mV', 120, 800],
    ['30 to 60 mV', 30, 60],
  ] as const) {
    const all = hunted(count, 5000 + least, (random) => [between(random, least, most)]);
    const right = all.filter(({ circuit, first }) => namedIn(first.found).includes(circuit.faults[0] ?? -1));
    console.log(
      `  one fault of ${title}: found in ${percent(right.length, count)} after ${mean(right.map(({ first }) => first.probes)).toFixed(2)} probes (1.3 × log2 15 = ${(1.3 * Math.log2(15)).toFixed(2)}), at most ${Math.max(...right.map(({ first }) => first.probes))}; to the end ${mean(all.map(({ whole }) => whole.probes)).toFixed(2)}; an innocent named in ${percent(
        all.filter(({ circuit, whole }) => isInnocent(circuit, namedIn(whole.found))).length,
        count,
      )}`,
    );
  }
  const two = hunted(count, 9000, (random) => [between(random, 60, 800), between(random, 60, 800)]);
  console.log(
    `  two faults of 60 to 800 mV: both named in ${percent(
      two.filter(({ circuit, whole }) =>
        circuit.faults.every((place) => namedIn(whole.found).includes(place)),
      ).length,
      count,
    )} (at least 90), after ${mean(two.map(({ whole }) => whole.probes)).toFixed(1)} probes; an innocent named in ${percent(
      two.filter(({ circuit, whole }) => isInnocent(circuit, namedIn(whole.found))).length,
      count,
    )}`,
  );
}
