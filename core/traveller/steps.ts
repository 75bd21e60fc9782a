import type { Cable, EndName } from '../job/cable.ts';
import type { CableLengths } from '../cutting/cutLength.ts';
import type { ResolvedEnd } from '../termination/resolveEnd.ts';
import type { Unit } from '../units/figure.ts';

/** Parts of the workpiece that a step is about: the drawing lights them and leaves the rest pale. */
export type Feature =
  'cut' | 'layers' | 'strip' | 'strands' | 'barrel' | 'crimp' | 'clock' | 'sleeve' | 'palm' | 'tag';

/** One thing to do at the bench. */
export interface Step {
  readonly id: string;
  /** Two or three words for the list. */
  readonly short: string;
  /** What to do, as an order. */
  readonly order: string;
  readonly end?: EndName;
  /** The number one would otherwise look up. */
  readonly figure?: {
    readonly value: number;
    readonly unit: Unit;
    readonly decimals: number;
    readonly means: string;
  };
  readonly detail: string;
  /** Why it matters, in one line. */
  readonly why: string;
  /** The usual caution, where the danger is. */
  readonly caution?: string;
  readonly lit: readonly Feature[];
}

/** What the traveller is written from. */
export interface TravellerInput {
  readonly cable: Cable;
  readonly conductorLabel: string;
  readonly ends: { readonly A: ResolvedEnd; readonly B: ResolvedEnd };
  readonly lengths: CableLengths;
}

/**
 * The ordered steps of making one crimped cable at the bench, with its own figures. Every layer goes on before the
 * lug that would block it; nothing is shrunk before both ends are crimped.
 *
 * @returns no steps while an end lacks its lug, die or sleeve: there is nothing honest to follow
 */
export function travellerSteps(input: TravellerInput): Step[] {
  const { A, B } = input.ends;
  if (!isReady(A) || !isReady(B)) return [];
  return [
    layOut(input),
    cut(input),
    layersOn(A, B),
    ...terminate(A),
    ...terminate(B, clock(input.cable)),
    shrink(A),
    shrink(B),
    label(input.cable),
  ];
}

type ReadyEnd = ResolvedEnd & {
  readonly lug: NonNullable<ResolvedEnd['lug']>;
  readonly die: NonNullable<ResolvedEnd['die']>;
  readonly sleeve: NonNullable<ResolvedEnd['sleeve']>;
  readonly stripMm: number;
};

const isReady = (end: ResolvedEnd): end is ReadyEnd =>
  end.lug !== null && end.die !== null && end.sleeve !== null && end.crimps.length > 0;

function layOut({ conductorLabel, ends }: TravellerInput): Step {
  const { A, B } = ends;
  return {
    id: 'lay-out',
    short: 'Lay out',
    order: 'Lay everything out',
    detail: `${conductorLabel}; lugs ${A.lug?.label} and ${B.lug?.label}; ${dieName(A)} and ${dieName(B)}; two sleeves; cutter, stripper, calliper.`,
    why: 'A missing sleeve is found now, not after the lug is on.',
    lit: [],
  };
}

/** A die as one looks for it in the case: by its stamp, and by the flats that tell what it is. */
export function dieName(end: ResolvedEnd): string {
  const die = end.die?.die;
  if (!die) return 'no die';
  return `${die.stamp ? `die ${die.stamp}` : 'the unmarked die'}, ${die.acrossFlatsMm.toFixed(1)} across flats`;
}

function cut({ lengths }: TravellerInput): Step {
  return {
    id: 'cut',
    short: 'Cut',
    order: 'Cut to length, square',
    figure: { value: lengths.cutMm, unit: 'mm', decimals: 0, means: 'cut length' },
    detail: `Finished, stud to stud, it will be ${lengths.finishedMm.toFixed(0)} mm.`,
    why: 'A torn end will not enter a barrel.',
    caution: 'Cutters close hard: hold the cable well behind the jaws.',
    lit: ['cut'],
  };
}

function layersOn(a: ReadyEnd, b: ReadyEnd): Step {
  return {
    id: 'layers',
    short: 'Layers on',
    order: 'Slide both sleeves and the tag onto the cable',
    figure: {
      value: a.sleeve.cutMm,
      unit: 'mm',
      decimals: 0,
      means: `sleeve for A; for B ${b.sleeve.cutMm} mm`,
    },
    detail: `Cut ${sleeveName(a)} ${a.sleeve.cutMm} mm for end A and ${sleeveName(b)} ${b.sleeve.cutMm} mm for end B. Push them to the middle, clear of any heat.`,
    why: 'Once a lug is on, a sleeve that grips cannot pass it.',
    lit: ['layers', 'tag', 'sleeve'],
  };
}

