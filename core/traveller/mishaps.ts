import { type Message, msg, amount, bare } from '../words/message.ts';
import type { Making } from './making.ts';
import type { Cable, Mishap, Taken } from '../model/cable.ts';
import { END_NAMES, type EndName } from '../model/end.ts';
import type { Signed } from '../model/people.ts';
import type { Shop } from '../model/shop.ts';
import { layersStep, newSleeveWays, notFromOtherEnd, type SleeveWay } from './newSleeve.ts';
import { restingOn } from './order.ts';
import { MAKES_LUG } from './fromTube.ts';
import { isDone, isHeld, HOLDS, isPractising, kindOf, MELTS } from '../model/stepId.ts';
import { isSpent } from '../cutting/uses.ts';
import { type ReadyEnd, type Step } from './step.ts';

/** A way on from a step that went wrong. */
export interface WayOut {
  readonly way: Mishap['way'];
  /** What to do, as an order. */
  readonly says: Message;
  /** What it takes, or why it cannot be done. */
  readonly because: Message;
  /** Steps that stand open again. */
  readonly reopens: readonly string[];
  readonly cutBackMm: number;
  readonly possible: boolean;
  /** A sleeve that comes on over the palm, where that is the way. */
  readonly over?: SleeveWay['over'];
}

/** What goes wrong, as it is kept in the file, and what it is called by the reader. */
const FAULT_WORDS = {
  'cut too short': msg`cut too short`,
  'a layer is missing': msg`a layer is missing`,
  'strands nicked by the blade': msg`strands nicked by the blade`,
  'stripped too long': msg`stripped too long`,
  'too many strands cut': msg`too many strands cut`,
  'strands black or green': msg`strands black or green`,
  'a strand stays outside': msg`a strand stays outside`,
  'not home to the bottom': msg`not home to the bottom`,
  'it will not turn that far': msg`it will not turn that far`,
  'dies not closed': msg`dies not closed`,
  'wrong die': msg`wrong die`,
  'slipped out while closing': msg`slipped out while closing`,
  'a strand was left outside': msg`a strand was left outside`,
  'dies did not close': msg`dies did not close`,
  'ears too large': msg`ears too large`,
  'it moved in the tug': msg`it moved when tugged`,
  'barrel cracked': msg`barrel cracked`,
  'solder did not run': msg`solder did not run`,
  'jacket browned': msg`jacket browned`,
  'moved while it set': msg`moved while it set`,
  'strands pushed out': msg`strands pushed out`,
  'sleeve on the palm': msg`sleeve on the palm`,
  'sleeve split or burnt': msg`sleeve split or burnt`,
  'no adhesive showed': msg`no adhesive showed`,
  'the sleeve was never put on': msg`the sleeve was never put on`,
  'it sticks in the hole': msg`it sticks in the hole`,
  'jacket torn': msg`jacket torn`,
  'cut in the wrong place': msg`cut in the wrong place`,
  'the neck cracked': msg`the neck cracked`,
  'the hole ran off': msg`the hole ran off`,
} as const;
export type FaultCode = keyof typeof FAULT_WORDS;

/** What went wrong, in words: what an earlier version or a person wrote stands as it was written. */
export const faultSays = (what: string): Message =>
  Object.hasOwn(FAULT_WORDS, what) ? FAULT_WORDS[what as FaultCode] : what;

/** Something that goes wrong at a kind of step, and what can repair it. */
interface Fault {
  readonly what: FaultCode;
  /** From which kind of step to do it again; null where the end is lost. */
  readonly redoFrom: string | null;
  /** The sleeve is not there: it never was, or it is spoilt. */
  readonly lacksSleeve?: true;
}

