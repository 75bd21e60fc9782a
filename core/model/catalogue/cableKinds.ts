import type { CableKind, CableSize } from '../shop.ts';
import { areaMm2, type ConductorSize, type GaugeName, type MetricSizeName } from '../tables/size.ts';

/** Conductivity of jacket compounds, W/(m·K). Source: handbook values for the two groups of compound. */
export const JACKET_CONDUCTIVITY: Readonly<Record<CableKind['insulation'], number>> = {
  pvc: 0.17,
  thermoplastic: 0.17,
  xlpe: 0.28,
  rubber: 0.28,
  // Braid: air and copper in layers, and hardly any way through it.
  bare: 0.28,
};

const metric = (outer: Partial<Record<MetricSizeName, number>>, pricePerMm2: number): CableSize[] =>
  (Object.entries(outer) as [MetricSizeName, number][])
    .map(([name, outerMm]) => priced({ system: 'metric', name }, outerMm, pricePerMm2))
    .sort(byCopper);

const gauge = (
  system: 'awg' | 'sae',
  outer: Partial<Record<GaugeName, number>>,
  pricePerMm2: number,
): CableSize[] =>
  (Object.entries(outer) as [GaugeName, number][])
    .map(([name, outerMm]) => priced({ system, name }, outerMm, pricePerMm2))
    .sort(byCopper);

const priced = (size: ConductorSize, outerMm: number, pricePerMm2: number): CableSize => ({
  size,
  outerMm,
  pricePerM: Math.round(areaMm2(size) * pricePerMm2 * 20) / 20,
});

const byCopper = (a: CableSize, b: CableSize) => areaMm2(a.size) - areaMm2(b.size);

/**
 * Generic kinds of cable. Outside diameters are typical of the kind and prices are examples: a data sheet and a
 * supplier's list replace both. Confidence: medium.
 */
export const GENERIC_CABLE_KINDS: readonly CableKind[] = [
  {
    id: 'tinned-marine',
    title: 'Tinned marine',
    tinned: true,
    strands: 'fine',
    insulation: 'thermoplastic',
    limitC: 105,
    ratedV: 600,
    stands: { oil: true, sun: true, flame: true },
    bend: 6,
    sizes: metric(
      { 10: 7.6, 16: 8.9, 25: 10.4, 35: 11.8, 50: 13.3, 70: 15.6, 95: 17.8, 120: 19.7, 150: 21.8 },
      0.26,
    ),
  },
  {
    id: 'tinned-marine-awg',
    title: 'Tinned marine, gauge',
    tinned: true,
    strands: 'fine',
    insulation: 'thermoplastic',
    limitC: 105,
    ratedV: 600,
    stands: { oil: true, sun: true, flame: true },
    bend: 6,
    sizes: gauge(
      'awg',
      { 8: 7.3, 6: 8.6, 4: 10, 2: 11.7, 1: 12.9, '1/0': 14, '2/0': 15.4, '3/0': 16.9, '4/0': 18.8 },
      0.27,
    ),
  },
  {
    id: 'battery',
    title: 'Stiff battery cable',
    tinned: false,
    strands: 'coarse',
    insulation: 'pvc',
    limitC: 70,
    ratedV: 60,
    stands: { oil: false, sun: false, flame: true },
    bend: 6,
    sizes: metric({ 10: 7.8, 16: 9.1, 25: 10.8, 35: 12.2, 50: 13.9, 70: 16, 95: 18.2, 120: 20.2 }, 0.13),
  },
  {
    id: 'welding',
    title: 'Welding cable',
    tinned: false,
    strands: 'extra fine',
    insulation: 'rubber',
    limitC: 85,
    ratedV: 100,
    stands: { oil: true, sun: true, flame: false },
    bend: 4,
    sizes: metric({ 16: 9.8, 25: 11.5, 35: 13, 50: 15, 70: 17.2, 95: 19.6, 120: 21.6, 150: 23.9 }, 0.16),
  },
  {
    id: 'thin-wall',
    title: 'Thin-wall cross-linked',
    tinned: false,
    strands: 'fine',
    insulation: 'xlpe',
    limitC: 125,
    ratedV: 60,
    stands: { oil: true, sun: false, flame: true },
    bend: 6,
    sizes: metric({ 10: 6.2, 16: 7.4, 25: 9, 35: 10.4, 50: 12.1, 70: 14.2, 95: 16.2, 120: 17.9 }, 0.15),
  },
  {
    id: 'vehicle-sae',
    title: 'Vehicle gauge, cross-linked',
    tinned: false,
    strands: 'fine',
    insulation: 'xlpe',
    limitC: 125,
    ratedV: 60,
    stands: { oil: true, sun: false, flame: true },
    bend: 6,
    sizes: gauge(
      'sae',
      { 8: 6.6, 6: 7.9, 4: 9.4, 2: 11.1, 1: 12.2, '1/0': 13.3, '2/0': 14.6, '3/0': 16.1, '4/0': 17.9 },
      0.14,
    ),
  },
  {
    id: 'panel-flex',
    title: 'Panel flex',
    tinned: false,
    strands: 'fine',
    insulation: 'pvc',
    limitC: 70,
    ratedV: 750,
    stands: { oil: false, sun: false, flame: true },
    bend: 6,
    sizes: metric({ 10: 7, 16: 8.2, 25: 9.9, 35: 11.2, 50: 13.1, 70: 15.1, 95: 17.3, 120: 19.2 }, 0.11),
  },
  {
    // Pressed round, as it goes into its lug: a flat braid of the same copper is cooled better than this.
    id: 'ground-strap',
    title: 'Braided ground strap',
    tinned: true,
    strands: 'extra fine',
    insulation: 'bare',
    limitC: 105,
    ratedV: 60,
    stands: { oil: true, sun: true, flame: true, rubbing: true },
    bend: 4,
    sizes: metric({ 16: 6, 25: 7.5, 35: 8.9, 50: 10.6, 70: 12.5, 95: 14.6 }, 0.2),
  },
];
