/**
 * What a circuit is put together from, what a sound one takes, and how often it is the fault.
 *
 * Source: milliohms as such parts commonly measure when sound, the part's own sheet governs; how likely each is to be
 * bad, and of what, is craft practice. Confidence: low to medium.
 */
export const CHAIN_PIECES = {
  post: { title: 'post', milliohm: 0.05, weight: 2, cause: 'oxide on the post' },
  clamp: {
    title: 'clamp',
    milliohm: 0.1,
    weight: 4,
    cause: 'oxide under the clamp, or its screw biting a few strands',
  },
  lug: { title: 'lug', milliohm: 0.012, weight: 4, cause: 'a light crimp, or strands not pressed home' },
  stud: {
    title: 'stud',
    milliohm: 0.03,
    weight: 3,
    cause: 'paint or a washer under the palm, or a nut never tightened',
  },
  cable: { title: 'cable', milliohm: null, weight: 1.5, cause: 'too thin, corroded inside, or cut strands' },
  switch: { title: 'switch', milliohm: 0.2, weight: 2, cause: 'burnt or weak contacts' },
  fuse: { title: 'fuse', milliohm: 0.3, weight: 2, cause: 'a loose fuse, or one of the wrong rating' },
  breaker: { title: 'breaker', milliohm: 0.5, weight: 2, cause: 'worn contacts' },
  shunt: { title: 'shunt', milliohm: 0.1, weight: 1, cause: 'a loose bolt at the shunt' },
  busbar: { title: 'bus bar', milliohm: 0.03, weight: 2, cause: 'a loose bolt on the bar' },
  chassis: {
    title: 'chassis or hull',
    milliohm: 2,
    weight: 3,
    cause: 'rust or paint where the return is bonded',
  },
  other: { title: 'other', milliohm: 0.1, weight: 1.5, cause: 'see its own sheet' },
} as const satisfies Record<
  string,
  { title: string; milliohm: number | null; weight: number; cause: string }
>;

export type ChainPieceKind = keyof typeof CHAIN_PIECES;
export const CHAIN_PIECE_KINDS = Object.keys(CHAIN_PIECES) as ChainPieceKind[];
