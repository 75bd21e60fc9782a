/**
 * Axial pull a crimped copper conductor must hold for one minute, as published.
 *
 * Source: the small-craft rows from ABYC E-11 and the metric rows from the ISO 10133 tensile table (recalled; the
 * metric rows with medium confidence); the pull-out rows from UL 486A-B; the heaviest rule from IEC 61238-1 class A.
 */
export const PULL = {
  /** lbf, by AWG. The least a connection must hold in service. */
  smallCraftLbf: {
    '18': 10,
    '16': 15,
    '14': 30,
    '12': 35,
    '10': 40,
    '8': 45,
    '6': 50,
    '4': 70,
    '3': 80,
    '2': 90,
    '1': 100,
    '1/0': 125,
    '2/0': 150,
    '3/0': 175,
    '4/0': 225,
  },
  /** lbf, by AWG. About twice the least: the usual target for a good crimp. */
  pullOutLbf: {
    '10': 80,
    '8': 90,
    '6': 100,
    '4': 140,
    '3': 160,
    '2': 180,
    '1': 200,
    '1/0': 250,
    '2/0': 300,
    '3/0': 350,
    '4/0': 450,
  },
  /** N, by mm². */
  metricSmallCraftN: {
    '0.75': 40,
    '1': 60,
    '1.5': 130,
    '2.5': 150,
    '4': 170,
    '6': 200,
    '10': 220,
    '16': 260,
    '25': 310,
    '35': 350,
    '50': 400,
    '70': 440,
    '95': 550,
    '120': 660,
    '150': 770,
  },
  /** N per mm², and the most it asks, N. */
  heaviest: { newtonPerMm2: 60, mostN: 20000 },
} as const;

export const STANDARD_GRAVITY = 9.80665;
