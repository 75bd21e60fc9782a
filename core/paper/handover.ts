import { cautionsTold } from './cautionsTold.ts';
import { small, tell, bare } from '../words/message.ts';
import { cablesSay } from '../words/counts.ts';
import { STUDS } from '../model/tables/studs.ts';
import { duesOf, dueSays } from '../fit/service.ts';
import type { Job } from '../model/job.ts';
import { END_NAMES } from '../model/end.ts';
import type { WorkedCable } from '../cableWork.ts';
import type { Shop } from '../model/shop.ts';
import { meetsWord } from '../model/posts.ts';
import type { StudStack } from '../termination/studs/studStack.ts';
import type { CautionId } from '../model/cautions.ts';
import { figure } from '../model/units/figure.ts';
import { type ListDoc, scheduleDoc } from './listDoc.ts';
import { say } from '../words/say.ts';
import { dayText, measuredUnit } from '../words/measures.ts';
import { torqueText } from '../fit/torque.ts';

/** A stud that several lugs share, as it was stacked. */
export interface StackSheet {
  readonly name: string;
  readonly stack: StudStack;
  /** From the face outwards, a line each. */
  readonly lines: readonly string[];
}

/** A job as it was built, for whoever owns it and whoever works on it next. */
export interface Handover {
  readonly title: string;
  readonly subtitle: string;
  /** The day it was written, ISO 8601. */
  readonly day: string;
  readonly facts: readonly string[];
  /** What is not proved, fails, or was read by stand-ins: said on the first page, not hidden behind it. */
  readonly open: readonly string[];
  readonly schedule: ListDoc;
  readonly ends: ListDoc;
  readonly dues: ListDoc;
  /** The tables of its system; none where it has none. */
  readonly system: readonly ListDoc[];
  readonly stacks: readonly StackSheet[];
  readonly cautions: readonly { readonly title: string; readonly items: readonly string[] }[];
  readonly foot: string;
}

/** What whoever comes next must know before touching it. */
const CAUTIONS_HANDED: readonly CautionId[] = ['live', 'tools', 'hot work'];
const FOOT = say`Figures for planning. Local codes, class and survey rules, makers’ instructions and licensed persons come first.`;

/**
 * The handover pack of a job: schedule, ends with their torque, stud stacks, what is due, cautions.
 *
 * @param cables every cable of the job with its work, in the job's order
 * @param day it is written, ISO 8601
 * @param system the tables of its system, see {@link systemDocs}
 */
export function handover(
  job: Job,
  cables: readonly WorkedCable[],
  shop: Shop,
  day: string,
  system: readonly ListDoc[] = [],
): Handover {
  const proved = cables.filter(({ work }) => work.stages.prove.done).length;
  const metres = cables.reduce((sum, { work }) => sum + (work.lengths?.finishedMm ?? 0), 0) / 1000;
  return {
    title: job.title,
    subtitle: job.subtitle,
    day,
    facts: [
      say`${cablesSay(cables.length)}, ${figure(metres, 'm', 1)} in all`,
      say`${proved} of ${cables.length} proved`,
      say`written ${day}`,
    ],
    open: openPoints(cables),
    schedule: scheduleDoc(job.title, cables),
    ends: endsDoc(job, cables),
    dues: duesDoc(job, cables, shop),
    system,
    stacks: stackSheets(cables),
    cautions: cautionsTold(CAUTIONS_HANDED),
    foot: FOOT,
  };
}

function openPoints(cables: readonly WorkedCable[]): string[] {
  return cables.flatMap(({ cable, work }) => {
    const { verdict, findings } = work;
    const simulated = findings.some(({ provenance }) => provenance === 'simulated');
    const first = verdict.reasons[0];
    return [
      ...(verdict.state === 'fails' || verdict.state === 'unproved'
        ? [
            `${cable.tag} ${verdict.state === 'fails' ? say`fails` : say`is not proved`}${first ? `: ${tell(small(first.title))}${first.end ? say` of ${first.end}` : ''}` : ''}.`,
          ]
        : []),
      ...(simulated ? [say`${cable.tag} has SIMULATED readings: they prove nothing.`] : []),
      ...END_NAMES.flatMap((name) => {
        const temporary = cable.ends[name].temporary;
        return temporary
          ? [say`${cable.tag} ${name} is a get-you-home repair, to be replaced by ${temporary.replaceBy}.`]
          : [];
      }),
    ];
  });
}

