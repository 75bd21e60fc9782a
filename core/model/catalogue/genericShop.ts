import { type Die, type Lug, POLARITIES, type Shop, type Sleeve, type Tool } from '../shop.ts';
import { CUSTOMARY_PRACTICE } from '../housePractice.ts';
import { GENERIC_CABLE_KINDS } from './cableKinds.ts';
import { genericButt, genericSealedButt, genericClamp, genericLug } from './lugs.ts';
import {
  codeDieAcrossFlats,
  codeDieWidth,
  LOW_COST_DIE_ACROSS_FLATS,
  lowCostDieWidth,
} from '../tables/lowCostDies.ts';
import { LUG_FAMILIES, type LugFamilyId } from '../tables/lugFamilies.ts';
import { SLEEVES, type SleeveKind } from '../tables/sleeves.ts';
import { STUDS, type StudName } from '../tables/studs.ts';

const HAND: Tool = { id: 'hand-press', title: 'Hand hydraulic, hexagon set', kind: 'hand hydraulic' };
const LEVER: Tool = { id: 'hand-lever', title: 'Hand lever, indent', kind: 'hand lever', largestMm2: 120 };
const HAMMER: Tool = {
  id: 'hammer',
  title: 'Hammer-struck plunger',
  kind: 'hammer',
  mark: 'the second ring meets the body',
};
const BENCH: Tool = { id: 'bench-press', title: 'Bench hydraulic, code dies', kind: 'bench hydraulic' };

/** The set of hexagon dies stamped with a size, and the set stamped with code numbers, by the ids of their dies. */
export const HEXAGON_DIES = Object.keys(LOW_COST_DIE_ACROSS_FLATS).map((stamp) => `hand-${stamp}`);
export const CODE_DIES = Object.values(LUG_FAMILIES['compression-metric'].dieCode ?? {}).map(
  (code) => `bench-k${code}`,
);

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

/** Marks of the example's own for its second set, closest first; what is on a die of the shop is typed as it is stamped. */
const MARKS = 'ABCDEFGHJKLMN';

function codeDies(): Die[] {
  const codes = Object.values(LUG_FAMILIES['compression-metric'].dieCode ?? {});
  return codes.map((code, i) => ({
    id: `bench-k${code}`,
    toolId: BENCH.id,
    stamp: MARKS.charAt(i),
    code,
    acrossFlatsMm: Math.round(codeDieAcrossFlats(code) * 100) / 100,
    widthMm: codeDieWidth(code),
  }));
}

/** Nests of the indent tools: across the indent with the tool at its mark. They are judged by trial only. */
const INDENTS: readonly Die[] = [
  { id: 'lever-35', toolId: LEVER.id, stamp: '35', acrossFlatsMm: 9, widthMm: 8 },
  { id: 'lever-70', toolId: LEVER.id, stamp: '70', acrossFlatsMm: 12, widthMm: 10 },
  { id: 'plunger', toolId: HAMMER.id, stamp: '', acrossFlatsMm: 10, widthMm: 12 },
];

/** Clamps for both poles, cast and screwed, and one pair that takes two cables. */
function clamps(): Lug[] {
  return POLARITIES.flatMap((polarity) => {
    const large = { kind: 'large taper', polarity } as const;
    return [
      ...['35', '50', '70'].map((size) => genericClamp('cast clamp', large, size, 1, 4)),
      genericClamp('cast clamp', large, '50', 2, 2),
      genericClamp('cast clamp', { kind: 'small taper', polarity }, '25', 1, 2),
      genericClamp('screw clamp', large, '70', 1, 2),
    ];
  });
}

/** Black sleeves of some kinds in all their sizes, and coloured bands where thin ones are among them. */
export function genericSleeves(kinds: readonly SleeveKind[]): Sleeve[] {
  const black = kinds.flatMap((kind) =>
    SLEEVES[kind].sizes.map((size): Sleeve => ({
      id: `${kind}-${size.suppliedMm}`.replace('.', 'p'),
      kind,
      ...size,
      colour: 'black',
      stockMm: 1200,
    })),
  );
  return [...black, ...(kinds.includes('thin-2') ? colouredBands() : [])];
}

/** Thin coloured sleeve to tell the pole over a black one. */
function colouredBands(): Sleeve[] {
  return (['red', 'yellow'] as const).flatMap((colour) =>
    SLEEVES['thin-2'].sizes
      .filter(({ suppliedMm }) => suppliedMm >= 12)
      .map((size) => ({
        id: `thin-2-${size.suppliedMm}-${colour}`.replace('.', 'p'),
        kind: 'thin-2' as const,
        ...size,
        colour,
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
    lugs: [
      ...families.flatMap((family) =>
        Object.entries(LUG_FAMILIES[family].sizes).flatMap(([size, barrel]) =>
          DRILLED[family]
            .filter((stud) => STUDS[stud].diameterMm >= SMALLEST_HOLE_SHARE * barrel.outerMm)
            .map((stud) => genericLug(family, size, stud, 10)),
        ),
      ),
      ...['10', '16', '25', '35', '50', '70', '95'].map((size) => genericButt(size, 2)),
      ...['10', '16'].map((size) => genericSealedButt(size, 'sealed', 5)),
      ...clamps(),
    ],
    tools: [HAND, BENCH, LEVER, HAMMER],
    dies: [...lowCostDies(), ...codeDies(), ...INDENTS],
    sleeves: genericSleeves(['dual-3', 'dual-4', 'thin-2']),
    spools: [],
    trials: [],
    instruments: [],
  };
}
