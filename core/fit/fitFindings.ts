import type { CableWork } from '../cableWork.ts';
import { type Finding, notProved, stated } from '../finding.ts';
import type { ProofSubject } from '../proof/subject.ts';
import { allChecks, fitPlan, standingTicks } from './fitChecks.ts';
import { loadedRunFindings } from './loadedRun.ts';
import { torqueFindings } from './torque.ts';
import { say } from '../words/say.ts';

/** What fitting asks: torque, the list of checks, and the loaded run once it was begun. No part of the cable's verdict. */
export function fitFindings(
  subject: ProofSubject,
  work: Pick<CableWork, 'ends' | 'stacks' | 'choice' | 'lengths'>,
): Finding[] {
  return [...torqueFindings(subject), listFinding(subject, work), ...loadedRunFindings(subject)];
}

function listFinding(
  { cable }: ProofSubject,
  work: Pick<CableWork, 'ends' | 'stacks' | 'choice' | 'lengths'>,
): Finding {
  const checks = allChecks(fitPlan(cable, work));
  const ticks = standingTicks(cable);
  const missing = checks.filter(({ id }) => !ticks.some(({ check }) => check === id));
  const facts = {
    id: 'fit-list',
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
