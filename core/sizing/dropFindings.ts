import { resistancePerMetre20, sheetOhmPerKm } from '../conductor/resistance.ts';
import { sizeNamed } from '../model/tables/size.ts';
import {
  asJudged,
  atLeast,
  type Doubt,
  type Facts,
  type Finding,
  judgeAtMost,
  type Judged,
  stated,
  turnedTo,
} from '../finding/finding.ts';
import type { Run } from '../model/run.ts';
import type { CableKind } from '../model/shop.ts';
import { type Message, amount, msg, numeral, verbatim } from '../words/message.ts';
import type { Assessment } from './assess.ts';
import { type RunContext, type Spender, totalOhm } from './loop.ts';
import { CUSTOMARY_CHASSIS_MILLIOHM, CUSTOMARY_MILLIOHM } from '../model/tables/sources.ts';
import { isCustomary, onLoop } from './devices.ts';
import { dropDoubts } from './doubts.ts';
import { HOTTEST_C } from './heatBalance.ts';

const milliohm = (ohm: number) => numeral(ohm * 1000, 3);
const sumOf = (spenders: readonly Spender[], kind: Spender['kind']) =>
  totalOhm(spenders.filter((spender) => spender.kind === kind));

/** Where the resistance comes from, and how sure it is. */
export function resistanceSource(at: Assessment, kind: CableKind): Message {
  if (sheetOhmPerKm(at.size, kind) !== undefined)
    return msg`the data sheet of the cable, as typed by the shop`;
  return at.size.system === 'metric'
    ? msg`IEC 60228 class 5, ${kind.tinned ? msg`tinned` : msg`plain`}: maxima, so real cable may drop less`
    : msg`ASTM B258 or SAE area, ρ/A with 2 % for lay${kind.tinned ? msg` and 2 % for tin` : ''}`;
}

/** The drop at the load, hot, and the voltage left to it; or why no current delivers its power. */
export function dropFindings(assessed: Assessment, context: RunContext, kind: CableKind): Judged[] {
  const { currentA } = assessed;
  if (currentA === null) return [asJudged(noOperatingPoint(assessed, context))];
  return [
    overChassis(
      judgeAtMost(
        'drop',
        assessed.dropPercent,
        context.run.dropPercent,
        0,
        () => dropFacts(assessed, context, kind, currentA),
        doubtsOf(assessed, context, assessed.dropPercent),
      ),
      context.run,
      { amps: currentA, percent: assessed.dropPercent, mostPercent: context.run.dropPercent },
    ),
    ...voltageAtLoad(assessed, context, currentA).map(asJudged),
  ];
}

/** What the drop rests on that is not known exactly; it may be in per cent or in volts. */
const doubtsOf = (assessed: Assessment, context: RunContext, drop: number): Doubt[] =>
  dropDoubts(drop, assessed.spenders, assessed.settledC ?? HOTTEST_C, assessed, context);

/**
 * A drop over a chassis whose resistance is not given is worked with what is customary, and so not proved; what fails
 * without it fails. A size whose drop would be too much by the customary figure is not open to be proposed.
 */
export function overChassis(
  judged: Judged,
  { return: back, systemV }: Pick<Run, 'return' | 'systemV'>,
  drop: { readonly amps: number; readonly percent: number; readonly mostPercent: number },
): Judged {
  if (back.kind !== 'chassis' || back.milliohm !== undefined) return judged;
  const chassisPercent = ((drop.amps * CUSTOMARY_CHASSIS_MILLIOHM) / 1000 / systemV) * 100;
  if (drop.percent - chassisPercent > drop.mostPercent) return judged;
  return {
    ...judged,
    state: 'unproved',
    close: false,
    isOpen: drop.percent <= drop.mostPercent,
    write: () =>
      turnedTo(judged.write(), 'unproved', {
        because: msg`The chassis is not given: with the customary ${numeral(CUSTOMARY_CHASSIS_MILLIOHM, 0)} mΩ of a sound one it is ${amount(drop.percent, '%', 2)}.`,
        remedy: msg`Measure it with its straps, or take the customary figure in Run.`,
      }),
  };
}

function noOperatingPoint(assessed: Assessment, { run }: RunContext): Finding {
  const { load } = run;
  const watts = load.kind === 'watts' ? load.watts / (load.efficiencyPercent / 100) : 0;
  const volts = load.kind === 'watts' ? load.lowestV : run.systemV;
  const ohm = totalOhm(assessed.spenders);
  const most = volts ** 2 / (4 * ohm);
  return stated(
    {
      topic: 'drop',
      stage: 'gauge',
      title: msg`Power at the load`,
      value: null,
      unit: 'W',
      decimals: 0,
      because: msg`No current through ${sizeNamed(assessed.size)} delivers this: at most ${amount(most, 'W', 0)} can arrive.`,
      remedy: msg`Use a thicker or shorter cable, or a higher system voltage.`,
      work: {
        formula: 'I · (U − I · R) = P ÷ η',
        substituted: [
          verbatim`P ÷ η = ${amount(watts, 'W', 0)}, U = ${amount(volts, 'V', 1)}, R = ${milliohm(ohm)} mΩ`,
          msg`U² ÷ 4R = ${amount(most, 'W', 0)}: less than required`,
        ],
        source: msg`Ohm’s law, the smaller root`,
        assumes: msg`a conductor too hot to settle`,
      },
    },
    'fails',
  );
}

