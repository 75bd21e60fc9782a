import { msg } from '../../words/message.ts';

/**
 * Allowed continuous amps by metric area: single conductors, 30 °C air.
 *
 * Source: annexes of ISO 10133 and ISO 13297, recalled; check against the edition you work to. Confidence: the 70 to
 * 105 °C columns good; the 60 °C column (which rests on 45 °C air), the 1 and 150 mm² rows and the factors medium.
 * Rows are mm²; columns are insulation ratings, °C.
 */
export const METRIC_SMALL_CRAFT = {
  source: msg`ISO 10133 / ISO 13297 annex, single conductors, 30 °C air`,
  referenceC: 30,
  /** The 60 °C column alone is tabulated for warmer air. */
  referenceOf60ColumnC: 45,
  insulationC: [60, 70, 85, 105, 125, 200],
  rows: {
    '0.75': [6, 10, 12, 16, 20, 25],
    '1': [8, 14, 18, 20, 25, 35],
    '1.5': [12, 18, 21, 25, 30, 40],
    '2.5': [17, 25, 30, 35, 40, 45],
    '4': [22, 35, 40, 45, 50, 55],
    '6': [29, 45, 50, 60, 70, 75],
    '10': [40, 65, 70, 90, 100, 120],
    '16': [54, 90, 100, 130, 150, 170],
    '25': [71, 120, 140, 170, 185, 200],
    '35': [87, 160, 185, 210, 225, 240],
    '50': [105, 210, 230, 270, 300, 325],
    '70': [135, 265, 285, 330, 360, 375],
    '95': [165, 310, 330, 390, 410, 430],
    '120': [190, 360, 400, 450, 480, 520],
    '150': [220, 380, 430, 475, 520, 560],
  },
  /** Multiplier in an engine space, by insulation rating: fits about 50 °C. The 60 °C column has none. */
  engineSpaceFactor: { 70: 0.75, 85: 0.82, 105: 0.86, 125: 0.89, 200: 1.0 },
} as const;
