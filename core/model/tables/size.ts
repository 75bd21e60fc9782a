import type { Message } from '../../words/message.ts';
import { IEC_60228_CLASS_5_OHM_PER_KM, type MetricSizeName } from './iec60228Class5.ts';
import { SAE_MINIMUM_CIRCULAR_MILS, type GaugeName } from './saeGauge.ts';
import { CIRCULAR_MIL_MM2 } from '../../words/imperial.ts';

export { CIRCULAR_MIL_MM2 };
export type { GaugeName, MetricSizeName };

/** The three ways a conductor is named. One name means three different amounts of copper. */
export type SizeSystem = 'metric' | 'awg' | 'sae';

export type ConductorSize =
  | { readonly system: 'metric'; readonly name: MetricSizeName }
  | { readonly system: 'awg' | 'sae'; readonly name: GaugeName };

/** Metric names, thinnest first. */
export const METRIC_SIZES = (Object.keys(IEC_60228_CLASS_5_OHM_PER_KM) as MetricSizeName[]).sort(
  (a, b) => Number(a) - Number(b),
);

/** Gauge names, thinnest first: 18 … 1, 1/0 … 4/0. */
export const GAUGE_SIZES = (Object.keys(SAE_MINIMUM_CIRCULAR_MILS) as GaugeName[]).sort(
  (a, b) => SAE_MINIMUM_CIRCULAR_MILS[a] - SAE_MINIMUM_CIRCULAR_MILS[b],
);

/**
 * Diameter of a solid wire of an American gauge, mm.
 *
 * Source: ASTM B258, `d = 0.127·92^((36−n)/39)`, with n = 0 for 1/0, −1 for 2/0, −2 for 3/0, −3 for 4/0.
 *
 * @example awgDiameterMm('2') // 6.544
 */
export function awgDiameterMm(name: GaugeName): number {
  const n = name.endsWith('/0') ? 1 - Number(name[0]) : Number(name);
  return 0.127 * 92 ** ((36 - n) / 39);
}

const AWG_MM2 = Object.fromEntries(
  GAUGE_SIZES.map((name) => [name, (Math.PI / 4) * awgDiameterMm(name) ** 2]),
) as Readonly<Record<GaugeName, number>>;

/**
 * Copper in a conductor, mm²: the nominal area of a metric size, the solid area of an AWG size, the least area
 * of an SAE size.
 *
 * @example areaMm2({ system: 'awg', name: '2' }) // 33.63
 */
export function areaMm2(size: ConductorSize): number {
  switch (size.system) {
    case 'metric':
      return Number(size.name);
    case 'awg':
      return AWG_MM2[size.name];
    case 'sae':
      return SAE_MINIMUM_CIRCULAR_MILS[size.name] * CIRCULAR_MIL_MM2;
  }
}

/** All sizes of one system, thinnest first. */
export function sizesOf(system: SizeSystem): ConductorSize[] {
  return system === 'metric'
    ? METRIC_SIZES.map((name) => ({ system, name }))
    : GAUGE_SIZES.map((name) => ({ system, name }));
}

export function sameSize(a: ConductorSize, b: ConductorSize): boolean {
  return a.system === b.system && a.name === b.name;
}

/** A size as it is said: "70 mm²", "AWG 2/0", "SAE 4". */
export function sizeLabel(size: ConductorSize): string {
  return size.system === 'metric' ? `${size.name} mm²` : `${size.system.toUpperCase()} ${size.name}`;
}

/**
 * A size as it is told to the reader: by its own name, and for a reader of gauges with the gauge it is near to.
 *
 * @example tell(sizeNamed({ system: 'metric', name: '70' })) // "70 mm²", or "70 mm² (≈ AWG 2/0)"
 */
export const sizeNamed = (size: ConductorSize): Message =>
  size.system === 'metric'
    ? { metric: sizeLabel(size), gauge: `≈ ${sizeLabel(nearestIn('awg', size).size)}` }
    : sizeLabel(size);

/**
 * How much more copper `size` holds than `other`, in percent; negative when it holds less.
 *
 * @example copperDifferencePercent({ system: 'metric', name: '95' }, { system: 'awg', name: '4/0' }) // −11.4
 */
export function copperDifferencePercent(size: ConductorSize, other: ConductorSize): number {
  return (areaMm2(size) / areaMm2(other) - 1) * 100;
}

/** The size of `system` whose copper is nearest in proportion, and the error of calling it so, in percent. */
export function nearestIn(
  system: SizeSystem,
  size: ConductorSize,
): { size: ConductorSize; errorPercent: number } {
  const distance = (candidate: ConductorSize) => Math.abs(Math.log(areaMm2(candidate) / areaMm2(size)));
  const nearest = sizesOf(system).reduce((best, next) => (distance(next) < distance(best) ? next : best));
  return { size: nearest, errorPercent: copperDifferencePercent(size, nearest) };
}

/** Whether a copper area does not exceed another: a metric name is nominal, so equal areas count as equal in spite of rounding. */
export function isNotAbove(copperMm2: number, limitMm2: number): boolean {
  return copperMm2 <= limitMm2 * (1 + 1e-9);
}

/** The largest of `names` whose copper, told by `areaOf`, does not exceed `limitMm2`; none when all are larger. */
export function largestNotAbove<Name>(
  names: readonly Name[],
  areaOf: (name: Name) => number,
  limitMm2: number,
): Name | undefined {
  const fitting = names.filter((name) => isNotAbove(areaOf(name), limitMm2));
  return fitting.reduce<Name | undefined>(
    (best, next) => (best === undefined || areaOf(next) > areaOf(best) ? next : best),
    undefined,
  );
}
