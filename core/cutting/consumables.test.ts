import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Cable } from '../model/cable.ts';
import type { End } from '../model/end.ts';
import { genericLug } from '../model/catalogue/lugs.ts';
import type { Lug, Shop } from '../model/shop.ts';
import { lookItems } from '../proof/endProof.ts';
import { cableWith, found, practising, shop } from '../termination/endsFixture.ts';
import { cases } from '../lib/casesFixture.ts';
import { anyCable } from '../traveller/travellerFixture.ts';
import { solderNeed } from '../termination/solderNeed.ts';
import { tell } from '../words/message.ts';
import { workUpCable } from '../workup.ts';
import { cablesOnPost, contextOf } from '../jobContext.ts';
import { kitOf } from './kit.ts';
import { takenAt } from './shelf.ts';
import { usesOf } from './uses.ts';

const work = (cable: Cable, own: Shop) => workUpCable(cable, own, { today: null });
const kit = (cable: Cable, own: Shop) => kitOf([{ cable, work: work(cable, own), key: cable.id }], own).lines;
const lineOf = (cable: Cable, own: Shop, key: string) => kit(cable, own).find((line) => line.key === key);
const both = (end: Partial<End>) => cableWith(end, { ends: { B: end } as never });
const thin = shop.sleeves.filter(({ kind }) => kind === 'thin-2');
const plainOnly = (seal: Shop['practice']['seal']): Shop => ({ ...practising({ seal }), sleeves: thin });

describe('what is used up besides cable, lugs and sleeves', () => {
  test('solder is bought as slugs of a size where they are melted in, as wire with flux where it is fed', () => {
    const slugs = kit(both({ method: 'slug then crimp' }), shop);
    expect(slugs.filter(({ group }) => group === 'solder').map(({ key, need }) => [key, need])).toEqual([
      ['slug:70', 2],
    ]);
    const wire = kit(both({ method: 'solder' }), shop).filter(({ group }) => group === 'solder');
    expect(wire.map(({ key, unit }) => [key, unit])).toEqual([
      ['solder', 'g'],
      ['flux', 'g'],
    ]);
    // A film of 0.1 mm on 2 faces of a bore of 11.7 by 26 mm, twice.
    const { boreMm, barrelMm } = work(both({ method: 'solder' }), shop).ends.A.lug as Lug;
    expect(wire[1]?.need).toBeCloseTo((2 * 2 * 0.1 * Math.PI * boreMm * barrelMm) / 1000, 9);
  });
  test('a ring of adhesive is a step before the sleeve, a line of the kit, and comes off the shelf', () => {
    const own = plainOnly('adhesive ring');
    const cable = cableWith();
    const { steps, ends } = work(cable, own);
    const ids = steps.map(({ id }) => id);
    expect(ids.indexOf('ring.A')).toBe(ids.indexOf('shrink.A') - 1);
    expect(steps.find(({ id }) => id === 'shrink.A')?.after).toContain('ring.A');
    expect(lineOf(cable, own, 'sealant')?.need).toBeCloseTo(2 * (ends.A.sleeve?.ringG ?? 0), 9);
    const counted = { ...own, shelf: [{ stock: 'sealant', have: 20 }] };
    const after = takenAt('ring.A', { cable, work: work(cable, counted), key: 'c' }, counted);
    expect(after.took).toEqual([{ part: 'ring.A', stock: 'sealant', amount: ends.A.sleeve?.ringG }]);
    expect(after.shop.shelf?.[0]?.have).toBeCloseTo(20 - (ends.A.sleeve?.ringG ?? 0), 3);
  });
  test('a plain sleeve with nothing under it does in the dry and fails in the wet, and no bead is looked for', () => {
    const own = plainOnly('plain sleeve');
    const dry = work(cableWith(), own);
    expect(dry.steps.some(({ id }) => id.startsWith('ring'))).toBe(false);
    expect(found(dry.findings, 'ring.A').state).toBe('holds');
    expect(lookItems(dry.ends.A)).not.toContain('seal');
    const wet = work({ ...cableWith(), run: { ...cableWith().run, meets: ['wet'] } }, own);
    expect(found(wet.findings, 'ring.A').state).toBe('fails');
    expect(lookItems(work(cableWith(), plainOnly('adhesive ring')).ends.A)).toContain('seal');
  });
  test('adapters are bought, and nuts and washers where the house takes new ones and the stud is its own', () => {
    const post = { kind: 'large taper', polarity: 'positive' } as const;
    expect(lineOf(cableWith({ post, adapter: 'large-to-m10' }), shop, 'adapter:large-to-m10')?.need).toBe(1);
    expect(kit(cableWith(), shop).some(({ group }) => group === 'hardware')).toBe(false);
    const own = practising({ hardware: 'new' });
    expect(lineOf(cableWith(), own, 'hardware:M10')?.need).toBe(2);
    expect(lineOf(cableWith({ studId: 's' }), own, 'hardware:M10')?.need).toBe(1);
  });
  test('whatever is made, each thing that is used has a name, a unit and a line, and is spent by the last step', () => {
    const seals = fc.constantFrom('adhesive sleeve', 'adhesive ring', 'plain sleeve' as const);
    fc.assert(
      fc.property(anyCable, seals, fc.boolean(), (cable, seal, plain) => {
        const own = { ...practising({ seal, hardware: 'new' }), ...(plain && { sleeves: thin }) };
        const worked = work(cable, own);
        const uses = usesOf({ cable, work: worked }, own.practice);
        const keys = kit(cable, own).map(({ key }) => key);
        expect(uses.filter(({ amount }) => !(amount > 0))).toEqual([]);
        for (const { stock } of uses) expect(keys).toContain(stock);
        if (worked.steps.length === 0) return;
        const done = worked.steps.map(({ id }) => ({ step: id, at: '2026-11-30T10:00:00Z', by: 'Wren' }));
        const made = usesOf({ cable: { ...cable, done }, work: worked }, own.practice);
        expect(made.filter(({ isSpent }) => !isSpent)).toEqual([]);
      }),
      { numRuns: cases(150) },
    );
  });
});

