import { type Finding, notProved, stated } from '../finding/finding.ts';
import type { Cable } from '../model/cable.ts';
import { digits, figure } from '../model/units/figure.ts';
import type { ProofSubject } from '../proof/subject.ts';
import { allChecks, fitPlan, standingTicks, type ToFit } from './fitChecks.ts';
import { loadedRunFindings } from './loadedRun.ts';
import { supportPlan } from '../cutting/supports.ts';
import { torqueFindings } from './torque.ts';
import { say } from '../words/say.ts';

/** What fitting asks: torque, the list of checks, and the loaded run once it was begun. No part of the cable's verdict. */
export function fitFindings(subject: ProofSubject, work: ToFit): Finding[] {
  return [
    ...torqueFindings(subject),
    listFinding(subject, work),
    supportFinding(subject.cable),
    ...loadedRunFindings(subject),
  ];
}

/** How far apart its supports stand as planned, against the farthest asked. */
function supportFinding(cable: Cable): Finding {
  const { atMm, everyMm, mostMm } = supportPlan(cable);
  const [first = 0, last = 0] = [atMm[0], atMm.at(-1)];
  const spread = last - first;
  // As planned it is never over, so there is no margin to watch.
  return stated(
    {
      topic: 'support-plan',
      stage: 'fit',
      title: say`Between supports`,
      value: everyMm,
      unit: 'mm',
      decimals: 0,
      because: say`${atMm.length} supports, the first ${figure(first, 'mm', 0)} from stud A, the last ${figure(cable.run.lengthMm - last, 'mm', 0)} before stud B; at most ${figure(mostMm, 'mm', 0)} is asked.`,
      work: {
        formula: say`gaps = ⌈(L − first − last) ÷ farthest⌉, apart = (L − first − last) ÷ gaps`,
        substituted: [
          say`between first and last ${figure(spread, 'mm', 0)}`,
          say`⌈${digits(spread, 0)} ÷ ${digits(mostMm, 0)}⌉ = ${atMm.length - 1}, so ${figure(everyMm, 'mm', 0)} apart`,
        ],
        source: say`small-craft practice, 457 mm (18 in) at most, or closer where the way says so`,
        assumes: say`the first and the last as near their lugs as each end says, else 150 mm`,
      },
    },
    'holds',
  );
}

function listFinding({ cable }: ProofSubject, work: ToFit): Finding {
  const checks = allChecks(fitPlan(cable, work));
  const ticks = standingTicks(cable);
  const missing = checks.filter(({ id }) => !ticks.some(({ check }) => check === id));
  const facts = {
    topic: 'fit-list' as const,
    stage: 'fit' as const,
    title: say`Checks while fitting`,
    unit: '' as const,
    decimals: 0,
    work: {
      formula: say`every check ticked, those of the first energising in order`,
      substituted: [say`${checks.length - missing.length} of ${checks.length} ticked`],
      source: say`small-craft and craft practice`,
      assumes: say`a rework of an end takes the ticks back`,
    },
  };
  const [first] = missing;
  if (first) {
    return notProved({
      ...facts,
      because: say`${missing.length} of ${checks.length} not looked at yet, the first “${first.title.toLowerCase()}”.`,
    });
  }
  return stated(
    { ...facts, value: checks.length, because: say`Every check was ticked, with who and when.` },
    'holds',
  );
}
