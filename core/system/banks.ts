import { groupsOf } from '../lib/groups.ts';
import { addTo } from '../lib/lists.ts';
import type { PlaceOf } from '../model/system.ts';
import { batteryOhm, type Installation, ohmOf, postAt, restV } from './installation.ts';
import { isCollapse, solveNetwork } from './network.ts';
import { isLink } from './protection.ts';
import type { SolvedState, SolvedSystem } from './solve.ts';

type Battery = PlaceOf<'battery'>;

/** Batteries one behind the other, from the plus of the first to the minus of the last. */
interface Chain {
  readonly batteries: readonly Battery[];
  readonly plusNet: number;
  readonly minusNet: number;
}

/** Strings of batteries side by side. */
export interface Bank {
  readonly strings: readonly (readonly Battery[])[];
}

/** How a bank shares in a state. */
export interface BankShare {
  readonly stateId: string;
  /** A of each string; negative while it is charged. */
  readonly amps: readonly number[];
  readonly totalA: number;
  /** The most that a string gives over the least. */
  readonly spread: number;
}

/** What wiring a bank otherwise would make of its spread. */
export interface BankWays {
  readonly asItIs: number;
  /** Plus taken off at one end, minus at the other. */
  readonly across: number;
  /** All links as long and thick as the one of least resistance. */
  readonly equalLinks: number;
  /** Each battery on a bar by a lead of its own, all alike. */
  readonly bars: number;
}

/** Under so many amps of all strings together a share says nothing. */
const LEAST_TOTAL_A = 1;

/** Posts joined by links between batteries alone: a net within the bank. */
const linkNets = (installation: Installation): readonly number[] =>
  groupsOf(
    installation.posts.length,
    installation.conductors
      .filter((conductor) => isLink(installation, conductor))
      .map(({ at }) => [at.A, at.B]),
  );

/**
 * The banks of an installation: strings of batteries that links join plus to plus and minus to minus. Batteries that stand
 * on the same bars are one too.
 *
 * @param nets of each post through cables and devices
 */
export function banksOf(installation: Installation, nets: (post: number) => number): Bank[] {
  let chains = installation.system.places
    .filter((place) => place.kind === 'battery')
    .map((battery): Chain => ({
      batteries: [battery],
      plusNet: nets(postAt(installation, battery.id, 'plus')),
      minusNet: nets(postAt(installation, battery.id, 'minus')),
    }));
  // One behind the other where a net joins just these two.
  for (let joined = true; joined;) {
    joined = false;
    for (const front of chains) {
      const net = front.minusNet;
      const on = chains.filter(({ plusNet, minusNet }) => plusNet === net || minusNet === net);
      const behind = on.find((own) => own !== front && own.plusNet === net);
      if (!behind || on.length !== 2 || behind.minusNet === front.plusNet) continue;
      chains = [
        ...chains.filter((own) => own !== front && own !== behind),
        {
          batteries: [...front.batteries, ...behind.batteries],
          plusNet: front.plusNet,
          minusNet: behind.minusNet,
        },
      ];
      joined = true;
      break;
    }
  }
  const groups = new Map<string, Chain[]>();
  for (const chain of chains) addTo(groups, `${chain.plusNet} ${chain.minusNet}`, chain);
  return [...groups.values()]
    .filter((own) => own.length > 1)
    .map((own) => ({ strings: own.map(({ batteries }) => batteries) }));
}

const spreadOf = (amps: readonly number[]): number => {
  const sizes = amps.map(Math.abs);
  const [most, least] = [Math.max(...sizes), Math.min(...sizes)];
  const isMixed = amps.some((own) => own > 1e-6) && amps.some((own) => own < -1e-6);
  // One charges another: no ratio says how badly.
  return isMixed || least <= 1e-9 ? Number.POSITIVE_INFINITY : most / least;
};

/** How a bank shares in a state; null where it gives and takes next to nothing. */
export function bankShare(
  { installation }: SolvedSystem,
  solved: SolvedState,
  { strings }: Bank,
): BankShare | null {
  const { places } = installation.system;
  const amps = strings.map(([first]) => {
    const index = places.findIndex(({ id }) => id === first?.id);
    return solved.places[index]?.amps ?? 0;
  });
  const totalA = amps.reduce((sum, own) => sum + own, 0);
  if (solved.collapse || Math.abs(totalA) < LEAST_TOTAL_A) return null;
  return { stateId: solved.stateId, amps, totalA, spread: spreadOf(amps) };
}

/**
 * What taking off across a bank, links all alike, or a bar would make of its spread, at the amps that it gives. Null where
 * its batteries are not joined by links one to the next, so that there is nothing to compare.
 *
 * Source: nodal analysis of the bank alone, copper at 20 °C.
 *
 * @example bankWays(installation, bank, 200) // of four in a row taken off at one end: 1.47, across 1.07
 */
export function bankWays(installation: Installation, { strings }: Bank, totalA: number): BankWays | null {
  const { posts } = installation;
  const nets = linkNets(installation);
  const inBank = new Set(strings.flat().map(({ id }) => id));
  const links = installation.conductors.filter(
    (conductor) => isLink(installation, conductor) && inBank.has(posts[conductor.at.A]?.place ?? ''),
  );
  if (links.length === 0 || !(Math.abs(totalA) > 0)) return null;
  const post = (battery: Battery | undefined, name: 'plus' | 'minus') =>
    postAt(installation, battery?.id ?? '', name);
  const [first] = strings;
  const pluses = strings.map((own) => post(own[0], 'plus'));
  const minuses = strings.map((own) => post(own.at(-1), 'minus'));
  const isRow = (own: readonly number[]) => own.every((one) => nets[one] === nets[own[0] ?? -1]);
  if (!first || !isRow(pluses) || !isRow(minuses)) return null;
  const taken = (row: readonly number[]) =>
    row.find((one) =>
      installation.conductors.some(
        (conductor) => !isLink(installation, conductor) && (conductor.at.A === one || conductor.at.B === one),
      ),
    ) ??
    row[0] ??
    -1;
  const batteries = strings.flat().map((battery) => ({
    plus: post(battery, 'plus'),
    minus: post(battery, 'minus'),
    volts: restV(battery),
    ohm: batteryOhm(battery) ?? 0,
  }));
  const spread = (ohm: (link: number) => number, plus: number, minus: number): number => {
    const solved = solveNetwork({
      posts: posts.length,
      conductors: links.map(({ at }, i) => ({ plus: at.A, minus: at.B, ohm: ohm(i) })),
      batteries,
      supplies: [],
      converters: [],
      draws: [{ plus, minus, amps: Math.abs(totalA) }],
    });
    if (isCollapse(solved)) return Number.POSITIVE_INFINITY;
    return spreadOf(
      strings.map(
        (own) => solved.batteryA[batteries.findIndex(({ plus: at }) => at === post(own[0], 'plus'))] ?? 0,
      ),
    );
  };
  const own = links.map((link) => ohmOf(link, 20));
  const least = Math.min(...own);
  const as = (link: number) => own[link] ?? least;
  const [plus, minus] = [taken(pluses), taken(minuses)];
  // The far end is where the plus is furthest from the take-off: of all, the one that shares best.
  const across = Math.min(...minuses.map((far) => spread(as, plus, far)));
  return {
    asItIs: spread(as, plus, minus),
    across,
    equalLinks: spread(() => least, plus, minus),
    bars: spread(() => 0, plus, minus),
  };
}
