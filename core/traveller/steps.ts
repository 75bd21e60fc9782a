import type { Cable } from '../job/cable.ts';
import type { CableLengths } from '../cutting/cutLength.ts';
import type { HousePractice } from '../practice/housePractice.ts';
import type { Passage } from '../termination/holeFindings.ts';
import { crimpsASide, type ResolvedJoin } from '../termination/join.ts';
import type { ResolvedEnd } from '../termination/resolveEnd.ts';
import { usesDie } from '../termination/method.ts';
import { withAsks } from './asks.ts';
import { withGates } from './gates.ts';
import { practiceBegins, practiceSteps } from './practise.ts';
import { dieName, isReady, type PlainStep, type ReadyEnd, type Step } from './step.ts';
import { withTakes } from './takes.ts';
import { terminate } from './terminate.ts';

export { dieName, type Feature, type Step } from './step.ts';

/** What the traveller is written from. */
export interface TravellerInput {
  readonly cable: Cable;
  readonly conductorLabel: string;
  readonly ends: { readonly A: ResolvedEnd; readonly B: ResolvedEnd };
  readonly joins: readonly ResolvedJoin[];
  readonly lengths: CableLengths;
  /** How it gets through the smallest hole of its route; null where there is none. */
  readonly passage: Passage | null;
  readonly practice: HousePractice;
}

/**
 * The ordered steps of making one cable, with its own figures, by the method of each end. Every layer goes on before
 * the lug that would block it; nothing is shrunk before what it covers is held; an end that does not pass the hole is
 * pulled through bare and finished in place. A practice piece that was begun comes before all of it.
 *
 * @returns no steps while an end lacks its lug, die or sleeve: there is nothing honest to follow
 */
export function travellerSteps(input: TravellerInput): Step[] {
  const plain = plainSteps(input).map((step): Step => ({ ...step, gates: [] }));
  return withTakes(withAsks(withGates(plain, input.ends), input.ends), input.ends, input.practice);
}

function plainSteps(input: TravellerInput): PlainStep[] {
  const { cable, joins, lengths, passage, practice } = input;
  const { A, B } = input.ends;
  if (!isReady(A) || !isReady(B)) return [];
  const begun = [A, B].filter(({ name }) => cable.done.some(({ step }) => step === practiceBegins(name)));
  const start = [
    ...begun.flatMap((end) => practiceSteps(end, practice)),
    layOut(input),
    cut(input),
    layersOn(A, B, joins),
  ];
  const joined = joins.flatMap((join) => joinSteps(join, lengths));
  if (passage && !passage.finished && passage.pulled !== null) {
    const [last, first] = passage.pulled === 'A' ? [A, B] : [B, A];
    return [
      ...start,
      ...joined,
      ...terminate(first, practice),
      ...shrink(first, practice),
      pull(last, cable),
      ...terminate(last, practice, clock(cable, last)),
      ...shrink(last, practice),
      label(cable),
    ];
  }
  return [
    ...start,
    ...joined,
    ...terminate(A, practice),
    ...terminate(B, practice, clock(cable, B)),
    ...shrink(A, practice),
    ...shrink(B, practice),
    label(cable),
  ];
}

function layOut({ conductorLabel, ends, joins }: TravellerInput): PlainStep {
  const { A, B } = ends;
  const dies = [A, B].filter(({ method }) => usesDie(method)).map(dieName);
  const things = [
    conductorLabel,
    `lugs ${A.lug?.label} and ${B.lug?.label}`,
    ...(dies.length > 0 ? [[...new Set(dies)].join(' and ')] : []),
    ...joins.map(({ connector }) => `connector ${connector?.label ?? 'missing'}`),
    'sleeves',
    'cutter, stripper, calliper',
  ];
  return {
    id: 'lay-out',
    short: 'Lay out',
    order: 'Lay everything out',
    detail: `${things.join('; ')}.`,
    why: 'A missing sleeve is found now, not after the lug is on.',
    lit: [],
  };
}

function cut({ lengths }: TravellerInput): PlainStep {
  return {
    id: 'cut',
    short: 'Cut',
    order: 'Cut to length, square',
    figure: { value: lengths.cutMm, unit: 'mm', decimals: 0, means: 'cut length' },
    detail: `Finished, stud to stud, it will be ${lengths.finishedMm.toFixed(0)} mm.`,
    why: 'A torn end will not enter a barrel.',
    caution: { of: 'blades', says: 'Cutters close hard: hold the cable well behind the jaws.' },
    lit: ['cut'],
  };
}

/** What goes on from one end, in order. */
const ordered = ({ name, nesting }: ReadyEnd) =>
  `${name}: ${nesting.map(({ title }) => title).join(', then ') || 'nothing'}`;

function layersOn(a: ReadyEnd, b: ReadyEnd, joins: readonly ResolvedJoin[]): PlainStep {
  const cut = a.sleeve?.cutMm ?? b.sleeve?.cutMm;
  const joinSleeves = joins.flatMap(({ sleeve }) =>
    sleeve ? [`${sleeve.suppliedMm}/${sleeve.recoveredMm} for the join`] : [],
  );
  return {
    id: 'layers',
    short: 'Layers on',
    order: 'Slide every layer onto the cable, in this order',
    ...(cut !== undefined && {
      figure: {
        value: cut,
        unit: 'mm',
        decimals: 0,
        means: `sleeve for ${a.sleeve ? 'A' : 'B'}${a.sleeve && b.sleeve ? `; for B ${b.sleeve.cutMm} mm` : ''}`,
      },
    }),
    detail: `${[ordered(a), ordered(b), ...joinSleeves].join('. ')}. Push them to the middle, clear of any heat.`,
    why: 'Once a lug is on, a sleeve that grips cannot pass it.',
    lit: ['layers', 'tag', 'sleeve'],
  };
}

