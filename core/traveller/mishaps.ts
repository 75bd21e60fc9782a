import { digits } from '../units/figure.ts';
import type { CableWork } from '../cableWork.ts';
import type { Cable, Mishap } from '../job/cable.ts';
import type { EndName } from '../job/end.ts';
import { HOLDS, kindOf, type ReadyEnd, type Step } from './step.ts';
import { say } from '../words/say.ts';

/** A way on from a step that went wrong. */
export interface WayOut {
  readonly way: Mishap['way'];
  /** What to do, as an order. */
  readonly says: string;
  /** What it takes, or why it cannot be done. */
  readonly because: string;
  /** Steps that stand open again. */
  readonly reopens: readonly string[];
  readonly cutBackMm: number;
  readonly possible: boolean;
}

/** Something that goes wrong at a kind of step, and whether doing the step again can mend it. */
interface Fault {
  readonly what: string;
  /** From which kind of step to do it again; null where the end is lost. */
  readonly redoFrom: string | null;
}

const FAULTS: Readonly<Record<string, readonly Fault[]>> = {
  cut: [{ what: say`cut too short`, redoFrom: null }],
  layers: [{ what: say`a layer is missing`, redoFrom: 'layers' }],
  strip: [
    { what: say`strands nicked by the blade`, redoFrom: null },
    { what: say`stripped too long`, redoFrom: null },
  ],
  strands: [
    { what: say`too many strands cut`, redoFrom: null },
    { what: say`strands black or green`, redoFrom: null },
  ],
  home: [
    { what: say`a strand stays outside`, redoFrom: 'home' },
    { what: say`not home to the bottom`, redoFrom: 'home' },
  ],
  clock: [{ what: say`it will not turn that far`, redoFrom: 'home' }],
  crimp: [
    { what: say`dies not closed`, redoFrom: 'crimp' },
    { what: say`wrong die`, redoFrom: null },
    { what: say`slipped out while closing`, redoFrom: null },
    { what: say`a strand was left outside`, redoFrom: null },
  ],
  file: [
    { what: say`dies did not close`, redoFrom: 'crimp' },
    { what: say`ears too large`, redoFrom: null },
    { what: say`it moved in the tug`, redoFrom: null },
    { what: say`barrel cracked`, redoFrom: null },
  ],
  slug: [{ what: say`solder did not run`, redoFrom: 'slug' }],
  solder: [
    { what: say`solder did not run`, redoFrom: 'solder' },
    { what: say`jacket browned`, redoFrom: null },
  ],
  cool: [{ what: say`moved while it set`, redoFrom: 'solder' }],
  screw: [{ what: say`strands pushed out`, redoFrom: 'screw' }],
  shrink: [
    { what: say`sleeve on the palm`, redoFrom: 'shrink' },
    { what: say`sleeve split or burnt`, redoFrom: 'shrink' },
    { what: say`no adhesive showed`, redoFrom: 'shrink' },
    { what: say`the sleeve was never put on`, redoFrom: null },
  ],
};

/** What can go wrong at a step, in the words of the bench. */
export const faultsAt = (step: Step): string[] => (FAULTS[kindOf(step.id)] ?? []).map(({ what }) => what);

/** Cut past the mouth as well: the strands there have been bent and the jacket scored, mm. Shop practice. */
const PAST_MOUTH_MM = 10;

/** What is lost of the cable when an end is cut off, mm: all that was stripped, and a little past it. */
export const cutBackMm = ({ stripMm }: Pick<ReadyEnd, 'stripMm'>) => Math.ceil(stripMm + PAST_MOUTH_MM);

const ofEnd = (steps: readonly Step[], end: EndName) => steps.filter((step) => step.end === end);

/**
 * The ways out of a step that went wrong: do it again where that can mend it, cut the end off where the service loop
 * pays for it, or begin with a new piece.
 */
