import type { ConductorSize, GaugeName, MetricSizeName } from '../tables/size.ts';
import type { Lug, Post } from '../shop.ts';
import { typicalPalm } from './palm.ts';
import { postTopMm } from '../posts.ts';
import { LUG_FAMILIES, type LugFamilyId } from '../tables/lugFamilies.ts';
import { STUDS, type StudName } from '../tables/studs.ts';
import { called } from './called.ts';
import { say } from '../../words/say.ts';

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
    form: 'tube',
    metal: 'copper',
    plating: 'tin',
    sightHole: true,
    flared: false,
    offsetMm: 0,
    angleDeg: 0,
    drilledOut: false,
    measured: false,
    price: Math.round((1 + weight * 0.018) * 20) / 20,
    stock,
  };
}

const FAMILY_WORDS: Readonly<Record<string, string>> = {
  [LUG_FAMILIES['compression-metric'].title]: say`heavy metric compression lug`,
  [LUG_FAMILIES['tube-metric'].title]: say`light metric tube lug`,
  [LUG_FAMILIES['heavy-inch'].title]: say`heavy-wall inch-gauge lug`,
  [LUG_FAMILIES['light-inch'].title]: say`light inch-gauge lug`,
};

/** What a family of lugs is called by the reader; one that the shop named itself keeps its name. */
export const familySays = (family: string): string => FAMILY_WORDS[family] ?? called(family);

/**
 * A copper in-line connector for two cables of one size: the barrel of the standard family on each side of a stop.
 *
 * @throws RangeError when the family has no such size
 * @example genericButt('70', 4).label // '70 in-line'
 */
export function genericButt(sizeName: string, stock: number): Lug {
  const lug = genericLug('compression-metric', sizeName, 'M10', stock);
  return {
    ...lug,
    id: `butt-${idOf(sizeName)}`,
    label: `${sizeName} in-line`,
    family: 'in-line connector',
    form: 'butt',
    holeMm: 2,
    palmWidthMm: lug.outerMm,
    palmThicknessMm: lug.outerMm / 2,
    studToBarrelMm: 1,
    price: Math.round(lug.price * 16) / 20,
  };
}

/**
 * A connector in a jacket of its own: crimped through it, or soldered by a ring inside it.
 *
 * @throws RangeError when the family has no such size
 * @example genericSealedButt('10', 'sealed', 5).label // '10 sealed in-line'
 */
export function genericSealedButt(sizeName: string, cover: 'sealed' | 'solder ring', stock: number): Lug {
  const butt = genericButt(sizeName, stock);
  const words = cover === 'sealed' ? 'sealed in-line' : 'solder ring';
  return {
    ...butt,
    id: `${cover.replace(' ', '-')}-${idOf(sizeName)}`,
    label: `${sizeName} ${words}`,
    family: words,
    cover,
    price: Math.round(butt.price * 30) / 20,
  };
}

/**
 * A clamp for a tapered battery post: cast ones are soldered, screwed ones get you home.
 *
 * @throws RangeError when the barrel family has no such size, or the post is not tapered
 * @example genericClamp('cast clamp', { kind: 'large taper', polarity: 'positive' }, '50', 1, 2).label // '50 clamp +, large taper'
 */
export function genericClamp(
  form: 'cast clamp' | 'screw clamp',
  post: Post,
  sizeName: string,
  cables: 1 | 2,
  stock: number,
): Lug {
  const topMm = postTopMm(post);
  if (topMm === null) throw new RangeError(`no clamp grips a ${post.kind}`);
  const lug = genericLug('compression-metric', sizeName, 'M8', stock);
  const pole = post.polarity === 'positive' ? '+' : '−';
  const screwed = form === 'screw clamp';
  const words = `${screwed ? 'screw clamp' : 'clamp'} ${pole}, ${post.kind}${cables === 2 ? ', for two' : ''}`;
  return {
    ...lug,
    id: idOf(`${form}-${post.kind}-${post.polarity}-${sizeName}-${cables}`).replaceAll(' ', '-'),
    label: screwed ? words : `${sizeName} ${words}`,
    family: 'battery post clamp',
    form,
    metal: screwed ? 'lead' : 'brass',
    holeMm: topMm,
    palmWidthMm: round(topMm + 14),
    palmThicknessMm: 12,
    studToBarrelMm: round(topMm / 2 + 14),
    sightHole: false,
    clamp: { post, cables },
    price: screwed ? 2.5 : 4.8 * cables,
  };
}

/** As a calliper reads it. */
const round = (mm: number) => Math.round(mm * 10) / 10;
