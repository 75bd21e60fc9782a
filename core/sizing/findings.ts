import { asJudged, type Finding, type Judged } from '../finding/finding.ts';
import type { CableKind } from '../model/shop.ts';
import type { HousePractice } from '../model/housePractice.ts';
import type { Assessment } from './assess.ts';
import type { RunContext } from './loop.ts';
import { crankingFindings, crankingLimits } from './crankingFindings.ts';
import { dropFindings } from './dropFindings.ts';
import { fuseFindings } from './fuseFindings.ts';
import { fuseLimits } from './fuseLimits.ts';
import { heatFindings } from './heatFindings.ts';
import { placeFindings } from './placeFindings.ts';
import { schoolFindings } from './schoolFindings.ts';

/** The limits that one size of cable is compared with: what every size is tried by. */
export function sizeLimits(
  assessed: Assessment,
  context: RunContext,
  kind: CableKind,
  practice: HousePractice,
): Judged[] {
  return [
    ...dropFindings(assessed, context, kind),
    ...heatFindings(assessed, context, kind),
    ...crankingLimits(assessed, context, kind),
    ...schoolFindings(assessed, practice),
    ...fuseLimits(assessed, context, kind, practice).map(asJudged),
  ];
}

/** What is the same for all sizes: what the fuse is and where it stands, and what the jacket suits. */
export function runLimits(
  assessed: Assessment,
  context: RunContext,
  kind: CableKind,
  practice: HousePractice,
): Finding[] {
  return [
    ...crankingFindings(assessed, context, kind),
    ...fuseFindings(assessed, context, kind, practice),
    ...placeFindings(context, kind),
  ];
}
