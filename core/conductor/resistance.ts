import { IEC_60228_CLASS_5_OHM_PER_KM } from '../model/tables/iec60228Class5.ts';
import { COPPER, resistanceGrowth } from './copper.ts';
import { areaMm2, type ConductorSize } from '../model/tables/size.ts';

/** Strands run in a spiral, so they are longer than the cable; and tin conducts worse than copper. */
const LAY_FACTOR = 1.02;
const TIN_FACTOR = 1.02;

/**
 * DC resistance of one metre at 20 °C, Ω/m.
 *
 * Source: IEC 60228 class 5 maxima for metric sizes; `ρ/A · 1.02` for lay, `· 1.02` again when tinned, for AWG and
 * SAE. The metric figure is a maximum: 35 mm² can compute higher than AWG 2 although it holds more copper.
 *
 * @example resistancePerMetre20({ system: 'metric', name: '50' }, true) // 0.000393
 */
export function resistancePerMetre20(size: ConductorSize, tinned: boolean): number {
  if (size.system === 'metric') {
    return IEC_60228_CLASS_5_OHM_PER_KM[size.name][tinned ? 'tinned' : 'plain'] / 1000;
  }
  return (COPPER.resistivity / areaMm2(size)) * LAY_FACTOR * (tinned ? TIN_FACTOR : 1);
}

/**
 * DC resistance of one metre at `temperatureC`, Ω/m. Source: `R20·(1 + 0.00393·(T − 20))`.
 *
 * @example resistancePerMetre({ system: 'metric', name: '50' }, true, 75) * 6.4 // 0.003059
 */
export function resistancePerMetre(size: ConductorSize, tinned: boolean, temperatureC: number): number {
  return resistancePerMetre20(size, tinned) * resistanceGrowth(temperatureC);
}
