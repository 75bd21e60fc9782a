import { digits } from '../model/units/figure.ts';
import type { Cable } from '../model/cable.ts';
import { otherEnd, type Both } from '../model/end.ts';
import type { CableLengths } from '../cutting/cutLength.ts';
import type { HousePractice } from '../model/housePractice.ts';
import { type Passage, joinMm, passesUnshrunk } from '../termination/throughHole.ts';
import { crimpsASide, type ResolvedJoin } from '../termination/join.ts';
import type { ResolvedEnd } from '../termination/resolveEnd.ts';
import { usesDie } from '../model/method.ts';
import { withAsks } from './asks.ts';
import { withGates } from './gates.ts';
import { predecessors, secondEnd } from './order.ts';
import { practiceBegins, practiceSteps } from './practise.ts';
import { dieName, isReady, type PlainStep, type ReadyEnd, type Step } from './step.ts';
import { withTakes } from './takes.ts';
import { terminate } from './terminate.ts';
import { say } from '../words/say.ts';
import { word } from '../words/terms.ts';

export { dieName, type Feature, type Step } from './step.ts';

/** What the traveller is written from. */
export interface TravellerInput {
  readonly cable: Cable;
  readonly conductorLabel: string;
  readonly ends: Both<ResolvedEnd>;
  readonly joins: readonly ResolvedJoin[];
  readonly lengths: CableLengths;
  /** How it gets through the smallest hole of its route; null where there is none. */
  readonly passage: Passage | null;
  readonly practice: HousePractice;
}

/**
 * The ordered steps of making one cable, with its own figures, by the method of each end. Every layer goes on before
 * the lug that would block it; nothing is shrunk before what it covers is held; an end that does not pass the hole is
 * pulled through bare and finished in place, with what does not pass it put on behind it. A practice piece that was
 * begun comes before all of it.
 *
 * @returns no steps while an end lacks its lug, die or sleeve: there is nothing honest to follow
 */
export function travellerSteps(input: TravellerInput): Step[] {
  const { ends, joins, practice } = input;
  const plain = plainSteps(input);
  const before = predecessors(plain, input.cable.run.laid?.on);
  const inOrder = plain.map((step) => ({ ...step, after: before.get(step.id) ?? [] }));
  return withTakes(withAsks(withGates(inOrder, ends, joins), ends), ends, practice);
}

function plainSteps(input: TravellerInput): PlainStep[] {
  const { cable, joins, lengths, passage, practice } = input;
  const { A, B } = input.ends;
  if (!isReady(A) || !isReady(B)) return [];
  const begun = [A, B].filter(({ name }) => cable.done.some(({ step }) => step === practiceBegins(name)));
  const practised = begun.flatMap((end) => practiceSteps(end, practice));
  const pulled = passage && !passage.finished ? passage.pulled : null;
  const second = secondEnd(cable, pulled ?? otherEnd(cable.run.laid?.on ?? 'A'));
  const made = (end: ReadyEnd) =>
    terminate(end, practice, ...(end.name === second ? [clock(cable, end)] : []));
  const start = [...practised, layOut(input)];
  if (pulled !== null) {
    const [last, first] = pulled === 'A' ? [A, B] : [B, A];
    const holeMm = cable.run.holeMm ?? 0;
    const isBlocked = !passesUnshrunk(last, holeMm);
    const passing = joins.filter((join) => joinMm(join) <= holeMm);
    return [
      ...start,
      cut(input),
      layersOn(isBlocked ? [first] : [A, B], passing),
      ...passing.flatMap((join) => joinSteps(join, lengths)),
      ...made(first),
      ...shrink(first, practice),
      pull(last, cable),
      ...joins
        .filter((join) => !passing.includes(join))
        .flatMap((join) =>
          joinSteps(join, lengths, say`It does not pass the hole: slide its sleeve on now.`),
        ),
      ...(isBlocked ? [{ ...layersOn([last], []), ...behindTheHole(last) }] : []),
      ...made(last),
      ...shrink(last, practice),
      label(cable),
    ];
  }
  const joined = joins.flatMap((join) => joinSteps(join, lengths));
  const [last, first] = second === 'A' ? [A, B] : [B, A];
  const rest = [...made(last), ...shrink(first, practice), ...shrink(last, practice), label(cable)];
  // Laid first: one end is on before the cable is cut where it lies.
  if (cable.run.laid) {
    return [...start, layersOn([A, B], joins), ...made(first), cut(input), ...joined, ...rest];
  }
  return [...start, cut(input), layersOn([A, B], joins), ...joined, ...made(first), ...rest];
}

