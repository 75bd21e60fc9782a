import { type Finding, notProved, stated } from '../finding/finding.ts';
import type { Cable } from '../model/cable.ts';
import { amount, msg, numeral, small } from '../words/message.ts';
import type { ProofSubject } from '../proof/subject.ts';
import { allChecks, fitPlan, standingTicks, type ToFit } from './fitChecks.ts';
import { loadedRunFindings } from './loadedRun.ts';
import { supportPlan } from '../cutting/supports.ts';
import { torqueFindings } from './torque.ts';

/** What fitting requires: torque, the list of checks, and the loaded run once it was begun. No part of the cable's verdict. */
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
      title: msg`Between supports`,
      value: everyMm,
      unit: 'mm',
      decimals: 0,
      because: msg`${atMm.length} supports, the first ${amount(first, 'mm', 0)} from stud A, the last ${amount(cable.run.lengthMm - last, 'mm', 0)} before stud B; at most ${amount(mostMm, 'mm', 0)} apart is allowed.`,
      work: {
        formula: msg`gaps = ⌈(L − first − last) ÷ farthest⌉, apart = (L − first − last) ÷ gaps`,
        substituted: [
          msg`between first and last ${amount(spread, 'mm', 0)}`,
          msg`⌈${numeral(spread, 0)} ÷ ${numeral(mostMm, 0)}⌉ = ${atMm.length - 1}, so ${amount(everyMm, 'mm', 0)} apart`,
        ],
        source: msg`small-craft practice, 457 mm (18 in) at most, or closer where the route says so`,
        assumes: msg`the first and the last as near their lugs as each end says, else 150 mm`,
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
    title: msg`Checks while fitting`,
    unit: '' as const,
    decimals: 0,
    work: {
      formula: msg`every check ticked, those of the first energising in order`,
      substituted: [msg`${checks.length - missing.length} of ${checks.length} ticked`],
      source: msg`small-craft and craft practice`,
      assumes: msg`a rework of an end takes the ticks back`,
    },
  };
  const [first] = missing;
  if (first) {
    return notProved({
      ...facts,
      because: msg`${missing.length} of ${checks.length} not checked yet, the first “${small(first.title)}”.`,
    });
  }
  return stated(
    { ...facts, value: checks.length, because: msg`Every check was ticked, with who and when.` },
    'holds',
  );
}
