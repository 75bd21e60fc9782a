import type { Die, Shop, Sleeve, Tool } from '../job/shop.ts';
import { CUSTOMARY_PRACTICE } from '../practice/housePractice.ts';
import { GENERIC_CABLE_KINDS } from './cableKinds.ts';
import { genericLug } from './lugs.ts';
import {
  codeDieAcrossFlats,
  codeDieWidth,
  LOW_COST_DIE_ACROSS_FLATS,
  lowCostDieWidth,
} from './tables/lowCostDies.ts';
import { LUG_FAMILIES, type LugFamilyId } from './tables/lugFamilies.ts';
import { SLEEVES, type SleeveKind } from './tables/sleeves.ts';
import { STUDS, type StudName } from './tables/studs.ts';

const HAND: Tool = { id: 'hand-press', title: 'Hand hydraulic, hexagon set', kind: 'hand hydraulic' };
const BENCH: Tool = { id: 'bench-press', title: 'Bench hydraulic, code dies', kind: 'bench hydraulic' };

/** The studs each family is usually drilled for. */
const DRILLED: Readonly<Record<LugFamilyId, readonly StudName[]>> = {
  'compression-metric': ['M6', 'M8', 'M10', 'M12'],
  'tube-metric': ['M6', 'M8', 'M10'],
  'heavy-inch': ['1/4', '5/16', '3/8'],
  'light-inch': ['1/4', '5/16', '3/8'],
};

/** A lug is not drilled for a stud thinner than this share of its barrel. */
const SMALLEST_HOLE_SHARE = 0.35;

function lowCostDies(): Die[] {
  return Object.entries(LOW_COST_DIE_ACROSS_FLATS).map(([stamp, acrossFlatsMm]) => ({
    id: `hand-${stamp}`,
    toolId: HAND.id,
    stamp,
    acrossFlatsMm,
    widthMm: lowCostDieWidth(Number(stamp)),
  }));
}

function codeDies(): Die[] {
  const codes = Object.values(LUG_FAMILIES['compression-metric'].dieCode ?? {});
  return codes.map((code) => ({
    id: `bench-k${code}`,
    toolId: BENCH.id,
    stamp: `K${code}`,
    acrossFlatsMm: Math.round(codeDieAcrossFlats(code) * 100) / 100,
    widthMm: codeDieWidth(code),
  }));
}

function sleeves(): Sleeve[] {
  const kinds = ['dual-3', 'dual-4', 'thin-2'] as const satisfies readonly SleeveKind[];
  return kinds.flatMap((kind) =>
    SLEEVES[kind].sizes.map((size) => ({
      id: `${kind}-${size.suppliedMm}`.replace('.', 'p'),
      kind,
      ...size,
      stockMm: 1200,
    })),
  );
}

/** A shop with one of every generic thing: where a new user starts, and what they replace as they measure. */
export function genericShop(): Shop {
  const families = Object.keys(LUG_FAMILIES) as LugFamilyId[];
  return {
    name: 'My shop',
    currency: '£',
    practice: CUSTOMARY_PRACTICE,
    cableKinds: [...GENERIC_CABLE_KINDS],
    lugs: families.flatMap((family) =>
      Object.entries(LUG_FAMILIES[family].sizes).flatMap(([size, barrel]) =>
        DRILLED[family]
          .filter((stud) => STUDS[stud].diameterMm >= SMALLEST_HOLE_SHARE * barrel.outerMm)
          .map((stud) => genericLug(family, size, stud, 10)),
      ),
    ),
    tools: [HAND, BENCH],
    dies: [...lowCostDies(), ...codeDies()],
    sleeves: sleeves(),
  };
}
