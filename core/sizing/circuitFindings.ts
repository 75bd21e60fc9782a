import { atMost, type Finding } from '../finding/finding.ts';
import type { Load, Run } from '../model/run.ts';
import { amount, msg, listed, verbatim } from '../words/message.ts';

import type { Mate, RunContext } from './loop.ts';
import { heaviestStepA, nominalAmps } from './loadIn.ts';

/** Cables of one circuit carry one current: what they say of it may differ by no more than rounding does. */
const ALIKE_SHARE = 0.02;

/**
 * The load that a cable must be sized for: its own, or that of another cable of its circuit where that is given as
 * more. Which of them is right, nobody knows here; the larger one burns nothing.
 *
 * @example circuitLoad({ kind: 'amps', amps: 20 }, [{ amps: 200, … }]) // { kind: 'amps', amps: 200 }
 */
export function circuitLoad(load: Load, mates: readonly Pick<Mate, 'amps'>[]): Load {
  const most = Math.max(0, ...mates.map(({ amps }) => amps));
  return most > nominalAmps(load) * (1 + ALIKE_SHARE) ? { kind: 'amps', amps: most } : load;
}

/** What cables of one circuit say that cannot all be true: their amps, the steps of their duty, their volts. */
export function circuitFindings(given: Run, { mates }: Pick<RunContext, 'mates'>): Finding[] {
  if (given.return.kind !== 'circuit' || mates.length === 0) return [];
  const compared = [
    {
      topic: 'circuit-amps' as const,
      title: msg`Amps of the circuit`,
      unit: 'A' as const,
      own: nominalAmps(given.load),
      of: (mate: Mate) => mate.amps,
    },
    {
      topic: 'circuit-duty' as const,
      title: msg`Heaviest step of the circuit`,
      unit: 'A' as const,
      own: heaviestStepA(given.duty),
      of: (mate: Mate) => mate.heaviestA,
    },
    {
      topic: 'circuit-volts' as const,
      title: msg`Volts of the circuit`,
      unit: 'V' as const,
      own: given.systemV,
      of: (mate: Mate) => mate.systemV,
    },
  ];
  return compared.flatMap(({ topic, title, unit, own: ownValue, of }) => {
    const values = mates.map((mate) => ({ tag: mate.tag, value: of(mate) }));
    const far = values.filter(
      ({ value }) => Math.abs(value - ownValue) > ALIKE_SHARE * Math.max(value, ownValue),
    );
    if (far.length === 0) return [];
    const all = [ownValue, ...values.map(({ value }) => value)];
    const others = far.map(({ tag, value }) => msg`${tag} ${amount(value, unit, 1)}`);
    return [
      atMost(
        {
          topic,
          stage: 'run',
          title,
          value: Math.max(...all),
          unit,
          decimals: 1,
          because: msg`One circuit, one current: this cable has ${amount(ownValue, unit, 1)}, ${listed(others, ', ')}. The larger one counts until they agree.`,
          remedy: msg`Give every cable of the circuit the same load and voltage.`,
          work: {
            formula: msg`alike for all cables of one circuit`,
            substituted: values.map(({ tag, value }) => verbatim`${tag}: ${amount(value, unit, 1)}`),
            source: msg`one loop carries one current`,
            assumes: msg`2 % for rounding`,
          },
        },
        Math.min(...all),
        0,
        'fails',
      ),
    ];
  });
}
