import type { Finding } from '../finding.ts';
import type { CableKind } from '../job/shop.ts';
import type { HousePractice } from '../practice/housePractice.ts';
import type { Assessment, RunContext } from './assess.ts';
import { dropFindings } from './dropFindings.ts';
import { faultFindings } from './faultFindings.ts';
import { heatFindings } from './heatFindings.ts';
import { placeFindings } from './placeFindings.ts';
import { schoolFindings } from './schoolFindings.ts';

/** Every limit that one size of cable is held against in its run, each with its work. */
export function sizingFindings(
  at: Assessment,
  context: RunContext,
  kind: CableKind,
  practice: HousePractice,
): Finding[] {
  return [
    ...dropFindings(at, context, kind),
    ...heatFindings(at, context, kind),
    ...schoolFindings(at, practice),
    ...faultFindings(at, context, kind, practice),
    ...placeFindings(context, kind),
  ];
}
