import { msg } from '../../words/message.ts';

/**
 * Allowed continuous amps by inch gauge: single conductors outside engine spaces, 30 °C air, systems under 50 V.
 *
 * Source: ABYC E-11 table for conductors outside engine spaces, recalled; check against the edition you work to.
 * Confidence: good. Rows are AWG gauges; columns are insulation ratings, °C.
 */
export const INCH_SMALL_CRAFT = {
  source: msg`ABYC E-11, conductors outside engine spaces, 30 °C air, under 50 V`,
  referenceC: 30,
  insulationC: [60, 75, 80, 90, 105, 125, 200],
  rows: {
    '18': [10, 10, 15, 20, 20, 25, 25],
    '16': [15, 15, 20, 25, 25, 30, 35],
    '14': [20, 20, 25, 30, 35, 40, 45],
    '12': [25, 25, 35, 40, 45, 50, 55],
    '10': [40, 40, 50, 55, 60, 70, 70],
    '8': [55, 65, 70, 70, 80, 90, 100],
    '6': [80, 95, 100, 100, 120, 125, 135],
    '4': [105, 125, 130, 135, 160, 170, 180],
    '2': [140, 170, 175, 180, 210, 225, 240],
    '1': [165, 195, 210, 210, 245, 265, 280],
    '1/0': [195, 230, 245, 245, 285, 305, 325],
    '2/0': [225, 265, 285, 285, 330, 355, 370],
    '3/0': [260, 310, 330, 330, 385, 410, 430],
    '4/0': [300, 360, 385, 385, 445, 475, 510],
  },
  /** Multiplier in an engine space at 50 °C, by insulation rating. */
  engineSpaceFactor: { 60: 0.58, 75: 0.75, 80: 0.78, 90: 0.82, 105: 0.85, 125: 0.89, 200: 1.0 },
} as const;
