/**
 * Highest DC resistance at 20 °C of class 5 flexible copper conductors, Ω/km.
 *
 * Source: IEC 60228, table for class 5: plain, and tinned, strands. These are maxima: real cable is often a few
 * percent better. Confidence: good.
 */
export const IEC_60228_CLASS_5_OHM_PER_KM = {
  '1.5': { plain: 13.3, tinned: 13.7 },
  '2.5': { plain: 7.98, tinned: 8.21 },
  '4': { plain: 4.95, tinned: 5.09 },
  '6': { plain: 3.3, tinned: 3.39 },
  '10': { plain: 1.91, tinned: 1.95 },
  '16': { plain: 1.21, tinned: 1.24 },
  '25': { plain: 0.78, tinned: 0.795 },
  '35': { plain: 0.554, tinned: 0.565 },
  '50': { plain: 0.386, tinned: 0.393 },
  '70': { plain: 0.272, tinned: 0.277 },
  '95': { plain: 0.206, tinned: 0.21 },
  '120': { plain: 0.161, tinned: 0.164 },
  '150': { plain: 0.129, tinned: 0.132 },
  '185': { plain: 0.106, tinned: 0.108 },
  '240': { plain: 0.0801, tinned: 0.0817 },
} as const;

export type MetricSizeName = keyof typeof IEC_60228_CLASS_5_OHM_PER_KM;
