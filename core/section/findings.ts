import { atLeast, atMost, type Finding, stated } from '../finding/finding.ts';
import type { Lug } from '../model/shop.ts';
import { PACKING_SAYS, packingState } from '../proof/sectionProof.ts';
import { COMPACTION } from '../termination/dies/dieOnLug.ts';
import { wallMm2 } from '../termination/lugs/lugOnCable.ts';
import { digits } from '../model/units/figure.ts';
import { scaleSection, type SectionMeasure, type SectionScaled } from './measure.ts';
import { wallEvenness } from './wall.ts';
import { say } from '../words/say.ts';

/** What a section was sawn from: its lug, and the across flats of the crimp. */
export interface SawnCrimp {
  readonly lug: Pick<Lug, 'boreMm' | 'outerMm' | 'label'>;
  readonly acrossFlatsMm: number;
}

const about = (part: string, title: string) => ({ topic: 'section', part, stage: 'prove', title }) as const;

/**
 * What a measured section says: its air, the largest patch of it, and how tightly the strands are packed where lug
 * and across flats are known.
 */
export function sectionFindings(section: SectionMeasure, sawn: SawnCrimp | null): Finding[] {
  const share = airShare(section);
  const shape = [...evenness(section), ...stillRound(section)];
  if (!sawn) return [share, ...shape];
  const wall = wallMm2(sawn.lug);
  const { outlineMm2 } = scaleSection(section, sawn.acrossFlatsMm, null);
  if (outlineMm2 <= wall) return [share, otherLug(sawn, outlineMm2, wall), ...shape];
  const scaled = scaleSection(section, sawn.acrossFlatsMm, wall);
  return [packing(section, sawn, scaled, wall), share, largestVoid(section, scaled), ...shape];
}

const airShare = ({ voidShare, largestShare, voids }: SectionMeasure): Finding =>
  stated(
    {
      ...about('void', say`Air in the outline`),
      value: 100 * voidShare,
      unit: '%',
      decimals: 1,
      because:
        voidShare === 0
          ? say`No air is to be seen between the strands.`
          : say`The largest patch of it is ${digits(100 * largestShare, 2)} % of the outline.`,
      work: {
        formula: say`dark area inside the outline ÷ area of the outline`,
        substituted: [
          say`${digits(voids.voidPx, 0)} ÷ ${digits(voids.insidePx, 0)} pixels = ${digits(100 * voidShare, 2)} %`,
        ],
        source: say`measured in the picture: air is darker than 0.46 of the copper round it`,
        assumes: say`the cut is clean: burr and saw marks close air or draw some`,
      },
    },
    'holds',
  );

function packing(
  { voidShare }: SectionMeasure,
  sawn: SawnCrimp,
  { kappa, outlineMm2 }: SectionScaled,
  wall: number,
): Finding {
  const value = kappa ?? 0;
  const state = packingState(value);
  return atLeast(
    {
      ...about('kappa', say`Packing κ`),
      value,
      unit: '',
      decimals: 2,
      because: PACKING_SAYS[state],
      work: {
        formula: say`κ = 1 − void·A_outline/(A_outline − A_wall)`,
        substituted: [
          `1 − ${digits(voidShare, 4)}·${digits(outlineMm2, 1)}/(${digits(outlineMm2, 1)} − ${digits(wall, 1)}) = ${digits(value, 3)}`,
        ],
        source: say`area balance of the section; 0.90 and 0.85 are shop settings`,
        assumes: say`scaled by ${digits(sawn.acrossFlatsMm, 2)} mm across flats; wall of ${sawn.lug.label} by its diameters`,
      },
    },
    COMPACTION.rightKappa,
    state,
  );
}

const largestVoid = (
  { voids, factor }: SectionMeasure,
  { voidMm2, largestMm2, mmPerPx }: SectionScaled,
): Finding =>
  stated(
    {
      ...about('largest', say`Largest void`),
      value: largestMm2,
      unit: 'mm²',
      decimals: 2,
      because: say`Of ${digits(voidMm2, 2)} mm² of air in all.`,
      work: {
        formula: say`largest patch · (mm per pixel)²`,
        substituted: [
          say`${digits(voids.largestPx, 0)} pixels · ${digits(mmPerPx * factor, 4)}² = ${digits(largestMm2, 2)} mm²`,
        ],
        source: say`measured in the picture`,
        assumes: say`patches that touch count as one`,
      },
    },
    'holds',
  );

/** Under this the barrel was pressed more on one side than on the other. Shop setting. */
const LEAST_EVEN = 0.8;
/** More of the strands than this still round, and the crimp did not grip them. Shop setting. */
const MOST_ROUND_PERCENT = 30;

function evenness({ wallPx }: SectionMeasure): Finding[] {
  if (!wallPx) return [];
  const value = wallEvenness(wallPx);
  return [
    atLeast(
      {
        ...about('wall', say`Wall, thin to thick`),
        value,
        unit: '',
        decimals: 2,
        because:
          value >= LEAST_EVEN
            ? say`The barrel is pressed evenly all round.`
            : say`The strands lie to one side: the lug sat askew in the die, or was turned between crimps.`,
        work: {
          formula: say`thinnest side ÷ thickest side`,
          substituted: [
            say`${digits(Math.min(...wallPx), 0)} ÷ ${digits(Math.max(...wallPx), 0)} pixels = ${digits(value, 2)}`,
          ],
          source: say`measured in the picture: where the wall turns darker than itself; 0.80 is a shop setting`,
          assumes: say`the seam between wall and strands shows on four sides at least`,
        },
      },
      LEAST_EVEN,
      value >= LEAST_EVEN ? 'holds' : 'watch',
    ),
  ];
}

function stillRound({ roundShare }: SectionMeasure): Finding[] {
  if (roundShare === null) return [];
  const value = 100 * roundShare;
  return [
    atMost(
      {
        ...about('round', say`Strands still round`),
        value,
        unit: '%',
        decimals: 0,
        because:
          value <= MOST_ROUND_PERCENT
            ? say`The strands are pressed against each other.`
            : say`Strands stand as they were before the crimp: they are not gripped.`,
        work: {
          formula: say`copper of strands that stand apart as discs ÷ copper of all strands`,
          substituted: [`= ${digits(value, 0)} %`],
          source: say`measured in the picture: copper worn down by half a strand’s radius; 30 % is a shop setting`,
          assumes: say`an estimate: strands at the seam are left out`,
        },
      },
      MOST_ROUND_PERCENT,
      0,
      value <= MOST_ROUND_PERCENT ? 'holds' : 'watch',
    ),
  ];
}

const otherLug = ({ lug, acrossFlatsMm }: SawnCrimp, outlineMm2: number, wall: number): Finding =>
  stated(
    {
      ...about('kappa', say`Packing κ`),
      value: null,
      unit: '',
      decimals: 2,
      because: say`At ${digits(acrossFlatsMm, 2)} mm across flats the outline holds ${digits(outlineMm2, 1)} mm², less than the wall of ${lug.label} alone: it was another lug, or another figure.`,
      work: {
        formula: say`A_outline > A_wall`,
        substituted: [say`${digits(outlineMm2, 1)} ≤ ${digits(wall, 1)} mm²`],
        source: say`the lug’s own diameters`,
        assumes: say`the across flats was measured on this crimp`,
      },
    },
    'unproved',
  );
