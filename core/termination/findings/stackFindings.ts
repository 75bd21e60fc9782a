import { type Stud, STUDS } from '../../model/tables/studs.ts';
import { atMost, type Finding, notProved, stated } from '../../finding/finding.ts';
import type { Lug } from '../../model/shop.ts';
import { amount, msg, numeral, allOf, listed, verbatim } from '../../words/message.ts';
import { about } from './about.ts';
import type { ResolvedEnd } from '../resolveEnd.ts';
import { ampsThrough, byAmps, contactDensity, STACK, stackMm, type StudStack } from '../studs/studStack.ts';

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

const SOURCE = msg`small-craft practice: at most four on a stud, the largest current at the face`;

function disagree(end: ResolvedEnd, stack: StudStack): Finding {
  return stated(
    {
      ...about(end, 'stack-stud', msg`One stud, two sizes`),
      value: null,
      unit: '',
      decimals: 0,
      because: msg`${stack.name} is ${stack.stud}, but ${allOf(stack.disagree)} ${stack.disagree.length > 1 ? msg`have` : msg`has`} another.`,
      remedy: msg`Measure the stud and enter it once.`,
      work: { formula: msg`one stud has one size`, substituted: [], source: SOURCE, assumes: '' },
    },
    'fails',
  );
}

function count(end: ResolvedEnd, { members }: StudStack): Finding {
  return atMost(
    {
      ...about(end, 'stack-count', msg`Lugs on the stud`),
      value: members.length,
      unit: '',
      decimals: 0,
      because: msg`${members.length} on one stud.`,
      ...(members.length > STACK.mostLugs && { remedy: msg`Take some to a bus bar.` }),
      work: {
        formula: msg`at most four on a stud`,
        substituted: [members.map(({ label }) => label).join(', ')],
        source: SOURCE,
        assumes: msg`what is entered as on it`,
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
      ...about(end, 'stack-order', msg`Order on the stud`),
      value: null,
      unit: '',
      decimals: 0,
      because: right
        ? msg`${members[0]?.label} carries most and lies at the face.`
        : msg`${wanted[0]?.label} carries most and must lie at the face.`,
      ...(!right && { remedy: msg`From the face: ${wanted.map(({ label }) => label).join(', ')}.` }),
      work: {
        formula: msg`largest current at the face`,
        substituted: members.map(
          ({ label, amps }, i) => verbatim`${i + 1}: ${label}, ${amount(amps, 'A', 0)}`,
        ),
        source: SOURCE,
        assumes: msg`continuous amps, or the heaviest step of a surge where nothing flows before it`,
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
  const washers = stack.springWasher ? verbatim`2 × ${numeral(stud.washerMm, 1)}` : numeral(stud.washerMm, 1);
  const facts = {
    ...about(end, 'stack', msg`Stud length needed`),
    unit: 'mm',
    decimals: 1,
    work: {
      formula: msg`Σ palms + washer + nut + 1.5 threads`,
      substituted: [
        verbatim`= ${
          listed(
            known.map((mm) => numeral(mm, 1)),
            ' + ',
          ) || '0'
        } + ${washers} + ${numeral(stud.nutMm, 1)} + ${numeral(STACK.threadsBeyond * stud.pitchMm, 1)} = ${amount(needs, 'mm', 1)}`,
      ],
      source: msg`hardware ISO 4032 and 7089 and inch equivalents, rounded`,
      assumes: msg`nothing else between the faces; washer above, never below`,
    },
  } as const;
  const missing = stack.members.filter(({ palmMm }) => palmMm === null);
  if (missing.length > 0) {
    return notProved({
      ...facts,
      because: msg`The lug of ${missing.map(({ label }) => label).join(', ')} is not decided, so its palm is not known.`,
      remedy: msg`Decide its lug.`,
    });
  }
  return stack.lengthMm === null
    ? stated(
        {
          ...facts,
          value: needs,
          because: msg`At least ${amount(needs, 'mm', 1)} of the stud must be clear of the face.`,
        },
        'holds',
      )
    : atMost(
        {
          ...facts,
          value: needs,
          ...(needs > stack.lengthMm && { remedy: thinnerRemedy(end) }),
        },
        stack.lengthMm,
      );
}

const thinnerRemedy = ({ thinner }: ResolvedEnd) =>
  thinner
    ? msg`Take ${thinner.label}, whose palm is ${amount(thinner.palmThicknessMm, 'mm', 1)}; or fewer lugs, or a longer stud.`
    : msg`Thinner palms, fewer lugs, or a longer stud.`;

function density(end: ResolvedEnd, lug: Lug, stack: StudStack): Finding {
  const own = stack.members.find(({ isThis }) => isThis);
  const amps = own ? ampsThrough(stack.members, own.key) : 0;
  const perMm2 = contactDensity(stack.stud, lug.holeMm, amps);
  const facts = {
    ...about(end, 'contact', msg`Current per mm² of contact`),
    unit: 'A/mm²',
    decimals: 2,
  } as const;
  const formula = msg`I ÷ (π/4 · (washer² − hole²))`;
  const source = msg`area under the washer`;
  const ring = verbatim`${numeral(STUDS[stack.stud].washerOuterMm, 1)}² − ${numeral(lug.holeMm, 1)}²`;
  if (perMm2 === null)
    return stated(
      {
        ...facts,
        value: null,
        because: msg`The hole is as wide as the washer: nothing presses on the palm.`,
        remedy: msg`Buy the hole you need.`,
        work: { formula, substituted: [verbatim`${ring} ≤ 0`], source, assumes: msg`the hole as measured` },
      },
      'fails',
    );
  return stated(
    {
      ...facts,
      value: perMm2,
      because: msg`${amount(amps, 'A', 0)} through its lower face, its own and all stacked above. For information.`,
      work: {
        formula,
        substituted: [verbatim`= ${numeral(amps, 0)} ÷ (π/4 × (${ring})) = ${numeral(perMm2, 2)} A/mm²`],
        source,
        assumes: msg`the face bears where the washer presses`,
      },
    },
    'holds',
  );
}
