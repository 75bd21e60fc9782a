import { type Finding, stated } from '../finding/finding.ts';
import type { Run } from '../model/run.ts';
import { digits, figure } from '../model/units/figure.ts';
import type { Assessment } from './assess.ts';
import { totalOhm } from './loop.ts';
import { heaviestStepA } from './loadIn.ts';
import { PLACINGS } from '../model/tables/placings.ts';
import { say } from '../words/say.ts';

/** What the run asks, before any limit: the amps drawn and what the surroundings do. */
export function runFindings(run: Run, at: Assessment): Finding[] {
  return [current(run, at), surroundings(run, at)];
}

function current(run: Run, assessed: Assessment): Finding {
  const { load } = run;
  const facts = { topic: 'current', stage: 'run', title: say`Amps drawn`, unit: 'A', decimals: 1 } as const;
  if (load.kind === 'amps') {
    const isIdle = load.amps === 0 && !run.duty;
    const surgeA = load.amps === 0 ? heaviestStepA(run.duty) : 0;
    return stated(
      {
        ...facts,
        value: surgeA > 0 ? surgeA : load.amps,
        because: isIdle
          ? say`Nothing is drawn: say what the cable carries.`
          : surgeA > 0
            ? say`The heaviest step of its duty; nothing is held for ever.`
            : say`As said, continuous.`,
        ...(isIdle && { remedy: say`Give continuous amps, watts, or a surge.` }),
        work: {
          formula: 'I',
          substituted: [`= ${figure(surgeA > 0 ? surgeA : load.amps, 'A', 1)}`],
          source: say`typed`,
          assumes: '',
        },
      },
      isIdle ? 'unproved' : 'holds',
    );
  }
  const watts = load.watts / (load.efficiencyPercent / 100);
  const work = {
    formula: say`I · (U − I · R) = P ÷ η, the smaller root`,
    substituted: [
      `P ÷ η = ${digits(load.watts, 0)} ÷ ${digits(load.efficiencyPercent / 100, 2)} = ${figure(watts, 'W', 0)}`,
      say`U = ${figure(load.lowestV, 'V', 1)}, R = ${figure(totalOhm(assessed.spenders) * 1000, 'mΩ', 3)} hot`,
    ],
    source: say`Ohm’s law, with the cable’s own drop included`,
    assumes: say`the lowest battery voltage at which it must still run`,
  };
  return assessed.currentA === null
    ? stated(
        {
          ...facts,
          value: null,
          because: say`No current delivers this power through this cable.`,
          remedy: say`Use a thicker or shorter cable, or a higher system voltage.`,
          work,
        },
        'fails',
      )
    : stated(
        { ...facts, value: assessed.currentA, because: say`For ${figure(load.watts, 'W', 0)} out.`, work },
        'holds',
      );
}

function surroundings(run: Run, assessed: Assessment): Finding {
  const placing = PLACINGS[run.placing].title;
  return stated(
    {
      topic: 'placing',
      stage: 'run',
      title: say`Amps left by its place`,
      value: assessed.placing * 100,
      unit: '%',
      decimals: 0,
      because: `${placing.charAt(0).toUpperCase()}${placing.slice(1)}, ${figure(run.ambientC, '°C', 0)}${run.engineSpace ? say`, engine space` : ''}${run.sun ? say`, in the sun` : ''}.`,
      work: {
        formula: say`f_placing multiplies the amps of every school`,
        substituted: [
          `${placing}${run.placing === 'bundle' ? say`, ${run.bundled} loaded` : ''}: ${digits(assessed.placing, 2)}`,
        ],
        source: say`heat balance and customary practice; bundles from the small-craft table`,
        assumes: say`conductors that run together over 600 mm count; conduit and bundle are not multiplied`,
      },
    },
    'holds',
  );
}