const sleeveName = ({ sleeve: { sleeve } }: ReadyEnd) => `${sleeve.suppliedMm}/${sleeve.recoveredMm} sleeve`;

function clock({ palmAngleDeg }: Cable): Step {
  return {
    id: 'clock.B',
    short: 'Clock B',
    order: 'Set the angle between the palms',
    end: 'B',
    figure: { value: palmAngleDeg, unit: '', decimals: 0, means: 'degrees, palm to palm, ± 5' },
    detail:
      'Let the cable lie in its natural curve, sight along it from B, and turn the lug. Mark lug and jacket with one line.',
    why: 'A stiff cable will not twist once both lugs are on.',
    lit: ['clock', 'palm'],
  };
}

/** The steps from a bare end to a filed crimp. `beforeCrimp` is put in once the lug is home. */
function terminate(end: ReadyEnd, ...beforeCrimp: Step[]): Step[] {
  const { name, lug, die } = end;
  const total = end.crimps.length;
  const step = (key: string, rest: Omit<Step, 'id' | 'end'>): Step => ({
    id: `${key}.${name}`,
    end: name,
    ...rest,
  });
  return [
    step('strip', {
      short: `Strip ${name}`,
      order: `Strip end ${name}`,
      figure: { value: end.stripMm, unit: 'mm', decimals: 0, means: 'of jacket off' },
      detail: `Barrel ${lug.barrelMm} deep, and ${end.gapMm} of copper to show. Score round, bend, pull; slit along.`,
      why: 'Insulation under the barrel holds nothing and burns.',
      caution: 'Cut away from the hand that holds the cable.',
      lit: ['strip'],
    }),
    step('strands', {
      short: `Strands ${name}`,
      order: 'Look at every strand',
      detail: 'Count any that are nicked or cut. Cut back and strip again if the house allows none.',
      why: 'A cut strand carries nothing and hides its loss.',
      lit: ['strands'],
    }),
    step('home', {
      short: `Home ${name}`,
      order: `Gather all strands and push them home in ${lug.label}`,
      figure: { value: lug.barrelMm, unit: 'mm', decimals: 0, means: 'into the barrel' },
      detail: lug.sightHole
        ? 'Copper must show in the sight hole.'
        : 'Mark the barrel depth on the strands and see the mark vanish.',
      why: 'A short strand is a smaller cable.',
      lit: ['barrel', 'strands'],
    }),
    ...beforeCrimp,
    ...end.crimps.map((centre, i) =>
      step(`crimp-${i + 1}`, {
        short: total > 1 ? `Crimp ${name}, ${i + 1}` : `Crimp ${name}`,
        order:
          i === 0
            ? 'Seat in the die, check, and close until the flats meet'
            : 'Move to the second crimp and close again',
        figure: { value: centre, unit: 'mm', decimals: 1, means: 'from the mouth to the middle of the die' },
        detail: `${capital(dieName(end))}, ${die.die.widthMm} wide. Light pressure first: is the cable still home, the lug square?`,
        why: 'Air left between strands runs hot.',
        caution: 'Fingers out, eyes covered, before the tool closes.',
        lit: ['crimp'],
      }),
    ),
    step('file', {
      short: `File, tug ${name}`,
      order: 'Measure across flats, file the ears, tug',
      figure: {
        value: die.die.acrossFlatsMm,
        unit: 'mm',
        decimals: 2,
        means: 'across flats, die closed; to 2 % over',
      },
      detail: 'Measure every crimp and enter it in Prove. Ears over 0.5 mm mean too tight a die.',
      why: 'A tug finds the crimp that was never closed.',
      lit: ['crimp'],
    }),
  ];
}

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

function shrink(end: ReadyEnd): Step {
  return {
    id: `shrink.${end.name}`,
    short: `Shrink ${end.name}`,
    order: `Slide the sleeve to the shoulder of ${end.name} and shrink it`,
    end: end.name,
    figure: { value: end.sleeve.coverMm, unit: 'mm', decimals: 0, means: 'covered, from the shoulder back' },
    detail:
      'From the palm end back, all round, until a bead of adhesive shows at both ends. Never on the palm.',
    why: 'It seals, and takes the strain off the last strand.',
    caution: 'No fuel vapour, no charging battery near a flame. Hot until it has cooled: hands off.',
    lit: ['sleeve'],
  };
}

function label({ tag }: Cable): Step {
  return {
    id: 'label',
    short: 'Label',
    order: `Label it ${tag}`,
    detail: 'Let it cool, then slide the tag to the sleeve and shrink it where it can be read in place.',
    why: 'The next person trusts what has a name and a record.',
    lit: ['tag'],
  };
}