const FAULTS: Readonly<Record<string, readonly Fault[]>> = {
  cut: [{ what: 'cut too short', redoFrom: null }],
  layers: [{ what: 'a layer is missing', redoFrom: 'layers' }],
  'tube-flatten': [{ what: 'the neck cracked', redoFrom: 'tube-cut' }],
  'tube-drill': [{ what: 'the hole ran off', redoFrom: 'tube-cut' }],
  strip: [
    { what: 'strands nicked by the blade', redoFrom: null },
    { what: 'stripped too long', redoFrom: null },
  ],
  strands: [
    { what: 'too many strands cut', redoFrom: null },
    { what: 'strands black or green', redoFrom: null },
  ],
  home: [
    { what: 'a strand stays outside', redoFrom: 'home' },
    { what: 'not home to the bottom', redoFrom: 'home' },
  ],
  clock: [{ what: 'it will not turn that far', redoFrom: 'home' }],
  crimp: [
    { what: 'dies not closed', redoFrom: 'crimp' },
    { what: 'wrong die', redoFrom: null },
    { what: 'slipped out while closing', redoFrom: null },
    { what: 'a strand was left outside', redoFrom: null },
  ],
  file: [
    { what: 'dies did not close', redoFrom: 'crimp' },
    { what: 'ears too large', redoFrom: null },
    { what: 'it moved in the tug', redoFrom: null },
    { what: 'barrel cracked', redoFrom: null },
  ],
  slug: [{ what: 'solder did not run', redoFrom: 'slug' }],
  solder: [
    { what: 'solder did not run', redoFrom: 'solder' },
    { what: 'jacket browned', redoFrom: null },
  ],
  cool: [{ what: 'moved while it set', redoFrom: 'solder' }],
  screw: [{ what: 'strands pushed out', redoFrom: 'screw' }],
  shrink: [
    { what: 'sleeve on the palm', redoFrom: 'shrink' },
    { what: 'sleeve split or burnt', redoFrom: null, lacksSleeve: true },
    { what: 'no adhesive showed', redoFrom: 'shrink' },
    { what: 'the sleeve was never put on', redoFrom: null, lacksSleeve: true },
  ],
  'pull-through': [
    { what: 'it sticks in the hole', redoFrom: 'pull-through' },
    { what: 'jacket torn', redoFrom: null },
  ],
  'join-cut': [{ what: 'cut in the wrong place', redoFrom: null }],
  'join-crimp': [
    { what: 'dies not closed', redoFrom: 'join-crimp' },
    { what: 'wrong die', redoFrom: null },
  ],
  'join-pinch': [{ what: 'no adhesive showed', redoFrom: 'join-pinch' }],
  'join-shrink': [
    { what: 'no adhesive showed', redoFrom: 'join-shrink' },
    { what: 'sleeve split or burnt', redoFrom: null },
  ],
};

/** What can go wrong at a step. */
export const faultsAt = (step: Step): FaultCode[] => (FAULTS[kindOf(step.id)] ?? []).map(({ what }) => what);

/** Cut past the mouth as well: the strands there have been bent and the jacket scored, mm. Shop practice. */
const PAST_MOUTH_MM = 10;

/** What is lost of the cable when an end is cut off, mm: all that was stripped, and a little past it. */
export const cutBackMm = ({ stripMm }: Pick<ReadyEnd, 'stripMm'>) => Math.ceil(stripMm + PAST_MOUTH_MM);

/** Steps of the cable's own end, without its practice piece and its layers: those are not undone with it. */
const ofEnd = (steps: readonly Step[], end: EndName) =>
  steps.filter((step) => step.end === end && !isPractising(step) && kindOf(step.id) !== 'layers');
/** Whether a lug is made at a step: one that is not on the cable yet outlives the end that is cut off. */
const makesLug = ({ id }: Pick<Step, 'id'>) => MAKES_LUG.includes(kindOf(id));
/** An angle was to the lug that is gone, even where the other end is the one to be clocked now. */
const angleOf = (end: EndName) => `clock.${end}`;

/**
 * The ways out of a step that went wrong: do it again where that can repair it, bring a new sleeve on, cut the end off
 * where the service loop pays for it, or begin with a new piece. Each reopens what it undoes and nothing else.
 */
export function waysOut(what: string, step: Step, cable: Cable, work: Making, shop: Shop): WayOut[] {
  const fault = FAULTS[kindOf(step.id)]?.find((own) => own.what === what);
  const { end } = step;
  const ways: WayOut[] = [];
  if (end && fault?.lacksSleeve) ways.push(...newSleeveWays(end, cable, work, shop).map((way) => again(way)));
  if (fault?.redoFrom) ways.push(...redo(fault.redoFrom, step, cable, work, shop));
  if (end && kindOf(step.id) !== 'layers' && !makesLug(step))
    ways.push(cutBack(end, fault?.lacksSleeve === true, cable, work));
  ways.push({
    way: 'scrap',
    says: msg`Begin again with a new piece`,
    because: msg`${amount(work.lengths?.cutMm ?? 0, 'mm', 0)} of cable, and what is on it already, are lost.`,
    reopens: [
      ...work.steps.filter((own) => !isPractising(own)).map(({ id }) => id),
      ...END_NAMES.map(angleOf),
    ],
    cutBackMm: 0,
    possible: true,
  });
  return ways;
}

const again = (way: SleeveWay, reopens = way.reopens): WayOut => ({
  ...way,
  reopens,
  way: 'redo',
  cutBackMm: 0,
});