/** What of the loop counts with a customary figure, because nothing is known of it. */
function customarySays({ run, mates }: RunContext): Message {
  const count = [run, ...mates].flatMap((own) => onLoop(own)).filter(isCustomary).length;
  return count === 0
    ? ''
    : msg`; devices without a rating: ${count}, each ${numeral(CUSTOMARY_MILLIOHM, 1)} mΩ, customary`;
}

function dropFacts(assessed: Assessment, context: RunContext, kind: CableKind, current: number): Facts {
  const { run, parallel } = context;
  // What never settles is worked at the hottest that is followed: it drops at least this much.
  const hot = assessed.settledC ?? HOTTEST_C;
  const lengthM = (run.lengthMm + run.loopMm) / 1000;
  const perMetre = resistancePerMetre20(assessed.size, kind);
  const [cable, back, joints, devices] = (['cable', 'return', 'joints', 'device'] as const).map((own) =>
    milliohm(sumOf(assessed.spenders, own)),
  );
  const returns = {
    cable: () => msg`${numeral(run.return.kind === 'cable' ? run.return.lengthMm / 1000 : 0, 2)} m back`,
    chassis: () =>
      run.return.kind === 'chassis' && run.return.milliohm === undefined
        ? msg`chassis not given: customary`
        : msg`chassis as typed`,
    circuit: () =>
      msg`the rest of the circuit: ${context.mates.map(({ tag }) => tag).join(', ') || msg`no other cable yet`}`,
    none: () => msg`no return counted`,
  }[run.return.kind];
  const rest = context.fed?.rest;
  const side = parallel > 1 ? msg` ÷ ${parallel} side by side` : '';
  return {
    topic: 'drop',
    stage: 'gauge',
    title: msg`Drop at the load`,
    value: assessed.dropPercent,
    unit: '%',
    decimals: 2,
    work: {
      formula: msg`ΔU = I · (R_cable + R_return + R_joints + R_devices)`,
      substituted: [
        verbatim`= ${amount(current, 'A', 1)} × (${cable} + ${back} + ${joints} + ${devices}) mΩ = ${amount(assessed.dropV, 'V', 3)}`,
        verbatim`= ${numeral(assessed.dropV, 3)} ÷ ${amount(run.systemV, 'V', 1)} = ${amount(assessed.dropPercent, '%', 2)}`,
        msg`R_cable = ${numeral(perMetre * 1000, 3)} mΩ/m × ${numeral(lengthM, 2)} m × [1 + 0.00393 × (${numeral(hot, 1)} − 20)]${side}; ${rest ? msg`the rest of the path of ${rest.load}, from the system` : returns()}`,
      ],
      source: resistanceSource(assessed, kind),
      assumes: msg`${assessed.joints} joints of its own, each as ${numeral(assessed.barrelMm, 0)} mm of this conductor; each other cable of the loop as hot as it gets itself, one without a size like this one; the service loop is carried${customarySays(context)}`,
    },
  };
}

const LOAD_VOLTS = {
  topic: 'load-volts',
  stage: 'gauge',
  title: msg`Volts at the load`,
  unit: 'V',
  decimals: 2,
} as const;

/** A load that switches off under a voltage must be left that much. */
function voltageAtLoad(assessed: Assessment, context: RunContext, current: number): Finding[] {
  const { load } = context.run;
  if (load.kind !== 'watts' || load.cutOutV === undefined) return [];
  const left = load.lowestV - assessed.dropV;
  if (load.cutOutV >= load.lowestV) return [offAtLowest(load.cutOutV, load.lowestV)];
  return [
    atLeast(
      {
        ...LOAD_VOLTS,
        value: left,
        doubts: doubtsOf(assessed, context, assessed.dropV),
        ...(left < load.cutOutV && { remedy: msg`Use a thicker or shorter cable, or a lower cut-out.` }),
        work: {
          formula: msg`U_load = U_lowest − ΔU ≥ U_cut-out`,
          substituted: [
            msg`= ${amount(load.lowestV, 'V', 2)} − ${amount(assessed.dropV, 'V', 3)} at ${amount(current, 'A', 1)}`,
          ],
          source: msg`Ohm’s law; the cut-out is the load’s own`,
          assumes: msg`the battery at its lowest when the load still runs`,
        },
      },
      load.cutOutV,
    ),
  ];
}

/** A load that is off before the battery is at its lowest: no cable mends that, one of the two figures is not meant. */
function offAtLowest(cutOutV: number, lowestV: number): Finding {
  return stated(
    {
      ...LOAD_VOLTS,
      value: null,
      because: msg`It switches off at ${amount(cutOutV, 'V', 1)}, before the battery is down at ${amount(lowestV, 'V', 1)}: whatever the cable, it is off by then.`,
      remedy: msg`Give the voltage down to which it must run, above ${amount(cutOutV, 'V', 1)}, or set its cut-out under ${amount(lowestV, 'V', 1)}.`,
      work: {
        formula: msg`U_cut-out < U_lowest`,
        substituted: [verbatim`${amount(cutOutV, 'V', 2)} ≥ ${amount(lowestV, 'V', 2)}`],
        source: msg`what is given for this cable, compared with itself`,
        assumes: '',
      },
    },
    'unproved',
  );
}
