/**
 * Soft solder for heavy cable: tin with a little copper.
 *
 * Source: handbook values; liquidus and heat of melting of Sn99.3Cu0.7, density as used in the worked figures of the
 * trade (8.4 g/cm³, tin-lead; 7.3 for tin-copper would be lighter). Confidence: good; the reel's label governs.
 */
export const SOLDER = {
  densityGPerCm3: 8.4,
  liquidusC: 227,
  /** Softening begins well under melting: a joint held this hot creeps, °C. */
  softensC: 150,
  /** To heat one gram by a kelvin, J. */
  heatJPerGK: 0.23,
  /** To melt one gram, J. */
  meltJPerG: 60,
} as const;

/** Heating and leading away by copper. Source: handbook values of annealed copper. */
export const COPPER_HEAT = {
  conductivityWPerMK: 390,
  /** Thermal diffusivity, m²/s. */
  diffusivityM2PerS: 1.12e-4,
  densityGPerCm3: 8.96,
  heatJPerGK: 0.385,
} as const;

/** What a torch of each kind gives out, W. Confidence: low, they differ. */
export const TORCHES = {
  'soldering iron, 200 W': 200,
  'pocket torch': 700,
  'small gas torch': 1200,
  'plumber’s torch': 2500,
  'large burner': 5000,
} as const;

/**
 * What plays on a sleeve while it shrinks, at the sleeve, °C, and how much of it gets in, W/(m²·K).
 *
 * Source: forced air on a cylinder, by a nozzle with a reflector or a flame kept moving. Confidence: low.
 */
export const SHRINK_HEAT = {
  'heat gun': { airC: 350, filmWPerM2K: 80 },
  /** A small nozzle and a third of the air: enough for thin wall and small sleeves. */
  'battery gun': { airC: 300, filmWPerM2K: 35 },
  torch: { airC: 500, filmWPerM2K: 80 },
} as const;