/** Every end: where it is bolted, what it is tightened to, and what it was tightened to last. */
function endsDoc(job: Job, cables: readonly WorkedCable[]): ListDoc {
  return {
    title: say`Ends and torque`,
    subtitle: job.title,
    columns: [
      { title: say`end`, width: 0.11 },
      { title: say`where`, width: 0.24 },
      { title: say`goes on`, width: 0.1 },
      { title: say`lug`, width: 0.25 },
      { title: measuredUnit('N·m'), width: 0.1, right: true },
      { title: say`tightened`, width: 0.2, right: true },
    ],
    sections: [
      {
        title: '',
        rows: cables.flatMap(({ cable, work }) =>
          END_NAMES.map((name) => {
            const end = work.ends[name];
            const torque = work.findings.find(({ topic, end: of }) => topic === 'torque' && of === name);
            const limit = torque?.limit;
            return [
              `${cable.tag} ${name}`,
              cable.ends[name].at,
              tell(meetsWord(end.meets)),
              end.lug?.label ?? say`not decided`,
              limit?.kind === 'window'
                ? say`${bare(limit.least, 'N·m', 0)} to ${bare(limit.most, 'N·m', 0)}`
                : '',
              torque?.read && torque.value !== null
                ? `${tell(bare(torque.value, 'N·m', 1))}, ${dayText(torque.read.at)}`
                : say`not recorded`,
            ];
          }),
        ),
      },
    ],
    foot: FOOT,
  };
}

function duesDoc(job: Job, cables: readonly WorkedCable[], { practice }: Shop): ListDoc {
  const rows = cables
    .flatMap(({ cable }) => duesOf(cable, practice).map((due) => ({ cable, due })))
    .sort((a, b) => a.due.by.localeCompare(b.due.by));
  return {
    title: say`Next inspection`,
    subtitle: say`${job.title}. Retighten after ${practice.service.retorqueDays} days; inspect every ${practice.service.lookMonths} months.`,
    columns: [
      { title: say`by`, width: 0.16 },
      { title: say`cable`, width: 0.14 },
      { title: say`what`, width: 0.38 },
      { title: say`counted from`, width: 0.18 },
      { title: say`done`, width: 0.14, right: true },
    ],
    sections: [
      {
        title: rows.length === 0 ? say`Nothing is due before the first cable is fitted.` : '',
        rows: rows.map(({ cable, due }) => [due.by, cable.tag, tell(dueSays(due)), due.since, '[  ]']),
      },
    ],
    foot: FOOT,
  };
}

/** Studs with more than one lug, each once. */
function stackSheets(cables: readonly WorkedCable[]): StackSheet[] {
  const found = new Map<string, StackSheet>();
  for (const { work } of cables) {
    for (const name of END_NAMES) {
      const stack = work.stacks[name];
      if (!stack || stack.members.length < 2) continue;
      const key = stack.members
        .map((member) => member.key)
        .sort()
        .join(' ');
      if (found.has(key)) continue;
      found.set(key, {
        name: tell(stack.name),
        stack,
        lines: [
          ...stack.members.map(
            ({ label, amps, palmMm }, i) =>
              `${i + 1}. ${label}, ${figure(amps, 'A', 0)}${palmMm === null ? '' : say`, palm ${figure(palmMm, 'mm', 1)}`}`,
          ),
          say`then the washer${stack.springWasher ? say`, the spring washer` : ''} and the nut, ${torqueText(STUDS[stack.stud].torqueNm)}`,
        ],
      });
    }
  }
  return [...found.values()];
}
