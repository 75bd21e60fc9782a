import { type Message, msg } from '../../words/message.ts';

/** What a fault in it is called: the cable itself, a joint, or a device that has a sheet of its own. */
export type PieceSort = 'cable' | 'joint' | 'device';

/**
 * What a circuit is put together from, what a sound one takes, and how often it is the fault.
 *
 * Source: milliohms as such parts commonly measure when sound, the part's own sheet governs; how likely each is to be
 * bad, and of what, is craft practice. Confidence: low to medium.
 */
export const CHAIN_PIECES = {
  post: { sort: 'joint', title: msg`post`, milliohm: 0.05, weight: 2, cause: msg`oxide on the post` },
  clamp: {
    sort: 'joint',
    title: msg`clamp`,
    milliohm: 0.1,
    weight: 4,
    cause: msg`oxide under the clamp, or its screw biting a few strands`,
  },
  lug: {
    sort: 'joint',
    title: msg`lug`,
    milliohm: 0.012,
    weight: 4,
    cause: msg`a light crimp, or strands not pressed home`,
  },
  stud: {
    sort: 'joint',
    title: msg`stud`,
    milliohm: 0.03,
    weight: 3,
    cause: msg`paint or a washer under the palm, or a nut never tightened`,
  },
  cable: {
    sort: 'cable',
    title: msg`cable`,
    milliohm: null,
    weight: 1.5,
    cause: msg`too thin, corroded inside, or cut strands`,
  },
  switch: {
    sort: 'device',
    title: msg`switch`,
    milliohm: 0.2,
    weight: 2,
    cause: msg`burnt or weak contacts`,
  },
  fuse: {
    sort: 'device',
    title: msg`fuse`,
    milliohm: 0.3,
    weight: 2,
    cause: msg`a loose fuse, or one of the wrong rating`,
  },
  breaker: { sort: 'device', title: msg`breaker`, milliohm: 0.5, weight: 2, cause: msg`worn contacts` },
  shunt: {
    sort: 'device',
    title: msg`shunt`,
    milliohm: 0.1,
    weight: 1,
    cause: msg`a loose bolt at the shunt`,
  },
  busbar: {
    sort: 'joint',
    title: msg`bus bar`,
    milliohm: 0.03,
    weight: 2,
    cause: msg`a loose bolt on the bar`,
  },
  chassis: {
    sort: 'joint',
    title: msg`chassis or hull`,
    milliohm: 2,
    weight: 3,
    cause: msg`rust or paint where the return is bonded`,
  },
  other: { sort: 'device', title: msg`other`, milliohm: 0.1, weight: 1.5, cause: msg`see its own sheet` },
} as const satisfies Record<
  string,
  { sort: PieceSort; title: Message; milliohm: number | null; weight: number; cause: Message }
>;

export type ChainPieceKind = keyof typeof CHAIN_PIECES;
export const CHAIN_PIECE_KINDS = Object.keys(CHAIN_PIECES) as ChainPieceKind[];
