import type { ConductorSize, GaugeName, MetricSizeName } from '../conductor/size.ts';
import type { Lug } from '../job/shop.ts';
import { typicalPalm } from '../termination/palm.ts';
import { LUG_FAMILIES, type LugFamilyId } from './tables/lugFamilies.ts';
import { STUDS, type StudName } from './tables/studs.ts';

const SHORT: Readonly<Record<LugFamilyId, string>> = {
  'compression-metric': 'heavy',
  'tube-metric': 'light',
  'heavy-inch': 'heavy',
  'light-inch': 'light',
};

const idOf = (text: string) => text.toLowerCase().replaceAll('/', '-').replaceAll('#', 'no');

/**
 * A generic lug of a family, its palm by the typical geometry: a measured lug replaces it.
 *
 * @throws RangeError when the family has no such size
 * @example genericLug('compression-metric', '70', 'M10', 12).label // '70-10 heavy'
 */
export function genericLug(familyId: LugFamilyId, sizeName: string, stud: StudName, stock: number): Lug {
  const family = LUG_FAMILIES[familyId];
  const barrel = family.sizes[sizeName];
  if (!barrel) throw new RangeError(`${familyId} has no size ${sizeName}`);
  const { holeMm } = STUDS[stud];
  const palm = typicalPalm(barrel, holeMm);
  const weight = (barrel.outerMm - barrel.boreMm) * barrel.barrelMm;
  return {
    id: `${familyId}-${idOf(sizeName)}-${idOf(stud)}`,
    label: `${sizeName}-${stud.replace('M', '')} ${SHORT[familyId]}`,
    family: family.title,
    forSize: (family.system === 'metric'
      ? { system: 'metric', name: sizeName as MetricSizeName }
      : { system: 'awg', name: sizeName as GaugeName }) satisfies ConductorSize,
    stud,
    holeMm,
    ...barrel,
    palmWidthMm: round(palm.widthMm),
    palmThicknessMm: round(palm.thicknessMm),
    studToBarrelMm: round(palm.studToBarrelMm),
    metal: 'copper',
    plating: 'tin',
    sightHole: true,
    price: Math.round((1 + weight * 0.018) * 20) / 20,
    stock,
  };
}

/** As a calliper reads it. */
const round = (mm: number) => Math.round(mm * 10) / 10;
