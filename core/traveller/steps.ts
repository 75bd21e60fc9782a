import {
  type Message,
  msg,
  allOf,
  listed,
  small,
  verbatim,
  isSame,
  amount,
  briefly,
} from '../words/message.ts';
import type { Cable } from '../model/cable.ts';
import { otherEnd, type Both } from '../model/end.ts';
import type { CableLengths } from '../cutting/cutLength.ts';
import type { HousePractice } from '../model/housePractice.ts';
import { type Passage, joinMm, passesUnshrunk } from '../termination/throughHole.ts';
import { isStraight } from '../termination/lugs/palmAngle.ts';
import { crimpsASide, type ResolvedJoin } from '../termination/join.ts';
import type { ResolvedEnd } from '../termination/resolveEnd.ts';
import { usesDie } from '../model/method.ts';
import { MOULDED } from '../model/tables/moulded.ts';
import type { Lug } from '../model/shop.ts';
import type { DieOffer } from '../termination/dies/dieOffers.ts';
import { RING } from '../termination/sleeves/sealant.ts';
import { withAsks } from './asks.ts';
import { withGates } from './gates.ts';
import { predecessors, secondEnd } from './order.ts';
import { practiceBegins, practiceSteps } from './practise.ts';
import { dieName, isReady, type PlainStep, type ReadyEnd, type Step } from './step.ts';
import { withTakes } from './takes.ts';
import { terminate } from './terminate.ts';

import { term } from '../words/terms.ts';

export { dieName, type Feature, type Step } from './step.ts';

/** What the traveller is written from. */
export interface TravellerInput {
  readonly cable: Cable;
  readonly conductorLabel: Message;
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
          joinSteps(join, lengths, msg`It does not pass the hole: slide its sleeve on now.`),
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
  short: msg`Layers on ${name}`,
  order: msg`Now slide the layers of end ${name} on, in this order`,
  end: name,
  why: msg`They do not pass the hole: they go on behind it, before the lug.`,
});

function layOut({ conductorLabel, ends, joins }: TravellerInput): PlainStep {
  const { A, B } = ends;
  const dies = [A, B].filter(({ method }) => usesDie(method)).map(dieName);
  const things = [
    conductorLabel,
    msg`lugs ${A.lug?.label} and ${B.lug?.label}`,
    ...(dies.length > 0
      ? [allOf(dies.filter((die, i) => !dies.slice(0, i).some((own) => isSame(own, die))))]
      : []),
    ...joins.map(({ connector }) => msg`connector ${connector?.label ?? msg`missing`}`),
    msg`sleeves`,
    msg`cutter, stripper, calliper`,
  ];
  return {
    id: 'lay-out',
    short: msg`Lay out`,
    order: msg`Lay everything out`,
    detail: verbatim`${listed(things, '; ')}.`,
    why: msg`A missing sleeve is found now, not after the lug is on.`,
    lit: [],
  };
}

function cut({ lengths }: TravellerInput): PlainStep {
  return {
    id: 'cut',
    short: msg`Cut`,
    order: msg`Cut to length, square`,
    figure: { value: lengths.cutMm, unit: 'mm', decimals: 0, means: msg`cut length` },
    detail: msg`Finished, stud to stud, it will be ${amount(lengths.finishedMm, 'mm', 0)}.`,
    why: msg`A torn end will not enter a barrel.`,
    caution: { of: 'blades', says: msg`Cutters close hard: hold the cable well behind the jaws.` },
    lit: ['cut'],
  };
}

/** What goes on from one end, in order. */
const ordered = ({ name, nesting }: ReadyEnd) =>
  verbatim`${name}: ${
    listed(
      nesting.map(({ title }) => title),
      msg`, then `,
    ) || msg`nothing`
  }`;

function layersOn(ends: readonly ReadyEnd[], joins: readonly ResolvedJoin[]): PlainStep {
  const [first, second] = ends.flatMap(({ name, sleeve }) => (sleeve ? [{ name, cutMm: sleeve.cutMm }] : []));
  const joinSleeves = joins.flatMap(({ sleeve, moulded }) => [
    ...(sleeve ? [msg`${sleeve.suppliedMm}/${sleeve.recoveredMm} for the join`] : []),
    ...(moulded ? [msg`${MOULDED[moulded].title}, a leg over each cable`] : []),
  ]);
  return {
    id: 'layers',
    short: msg`Layers on`,
    order: msg`Slide every layer onto the cable, in this order`,
    ...(first && {
      figure: {
        value: first.cutMm,
        unit: 'mm',
        decimals: 0,
        means: msg`sleeve for ${first.name}${second ? msg`; for ${second.name} ${amount(second.cutMm, 'mm', 0)}` : ''}`,
      },
    }),
    detail: msg`${listed([...ends.map(ordered), ...joinSleeves], '. ')}. Push them to the middle, clear of any heat.`,
    why: msg`Once a lug is on, a sleeve that grips cannot pass it.`,
    lit: ['layers', 'tag', 'sleeve'],
  };
}