export function waysOut(what: string, step: Step, cable: Cable, work: CableWork): WayOut[] {
  const { steps } = work;
  const fault = FAULTS[kindOf(step.id)]?.find((own) => own.what === what);
  const ways: WayOut[] = [];
  if (fault?.redoFrom) ways.push(redo(fault.redoFrom, step, steps));
  if (step.end) ways.push(cutBack(step.end, cable, work));
  ways.push({
    way: 'scrap',
    says: say`Begin again with a new piece`,
    because: say`${digits(work.lengths?.cutMm ?? 0, 0)} mm of cable, and what is on it already, are lost.`,
    reopens: steps.map(({ id }) => id),
    cutBackMm: 0,
    possible: true,
  });
  return ways;
}

function redo(from: string, step: Step, steps: readonly Step[]): WayOut {
  const own = step.end ? ofEnd(steps, step.end) : steps.filter(({ end }) => end === undefined);
  const here = own.findIndex(({ id }) => id === step.id);
  // "From the crimp" is from this very crimp, or from the last one before.
  const first = own.slice(0, here + 1).findLastIndex(({ id }) => kindOf(id) === from);
  const reopened = own.slice(Math.max(0, first), here + 1);
  const [begin] = reopened;
  return {
    way: 'redo',
    says: begin && begin.id !== step.id ? say`Do it again from “${begin.short}”` : say`Do this step again`,
    because: say`Nothing of the cable is lost.`,
    reopens: reopened.map(({ id }) => id),
    cutBackMm: 0,
    possible: true,
  };
}

function cutBack(end: EndName, { run, done }: Cable, { ends, steps }: CableWork): WayOut {
  const own = ends[end];
  const lost = cutBackMm({ stripMm: own.stripMm ?? 0 });
  const short = lost - run.loopMm;
  const lugIsSpent = done.some(({ step }) => /^(crimp|solder|slug)/.test(step) && step.endsWith(`.${end}`));
  return {
    way: 'cut back',
    says: say`Cut end ${end} off and make it again`,
    because:
      short > 0
        ? say`${lost} mm come off, and the service loop has ${digits(run.loopMm, 0)}: ${digits(short, 0)} mm too few.`
        : say`${lost} mm come off; of the service loop ${digits(run.loopMm - lost, 0)} mm stay.${lugIsSpent ? say` The lug is spent.` : ''}`,
    reopens: ofEnd(steps, end).map(({ id }) => id),
    cutBackMm: lost,
    possible: short <= 0,
  };
}

/** A new end has all its strands again. */
function withWholeStrands({ ends }: Cable, names: readonly EndName[]): Cable['ends'] {
  const whole = (name: EndName) => {
    const { strands, ...rest } = ends[name];
    return strands && names.includes(name) ? { ...rest, strands: { ...strands, cut: 0 } } : ends[name];
  };
  return { A: whole('A'), B: whole('B') };
}

/** Who says so, and when. */
export interface Said {
  readonly id: string;
  readonly at: string;
  readonly by: string;
}

/**
 * The cable once a way out is taken: its steps stand open again, what was measured there no longer counts, and what
 * happened stays in its record.
 */
export function afterMishap(cable: Cable, what: string, step: Step, out: WayOut, said: Said): Cable {
  const reopened = new Set(out.reopens);
  const isHeldAnew = out.reopens.some((id) => HOLDS.includes(kindOf(id)));
  const ends: EndName[] = out.way === 'scrap' ? ['A', 'B'] : step.end && isHeldAnew ? [step.end] : [];
  return {
    ...cable,
    ends: out.way === 'redo' ? cable.ends : withWholeStrands(cable, out.way === 'scrap' ? ['A', 'B'] : ends),
    done: cable.done.filter((own) => !reopened.has(own.step)),
    passed: cable.passed.filter((own) => !reopened.has(own.step)),
    run: { ...cable.run, loopMm: cable.run.loopMm - out.cutBackMm },
    reworks: [
      ...cable.reworks,
      ...ends.map((end, i) => ({
        id: i === 0 ? said.id : `${said.id}-${end}`,
        at: said.at,
        by: said.by,
        end,
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
      },
    ],
  };
}
