import fc from 'fast-check';
import { genericShop } from '../model/catalogue/genericShop.ts';
import type { CableWork } from '../cableWork.ts';
import type { Cable } from '../model/cable.ts';
import type { End } from '../model/end.ts';
import { newCable } from '../model/newCable.ts';
import type { Shop } from '../model/shop.ts';
import { METHODS } from '../model/housePractice.ts';
import { workUpCable } from '../workup.ts';
import type { Step } from './step.ts';

export const shop = genericShop();
export const TODAY = '2026-11-25';
export const NOW = new Date('2026-11-25T12:00:00.000Z');
export const ago = (now: Date) => (at: string) => (now.getTime() - Date.parse(at)) / 1000;

/** A cable of one size, with what each of its ends is. */
export function cableWith(a: Partial<End>, b: Partial<End> = {}, more: Partial<Cable> = {}): Cable {
  const base = newCable('c', 'C-1', shop);
  return {
    ...base,
    gauge: { kindId: 'tinned-marine', size: { system: 'metric', name: '50' } },
    ...more,
    run: { ...base.run, load: { kind: 'amps', amps: 60 }, lengthMm: 1500, loopMm: 100, ...more.run },
    ends: { A: { at: 'bus', stud: 'M8', ...a }, B: { at: 'load', stud: 'M8', ...b } },
  };
}
export const worked = (cable: Cable, own: Shop = shop) => workUpCable(cable, own, { today: TODAY });
export const at = (steps: readonly Step[], id: string) => steps.findIndex((step) => step.id === id);
export const stepOf = (work: CableWork, id: string): Step => {
  const found = work.steps.find((step) => step.id === id);
  if (!found) throw new Error(`no step ${id} among ${work.steps.map((step) => step.id).join(' ')}`);
  return found;
};
export const clampOf = (form: 'cast clamp' | 'screw clamp') => shop.lugs.find((lug) => lug.form === form);
export const indentDies = new Set(
  shop.dies
    .filter(({ toolId }) =>
      ['hammer', 'hand lever'].includes(shop.tools.find(({ id }) => id === toolId)?.kind ?? ''),
    )
    .map(({ id }) => id),
);
const LAYERS: readonly NonNullable<End['layers']>[] = [
  [],
  ['label'],
  ['braid', 'label'],
  ['glass'],
  ['boot', 'label'],
  ['band', 'label'],
];

export const end = fc.record({
  method: fc.constantFrom(...METHODS),
  crimps: fc.constantFrom(1 as const, 2 as const),
  layers: fc.constantFrom(...LAYERS).map((layers) => [...layers]),
  stud: fc.constantFrom('M6', 'M8', 'M10'),
});
const clamped = fc.constantFrom('cast clamp' as const, 'screw clamp' as const).map((form): Partial<End> => {
  const lug = clampOf(form);
  return lug ? { lugId: lug.id } : {};
});
const anyEnd: fc.Arbitrary<Partial<End>> = fc.oneof(
  { weight: 4, arbitrary: end },
  { weight: 1, arbitrary: clamped },
);
export const anyCable = fc
  .record({
    a: anyEnd,
    b: anyEnd,
    hole: fc.constantFrom(undefined, 12, 40),
    inPlace: fc.boolean(),
    metric: fc.constantFrom('25', '50', '70'),
  })
  .map(({ a, b, hole, inPlace, metric }) => {
    const cable = cableWith(
      a,
      { ...b, ...(inPlace && { inPlace: { swingMm: 700, solidFloor: true } }) },
      { gauge: { kindId: 'tinned-marine', size: { system: 'metric', name: metric } } },
    );
    return hole === undefined ? cable : { ...cable, run: { ...cable.run, holeMm: hole } };
  });
