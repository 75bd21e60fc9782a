import type { Subject, Topic } from '../finding/topics.ts';
import { type Finding, stated } from '../finding/finding.ts';
import type { Run } from '../model/run.ts';
import { stretchesOf } from './governingRun.ts';
import { type Message, amount, msg, numeral } from '../words/message.ts';
import { ENGINE_SPACE_C } from './loop.ts';
import { chargedTo, sourcesOf } from './source.ts';

/** Air so far under that of an engine space was not meant for one, °C. */
const COOL_FOR_ENGINE_C = 25;
/** A battery that is still used under this share of its nominal voltage is asked about. */
const LOW_SHARE = 0.6;
/** Volts of one cell: under and over these it is none that is made. */
const CELL_V = { least: 1.8, most: 3.8 } as const;

/**
 * A run whose load can be worked: a lowest battery voltage above the highest it is charged to is no lowest, and would
 * make the amps too few. The nominal voltage stands for it until it is given again.
 */
export function withSoundLoad(run: Run): Run {
  const { load, systemV } = run;
  return load.kind === 'watts' && load.lowestV > chargedTo(run).volts
    ? { ...run, load: { ...load, lowestV: systemV } }
    : run;
}

/** What is given of one cable that cannot all be true, or was hardly meant: each is asked about. */
export function askFindings(run: Run): Finding[] {
  return [...lowestBattery(run), ...engineAir(run), ...cells(run)];
}

const asked = (
  about: Subject & { readonly topic: Topic },
  title: Message,
  state: 'unproved' | 'watch',
  says: { because: Message; remedy: Message; formula: Message; figures: Message },
): Finding =>
  stated(
    {
      ...about,
      stage: 'run',
      title,
      value: null,
      unit: '',
      decimals: 0,
      because: says.because,
      remedy: says.remedy,
      work: {
        formula: says.formula,
        substituted: [says.figures],
        source: msg`what is given for this cable, compared with itself`,
        assumes: '',
      },
    },
    state,
  );

function lowestBattery(run: Run): Finding[] {
  const { load, systemV } = run;
  if (load.kind !== 'watts') return [];
  const { volts, how } = chargedTo(run);
  const { lowestV } = load;
  const figures = msg`lowest ${amount(lowestV, 'V', 1)}, nominal ${amount(systemV, 'V', 1)}, charged to ${amount(volts, 'V', 1)} (${how})`;
  const title = msg`Lowest battery voltage`;
  if (lowestV > volts) {
    return [
      asked({ topic: 'asks-lowest' }, title, 'unproved', {
        because: msg`${amount(lowestV, 'V', 1)} is above the ${amount(volts, 'V', 1)} that it is charged to: ${amount(systemV, 'V', 1)} is used until it is given.`,
        remedy: msg`Give the voltage to which the battery may fall while the load must still run.`,
        formula: msg`lowest ≤ highest charging volts`,
        figures,
      }),
    ];
  }
  if (lowestV < LOW_SHARE * systemV) {
    return [
      asked({ topic: 'asks-lowest' }, title, 'watch', {
        because: msg`${amount(lowestV, 'V', 1)} is a battery far beyond empty: the current is calculated from that.`,
        remedy: msg`Check the figure, or the system voltage.`,
        formula: msg`lowest ≥ ${LOW_SHARE} × nominal`,
        figures,
      }),
    ];
  }
  return [];
}

function engineAir(run: Run): Finding[] {
  const cool = stretchesOf(run).find((own) => own.run.engineSpace && own.run.ambientC < COOL_FOR_ENGINE_C);
  if (!cool) return [];
  const { ambientC } = cool.run;
  return [
    asked({ topic: 'asks-engine-air' }, msg`Air of the engine space`, 'watch', {
      because: msg`${amount(ambientC, '°C', 0)} in an engine space: ${amount(ENGINE_SPACE_C, '°C', 0)} is used, as while the engine runs.`,
      remedy: msg`Enter the air there with the engine running, or switch off “In an engine space”.`,
      formula: msg`air of an engine space ≥ ${amount(ENGINE_SPACE_C, '°C', 0)}`,
      figures: msg`given ${amount(ambientC, '°C', 0)}`,
    }),
  ];
}

function cells(run: Run): Finding[] {
  return sourcesOf(run).flatMap((source, i) => {
    if (source.kind !== 'cells') return [];
    const each = run.systemV / source.inSeries;
    if (each >= CELL_V.least && each <= CELL_V.most) return [];
    return [
      asked({ topic: 'asks-cells', ...(i > 0 && { part: 'B' }) }, msg`Cells in series`, 'unproved', {
        because: msg`${source.inSeries} cells in series on ${amount(run.systemV, 'V', 1)} would be ${amount(each, 'V', 2)} each: no cell is.`,
        remedy: msg`Enter how many cells are in series: six of lead or four of LFP make 12 V.`,
        formula: msg`U_nominal ÷ cells between ${numeral(CELL_V.least, 1)} and ${numeral(CELL_V.most, 1)} V`,
        figures: msg`${amount(run.systemV, 'V', 1)} ÷ ${source.inSeries} = ${amount(each, 'V', 2)}`,
      }),
    ];
  });
}