function joinSteps(join: ResolvedJoin, lengths: CableLengths): PlainStep[] {
  const { spec, connector, die, title, sleeve } = join;
  if (!connector || !die) return [];
  const name = title.toLowerCase();
  return [
    {
      id: `join-cut-${spec.id}`,
      short: `${title}, cut`,
      order: `Cut the cable for the ${name} and strip both sides`,
      figure: { value: spec.atMm, unit: 'mm', decimals: 0, means: 'from the centre of stud A' },
      detail: `Strip ${connector.barrelMm} mm on each side. The cable is ${lengths.cutMm.toFixed(0)} mm in all.`,
      why: 'A join is a last resort: two more crimps to prove.',
      caution: { of: 'blades', says: 'Cut away from the hand that holds the cable.' },
      lit: ['cut', 'strip'],
    },
    {
      id: `join-crimp-${spec.id}`,
      short: `${title}, crimp`,
      order: `Crimp both sides of ${connector.label}`,
      figure: {
        value: die.die.acrossFlatsMm,
        unit: 'mm',
        decimals: 2,
        means: `across flats, ${Math.min(1, crimpsASide(connector, die))} crimp a side`,
      },
      detail: `${dieName({ die })}. Measure both, and enter them in Prove.`,
      why: 'Each side is proved like an end.',
      caution: { of: 'tools', says: 'Fingers out, eyes covered, before the tool closes.' },
      lit: ['crimp'],
    },
    {
      id: `join-shrink-${spec.id}`,
      short: `${title}, seal`,
      order: `Shrink ${sleeve ? `the ${sleeve.suppliedMm}/${sleeve.recoveredMm} sleeve` : 'a sleeve'} over the join`,
      detail:
        spec.kind === 'branch'
          ? 'While it is hot, nip it between the two cables with pliers until it seals.'
          : 'From the middle out, until adhesive shows at both ends.',
      why: 'Water in a join works along both cables.',
      caution: { of: 'burns', says: 'Hot until it has cooled: hands off.' },
      lit: ['sleeve'],
    },
  ];
}

function pull({ name, lug }: ReadyEnd, { run }: Cable): PlainStep {
  return {
    id: 'pull-through',
    short: 'Pull through',
    order: `Pull end ${name}, still bare, through the smallest hole`,
    ...(run.holeMm !== undefined && {
      figure: { value: run.holeMm, unit: 'mm', decimals: 0, means: 'across, at the smallest' },
    }),
    detail: `Tape the strands closed. ${lug.label} does not pass: end ${name} is made where it lies.`,
    why: 'A finished end would have to be cut off again.',
    caution: { of: 'live', says: 'Battery isolated and tagged before a tool goes near it.' },
    lit: ['cut'],
  };
}

function clock({ palmAngleDeg }: Cable, { name }: ReadyEnd): PlainStep {
  return {
    id: `clock.${name}`,
    short: `Clock ${name}`,
    order: 'Set the angle between the palms',
    end: name,
    figure: { value: palmAngleDeg, unit: '', decimals: 0, means: 'degrees, palm to palm, ± 5' },
    detail: `Let the cable lie in its natural curve, sight along it from ${name}, and turn the lug. Mark lug and jacket with one line.`,
    why: 'A stiff cable will not twist once both lugs are on.',
    lit: ['clock', 'palm'],
  };
}

const SHRINK_WORDS: Readonly<
  Record<HousePractice['shrinkBy'], { readonly tool: string; readonly how: string }>
> = {
  'heat gun': {
    tool: 'with the heat gun',
    how: 'Reflector nozzle on, a battery gun lacks the power for thick wall.',
  },
  torch: { tool: 'with the torch', how: 'Always moving, the soft yellow end of the flame, never the blue.' },
};

function shrink(end: ReadyEnd, { shrinkBy }: HousePractice): PlainStep[] {
  const { sleeve, layers, bandColour, spec } = end;
  if (!sleeve) return [];
  const after = [
    ...(layers.includes('band') ? [`Then the ${bandColour} band over it.`] : []),
    ...(layers.includes('boot') ? ['The boot goes over all, last.'] : []),
    ...(layers.some((layer) => layer === 'braid' || layer === 'glass')
      ? ['Catch the end of the braid under it.']
      : []),
    ...(spec.sleeveAfterLug ? ['It comes on over the palm.'] : []),
  ];
  return [
    {
      id: `shrink.${end.name}`,
      short: `Shrink ${end.name}`,
      order: `Slide the sleeve to the shoulder of ${end.name} and shrink it ${SHRINK_WORDS[shrinkBy].tool}`,
      end: end.name,
      figure: { value: sleeve.coverMm, unit: 'mm', decimals: 0, means: 'covered, from the shoulder back' },
      detail: [
        'From the palm end back, all round, until a bead of adhesive shows at both ends. Never on the palm.',
        SHRINK_WORDS[shrinkBy].how,
        ...after,
      ].join(' '),
      why: 'It seals, and takes the strain off the last strand.',
      caution: {
        of: 'hot work',
        says: 'No fuel vapour, no charging battery near a flame. Hot until it has cooled: hands off.',
      },
      lit: ['sleeve'],
    },
  ];
}

function label({ tag }: Cable): PlainStep {
  return {
    id: 'label',
    short: 'Label',
    order: `Label it ${tag}`,
    detail: 'Let it cool, then slide the tag to the sleeve and shrink it where it can be read in place.',
    why: 'The next person trusts what has a name and a record.',
    lit: ['tag'],
  };
}
