import { type Message, msg } from '../words/message.ts';

/** Places of a finished end that one looks at, from the stud back. */
export const PLACES = {
  hole: msg`Hole and stud`,
  sight: msg`Sight hole`,
  crimps: msg`Crimps`,
  mouth: msg`Mouth of the barrel`,
  front: msg`Front of the sleeve`,
  back: msg`Back of the sleeve`,
  jacket: msg`Jacket`,
  colour: msg`Colour`,
} as const;
export type PlaceName = keyof typeof PLACES;

/** What can be wrong with a finished end, and where it is seen. */
export const FAULTS = {
  'loose hole': { title: msg`hole too large for the stud`, at: 'hole' },
  'not home': { title: msg`cable not home`, at: 'sight' },
  'wrong die': { title: msg`another die than required`, at: 'crimps' },
  'one crimp short': { title: msg`a crimp is missing`, at: 'crimps' },
  ears: { title: msg`ears left on`, at: 'crimps' },
  'jacket under barrel': { title: msg`insulation under the barrel`, at: 'mouth' },
  'strand outside': { title: msg`strands outside the barrel`, at: 'mouth' },
  'sleeve on palm': { title: msg`sleeve on the palm`, at: 'front' },
  'no bead': { title: msg`no bead of adhesive`, at: 'back' },
  browned: { title: msg`jacket browned`, at: 'jacket' },
  'wrong colour': { title: msg`colour says the other pole`, at: 'colour' },
} as const satisfies Readonly<Record<string, { title: Message; at: PlaceName }>>;
export type FaultName = keyof typeof FAULTS;
export const FAULT_NAMES = Object.keys(FAULTS) as FaultName[];

/** What can be marked at a place. */
export const faultsOf = (place: PlaceName): FaultName[] =>
  FAULT_NAMES.filter((name) => FAULTS[name].at === place);

/** Two that would hide or undo each other on one end. */
const APART: readonly (readonly [FaultName, FaultName])[] = [
  ['ears', 'wrong die'],
  ['not home', 'jacket under barrel'],
];

/** Whether a fault can stand on an end beside others. */
export const goesWith = (name: FaultName, others: readonly FaultName[]): boolean =>
  !others.includes(name) &&
  !APART.some(([a, b]) => (a === name && others.includes(b)) || (b === name && others.includes(a)));