/** Layers that are put on once an end is through the hole that they do not pass. */
const behindTheHole = ({ name }: ReadyEnd) => ({
  id: `layers.${name}`,
  short: say`Layers on ${name}`,
  order: say`Now slide the layers of end ${name} on, in this order`,
  end: name,
  why: say`They do not pass the hole: they go on behind it, before the lug.`,
});

function layOut({ conductorLabel, ends, joins }: TravellerInput): PlainStep {
  const { A, B } = ends;
  const dies = [A, B].filter(({ method }) => usesDie(method)).map(dieName);
  const things = [
    conductorLabel,
    say`lugs ${A.lug?.label} and ${B.lug?.label}`,
    ...(dies.length > 0 ? [[...new Set(dies)].join(say` and `)] : []),
    ...joins.map(({ connector }) => say`connector ${connector?.label ?? say`missing`}`),
    say`sleeves`,
    say`cutter, stripper, calliper`,
  ];
  return {
    id: 'lay-out',
    short: say`Lay out`,
    order: say`Lay everything out`,
    detail: `${things.join('; ')}.`,
    why: say`A missing sleeve is found now, not after the lug is on.`,
    lit: [],
  };
}

function cut({ lengths }: TravellerInput): PlainStep {
  return {
    id: 'cut',
    short: say`Cut`,
    order: say`Cut to length, square`,
    figure: { value: lengths.cutMm, unit: 'mm', decimals: 0, means: say`cut length` },
    detail: say`Finished, stud to stud, it will be ${digits(lengths.finishedMm, 0)} mm.`,
    why: say`A torn end will not enter a barrel.`,
    caution: { of: 'blades', says: say`Cutters close hard: hold the cable well behind the jaws.` },
    lit: ['cut'],
  };
}

/** What goes on from one end, in order. */
const ordered = ({ name, nesting }: ReadyEnd) =>
  `${name}: ${nesting.map(({ title }) => title).join(say`, then `) || 'nothing'}`;

function layersOn(ends: readonly ReadyEnd[], joins: readonly ResolvedJoin[]): PlainStep {
  const [first, second] = ends.flatMap(({ name, sleeve }) => (sleeve ? [{ name, cutMm: sleeve.cutMm }] : []));
  const joinSleeves = joins.flatMap(({ sleeve }) =>
    sleeve ? [say`${sleeve.suppliedMm}/${sleeve.recoveredMm} for the join`] : [],
  );
  return {
    id: 'layers',
    short: say`Layers on`,
    order: say`Slide every layer onto the cable, in this order`,
    ...(first && {
      figure: {
        value: first.cutMm,
        unit: 'mm',
        decimals: 0,
        means: say`sleeve for ${first.name}${second ? say`; for ${second.name} ${second.cutMm} mm` : ''}`,
      },
    }),
    detail: say`${[...ends.map(ordered), ...joinSleeves].join('. ')}. Push them to the middle, clear of any heat.`,
    why: say`Once a lug is on, a sleeve that grips cannot pass it.`,
    lit: ['layers', 'tag', 'sleeve'],
  };
}

function joinSteps(join: ResolvedJoin, lengths: CableLengths, sleeveNow = ''): PlainStep[] {
  const { spec, connector, die, title, sleeve } = join;
  if (!connector || !die) return [];
  const name = title.toLowerCase();
  return [
    {
      id: `join-cut-${spec.id}`,
      short: say`${title}, cut`,
      order: say`Cut the cable for the ${name} and strip both sides`,
      figure: { value: spec.atMm, unit: 'mm', decimals: 0, means: say`from the centre of stud A` },
      detail:
        say`Strip ${connector.barrelMm} mm on each side. The cable is ${digits(lengths.cutMm, 0)} mm in all.` +
        (sleeveNow && ` ${sleeveNow}`),
      why: say`A join is a last resort: two more crimps to prove.`,
      caution: { of: 'blades', says: say`Cut away from the hand that holds the cable.` },
      lit: ['cut', 'strip'],
    },
    {
      id: `join-crimp-${spec.id}`,
      short: say`${title}, crimp`,
      order: say`Crimp both sides of ${connector.label}`,
      figure: {
        value: die.die.acrossFlatsMm,
        unit: 'mm',
        decimals: 2,
        means: say`across flats, ${Math.min(1, crimpsASide(connector, die))} crimp a side`,
      },
      detail: say`${dieName({ die })}. Measure both, and enter them in Prove.`,
      why: say`Each side is proved like an end.`,
      caution: { of: 'tools', says: say`Fingers out, eyes covered, before the tool closes.` },
      lit: ['crimp'],
    },
    {
      id: `join-shrink-${spec.id}`,
      short: say`${title}, seal`,
      order: say`Shrink ${sleeve ? say`the ${sleeve.suppliedMm}/${sleeve.recoveredMm} sleeve` : say`a sleeve`} over the join`,
      detail:
        spec.kind === 'branch'
          ? say`While it is hot, nip it between the two cables with pliers until it seals.`
          : say`From the middle out, until adhesive shows at both ends.`,
      why: say`Water in a join works along both cables.`,
      caution: { of: 'burns', says: say`Hot until it has cooled: hands off.` },
      lit: ['sleeve'],
    },
  ];
}

