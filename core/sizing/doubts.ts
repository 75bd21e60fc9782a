import { COPPER, resistanceGrowth } from '../conductor/copper.ts';
import type { Doubt } from '../finding/finding.ts';
import { CUSTOMARY_MILLIOHM } from '../model/tables/sources.ts';
import { msg, amount } from '../words/message.ts';
import type { Assessment } from './assess.ts';
import { isCustomary, onLoop } from './devices.ts';
import { type RunContext, type Spender, totalOhm } from './loop.ts';

/** A run laid over its way is longer than one planned by so much, as a share. */
const LENGTH_SHARE = 0.02;
/** The air of a place is known to so many degrees. */
const AIR_K = 5;
/** A joint that was not measured, and a device without a rating, may be half as much again as is customary. */
const CUSTOMARY_SHARE = 0.5;
/** Copper by gauge is made to this, as a share; metric tables give maxima already. */
const GAUGE_SHARE = 0.02;
/** The heat balance of a cable in still air is right to this, as a share of the rise; how it lies is part of it. */
const BALANCE_SHARE = 0.1;

/** Each in words, made once: they are asked of every size that is tried. */
const LENGTH = { what: msg`length + 2 %`, settle: msg`measure its route with a tape` };
const AIR = { what: msg`air + ${amount(5, 'K', 0)}`, settle: msg`measure the air where it is hottest` };
const JOINTS = { what: msg`joints not measured + 50 %`, settle: msg`measure its joints` };
const DEVICES = { what: msg`devices without a rating + 50 %`, settle: msg`give the ratings of its devices` };
const GAUGE = { what: msg`copper by gauge + 2 %`, settle: msg`measure the resistance of a length of it` };
const BALANCE = {
  what: msg`heat balance and placing + 10 % of the rise`,
  settle: msg`read its jacket under load`,
};

const ohmOf = (spenders: readonly Spender[], ...kinds: readonly Spender['kind'][]) =>
  totalOhm(spenders.filter(({ kind }) => kinds.includes(kind)));

/**
 * What a drop rests on that is not known exactly, and how far each moves it, in the unit of the drop: to first order,
 * each by its share of the loop.
 *
 * @param drop of the whole loop, per cent or volts
 * @param copperC of the conductor
 */
export function dropDoubts(
  drop: number,
  spenders: readonly Spender[],
  copperC: number,
  { size }: Pick<Assessment, 'size'>,
  { run, mates }: RunContext,
): Doubt[] {
  const whole = totalOhm(spenders);
  if (!(whole > 0)) return [];
  const part = (ohm: number) => (drop * ohm) / whole;
  const copper = ohmOf(spenders, 'cable', ...(run.return.kind === 'chassis' ? [] : (['return'] as const)));
  const customary = [run, ...mates].flatMap((own) => onLoop(own)).filter(isCustomary).length;
  return [
    { ...LENGTH, off: part(copper) * LENGTH_SHARE },
    { ...AIR, off: (part(copper) * COPPER.temperatureCoefficient * AIR_K) / resistanceGrowth(copperC) },
    { ...JOINTS, off: part(ohmOf(spenders, 'joints')) * CUSTOMARY_SHARE },
    ...(customary > 0
      ? [{ ...DEVICES, off: part((customary * CUSTOMARY_MILLIOHM) / 1000) * CUSTOMARY_SHARE }]
      : []),
    ...(size.system === 'awg' ? [{ ...GAUGE, off: part(copper) * GAUGE_SHARE }] : []),
  ];
}

/**
 * The same of amps compared with what a method allows: in hotter air the same amps are worth more, as the square root of
 * what is left to the limit.
 */
export function ampsDoubts(amps: number, airC: number, limitC: number): Doubt[] {
  const left = limitC - airC;
  return left > AIR_K ? [{ ...AIR, off: amps * (Math.sqrt(left / (left - AIR_K)) - 1) }] : [];
}

/** The same of a temperature: the air as given, and the heat balance itself, °C. */
export const heatDoubts = (hotC: number, airC: number): Doubt[] => [
  { ...AIR, off: AIR_K },
  { ...BALANCE, off: Math.max(0, hotC - airC) * BALANCE_SHARE },
];
