import { sizeNamed } from '../model/tables/size.ts';
import { type Finding, stated } from '../finding/finding.ts';
import type { Cable } from '../model/cable.ts';
import type { Run } from '../model/run.ts';
import type { CableKind, Shop } from '../model/shop.ts';
import { type Message, amount, msg, listed } from '../words/message.ts';
import type { FollowDuty } from './assess.ts';
import type { Mate, RunContext } from './loop.ts';
import { chooseSize, type SizeChoice } from './choose.ts';

type Around = Pick<RunContext, 'mates' | 'soldered' | 'fed'>;

/** Conductors side by side that are tried. */
const MOST_PARALLEL = 4;
/** Times the voltage that is tried, and the highest that is proposed without more: small-craft practice. */
const TIMES_VOLTS = [2, 4] as const;
const MOST_VOLTS = 60;
/** How near the longest cable that would do is found, as a share. */
const NEAR = 0.01;
/** The shortest that is tried, as a share. */
const LEAST_SHARE = 0.1;

/** The same load at so many times the voltage: as many watts, and so many fewer amps; its fuses are chosen again. */
function atVolts(run: Run, times: number): Run {
  const { load, duty } = run;
  return {
    ...run,
    systemV: run.systemV * times,
    fuses: [],
    load:
      load.kind === 'amps'
        ? { ...load, amps: load.amps / times }
        : {
            ...load,
            lowestV: load.lowestV * times,
            ...(load.cutOutV !== undefined && { cutOutV: load.cutOutV * times }),
          },
    ...(duty && {
      duty: { ...duty, steps: duty.steps.map((step) => ({ ...step, amps: step.amps / times })) },
    }),
    ...(run.chargingV !== undefined && { chargingV: run.chargingV * times }),
  };
}
const mateAtVolts = (mate: Mate, times: number): Mate => ({
  ...mate,
  systemV: mate.systemV * times,
  amps: mate.amps / times,
  heaviestA: mate.heaviestA / times,
  fuses: [],
});

/** The same run, only so much of its length. */
const shortened = (run: Run, share: number): Run => ({
  ...run,
  lengthMm: run.lengthMm * share,
  ...(run.return.kind === 'cable' && { return: { ...run.return, lengthMm: run.return.lengthMm * share } }),
});

/** Something that would do: in words, and the cable as it would be. */
export interface WayOn {
  readonly says: Message;
  readonly cable: Cable;
  readonly kind: CableKind;
  readonly mates: readonly Mate[];
}

/**
 * What would do where no size of a kind does: several side by side, another kind the shop has, a higher voltage, or a
 * shorter cable. Each is worked through and judged like the cable itself; none is guessed.
 *
 * @returns the first of each sort that does
 */
export function waysOn(
  cable: Cable,
  kind: CableKind,
  shop: Shop,
  around: Around,
  followDuty: FollowDuty,
): WayOn[] {
  const side = cable.gauge.parallel ?? 1;
  const { systemV, lengthMm } = cable.run;
  /** The way, where some size does once something is changed; null where none does. */
  const way = (
    says: (size: Message) => Message,
    { run = cable.run, parallel = side, kind: other = kind, mates = around.mates }: Change,
  ): WayOn | null => {
    const tried = { ...cable, run, gauge: { kindId: other.id, parallel } };
    const { smallest } = chooseSize(tried, other, shop.practice, { ...around, mates }, followDuty);
    return smallest && smallest.state !== 'fails'
      ? { says: says(sizeNamed(smallest.at.size)), cable: tried, kind: other, mates }
      : null;
  };
  return [
    firstOf(counts(side + 1, MOST_PARALLEL), (parallel) =>
      way((size) => msg`${parallel} side by side of ${size}`, { parallel }),
    ),
    firstOf(
      shop.cableKinds.filter(({ id }) => id !== kind.id),
      (other) => way((size) => msg`${size} of “${other.title}”`, { kind: other }),
    ),
    firstOf(
      TIMES_VOLTS.filter((times) => systemV * times <= MOST_VOLTS),
      (times) =>
        way((size) => msg`${size} at ${amount(systemV * times, 'V', 0)}`, {
          run: atVolts(cable.run, times),
          mates: around.mates.map((mate) => mateAtVolts(mate, times)),
        }),
    ),
    longest((share) =>
      way((size) => msg`${size}, ${amount(Math.floor((lengthMm * share) / 100) / 10, 'm', 1)} long at most`, {
        run: shortened(cable.run, share),
      }),
    ),
  ].filter((own) => own !== null);
}

/** What is changed of a cable. */
interface Change {
  readonly run?: Run;
  readonly parallel?: number;
  readonly kind?: CableKind;
  readonly mates?: readonly Mate[];
}

/** What would do, as a finding beside the failure; nothing where a size does, or while a duty is still worked out. */
export function deadEndFindings(
  cable: Cable,
  kind: CableKind,
  shop: Shop,
  around: Around,
  followDuty: FollowDuty,
  choice: SizeChoice,
): Finding[] {
  const isPending = choice.candidates.some(({ at }) => at.duty !== null && at.duty.cycle === null);
  if (choice.smallest || isPending) return [];
  const ways = waysOn(cable, kind, shop, around, followDuty).map(({ says }) => says);
  return [
    stated(
      {
        topic: 'dead-end',
        stage: 'gauge',
        title: msg`What would do`,
        value: null,
        unit: '',
        decimals: 0,
        because:
          ways.length > 0
            ? msg`No size of “${kind.title}” does as it is. What would: ${listed(ways, '; ')}.`
            : msg`No size of “${kind.title}” does, nor four side by side, nor another kind owned, a higher voltage or a tenth of the length.`,
        remedy: msg`Choose one of them, or check its requirements again.`,
        work: {
          formula: msg`each change alone, worked through like the cable itself`,
          substituted: ways,
          source: msg`the same limits as for this cable`,
          assumes: msg`at a higher voltage the same watts, and a fuse chosen again; what it feeds must be made for it`,
        },
      },
      'fails',
    ),
  ];
}

const counts = (from: number, to: number) =>
  Array.from({ length: Math.max(0, to - from + 1) }, (_, i) => from + i);

/** The first of a list that answers. */
function firstOf<T, Answer>(list: readonly T[], answer: (own: T) => Answer | null): Answer | null {
  for (const own of list) {
    const found = answer(own);
    if (found !== null) return found;
  }
  return null;
}

/** The longest share of a cable that some size still does, to 1 %; null where a tenth of it does not. */
function longest(way: (share: number) => WayOn | null): WayOn | null {
  let best = way(LEAST_SHARE);
  let [least, most] = [LEAST_SHARE, 1];
  while (best && most - least > NEAR) {
    const middle = (least + most) / 2;
    const found = way(middle);
    if (found) [best, least] = [found, middle];
    else most = middle;
  }
  return best;
}