/** Doing it again: what was done on top of it is undone with it. */
function redo(from: string, step: Step, cable: Cable, work: Making, shop: Shop): WayOut[] {
  const { steps } = work;
  const { end } = step;
  const plain = (reopens: readonly string[], why: Message | null, begin = step): WayOut => ({
    way: 'redo',
    says: begin.id !== step.id ? msg`Do it again from “${begin.short}”` : msg`Do this step again`,
    because: why ?? msg`Nothing of the cable is lost.`,
    reopens: why === null ? [...new Set(reopens)] : [],
    cutBackMm: 0,
    possible: why === null,
  });
  if (from === 'layers') return [plain([step.id], layersBlocked(step, cable, work))];
  if (!end) {
    const [behind] = from === 'pull-through' ? restingOn(step, steps, cable) : [];
    if (behind) return [plain([], msg`“${behind.short}” is already done after it.`)];
    const over = (own: Step) => kindOf(own.id) === 'join-shrink' && own.after.includes(step.id);
    return [
      plain(
        steps.filter((own) => own === step || over(own)).map(({ id }) => id),
        null,
      ),
    ];
  }
  const ownSteps = ofEnd(steps, end);
  const here = ownSteps.findIndex(({ id }) => id === step.id);
  // "From the crimp" is from this very crimp, or from the last one before.
  const first = ownSteps.slice(0, here + 1).findLastIndex(({ id }) => kindOf(id) === from);
  const begin = ownSteps[first] ?? step;
  const behind = ownSteps.slice(ownSteps.indexOf(begin) + 1).filter(({ id }) => kindOf(id) !== from);
  const held = behind.find(({ id }) => HOLDS.includes(kindOf(id)) && isDone(cable, id));
  if (held)
    return [
      plain([], msg`“${held.short}” is already done on top of it: only cutting it off undoes that.`, begin),
    ];
  const reopens = [begin, ...behind].map(({ id }) => id);
  const isCovered = begin.id !== `shrink.${end}` && isDone(cable, `shrink.${end}`);
  if (!isCovered) return [plain(reopens, null, begin)];
  // What lies under a shrunk sleeve is reached by slitting the sleeve off: a new one has to get on.
  return newSleeveWays(end, cable, work, shop).map((way) => ({
    ...again(way, way.possible ? [...new Set([...reopens, ...way.reopens])] : []),
    says: msg`Slit the sleeve off and do it again from “${begin.short}”. ${way.says}.`,
  }));
}

/** Why a missing layer cannot be put on any more; null where it can. */
function layersBlocked({ end }: Step, cable: Cable, work: Making): Message | null {
  const held = (end ? [end] : END_NAMES).filter((name) => isHeld(name, cable.done));
  return held.map((name) => notFromOtherEnd(name, cable, work)).find((why) => why !== null) ?? null;
}

function cutBack(end: EndName, lacksSleeve: boolean, cable: Cable, work: Making): WayOut {
  const { run, done } = cable;
  const { ends, steps } = work;
  const own = ends[end];
  const spoilt = ofEnd(steps, end).filter((step) => isHeld(end, done) || !makesLug(step));
  const lost = cutBackMm({ stripMm: own.stripMm ?? 0 });
  const short = lost - run.loopMm;
  // A sleeve that is shrunk goes with the end; one that waits on the cable stays there.
  const layers = lacksSleeve || isDone(cable, `shrink.${end}`) ? [layersStep(end, work)] : [];
  return {
    way: 'cut back',
    says: msg`Cut end ${end} off and remake it`,
    because:
      short > 0
        ? msg`${amount(lost, 'mm', 0)} come off, and the service loop has ${bare(run.loopMm, 'mm', 0)}: ${amount(short, 'mm', 0)} too few.`
        : msg`${amount(lost, 'mm', 0)} come off; of the service loop ${amount(run.loopMm - lost, 'mm', 0)} stay.${isHeld(end, done) ? msg` The lug is used up.` : ''}`,
    reopens: [...layers, ...spoilt.map(({ id }) => id), angleOf(end)],
    cutBackMm: lost,
    possible: short <= 0,
  };
}

/** What waits on a cable, or is fixed to it, once its layers are on. */
const ON_WITH_LAYERS = /^(sleeve|band|boot|join-sleeve)\.|^(braid|glass)$/;

/**
 * The parts of a cable that a way out leaves spoilt: a lug that is held with the end that is cut off, a sleeve that is
 * slit, with a scrapped piece all that is on it. Whatever is not among them can be used again.
 *
 * @returns a test of a part, as `usesOf` names it: "lug.A", "sleeve.B", "braid", "cable"
 */
