import { say } from '../words/say.ts';

/** Places of a finished end that one looks at, from the stud back. */
export const PLACES = {
  hole: say`Hole and stud`,
  sight: say`Sight hole`,
  crimps: say`Crimps`,
  mouth: say`Mouth of the barrel`,
  front: say`Front of the sleeve`,
  back: say`Back of the sleeve`,
  jacket: say`Jacket`,
  colour: say`Colour`,
} as const;
export type PlaceName = keyof typeof PLACES;

/** What can be wrong with a finished end, and where it is seen. */
export const FAULTS = {
  'loose hole': { title: say`hole too large for the stud`, at: 'hole' },
  'not home': { title: say`cable not home`, at: 'sight' },
  'wrong die': { title: say`another die than asked`, at: 'crimps' },
  'one crimp short': { title: say`a crimp is missing`, at: 'crimps' },
  ears: { title: say`ears left on`, at: 'crimps' },
  'jacket under barrel': { title: say`insulation under the barrel`, at: 'mouth' },
  'strand outside': { title: say`strands outside the barrel`, at: 'mouth' },
  'sleeve on palm': { title: say`sleeve on the palm`, at: 'front' },
  'no bead': { title: say`no bead of adhesive`, at: 'back' },
  browned: { title: say`jacket browned`, at: 'jacket' },
  'wrong colour': { title: say`colour says the other pole`, at: 'colour' },
} as const satisfies Readonly<Record<string, { title: string; at: PlaceName }>>;
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
