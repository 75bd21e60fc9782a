/**
 * Least conductor area of vehicle (SAE) gauges, circular mils.
 *
 * Source: minimum areas as tabulated for small craft from SAE J378, J1127 and J1128. For gauge 6, 25 910 is also
 * tabulated; the smaller figure is used. Confidence: good.
 */
export const SAE_MINIMUM_CIRCULAR_MILS = {
  '18': 1537,
  '16': 2336,
  '14': 3702,
  '12': 5833,
  '10': 9343,
  '8': 14810,
  '6': 24538,
  '4': 37360,
  '2': 62450,
  '1': 77790,
  '1/0': 98980,
  '2/0': 125100,
  '3/0': 158600,
  '4/0': 205500,
} as const;

export type GaugeName = keyof typeof SAE_MINIMUM_CIRCULAR_MILS;