describe('what a lug brings, and what only gets one home', () => {
  const post = { kind: 'large taper', polarity: 'positive' } as const;
  const clamp = work(cableWith({ post }), shop).ends.A.lug as Lug;
  const withLoad = (solderG: number) => {
    const own = { ...shop, lugs: [{ ...clamp, solderG }] };
    const cable = cableWith({ post, lugId: clamp.id });
    const worked = work(cable, own);
    return {
      worked,
      need: solderNeed(worked.ends.A, worked.ends.A.lug as Lug, own.practice),
      uses: usesOf({ cable, work: worked }, own.practice),
    };
  };
  test('a clamp loaded with solder takes so much less wire, and none where it brings enough', () => {
    const { need } = withLoad(0);
    const part = withLoad(need.wholeG / 2);
    expect(part.need.massG).toBeCloseTo(need.wholeG / 2, 9);
    expect(part.need.wireMm).toBeCloseTo(need.wireMm / 2, 6);
    const enough = withLoad(need.wholeG);
    expect(enough.uses.some(({ stock }) => stock === 'solder')).toBe(false);
    expect(found(enough.worked.findings, 'solder-mass.A').state).toBe('holds');
    const over = found(withLoad(need.wholeG * 2).worked.findings, 'solder-mass.A');
    expect([over.state, tell(over.because)]).toEqual([
      'watch',
      expect.stringMatching(/runs out over the flame/),
    ]);
  });
  test('a screw terminal goes on a stud by hand only, and has a day to be gone by', () => {
    const terminal: Lug = {
      ...genericLug('compression-metric', '70', 'M10', 1),
      id: 'screw',
      form: 'screw terminal',
      metal: 'brass',
    };
    const own = { ...shop, lugs: [terminal] };
    expect(work(cableWith(), own).ends.A.lug).toBeNull();
    const on = work(cableWith({ lugId: 'screw' }), own);
    expect(on.ends.A.method).toBe('screwed');
    expect(found(on.findings, 'temporary.A').state).toBe('fails');
    expect(
      work(
        cableWith({ lugId: 'screw', temporary: { fitted: '2026-11-30', replaceBy: '2026-12-14' } }),
        own,
      ).findings.find(({ id }) => id === 'temporary.A')?.state,
    ).toBe('watch');
  });
  test('what is bolted beside the clamp of a post is no second cable on it', () => {
    const one = { ...cableWith({ at: 'Start −', post }), id: 'one' };
    const beside = { ...cableWith({ at: 'Start −', post, adapter: 'large-beside-m8' }), id: 'two' };
    expect(work(beside, shop).ends.A.meets).toEqual({ kind: 'stud', stud: 'M8' });
    expect(found(work(beside, shop).findings, 'adapter.A').state).toBe('holds');
    const job = (other: Cable) => ({
      id: 'j',
      title: '',
      subtitle: '',
      heeded: [],
      studs: [],
      cables: [one, other],
    });
    expect(cablesOnPost(one, 'A', contextOf(one, job(beside)))).toBe(1);
    const stacked = { ...one, id: 'two' };
    expect(cablesOnPost(one, 'A', contextOf(one, job(stacked)))).toBe(2);
  });
  test('flux and the print of the hexagon are looked for since they are on the list', () => {
    const soldered = work(cableWith({ method: 'crimp then solder' }), shop).ends.A;
    expect(lookItems(soldered)).toEqual(expect.arrayContaining(['flux', 'imprint']));
    expect(lookItems(soldered, '2026-11-20T10:00:00Z')).toHaveLength(9);
    expect(lookItems(work(cableWith(), shop).ends.A)).not.toContain('flux');
  });
});
