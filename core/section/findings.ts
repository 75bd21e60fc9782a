import { atLeast, atMost, type Finding, stated, turnedTo } from '../finding/finding.ts';
import type { Lug } from '../model/shop.ts';
import { packingVerdict } from '../proof/sectionProof.ts';
import { COMPACTION, packingFromVoid } from '../termination/dies/dieOnLug.ts';
import { wallMm2 } from '../termination/lugs/lugOnCable.ts';
import { type Message, msg, numeral, verbatim, amount } from '../words/message.ts';
import {
  type AirBounds,
  airBounds,
  type CombinedAir,
  MOST_BLUR_OF_STRAND,
  MOST_HIDDEN_SHARE,
} from './bounds.ts';
import { scaleSection, type SectionMeasure, type SectionScaled } from './measure.ts';
import { wallEvenness } from './wall.ts';

/** What a section was sawn from: its lug, and the across flats of the crimp. */
export interface SawnCrimp {
  readonly lug: Pick<Lug, 'boreMm' | 'outerMm' | 'label'>;
  readonly acrossFlatsMm: number;
  /** Diameter of a strand of its cable, mm; fine cable where it is not given. */
  readonly strandMm?: number;
}

/** Between what and what the air of a section lies, by the strands of the cable it was made with. */
export const boundsOf = (section: SectionMeasure, sawn: SawnCrimp | null): AirBounds =>
  airBounds(section, sawn?.strandMm === undefined ? undefined : sawn.strandMm / sawn.acrossFlatsMm);

const about = (part: string, title: Message) => ({ topic: 'section', part, stage: 'prove', title }) as const;

/**
 * What a measured section says: its air, the largest patch of it, and how tightly the strands are packed where lug
 * and across flats are known.
 */
export function sectionFindings(
  section: SectionMeasure,
  sawn: SawnCrimp | null,
  together: CombinedAir | null = null,
): Finding[] {
  const bounds = boundsOf(section, sawn);
  const share = together
    ? asFarAsAgreed(together, airTogether(together))
    : asFarAsSeen(bounds, airShare(section, bounds));
  const shape = [...evenness(section), ...stillRound(section)];
  if (!sawn) return [share, ...shape];
  const wall = wallMm2(sawn.lug);
  const { outlineMm2 } = scaleSection(section, sawn.acrossFlatsMm, null);
  if (outlineMm2 <= wall) return [share, otherLug(sawn, outlineMm2, wall), ...shape];
  const scaled = scaleSection(section, sawn.acrossFlatsMm, wall);
  return [
    together
      ? asFarAsAgreed(together, packing(together, sawn, scaled, wall))
      : asFarAsSeen(bounds, packing({ voidShare: section.voidShare, most: bounds.most }, sawn, scaled, wall)),
    share,
    largestVoid(section, scaled),
    ...shape,
  ];
}

/** What is not told has no figure that could be taken for an answer, and least of all none. */
function untold(finding: Finding, reason: Pick<Finding, 'because' | 'remedy'>): Finding {
  const { use: _, margin: __, ...rest } = finding;
  return turnedTo({ ...rest, value: null }, 'unproved', reason);
}

/** Pictures that cannot be of one crimp prove nothing of it. */
function asFarAsAgreed({ disagree }: CombinedAir, finding: Finding): Finding {
  if (!disagree) return finding;
  const because = msg`The pictures disagree: they are not of one crimp, or an outline is wrong.`;
  return untold(finding, { because });
}

/** What is said of a picture that hides air. */
const HIDDEN_SAYS: Readonly<
  Record<
    NonNullable<AirBounds['hidden']>,
    (bounds: AirBounds) => { shown: Message; because: Message; remedy: Message }
  >
> = {
  soft: ({ blurOfStrand }) => ({
    shown: msg`blur ÷ strand = ${numeral(100 * blurOfStrand, 1)} %, at most ${numeral(100 * MOST_BLUR_OF_STRAND, 1)} %`,
    because: msg`Not sharp enough to judge: its blur is ${numeral(100 * blurOfStrand, 0)} % of a strand, and gaps between strands do not show.`,
    remedy: msg`Take it again: nearer, steadier, focused on the cut, in more light. If its strands are thick, say so.`,
  }),
  glare: ({ glare }) => ({
    shown: msg`blown out ÷ outline = ${numeral(100 * glare, 1)} %, at most ${numeral(100 * MOST_HIDDEN_SHARE, 1)} %`,
    because: msg`Glare hides ${numeral(100 * glare, 1)} % of the section: what lies under it is not seen.`,
    remedy: msg`Take it again with the lamp to one side, or a sheet of paper before it.`,
  }),
  pale: ({ pale }) => ({
    shown: msg`paler than its copper ÷ area examined = ${numeral(100 * pale, 1)} %, at most ${numeral(100 * MOST_HIDDEN_SHARE, 1)} %`,
    because: msg`Something pale covers ${numeral(100 * pale, 1)} % of the section: a shine, dust or solder. Air under it cannot be seen.`,
    remedy: msg`Brush the cut clean and put the lamp to one side. Solder between the strands is no air: judge such a crimp by pull.`,
  }),
};

