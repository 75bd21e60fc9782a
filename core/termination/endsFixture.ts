import { genericShop } from '../model/catalogue/genericShop.ts';
import type { Finding } from '../finding/finding.ts';
import type { Cable } from '../model/cable.ts';
import type { End } from '../model/end.ts';
import { newCable } from '../model/newCable.ts';
import type { Shop } from '../model/shop.ts';
import { workUpCable } from '../workup.ts';

export const shop = genericShop();
export const base = newCable('c', 'C-1', shop);

/** A cable of 70 mm² between two M10 studs, with what the test is about. */
export function cableWith(a: Partial<End> = {}, more: Partial<Cable> = {}): Cable {
  return {
    ...base,
    gauge: { kindId: 'tinned-marine', size: { system: 'metric', name: '70' } },
    ...more,
    run: { ...base.run, load: { kind: 'amps', amps: 120 }, lengthMm: 2000, ...more.run },
    ends: { A: { at: 'bus', stud: 'M10', ...a }, B: { at: 'load', stud: 'M10', ...more.ends?.B } },
  };
}
export const work = (cable: Cable, own: Shop = shop, today: string | null = null) =>
  workUpCable(cable, own, { today });
export const found = (findings: readonly Finding[], id: string) => {
  const finding = findings.find((other) => other.id === id);
  if (!finding) throw new Error(`no finding ${id}`);
  return finding;
};
export const practising = (practice: Partial<Shop['practice']>): Shop => ({
  ...shop,
  practice: { ...shop.practice, ...practice },
});
