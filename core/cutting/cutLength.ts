/** Lengths of one cable, mm. */
export interface CableLengths {
  /** Stud centre to stud centre of the finished cable: the route and the service loop. */
  readonly finishedMm: number;
  /** What to cut: between the bottoms of the two barrels. */
  readonly cutMm: number;
  /** With one end bolted on: where the other's barrel will end, from the centre of the first one's stud. */
  readonly secondMarkMm: number;
}

/**
 * Cut length, mm: `cut = L + loop − (a_A + a_B)`. It is not stud to stud: each lug adds the distance from its hole
 * to the bottom of its barrel.
 *
 * @param studToStudMm along the route as the cable lies
 * @param loopMm slack for the next remake, ≥ 0
 * @param studToBarrelMm of end A and end B
 * @param firstOn the end that is finished first
 * @example cableLengths(2471.4, 120, [31, 26]).cutMm // 2534.4
 */
export function cableLengths(
  studToStudMm: number,
  loopMm: number,
  studToBarrelMm: readonly [number, number],
  firstOn: 'A' | 'B' = 'A',
): CableLengths {
  const finishedMm = studToStudMm + loopMm;
  const [a, b] = studToBarrelMm;
  return { finishedMm, cutMm: finishedMm - a - b, secondMarkMm: finishedMm - (firstOn === 'A' ? b : a) };
}
