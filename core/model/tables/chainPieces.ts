import { say } from '../../words/say.ts';

/** What a fault in it is called: the cable itself, a joint, or a device that has a sheet of its own. */
export type PieceSort = 'cable' | 'joint' | 'device';

/**
 * What a circuit is put together from, what a sound one takes, and how often it is the fault.
 *
 * Source: milliohms as such parts commonly measure when sound, the part's own sheet governs; how likely each is to be
 * bad, and of what, is craft practice. Confidence: low to medium.
 */
export const CHAIN_PIECES = {
  post: { sort: 'joint', title: say`post`, milliohm: 0.05, weight: 2, cause: say`oxide on the post` },
  clamp: {
    sort: 'joint',
    title: say`clamp`,
    milliohm: 0.1,
    weight: 4,
    cause: say`oxide under the clamp, or its screw biting a few strands`,
  },
  lug: {
    sort: 'joint',
    title: say`lug`,
    milliohm: 0.012,
    weight: 4,
    cause: say`a light crimp, or strands not pressed home`,
  },
  stud: {
    sort: 'joint',
    title: say`stud`,
    milliohm: 0.03,
    weight: 3,
    cause: say`paint or a washer under the palm, or a nut never tightened`,
  },
  cable: {
    sort: 'cable',
    title: say`cable`,
    milliohm: null,
    weight: 1.5,
    cause: say`too thin, corroded inside, or cut strands`,
  },
  switch: {
    sort: 'device',
    title: say`switch`,
    milliohm: 0.2,
    weight: 2,
    cause: say`burnt or weak contacts`,
  },
  fuse: {
    sort: 'device',
    title: say`fuse`,
    milliohm: 0.3,
    weight: 2,
    cause: say`a loose fuse, or one of the wrong rating`,
  },
  breaker: { sort: 'device', title: say`breaker`, milliohm: 0.5, weight: 2, cause: say`worn contacts` },
  shunt: {
    sort: 'device',
    title: say`shunt`,
    milliohm: 0.1,
    weight: 1,
    cause: say`a loose bolt at the shunt`,
  },
  busbar: {
    sort: 'joint',
    title: say`bus bar`,
    milliohm: 0.03,
    weight: 2,
    cause: say`a loose bolt on the bar`,
  },
  chassis: {
    sort: 'joint',
    title: say`chassis or hull`,
    milliohm: 2,
    weight: 3,
    cause: say`rust or paint where the return is bonded`,
  },
  other: { sort: 'device', title: say`other`, milliohm: 0.1, weight: 1.5, cause: say`see its own sheet` },
} as const satisfies Record<
  string,
  { sort: PieceSort; title: string; milliohm: number | null; weight: number; cause: string }
>;

export type ChainPieceKind = keyof typeof CHAIN_PIECES;
export const CHAIN_PIECE_KINDS = Object.keys(CHAIN_PIECES) as ChainPieceKind[];
