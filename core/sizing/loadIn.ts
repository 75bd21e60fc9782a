import type { Duty, Load } from '../model/run.ts';

/** An inverter that is not known better gives out so much of what it takes, %. */
const USUAL_EFFICIENCY = 90;

/** Amps that a load draws at the lowest battery voltage it must run at, with no drop in the cable, A. */
export const nominalAmps = (load: Load): number =>
  load.kind === 'amps' ? load.amps : load.watts / (load.efficiencyPercent / 100) / load.lowestV;

/** Amps of the heaviest step of a duty, A; 0 where there is none. */
export const heaviestStepA = (duty: Duty | undefined): number =>
  Math.max(0, ...(duty?.steps.map(({ amps }) => amps) ?? []));

/**
 * The same load given in the other unit: turned back and forth it is what it was.
 *
 * Source: P = U · I · η.
 *
 * @param systemV what the lowest voltage is taken to be until it is given
 * @example otherLoad({ kind: 'amps', amps: 100 }, 12) // 1080 W given out at 90 %, from 12 V
 */
export function otherLoad(load: Load, systemV: number): Load {
  if (load.kind === 'watts') return { kind: 'amps', amps: Number(nominalAmps(load).toPrecision(12)) };
  return {
    kind: 'watts',
    watts: Number(((load.amps * systemV * USUAL_EFFICIENCY) / 100).toPrecision(12)),
    efficiencyPercent: USUAL_EFFICIENCY,
    lowestV: systemV,
  };
}
