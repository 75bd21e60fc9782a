import type { Cable } from './cable.ts';

const PARTS = [
  'id',
  'tag',
  'polarity',
  'jacket',
  'run',
  'gauge',
  'ends',
  'joins',
  'palmAngleDeg',
] as const satisfies readonly (keyof Cable)[];

/**
 * Whether two states of a cable, neither changed in place, are of one design: apart from what was done to it since, its
 * steps, readings, photographs and records. Other cables know of it by no more than that.
 */
export const sameDesign = (a: Cable, b: Cable): boolean =>
  a === b || PARTS.every((part) => a[part] === b[part]);

/** Whether two states of a list of cables have the same ones in the same order, by their ids. */
export const sameCables = (a: readonly Cable[], b: readonly Cable[]): boolean =>
  a.length === b.length && a.every((cable, i) => cable === b[i] || cable.id === b[i]?.id);
