import { type Finding, stated } from '../finding/finding.ts';
import type { Run } from '../model/run.ts';
import { amount, msg, numeral, verbatim, capitalised } from '../words/message.ts';
import type { Assessment } from './assess.ts';
import { totalOhm } from './loop.ts';
import { heaviestStepA } from './loadIn.ts';
import { PLACINGS } from '../model/tables/placings.ts';

/** What the run requires, before any limit: the amps drawn and what the surroundings do. */
export function runFindings(run: Run, at: Assessment): Finding[] {
  return [current(run, at), surroundings(run, at)];
}

function current(run: Run, assessed: Assessment): Finding {
  const { load } = run;
  const facts = {
    topic: 'current',
    stage: 'run',
    title: msg`Current drawn`,
    unit: 'A',
    decimals: 1,
  } as const;
  if (load.kind === 'amps') {
    const isIdle = load.amps === 0 && !run.duty;
    const surgeA = load.amps === 0 ? heaviestStepA(run.duty) : 0;
    return stated(
      {
        ...facts,
        value: surgeA > 0 ? surgeA : load.amps,
        because: isIdle
          ? msg`No load entered: enter what the cable carries.`
          : surgeA > 0
            ? msg`The heaviest step of its duty; nothing is carried continuously.`
            : msg`As entered, continuous.`,
        ...(isIdle && { remedy: msg`Give continuous amps, watts, or a surge.` }),
        work: {
          formula: 'I',
          substituted: [verbatim`= ${amount(surgeA > 0 ? surgeA : load.amps, 'A', 1)}`],
          source: msg`typed`,
          assumes: '',
        },
      },
      isIdle ? 'unproved' : 'holds',
    );
  }
  const watts = load.watts / (load.efficiencyPercent / 100);
  const work = {
    formula: msg`I · (U − I · R) = P ÷ η, the smaller root`,
    substituted: [
      verbatim`P ÷ η = ${numeral(load.watts, 0)} ÷ ${numeral(load.efficiencyPercent / 100, 2)} = ${amount(watts, 'W', 0)}`,
      msg`U = ${amount(load.lowestV, 'V', 1)}, R = ${amount(totalOhm(assessed.spenders) * 1000, 'mΩ', 3)} hot`,
    ],
    source: msg`Ohm’s law, with the cable’s own drop included`,
    assumes: msg`the lowest battery voltage at which it must still run`,
  };
  return assessed.currentA === null
    ? stated(
        {
          ...facts,
          value: null,
          because: msg`No current delivers this power through this cable.`,
          remedy: msg`Use a thicker or shorter cable, or a higher system voltage.`,
          work,
        },
        'fails',
      )
    : stated(
        { ...facts, value: assessed.currentA, because: msg`For ${amount(load.watts, 'W', 0)} out.`, work },
        'holds',
      );
}

function surroundings(run: Run, assessed: Assessment): Finding {
  const placing = PLACINGS[run.placing].title;
  return stated(
    {
      topic: 'placing',
      stage: 'run',
      title: msg`Derating for installation`,
      value: assessed.placing * 100,
      unit: '%',
      decimals: 0,
      because: verbatim`${capitalised(placing)}, ${amount(run.ambientC, '°C', 0)}${run.engineSpace ? msg`, engine space` : ''}${run.sun ? msg`, in the sun` : ''}.`,
      work: {
        formula: msg`f_placing multiplies the ampacity of every method`,
        substituted: [
          verbatim`${placing}${run.placing === 'bundle' ? msg`, ${run.bundled} loaded` : ''}: ${numeral(assessed.placing, 2)}`,
        ],
        source: msg`heat balance and customary practice; bundles from the small-craft table`,
        assumes: msg`conductors that run together over 600 mm count; conduit and bundle are not multiplied`,
      },
    },
    'holds',
  );
}