function joinSteps(join: ResolvedJoin, lengths: CableLengths, sleeveNow: Message = ''): PlainStep[] {
  const { spec, connector, die, title, mouldedTask } = join;
  if (!connector || (!die && connector.cover !== 'solder ring')) return [];
  const name = small(title);
  return [
    {
      id: `join-cut-${spec.id}`,
      short: msg`${title}, cut`,
      order: msg`Cut the cable for the ${name} and strip both sides`,
      figure: { value: spec.atMm, unit: 'mm', decimals: 0, means: msg`from the centre of stud A` },
      detail: msg`Strip ${briefly(connector.barrelMm, 'mm', 1)} on each side. The cable is ${amount(lengths.cutMm, 'mm', 0)} in all.${sleeveNow && verbatim` ${sleeveNow}`}`,
      why: msg`A join is a last resort: two more crimps to prove.`,
      caution: { of: 'blades', says: msg`Cut away from the hand that holds the cable.` },
      lit: ['cut', 'strip'],
    },
    die ? crimpJoin(join, connector, die) : solderJoin(join, connector),
    sealJoin(join, connector),
    ...(spec.kind === 'branch' && !mouldedTask ? [pinch(spec.id, title)] : []),
  ];
}

/** A connector that brings its solder along: nothing is crimped. */
const solderJoin = ({ spec, title }: ResolvedJoin, connector: Lug): PlainStep => ({
  id: `join-crimp-${spec.id}`,
  short: msg`${title}, solder`,
  order: msg`Push both bundles into each other under the ring of ${connector.label}, and heat it until the ring has run`,
  detail: msg`Heat gun, from the ring outwards. Bright metal all round the strands is right; grey lumps are not.`,
  why: msg`Solder that never ran holds nothing.`,
  caution: { of: 'burns', says: msg`Hot until it has cooled: hands off.` },
  lit: ['barrel'],
});

function crimpJoin(join: ResolvedJoin, connector: Lug, die: DieOffer): PlainStep {
  const isCovered = connector.cover !== undefined;
  return {
    id: `join-crimp-${join.spec.id}`,
    short: msg`${join.title}, crimp`,
    order: msg`Crimp both sides of ${connector.label}`,
    figure: {
      value: die.die.acrossFlatsMm,
      unit: 'mm',
      decimals: 2,
      means: msg`across flats, ${Math.min(1, crimpsASide(connector, die))} crimp a side`,
    },
    detail: isCovered
      ? msg`${dieName({ die })}, through its jacket. A smooth die: a jacket that is cut through seals nothing.`
      : msg`${dieName({ die })}. Measure both, and enter them in Prove.`,
    why: isCovered
      ? msg`What lies under the jacket is only tested by a pull.`
      : msg`Each side is proved like an end.`,
    caution: { of: 'tools', says: msg`Fingers out, eyes covered, before the tool closes.` },
    lit: ['crimp'],
  };
}

function sealJoin({ spec, title, sleeve, moulded }: ResolvedJoin, connector: Lug): PlainStep {
  const over: Message = moulded
    ? MOULDED[moulded].title
    : connector.cover
      ? msg`its own jacket`
      : sleeve
        ? msg`the ${sleeve.suppliedMm}/${sleeve.recoveredMm} sleeve`
        : msg`a sleeve`;
  return {
    id: `join-shrink-${spec.id}`,
    short: msg`${title}, seal`,
    order: msg`Shrink ${over} over the join`,
    detail: moulded
      ? msg`The body first, from its middle; then leg after leg, until adhesive shows at every one of them.`
      : spec.kind === 'branch'
        ? msg`From the middle out, until adhesive shows at every end. Pliers within reach: what comes next is done while it is hot.`
        : msg`From the middle out, until adhesive shows at both ends.`,
    why: msg`Water in a join works along both cables.`,
    caution: { of: 'burns', says: msg`Hot until it has cooled: hands off.` },
    lit: ['sleeve'],
  };
}

/** What closes the gap between two cables that leave a sleeve side by side. */
const pinch = (id: string, title: Message): PlainStep => ({
  id: `join-pinch-${id}`,
  short: msg`${title}, nip`,
  order: msg`Nip the sleeve between the two cables with pliers, while it is hot`,
  detail: msg`Hold until the adhesive has closed the gap and set. Then look into it: nothing dark between the cables, adhesive all round each of them.`,
  why: msg`A sleeve round two cables leaves a hole between them; only this closes it.`,
  caution: { of: 'burns', says: msg`Hot until it has cooled: hands off.` },
  lit: ['sleeve'],
});