function pull({ name, lug }: ReadyEnd, { run }: Cable): PlainStep {
  return {
    id: 'pull-through',
    short: say`Pull through`,
    order: say`Pull end ${name}, still bare, through the smallest hole`,
    ...(run.holeMm !== undefined && {
      figure: { value: run.holeMm, unit: 'mm', decimals: 0, means: say`across, at the smallest` },
    }),
    detail: say`Tape the strands closed. ${lug.label} does not pass: end ${name} is made where it lies.`,
    why: say`A finished end would have to be cut off again.`,
    caution: { of: 'live', says: say`Battery isolated and tagged before a tool goes near it.` },
    lit: ['cut'],
  };
}

function clock({ palmAngleDeg }: Cable, { name }: ReadyEnd): PlainStep {
  return {
    id: `clock.${name}`,
    short: say`Clock ${name}`,
    order: say`Set the angle between the palms`,
    end: name,
    figure: { value: palmAngleDeg, unit: '°', decimals: 0, means: say`palm to palm, ± 5°` },
    detail: say`Let the cable lie in its natural curve, sight along it from ${name}, and turn the lug. Mark lug and jacket with one line.`,
    why: say`A stiff cable will not twist once both lugs are on.`,
    lit: ['clock', 'palm'],
  };
}

const SHRINK_WORDS: Readonly<
  Record<HousePractice['shrinkBy'], { readonly tool: string; readonly how: string }>
> = {
  'heat gun': {
    tool: say`with the heat gun`,
    how: say`Reflector nozzle on, a battery gun lacks the power for thick wall.`,
  },
  torch: {
    tool: say`with the torch`,
    how: say`Always moving, the soft yellow end of the flame, never the blue.`,
  },
};

function shrink(end: ReadyEnd, { shrinkBy }: HousePractice): PlainStep[] {
  const { sleeve, layers, bandColour, spec } = end;
  if (!sleeve) return [];
  const after = [
    ...(layers.includes('band') ? [say`Then the ${word(bandColour)} band over it.`] : []),
    ...(layers.includes('boot') ? [say`The boot goes over all, last.`] : []),
    ...(layers.some((layer) => layer === 'braid' || layer === 'glass')
      ? [say`Catch the end of the braid under it.`]
      : []),
    ...(spec.sleeveAfterLug ? [say`It comes on over the palm.`] : []),
  ];
  return [
    {
      id: `shrink.${end.name}`,
      short: say`Shrink ${end.name}`,
      order: say`Slide the sleeve to the shoulder of ${end.name} and shrink it ${SHRINK_WORDS[shrinkBy].tool}`,
      end: end.name,
      figure: { value: sleeve.coverMm, unit: 'mm', decimals: 0, means: say`covered, from the shoulder back` },
      detail: [
        say`From the palm end back, all round, until a bead of adhesive shows at both ends. Never on the palm.`,
        SHRINK_WORDS[shrinkBy].how,
        ...after,
      ].join(' '),
      why: say`It seals, and takes the strain off the last strand.`,
      caution: {
        of: 'hot work',
        says: say`No fuel vapour, no charging battery near a flame. Hot until it has cooled: hands off.`,
      },
      lit: ['sleeve'],
    },
  ];
}

function label({ tag }: Cable): PlainStep {
  return {
    id: 'label',
    short: say`Label`,
    order: say`Label it ${tag}`,
    detail: say`Let it cool, then slide the tag to the sleeve and shrink it where it can be read in place.`,
    why: say`The next person trusts what has a name and a record.`,
    lit: ['tag'],
  };
}