/** What a picture that hides air says of it is not proved: more may be there than shows. What fails as it is fails. */
function asFarAsSeen(bounds: AirBounds, finding: Finding): Finding {
  if (bounds.hidden === null || finding.state === 'fails') return finding;
  const { shown, because, remedy } = HIDDEN_SAYS[bounds.hidden](bounds);
  const work = { ...finding.work, substituted: [...finding.work.substituted, shown] };
  return untold({ ...finding, work }, { because, remedy });
}

/** How the bounds of the air came about, in a line. */
const boundsWork = ({ least, most, soft, glare, pale }: AirBounds): Message =>
  msg`between ${numeral(100 * least, 1)} and ${numeral(100 * most, 1)} %: the method is off by up to 0.4 % and 2 % of the air; blur may hide ${numeral(100 * soft, 1)} %, glare ${numeral(100 * glare, 1)} %, what is pale ${numeral(100 * pale, 1)} %`;

const airShare = ({ voidShare, largestShare, voids }: SectionMeasure, bounds: AirBounds): Finding =>
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
          boundsWork(bounds),
        ],
        source: msg`measured in the picture: air is darker than 0.46 of the copper round it`,
        assumes: msg`the cut is clean: burr and saw marks close air or draw some`,
      },
    },
    'holds',
  );

/** The air by several pictures of one crimp, and how they were taken together. */
const airTogether = ({ voidShare, least, most, telling, disagree }: CombinedAir): Finding =>
  stated(
    {
      ...about('void', msg`Air in the outline`),
      value: 100 * voidShare,
      unit: '%',
      decimals: 1,
      because: msg`By ${telling.length} pictures of one crimp: between ${numeral(100 * least, 1)} and ${numeral(100 * most, 1)} %.`,
      work: {
        formula: msg`Σ w · air, w as 1 ÷ (most − least)²`,
        substituted: [
          ...telling.map(
            (own) =>
              msg`${numeral(own.weight, 2)} × ${numeral(100 * own.voidShare, 2)} %, between ${numeral(100 * own.least, 1)} and ${numeral(100 * own.most, 1)} %`,
          ),
          disagree
            ? msg`no share of air suits them all`
            : msg`= ${numeral(100 * voidShare, 2)} %; from the highest lower end to the lowest upper end`,
        ],
        source: msg`measured in each picture: air is darker than 0.46 of the copper round it`,
        assumes: msg`they are of one crimp; a picture that hides air does not count`,
      },
    },
    'holds',
  );

function packing(
  { voidShare, most }: Pick<CombinedAir, 'voidShare' | 'most'>,
  sawn: SawnCrimp,
  { outlineMm2 }: SectionScaled,
  wall: number,
): Finding {
  const value = packingFromVoid(voidShare, outlineMm2, wall);
  const worst = packingFromVoid(most, outlineMm2, wall);
  const { state, because } = packingVerdict(value, worst);
  return atLeast(
    {
      ...about('kappa', msg`Packing κ`),
      value,
      unit: '',
      decimals: 2,
      because,
      work: {
        formula: msg`κ = 1 − void·A_outline/(A_outline − A_wall)`,
        substituted: [
          verbatim`1 − ${numeral(voidShare, 4)}·${numeral(outlineMm2, 1)}/(${numeral(outlineMm2, 1)} − ${numeral(wall, 1)}) = ${numeral(value, 3)}`,
          msg`with ${numeral(most, 4)}, as much air as there may be: ${numeral(worst, 3)}`,
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
      because: msg`Of ${amount(voidMm2, 'mm²', 2)} of air in all.`,
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
            : msg`Strands are as they were before the crimp: they are not gripped.`,
        work: {
          formula: msg`copper of strands that show as separate discs ÷ copper of all strands`,
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
      because: msg`At ${amount(acrossFlatsMm, 'mm', 2)} across flats the outline holds ${amount(outlineMm2, 'mm²', 1)}, less than the wall of ${lug.label} alone: it was another lug, or another figure.`,
      work: {
        formula: msg`A_outline > A_wall`,
        substituted: [msg`${numeral(outlineMm2, 1)} ≤ ${numeral(wall, 1)} mm²`],
        source: msg`the lug’s own diameters`,
        assumes: msg`the across flats was measured on this crimp`,
      },
    },
    'unproved',
  );