function pull({ name, lug }: ReadyEnd, { run }: Cable): PlainStep {
  return {
    id: 'pull-through',
    short: msg`Pull through`,
    order: msg`Pull end ${name}, still bare, through the smallest hole`,
    ...(run.holeMm !== undefined && {
      figure: { value: run.holeMm, unit: 'mm', decimals: 0, means: msg`across, at the smallest` },
    }),
    detail: msg`Tape the strands closed. ${lug.label} does not pass: end ${name} is made where it lies.`,
    why: msg`A finished end would have to be cut off again.`,
    caution: { of: 'live', says: msg`Battery isolated and tagged before a tool goes near it.` },
    lit: ['cut'],
  };
}

function clock({ palmAngleDeg }: Cable, { name, lug }: ReadyEnd): PlainStep {
  return {
    id: `clock.${name}`,
    short: msg`Set angle ${name}`,
    order: msg`Set the angle between the palms`,
    end: name,
    figure: { value: palmAngleDeg, unit: '°', decimals: 0, means: msg`palm to palm, ± 5°` },
    detail: isStraight(lug)
      ? msg`Let the cable lie in its natural curve, sight along it from ${name}, and turn the lug. Mark lug and jacket with one line.`
      : msg`Let the cable lie in its natural curve, sight along it from ${name}, and turn the lug: its palm is bent, so the angle counts to the side it is bent to. Mark lug and jacket with one line.`,
    why: msg`A stiff cable will not twist once both lugs are on.`,
    lit: ['clock', 'palm'],
  };
}

const SHRINK_WORDS: Readonly<
  Record<HousePractice['shrinkBy'], { readonly tool: Message; readonly how: Message }>
> = {
  'heat gun': {
    tool: msg`with the heat gun`,
    how: msg`Reflector nozzle on, a battery gun lacks the power for thick wall.`,
  },
  'battery gun': {
    tool: msg`with the battery heat gun`,
    how: msg`Reflector nozzle on, out of the wind, battery full; never help it with a lighter.`,
  },
  torch: {
    tool: msg`with the torch`,
    how: msg`Always moving, the soft yellow end of the flame, never the blue.`,
  },
};

/** The ring of adhesive that goes under a plain sleeve, where the shop seals so. */
function ringUnder({ name, sleeve }: ReadyEnd): PlainStep[] {
  if (!sleeve || sleeve.ringG === 0) return [];
  return [
    {
      id: `ring.${name}`,
      short: msg`Ring ${name}`,
      order: msg`Lay a ring of flexible adhesive round ${name}, half on the jacket and half on the barrel`,
      end: name,
      figure: {
        value: RING.widthMm,
        unit: 'mm',
        decimals: 0,
        means: msg`wide, ${amount(RING.thickMm, 'mm', 0)} thick`,
      },
      detail: msg`On clean, dry metal and jacket, all the way round, just before the sleeve goes over it.`,
      why: msg`The plain sleeve over it does not seal by itself.`,
      lit: ['barrel', 'sleeve'],
    },
  ];
}

function shrink(end: ReadyEnd, { shrinkBy }: HousePractice): PlainStep[] {
  const { sleeve, layers, bandColour, spec } = end;
  if (!sleeve) return [];
  const after = [
    ...(layers.includes('band') ? [msg`Then the ${term(bandColour)} band over it.`] : []),
    ...(layers.includes('boot') ? [msg`The boot goes over all, last.`] : []),
    ...(layers.some((layer) => layer === 'braid' || layer === 'glass')
      ? [msg`Catch the end of the braid under it.`]
      : []),
    ...(spec.sleeveAfterLug ? [msg`It comes on over the palm.`] : []),
  ];
  const shows = sleeve.seals;
  return [
    ...ringUnder(end),
    {
      id: `shrink.${end.name}`,
      short: msg`Shrink ${end.name}`,
      order: msg`Slide the sleeve to the shoulder of ${end.name} and shrink it ${SHRINK_WORDS[shrinkBy].tool}`,
      end: end.name,
      figure: { value: sleeve.coverMm, unit: 'mm', decimals: 0, means: msg`covered, from the shoulder back` },
      detail: listed(
        [
          shows
            ? msg`From the palm end back, all round, until a bead of adhesive shows at both ends. Never on the palm.`
            : msg`From the palm end back, all round, until it lies tight everywhere. Never on the palm.`,
          SHRINK_WORDS[shrinkBy].how,
          ...after,
        ],
        ' ',
      ),
      why: shows
        ? msg`It seals, and takes the strain off the last strand.`
        : msg`It insulates, and takes the strain off the last strand; it keeps no water out.`,
      caution: {
        of: 'hot work',
        says: msg`No fuel vapour, no charging battery near a flame. Hot until it has cooled: hands off.`,
      },
      lit: ['sleeve'],
    },
  ];
}

function label({ tag }: Cable): PlainStep {
  return {
    id: 'label',
    short: msg`Label`,
    order: msg`Label it ${tag}`,
    detail: msg`Let it cool, then slide the tag to the sleeve and shrink it where it can be read in place.`,
    why: msg`The next person trusts what has a name and a record.`,
    lit: ['tag'],
  };
}