export function spoiltBy(what: string, step: Step, cable: Cable, out: WayOut): (part: string) => boolean {
  const isSplit = what === ('sleeve split or burnt' satisfies FaultCode);
  /** Held, melted or shrunk at an end, or just being so. */
  const isOn = (part: string, name: EndName): boolean => {
    if (part === `lug.${name}`)
      return isSpent(part, cable) || (step.end === name && HOLDS.includes(kindOf(step.id)));
    if (part === `solder.${name}`)
      return isSpent(part, cable) || (step.end === name && MELTS.includes(kindOf(step.id)));
    if (part === `sleeve.${name}` || part === `band.${name}`)
      return isSpent(part, cable) || (isSplit && step.end === name);
    return false;
  };
  const { end } = step;
  switch (out.way) {
    case 'cut back':
      return (part) => end !== undefined && isOn(part, end);
    case 'redo': {
      const isSlit = kindOf(step.id) !== 'shrink' && out.reopens.includes(`shrink.${end}`);
      return (part) =>
        end !== undefined && /^(sleeve|band)\./.test(part) && (isSlit || isSplit) && isOn(part, end);
    }
    case 'scrap':
      return (part) => {
        if (part === 'cable') return isSpent(part, cable) || step.id === 'cut';
        if (ON_WITH_LAYERS.test(part) && isDone(cable, 'layers')) return true;
        if (part === 'label' || part.startsWith('join-lug.')) return isSpent(part, cable);
        return END_NAMES.some((name) => isOn(part, name));
      };
  }
}

/** A new end has all its strands again. */
function withWholeStrands({ ends }: Cable, names: readonly EndName[]): Cable['ends'] {
  const whole = (name: EndName) => {
    const { strands, ...rest } = ends[name];
    return strands && names.includes(name) ? { ...rest, strands: { ...strands, cut: 0 } } : ends[name];
  };
  return { A: whole('A'), B: whole('B') };
}

/** The loop that was asked for: what was cut back of this piece had been taken from it. */
const loopAsked = ({ run, mishaps }: Cable) =>
  mishaps
    .slice(mishaps.findLastIndex(({ way }) => way === 'scrap') + 1)
    .reduce((mm, own) => mm + (own.cutBackMm ?? 0), run.loopMm);

/** The cable's ends as the way out leaves them. */
function endsAfter(cable: Cable, { way, over }: WayOut, remade: readonly EndName[]): Cable['ends'] {
  const ends = way === 'redo' ? cable.ends : withWholeStrands(cable, remade);
  if (!over) return ends;
  return { ...ends, [over.end]: { ...ends[over.end], sleeveAfterLug: true, sleeveId: over.sleeveId } };
}

/**
 * The cable once a way out is taken: its steps stand open again, what was measured there no longer counts, and what
 * happened stays in its record. A new piece has the loop again that was asked for.
 *
 * @param lost what was spoilt of what is counted on the shelf
 */
export function afterMishap(
  cable: Cable,
  what: string,
  step: Step,
  out: WayOut,
  said: Signed,
  lost: readonly Taken[] = [],
): Cable {
  const reopened = new Set(out.reopens);
  const isHeldAnew = out.reopens.some((id) => HOLDS.includes(kindOf(id)));
  const isNew = out.way === 'scrap';
  const ends: readonly EndName[] = isNew ? END_NAMES : step.end && isHeldAnew ? [step.end] : [];
  const joins = cable.joins.filter(({ id }) => reopened.has(`join-crimp-${id}`));
  const remade = [
    ...ends.map((end) => ({ end })),
    ...joins.map(({ id }) => ({ end: 'A' as const, joinId: id })),
  ];
  return {
    ...cable,
    ends: endsAfter(cable, out, ends),
    done: cable.done.filter((own) => !reopened.has(own.step)),
    passed: cable.passed.filter((own) => !reopened.has(own.step)),
    run: { ...cable.run, loopMm: isNew ? loopAsked(cable) : cable.run.loopMm - out.cutBackMm },
    reworks: [
      ...cable.reworks,
      ...remade.map((remadePart, i) => ({
        id: i === 0 ? said.id : `${said.id}-${i}`,
        at: said.at,
        by: said.by,
        ...remadePart,
        what,
      })),
    ],
    mishaps: [
      ...cable.mishaps,
      {
        id: said.id,
        at: said.at,
        by: said.by,
        step: step.id,
        ...(step.end && { end: step.end }),
        what,
        way: out.way,
        ...(out.cutBackMm > 0 && { cutBackMm: out.cutBackMm }),
        ...(lost.length > 0 && { lost: [...lost] }),
      },
    ],
  };
}
