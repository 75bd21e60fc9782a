/** Strands that may be damaged before a conductor is refused, by how many it has. */
export interface StrandAllowance {
  readonly fromStrands: number;
  /** A count, or a share of the strands where there are many. */
  readonly class2: number;
  readonly class3: number;
}

/**
 * Source: strand damage table of IPC/WHMA-A-620, recalled; rows from 121 strands are shares. NASA-STD-8739.4 allows
 * none severed. Confidence: medium.
 */
export const STRAND_ALLOWANCES: readonly StrandAllowance[] = [
  { fromStrands: 0, class2: 0, class3: 0 },
  { fromStrands: 7, class2: 1, class3: 0 },
  { fromStrands: 16, class2: 3, class3: 0 },
  { fromStrands: 26, class2: 4, class3: 3 },
  { fromStrands: 41, class2: 5, class3: 4 },
  { fromStrands: 61, class2: 6, class3: 5 },
];

/** From so many strands on, shares are allowed instead. */
export const MANY_STRANDS = { from: 121, class2: 0.06, class3: 0.05 } as const;
