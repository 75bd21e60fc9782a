import { isAbout } from '../finding/topics.ts';
import type { CableWork } from '../cableWork.ts';
import { type Finding, type State, worst, worstFirst } from '../finding/finding.ts';
import type { Cable } from '../model/cable.ts';
import type { EndName } from '../model/end.ts';
import type { Shop } from '../model/shop.ts';
import { type Method, METHODS } from '../model/housePractice.ts';
import { endFindings } from '../termination/findings/endsFindings.ts';
import { SOLDERED_END_C, usesSolder } from '../model/method.ts';
import { resolveEnd } from '../termination/resolveEnd.ts';
import { msg, type Message, amount } from '../words/message.ts';

/** What one school of holding a lug would mean for one end of one cable. */
export interface MethodSchool {
  readonly method: Method;
  readonly state: State;
  /** What it costs or asks, the worst first. */
  readonly consequences: readonly Message[];
}

/** Findings that depend on how the lug is held. */
const isAboutMethod = isAbout(
  ...([
    'packing',
    'compaction',
    'trial',
    'tool',
    'crimps',
    'creep',
    'torch',
    'flux',
    'cast',
    'metal',
  ] as const),
  ...(['solder-flex', 'solder-heat', 'solder-hold', 'solder-mass', 'tinned-first'] as const),
);

/** Every school tried on this end, so that they can be seen side by side. */
export function methodSchools(name: EndName, cable: Cable, work: CableWork, shop: Shop): MethodSchool[] {
  return METHODS.map((method) => {
    const tried: Cable = {
      ...cable,
      ends: { ...cable.ends, [name]: { ...cable.ends[name], method } },
    };
    const end = resolveEnd(name, tried, work.conductor, shop, work.ends[name].palm);
    const findings = endFindings(name, {
      cable: tried,
      conductor: work.conductor,
      kind: work.kind,
      at: work.choice.taken.at,
      shop,
      ends: { ...work.ends, [name]: end },
      cutMm: work.lengths?.cutMm ?? null,
      stacks: work.stacks,
      onPost: { A: 1, B: 1 },
      today: null,
    }).filter(isAboutMethod);
    return {
      method,
      state: worst(findings.map(({ state }) => state)),
      consequences: [
        ...worstFirst(findings.filter((finding) => isTold(finding, method))).map(({ because }) => because),
        ...(usesSolder(method)
          ? [
              msg`Bolted to ${amount(SOLDERED_END_C, '°C', 0)} at most; a short may heat it to ${amount(160, '°C', 0)}.`,
            ]
          : []),
      ],
    };
  });
}

/** What is worth saying: what does not hold, and the figures of the solder. */
const isSolderFigure = isAbout('solder-hold', 'solder-mass', 'torch');
const isTold = (finding: Finding, method: Method) =>
  finding.state !== 'holds' || (method === 'crimp' ? finding.topic === 'packing' : isSolderFigure(finding));
