import { IEC_60228_CLASS_5_OHM_PER_KM } from '../model/tables/iec60228Class5.ts';
import { COPPER, resistanceGrowth } from './copper.ts';
import { areaMm2, type ConductorSize, sameSize } from '../model/tables/size.ts';

/** Strands run in a spiral, so they are longer than the cable; and tin conducts worse than copper. */
const LAY_FACTOR = 1.02;
const TIN_FACTOR = 1.02;

/** The copper of a kind of cable: tinned or plain, and its resistance by size where its data sheet gives it, Ω/km. */
export interface Copper {
  readonly tinned: boolean;
  readonly sizes?: readonly { readonly size: ConductorSize; readonly ohmPerKm?: number | undefined }[];
}

/** What the data sheet of a kind says of a size, Ω/km; nothing where it says nothing. */
export const sheetOhmPerKm = (size: ConductorSize, copper: Copper): number | undefined =>
  copper.sizes?.find((own) => sameSize(own.size, size))?.ohmPerKm;

/**
 * DC resistance of one metre at 20 °C, Ω/m.
 *
 * Source: the kind’s data sheet where it says one; else IEC 60228 class 5 maxima for metric sizes; `ρ/A · 1.02` for lay, `· 1.02` again when tinned, for AWG and
 * SAE. The metric figure is a maximum: 35 mm² can compute higher than AWG 2 although it holds more copper.
 *
 * @example resistancePerMetre20({ system: 'metric', name: '50' }, { tinned: true }) // 0.000393
 */
export function resistancePerMetre20(size: ConductorSize, copper: Copper): number {
  const bySheet = sheetOhmPerKm(size, copper);
  if (bySheet !== undefined) return bySheet / 1000;
  const { tinned } = copper;
  if (size.system === 'metric') {
    return IEC_60228_CLASS_5_OHM_PER_KM[size.name][tinned ? 'tinned' : 'plain'] / 1000;
  }
  return (COPPER.resistivity / areaMm2(size)) * LAY_FACTOR * (tinned ? TIN_FACTOR : 1);
}

/**
 * DC resistance of one metre at `temperatureC`, Ω/m. Source: `R20·(1 + 0.00393·(T − 20))`.
 *
 * @example resistancePerMetre({ system: 'metric', name: '50' }, { tinned: true }, 75) * 6.4 // 0.003059
 */
export function resistancePerMetre(size: ConductorSize, copper: Copper, temperatureC: number): number {
  return resistancePerMetre20(size, copper) * resistanceGrowth(temperatureC);
}
