import { say } from '../words/say.ts';

/**
 * How many of each thing a file may hold: schemas, the buttons that add one, imports and corrections read it here, so
 * that nothing can be made which cannot be read again.
 */
export const MOST = {
  cables: 2000,
  sharedStuds: 500,
  othersOnStud: 10,
  places: 2000,
  bonds: 100,
  states: 12,
  heeded: 2000,
  surveyed: 500,
  hunts: 100,
  pieces: 60,
  spans: 200,
  dutySteps: 100,
  curvePoints: 20,
  legs: 31,
  zones: 20,
  holes: 20,
  rubs: 20,
  devices: 20,
  fuses: 2,
  joins: 10,
  layers: 8,
  done: 200,
  readings: 2000,
  reworks: 200,
  waivers: 200,
  passed: 200,
  mishaps: 200,
  photos: 100,
  fitted: 100,
  keywords: 20,
  corrections: 200,
  records: 100,
  lots: 200,
  shopLots: 5000,
  taken: 40,
  shelf: 3000,
  recounts: 2000,
  cableKinds: 200,
  lugs: 2000,
  tools: 100,
  dies: 500,
  sleeves: 500,
  spools: 2000,
  trials: 5000,
  instruments: 100,
} as const;

/** Why nothing more goes into a list; empty while there is room. @example fullSays('devices', 20) // "20 is the most there is room for." */
export const fullSays = (list: keyof typeof MOST, count: number): string =>
  count >= MOST[list] ? say`${MOST[list]} is the most there is room for.` : '';

/** From stud to stud, mm: shorter is no cable, longer no run of one. */
export const RUN_LENGTH_MM = { least: 50, most: 1e6 } as const;

/** A way turns by this much at one corner at most, degrees. */
export const MOST_BEND_DEG = 150;
