import { atLeast, atMost, type Finding, stated } from '../finding/finding.ts';
import type { Lug } from '../model/shop.ts';
import { PACKING_SAYS, packingState } from '../proof/sectionProof.ts';
import { COMPACTION } from '../termination/dies/dieOnLug.ts';
import { wallMm2 } from '../termination/lugs/lugOnCable.ts';
import { type Message, msg, numeral, verbatim } from '../words/message.ts';
import {
  FINE_EDGE_SHARE,
  hidesAir,
  MOST_GLARE_SHARE,
  scaleSection,
  type SectionMeasure,
  type SectionScaled,
} from './measure.ts';
import { wallEvenness } from './wall.ts';

/** What a section was sawn from: its lug, and the across flats of the crimp. */
export interface SawnCrimp {
  readonly lug: Pick<Lug, 'boreMm' | 'outerMm' | 'label'>;
  readonly acrossFlatsMm: number;
}

const about = (part: string, title: Message) => ({ topic: 'section', part, stage: 'prove', title }) as const;

/**
 * What a measured section says: its air, the largest patch of it, and how tightly the strands are packed where lug
 * and across flats are known.
 */
export function sectionFindings(section: SectionMeasure, sawn: SawnCrimp | null): Finding[] {
  const share = asSharpAs(section, airShare(section));
  const shape = [...evenness(section), ...stillRound(section)];
  if (!sawn) return [share, ...shape];
  const wall = wallMm2(sawn.lug);
  const { outlineMm2 } = scaleSection(section, sawn.acrossFlatsMm, null);
  if (outlineMm2 <= wall) return [share, otherLug(sawn, outlineMm2, wall), ...shape];
  const scaled = scaleSection(section, sawn.acrossFlatsMm, wall);
  return [
    asSharpAs(section, packing(section, sawn, scaled, wall)),
    share,
    largestVoid(section, scaled),
    ...shape,
  ];
}

/** What a picture that hides air says of it is not proved: more may be there than shows. What fails as it is fails. */
function asSharpAs(section: SectionMeasure, finding: Finding): Finding {
  const hidden = hidesAir(section);
  if (hidden === null || finding.state === 'fails') return finding;
  const { binds: _, ...rest } = finding;
  return {
    ...rest,
    state: 'unproved',
    work: {
      ...finding.work,
      substituted: [
        ...finding.work.substituted,
        hidden === 'soft'
          ? msg`edge ÷ across flats = ${numeral(100 * section.edgeShare, 2)} %, at most ${numeral(100 * FINE_EDGE_SHARE, 2)} % for fine strands`
          : msg`blown out ÷ outline = ${numeral(100 * section.glareShare, 1)} %, at most ${numeral(100 * MOST_GLARE_SHARE, 1)} %`,
      ],
    },
    ...(hidden === 'soft'
      ? {
          because: msg`Not sharp enough to tell: the edge is ${numeral(100 * section.edgeShare, 1)} % of the across flats wide, and gaps between fine strands do not show.`,
          remedy: msg`Take it again: nearer, steadier, focused on the cut, in more light.`,
        }
      : {
          because: msg`Glare hides ${numeral(100 * section.glareShare, 1)} % of the section: what lies under it is not seen.`,
          remedy: msg`Take it again with the lamp to one side, or a sheet of paper before it.`,
        }),
  };
}

const airShare = ({ voidShare, largestShare, voids }: SectionMeasure): Finding =>
  stated(
    {
      ...about('void', msg`Air in the outline`),
      value: 100 * voidShare,
      unit: '%',
      decimals: 1,
      because:
        voidShare === 0
          ? msg`No air is to be seen between the strands.`
          : msg`The largest patch of it is ${numeral(100 * largestShare, 2)} % of the outline.`,
      work: {
        formula: msg`dark area inside the outline ÷ area of the outline`,
        substituted: [
          msg`${numeral(voids.voidPx, 0)} ÷ ${numeral(voids.insidePx, 0)} pixels = ${numeral(100 * voidShare, 2)} %`,
        ],
        source: msg`measured in the picture: air is darker than 0.46 of the copper round it`,
        assumes: msg`the cut is clean: burr and saw marks close air or draw some`,
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
      ...about('kappa', msg`Packing κ`),
      value,
      unit: '',
      decimals: 2,
      because: PACKING_SAYS[state],
      work: {
        formula: msg`κ = 1 − void·A_outline/(A_outline − A_wall)`,
        substituted: [
          verbatim`1 − ${numeral(voidShare, 4)}·${numeral(outlineMm2, 1)}/(${numeral(outlineMm2, 1)} − ${numeral(wall, 1)}) = ${numeral(value, 3)}`,
        ],
        source: msg`area balance of the section; 0.90 and 0.85 are shop settings`,
        assumes: msg`scaled by ${numeral(sawn.acrossFlatsMm, 2)} mm across flats; wall of ${sawn.lug.label} by its diameters`,
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
      ...about('largest', msg`Largest void`),
      value: largestMm2,
      unit: 'mm²',
      decimals: 2,
      because: msg`Of ${numeral(voidMm2, 2)} mm² of air in all.`,
      work: {
        formula: msg`largest patch · (mm per pixel)²`,
        substituted: [
          msg`${numeral(voids.largestPx, 0)} pixels · ${numeral(mmPerPx * factor, 4)}² = ${numeral(largestMm2, 2)} mm²`,
        ],
        source: msg`measured in the picture`,
        assumes: msg`patches that touch count as one`,
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
        ...about('wall', msg`Wall, thin to thick`),
        value,
        unit: '',
        decimals: 2,
        because:
          value >= LEAST_EVEN
            ? msg`The barrel is pressed evenly all round.`
            : msg`The strands lie to one side: the lug sat askew in the die, or was turned between crimps.`,
        work: {
          formula: msg`thinnest side ÷ thickest side`,
          substituted: [
            msg`${numeral(Math.min(...wallPx), 0)} ÷ ${numeral(Math.max(...wallPx), 0)} pixels = ${numeral(value, 2)}`,
          ],
          source: msg`measured in the picture: where the wall turns darker than itself; 0.80 is a shop setting`,
          assumes: msg`the seam between wall and strands shows on four sides at least`,
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
        ...about('round', msg`Strands still round`),
        value,
        unit: '%',
        decimals: 0,
        because:
          value <= MOST_ROUND_PERCENT
            ? msg`The strands are pressed against each other.`
            : msg`Strands stand as they were before the crimp: they are not gripped.`,
        work: {
          formula: msg`copper of strands that stand apart as discs ÷ copper of all strands`,
          substituted: [verbatim`= ${numeral(value, 0)} %`],
          source: msg`measured in the picture: copper worn down by half a strand’s radius; 30 % is a shop setting`,
          assumes: msg`an estimate: strands at the seam are left out`,
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
      ...about('kappa', msg`Packing κ`),
      value: null,
      unit: '',
      decimals: 2,
      because: msg`At ${numeral(acrossFlatsMm, 2)} mm across flats the outline holds ${numeral(outlineMm2, 1)} mm², less than the wall of ${lug.label} alone: it was another lug, or another figure.`,
      work: {
        formula: msg`A_outline > A_wall`,
        substituted: [msg`${numeral(outlineMm2, 1)} ≤ ${numeral(wall, 1)} mm²`],
        source: msg`the lug’s own diameters`,
        assumes: msg`the across flats was measured on this crimp`,
      },
    },
    'unproved',
  );
