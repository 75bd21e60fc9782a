/** Lengths of one cable, mm. */
export interface CableLengths {
  /** Stud centre to stud centre of the finished cable: the route and the service loop. */
  readonly finishedMm: number;
  /** What to cut: between the bottoms of the two barrels. */
  readonly cutMm: number;
  /** With end A bolted on: where to mark for end B, from the centre of A's stud. */
  readonly secondMarkMm: number;
}

/**
 * Cut length, mm: `cut = L + loop − (a_A + a_B)`. It is not stud to stud: each lug adds the distance from its hole
 * to the bottom of its barrel.
 *
 * @param studToStudMm along the route as the cable lies
 * @param loopMm slack for the next remake, ≥ 0
 * @param studToBarrelMm of end A and end B
 * @example cableLengths(2471.4, 120, [31, 26]).cutMm // 2534.4
 */
export function cableLengths(
  studToStudMm: number,
  loopMm: number,
  studToBarrelMm: readonly [number, number],
): CableLengths {
  const finishedMm = studToStudMm + loopMm;
  const [a, b] = studToBarrelMm;
  return { finishedMm, cutMm: finishedMm - a - b, secondMarkMm: finishedMm - b };
}
