import { type Stud, STUDS } from '../../model/tables/studs.ts';
import { atMost, type Finding, notProved, stated } from '../../finding/finding.ts';
import type { Lug } from '../../model/shop.ts';
import { digits, figure } from '../../model/units/figure.ts';
import { about } from './about.ts';
import type { ResolvedEnd } from '../resolveEnd.ts';
import { ampsThrough, byAmps, contactDensity, STACK, stackMm, type StudStack } from '../studs/studStack.ts';
import { say } from '../../words/say.ts';

/** Everything on the stud of an end: how many, how thick, in what order, and how hard the faces work. */
export function stackFindings(end: ResolvedEnd, lug: Lug, stack: StudStack | null): Finding[] {
  if (!stack) return [];
  return [
    ...(stack.disagree.length > 0 ? [disagree(end, stack)] : []),
    ...(stack.members.length > 1 ? [count(end, stack), order(end, stack)] : []),
    thickness(end, stack),
    density(end, lug, stack),
  ];
}

const SOURCE = say`small-craft practice: at most four on a stud, the largest current at the face`;

function disagree(end: ResolvedEnd, stack: StudStack): Finding {
  return stated(
    {
      ...about(end, 'stack-stud', say`One stud, two sizes`),
      value: null,
      unit: '',
      decimals: 0,
      because: say`${stack.name} is ${stack.stud}, but ${stack.disagree.join(say` and `)} ${stack.disagree.length > 1 ? say`say` : say`says`} another.`,
      remedy: say`Measure the stud and say it once.`,
      work: { formula: say`one stud has one size`, substituted: [], source: SOURCE, assumes: '' },
    },
    'fails',
  );
}

function count(end: ResolvedEnd, { members }: StudStack): Finding {
  return atMost(
    {
      ...about(end, 'stack-count', say`Lugs on the stud`),
      value: members.length,
      unit: '',
      decimals: 0,
      because: say`${members.length} on one stud.`,
      ...(members.length > STACK.mostLugs && { remedy: say`Take some to a bus bar.` }),
      work: {
        formula: say`at most four on a stud`,
        substituted: [members.map(({ label }) => label).join(', ')],
        source: SOURCE,
        assumes: say`what is said to be on it`,
      },
    },
    STACK.mostLugs,
  );
}

function order(end: ResolvedEnd, { members }: StudStack): Finding {
  const wanted = byAmps(members);
  const right = members.every(({ amps }, i) => amps === wanted[i]?.amps);
  return stated(
    {
      ...about(end, 'stack-order', say`Order on the stud`),
      value: null,
      unit: '',
      decimals: 0,
      because: right
        ? say`${members[0]?.label} carries most and lies at the face.`
        : say`${wanted[0]?.label} carries most and must lie at the face.`,
      ...(!right && { remedy: say`From the face: ${wanted.map(({ label }) => label).join(', ')}.` }),
      work: {
        formula: say`largest current at the face`,
        substituted: members.map(({ label, amps }, i) => `${i + 1}: ${label}, ${figure(amps, 'A', 0)}`),
        source: SOURCE,
        assumes: say`continuous amps, or the heaviest step of a surge where nothing flows before it`,
      },
    },
    right ? 'holds' : 'fails',
  );
}

function thickness(end: ResolvedEnd, stack: StudStack): Finding {
  const palms = stack.members.map(({ palmMm }) => palmMm);
  const stud: Stud = STUDS[stack.stud];
  const known = palms.filter((mm) => mm !== null);
  const needs = stackMm(stack.stud, known, stack.springWasher);
  const washers = stack.springWasher ? `2 × ${digits(stud.washerMm, 1)}` : digits(stud.washerMm, 1);
  const facts = {
    ...about(end, 'stack', say`Thread of the stud`),
    unit: 'mm',
    decimals: 1,
    work: {
      formula: say`Σ palms + washer + nut + 1.5 threads`,
      substituted: [
        `= ${known.map((mm) => digits(mm, 1)).join(' + ') || '0'} + ${washers} + ${digits(stud.nutMm, 1)} + ${digits(STACK.threadsBeyond * stud.pitchMm, 1)} = ${figure(needs, 'mm', 1)}`,
      ],
      source: say`hardware ISO 4032 and 7089 and inch equivalents, rounded`,
      assumes: say`nothing else between the faces; washer above, never below`,
    },
  } as const;
  const missing = stack.members.filter(({ palmMm }) => palmMm === null);
  if (missing.length > 0) {
    return notProved({
      ...facts,
      because: say`The lug of ${missing.map(({ label }) => label).join(', ')} is not decided, so its palm is not known.`,
      remedy: say`Decide its lug.`,
    });
  }
  return stack.lengthMm === null
    ? stated(
        {
          ...facts,
          value: needs,
          because: say`The stud must stand at least ${figure(needs, 'mm', 1)} clear.`,
        },
        'holds',
      )
    : atMost(
        {
          ...facts,
          value: needs,
          ...(needs > stack.lengthMm && { remedy: say`Thinner palms, fewer lugs, or a longer stud.` }),
        },
        stack.lengthMm,
      );
}

function density(end: ResolvedEnd, lug: Lug, stack: StudStack): Finding {
  const own = stack.members.find(({ isThis }) => isThis);
  const amps = own ? ampsThrough(stack.members, own.key) : 0;
  const perMm2 = contactDensity(stack.stud, lug.holeMm, amps);
  const facts = { ...about(end, 'contact', say`Amps over its face`), unit: 'A/mm²', decimals: 2 } as const;
  const formula = say`I ÷ (π/4 · (washer² − hole²))`;
  const source = say`area under the washer`;
  const ring = `${digits(STUDS[stack.stud].washerOuterMm, 1)}² − ${digits(lug.holeMm, 1)}²`;
  if (perMm2 === null)
    return stated(
      {
        ...facts,
        value: null,
        because: say`The hole is as wide as the washer: nothing presses on the palm.`,
        remedy: say`Buy the hole you need.`,
        work: { formula, substituted: [`${ring} ≤ 0`], source, assumes: say`the hole as measured` },
      },
      'fails',
    );
  return stated(
    {
      ...facts,
      value: perMm2,
      because: say`${figure(amps, 'A', 0)} through its lower face, its own and all stacked above. For information.`,
      work: {
        formula,
        substituted: [`= ${digits(amps, 0)} ÷ (π/4 × (${ring})) = ${digits(perMm2, 2)} A/mm²`],
        source,
        assumes: say`the face bears where the washer presses`,
      },
    },
    'holds',
  );
}
