import { PLACINGS } from '../model/tables/placings.ts';
import { MEETS, type Run, type SystemInput } from '../model/run.ts';
import type { HousePractice } from '../model/housePractice.ts';
import { amount, briefly, listed, type Message, msg, numeral, verbatim, small } from '../words/message.ts';
import { term } from '../words/terms.ts';
import { sourceResistance } from './source.ts';

/** What each part of a run holds now, in a few words: what stands on its line while it is folded. */

const joined = (parts: readonly (Message | false)[]): Message =>
  listed(
    parts.filter((part) => part !== false),
    ', ',
  );

/** @example tell(placeSays(run, practice)) // "30 °C, free in air, terminal rating 90 °C" */
export const placeSays = (run: Run, practice: HousePractice): Message =>
  joined([
    amount(run.ambientC, '°C', 0),
    run.placing === 'bundle'
      ? msg`${PLACINGS[run.placing].title} of ${run.bundled}`
      : PLACINGS[run.placing].title,
    run.engineSpace && msg`engine space`,
    run.sun && msg`in the sun`,
    ...run.meets.map((one) => MEETS[one]),
    msg`terminal rating ${amount(run.terminationC ?? practice.terminationC, '°C', 0)}`,
  ]);

/** @example tell(dutySays(run)) // "240 A 180 s, 20 A 600 s, repeats" */
export const dutySays = ({ duty }: Run): Message =>
  duty === undefined
    ? msg`none`
    : joined([
        ...duty.steps
          .slice(0, 3)
          .map(({ amps, seconds }) => verbatim`${amount(amps, 'A', 0)} ${briefly(seconds, 's', 1)}`),
        duty.steps.length > 3 && msg`${duty.steps.length - 3} more`,
        duty.repeats && msg`repeats`,
      ]);

/** @example tell(backSays(run)) // "its own cable, 6.25 m back, service loop 100 mm" */
export const backSays = ({ return: back, loopMm, devices }: Run): Message => {
  const ways: Readonly<Record<Run['return']['kind'], Message>> = {
    cable: msg`its own cable, ${amount(back.kind === 'cable' ? back.lengthMm / 1000 : 0, 'm', 2)} back`,
    circuit: msg`the rest of circuit ${back.kind === 'circuit' ? back.name : ''}`,
    chassis: msg`chassis or block`,
    none: msg`not counted`,
  };
  return joined([
    ways[back.kind],
    loopMm > 0 && msg`service loop ${amount(loopMm, 'mm', 0)}`,
    devices.length > 0 && msg`${devices.length} device¦${devices.length} devices`,
  ]);
};

/** @example tell(routeSays(run)) // "length alone", or "legs and bends, 1 hole" */
export const routeSays = ({ way }: Run): Message =>
  joined([
    way?.route ? msg`legs and bends` : msg`length alone`,
    (way?.zones.length ?? 0) > 0 && msg`hotter stretches: ${way?.zones.length ?? 0}`,
    (way?.holes.length ?? 0) > 0 && msg`holes: ${way?.holes.length ?? 0}`,
    (way?.rubs.length ?? 0) > 0 && msg`chafe: ${way?.rubs.length ?? 0}`,
  ]);

/** @example tell(sourceSays(run)) // "source 5.1 mΩ, fuse 300 A" */
export function sourceSays(run: Run): Message {
  const source = sourceResistance(run.source, run.systemV);
  return joined([
    source ? msg`source ${amount(source.ohm * 1000, 'mΩ', 1)}` : msg`source not given`,
    run.fuses.length === 0
      ? run.starter
        ? msg`starter circuit, no fuse`
        : msg`no fuse here`
      : listed(
          run.fuses.map(({ ratingA }) => msg`fuse ${amount(ratingA, 'A', 0)}`),
          ', ',
        ),
    run.bothEndsLive && msg`both ends live`,
  ]);
}

/** @example tell(detailSays(run)) // "90 % efficient, battery down to 10.5 V, 500 h a year" */
export const detailSays = ({ load, hoursPerYear }: Run): Message =>
  joined([
    load.kind === 'watts' && msg`${load.efficiencyPercent} % efficient`,
    load.kind === 'watts' && msg`battery down to ${amount(load.lowestV, 'V', 1)}`,
    msg`${numeral(hoursPerYear, 0)} h a year`,
  ]);

/** What a cable may take from its system, as it is headed. */
export const SYSTEM_INPUT_TITLES: Readonly<Record<SystemInput, Message>> = {
  volts: msg`Volts`,
  load: msg`Current`,
  drop: msg`Voltage drop`,
  source: msg`Short circuit`,
  fuses: msg`Fuse`,
};

/** What comes from the system. @example tell(systemSays(run)) // "volts, current" */
export const systemSays = ({ fromSystem = [] }: Run): Message =>
  fromSystem.length === 0
    ? msg`nothing taken`
    : joined(fromSystem.map((input) => small(SYSTEM_INPUT_TITLES[input])));

/** @example tell(nameSays('TH-3', 'red')) // "TH-3, red" */
export const nameSays = (tag: string, jacket: Parameters<typeof term>[0]): Message =>
  verbatim`${tag}, ${term(jacket)}`;
