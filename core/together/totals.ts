import { cableMassPerMetre } from '../conductor/geometry.ts';
import type { CableSize } from '../model/shop.ts';
import type { Sizing } from '../model/system.ts';
import { areaMm2 } from '../model/tables/size.ts';
import type { Conductor } from '../system/installation.ts';
import type { SystemView } from '../system/view.ts';
import type { PathLimit } from './leastSizes.ts';
import { lossesAs, lostAlong, pathId, type SizeLoss } from './ways.ts';

/** What a choice of all sizes comes to. */
export interface Totals {
  /** Copper by its length, mm²·m, and the weight of all cables, kg. */
  readonly copperMm2M: number;
  readonly massKg: number;
  /** The cable alone, by its price a metre. */
  readonly price: number;
  /** In the state in which most is lost, W, and in a year by the hours of each state, kWh. */
  readonly lostW: number;
  readonly lostIn: string | null;
  readonly kWhPerYear: number;
  /** In the measure that is to be least. */
  readonly cost: number;
  /** The most that a load uses up of what it is allowed: 1 is all of it. */
  readonly use: number;
}

export const metresOf = ({ cable: { run, gauge } }: Conductor): number =>
  ((run.lengthMm + run.loopMm) / 1000) * (gauge.parallel ?? 1);

const hoursOf = (view: SystemView, stateId: string): number => view.stateOf(stateId)?.hoursPerYear ?? 0;

/** What one size of one cable weighs, costs and loses. */
export interface Priced {
  readonly copperMm2M: number;
  readonly massKg: number;
  readonly price: number;
  readonly kWhPerYear: number;
}

export function priced(view: SystemView, conductor: Conductor, cableSize: CableSize, loss: SizeLoss): Priced {
  const metres = metresOf(conductor);
  const copperMm2 = areaMm2(cableSize.size);
  return {
    copperMm2M: copperMm2 * metres,
    massKg: cableMassPerMetre(copperMm2, cableSize) * metres,
    price: cableSize.pricePerM * metres,
    kWhPerYear: view.solved.states.reduce(
      (sum, { stateId }, i) => sum + (hoursOf(view, stateId) * (loss.watts[i] ?? 0)) / 1000,
      0,
    ),
  };
}

/** One measure of what sizes come to. */
export function measured(
  { least, years, pricePerKwh }: Sizing,
  { copperMm2M, massKg, price, kWhPerYear }: Priced,
): number {
  return {
    copper: copperMm2M,
    weight: massKg,
    money: price,
    years: price + years * pricePerKwh * kWhPerYear,
  }[least];
}

/** Of two that cost the same the one with less copper. */
const TIE = 1e-7;

/** What a size costs where the measure is to be least. */
export const costOf = (sizing: Sizing, own: Priced): number =>
  measured(sizing, own) + (sizing.least === 'copper' ? 0 : TIE * own.copperMm2M);

/** What all sizes come to together, with the currents as they are. */
export function totalsOf(
  { view, paths }: { readonly view: SystemView; readonly paths: readonly PathLimit[] },
  sizing: Sizing,
  sizeOf: (conductor: Conductor) => CableSize,
): Totals {
  const each = view.installation.conductors.map((conductor) => {
    const size = sizeOf(conductor);
    const loss = lossesAs(view, conductor, size);
    return { id: conductor.cable.id, loss, own: priced(view, conductor, size, loss) };
  });
  const sum = (of: (own: Priced) => number) => each.reduce((total, { own }) => total + of(own), 0);
  const lost = view.solved.states.map(({ stateId }, i) => ({
    stateId,
    watts: each.reduce((total, { loss }) => total + (loss.watts[i] ?? 0), 0),
  }));
  const most = lost.reduce((a, b) => (b.watts > a.watts ? b : a), { stateId: '', watts: 0 });
  const ohms = new Map(each.map(({ id, loss }) => [id, loss]));
  const stateIndex = new Map(view.solved.states.map(({ stateId }, i) => [stateId, i]));
  const pathOf = new Map(paths.map((path) => [path.id, path]));
  const uses = view.drops.flatMap((drop) => {
    const path = pathOf.get(pathId(drop));
    const state = stateIndex.get(drop.stateId) ?? -1;
    if (!path || path.mostV <= 0) return [];
    const lostV = drop.shares.reduce((total, share) => {
      const ohm = share.of.kind === 'cable' ? ohms.get(share.of.id)?.ohm[state] : undefined;
      return total + (ohm === undefined ? share.volts : lostAlong(share, ohm));
    }, 0);
    return [(lostV / path.mostV) * (sizing.dropPercent / 100)];
  });
  return {
    copperMm2M: sum(({ copperMm2M }) => copperMm2M),
    massKg: sum(({ massKg }) => massKg),
    price: sum(({ price }) => price),
    lostW: most.watts,
    lostIn: most.stateId === '' ? null : most.stateId,
    kWhPerYear: sum(({ kWhPerYear }) => kWhPerYear),
    cost: sum((own) => costOf(sizing, own)),
    use: Math.max(0, ...uses),
  };
}
