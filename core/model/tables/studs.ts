/** A threaded stud, the ring-lug hole customary for it, and its hardware. */
export interface Stud {
  /** Major diameter, mm. */
  readonly diameterMm: number;
  /** Customary clearance hole of a lug for it, mm. */
  readonly holeMm: number;
  /** Customary torque range on DC gear, N·m. */
  readonly torqueNm: readonly [number, number];
  readonly pitchMm: number;
  readonly nutMm: number;
  readonly washerOuterMm: number;
  readonly washerMm: number;
}

/**
 * Studs met on DC gear.
 *
 * Source: major diameters and hardware from ISO 4032 and 7089 and inch equivalents, rounded; torque ranges customary
 * for copper-alloy and stainless studs: the equipment maker's figure governs. Confidence: good; torque medium.
 */
export const STUDS = {
  M5: {
    diameterMm: 5.0,
    holeMm: 5.3,
    torqueNm: [2, 4],
    pitchMm: 0.8,
    nutMm: 4.7,
    washerOuterMm: 10,
    washerMm: 1.0,
  },
  '#10': {
    diameterMm: 4.83,
    holeMm: 5.1,
    torqueNm: [2, 4],
    pitchMm: 0.79,
    nutMm: 3.3,
    washerOuterMm: 11,
    washerMm: 1.0,
  },
  M6: {
    diameterMm: 6.0,
    holeMm: 6.4,
    torqueNm: [4, 7],
    pitchMm: 1.0,
    nutMm: 5.2,
    washerOuterMm: 12,
    washerMm: 1.6,
  },
  '1/4': {
    diameterMm: 6.35,
    holeMm: 6.8,
    torqueNm: [5, 8],
    pitchMm: 1.27,
    nutMm: 5.6,
    washerOuterMm: 16,
    washerMm: 1.6,
  },
  M8: {
    diameterMm: 8.0,
    holeMm: 8.4,
    torqueNm: [9, 14],
    pitchMm: 1.25,
    nutMm: 6.8,
    washerOuterMm: 16,
    washerMm: 1.6,
  },
  '5/16': {
    diameterMm: 7.94,
    holeMm: 8.4,
    torqueNm: [9, 14],
    pitchMm: 1.41,
    nutMm: 6.8,
    washerOuterMm: 17.5,
    washerMm: 1.6,
  },
  M10: {
    diameterMm: 10.0,
    holeMm: 10.5,
    torqueNm: [17, 25],
    pitchMm: 1.5,
    nutMm: 8.4,
    washerOuterMm: 20,
    washerMm: 2.0,
  },
  '3/8': {
    diameterMm: 9.53,
    holeMm: 10.3,
    torqueNm: [17, 25],
    pitchMm: 1.59,
    nutMm: 8.3,
    washerOuterMm: 20.6,
    washerMm: 1.7,
  },
  M12: {
    diameterMm: 12.0,
    holeMm: 13.0,
    torqueNm: [30, 45],
    pitchMm: 1.75,
    nutMm: 10.8,
    washerOuterMm: 24,
    washerMm: 2.5,
  },
  '1/2': {
    diameterMm: 12.7,
    holeMm: 13.5,
    torqueNm: [30, 45],
    pitchMm: 1.95,
    nutMm: 11.1,
    washerOuterMm: 27,
    washerMm: 2.4,
  },
} as const satisfies Record<string, Stud>;

export type StudName = keyof typeof STUDS;

export const STUD_NAMES = Object.keys(STUDS) as StudName[];
