import { describe, expect, test } from '@jest/globals';
import type { Cable } from '../../model/cable.ts';
import type { End } from '../../model/end.ts';
import { shop, base, cableWith, work, found, practising } from '../endsFixture.ts';

describe('methods as schools, with their consequences for this cable', () => {
  const of = (end: Partial<End>, own = shop, more: Partial<Cable> = {}) => work(cableWith(end, more), own);
  const still = { distanceMm: 60, flexes: false, vibrates: false };
  test('crimp only has nothing of solder', () =>
    expect(of({ method: 'crimp' }).findings.some(({ id }) => id.startsWith('solder'))).toBe(false));
  test('solder only uses no die, and holds by 1.5 bundle diameters', () => {
    const { ends, findings, steps } = of({ method: 'solder', support: still });
    expect(ends.A.die).toBeNull();
    expect(found(findings, 'solder-hold.A').state).toBe('holds');
    expect(findings.some(({ id }) => id === 'across-flats.A')).toBe(false);
    expect(steps.map(({ id }) => id).filter((id) => id.endsWith('.A'))).toEqual([
      'strip.A',
      'strands.A',
      'home.A',
      'solder.A',
      'cool.A',
      'shrink.A',
    ]);
    const short = { ...shop, lugs: shop.lugs.map((lug) => ({ ...lug, barrelMm: 12 })) };
    expect(found(of({ method: 'solder', support: still }, short).findings, 'solder-hold.A').state).toBe(
      'fails',
    );
  });
  test('a step that flexes fails, one that shakes is watched, one that is not said is not proved', () => {
    const step = (support: End['support']) =>
      found(of({ method: 'crimp then solder', ...(support && { support }) }).findings, 'solder-flex.A').state;
    expect(step(undefined)).toBe('unproved');
    expect(step({ ...still, flexes: true })).toBe('fails');
    expect(step({ ...still, vibrates: true })).toBe('watch');
    expect(step(still)).toBe('holds');
  });
  test('a slug under a crimp creeps; acid flux is refused; a pocket flame is too weak for a thick lug', () => {
    expect(found(of({ method: 'slug then crimp' }).findings, 'creep.A').state).toBe('watch');
    const weak = practising({ solder: { wireMm: 2, torchW: 300, flux: 'acid' } });
    const { findings } = of({ method: 'solder' }, weak);
    expect(found(findings, 'flux.A').state).toBe('fails');
    expect(found(findings, 'torch.A').state).toBe('fails');
    const fierce = practising({ solder: { wireMm: 2, torchW: 20000, flux: 'rosin' } });
    expect(found(of({ method: 'solder' }, fierce).findings, 'torch.A').state).toBe('watch');
  });
  test('a soldered end is bolted to 105 °C at most, whatever the device stands', () => {
    const hot = { run: { ...base.run, load: { kind: 'amps' as const, amps: 120 }, terminationC: 120 } };
    const limit = (method: End['method']) =>
      of({ method }, shop, { ...hot, gauge: { kindId: 'thin-wall' } }).choice.taken.at.limitC;
    expect(limit('crimp')).toBe(120);
    expect(limit('solder')).toBe(105);
  });
  test('solder after a crimp fills less than solder alone', () => {
    const mass = (method: End['method']) =>
      found(of({ method, support: still }).findings, 'solder-mass.A').value ?? 0;
    expect(mass('crimp then solder')).toBeLessThan(mass('solder'));
    expect(mass('crimp then solder')).toBeGreaterThan(0);
  });
});
