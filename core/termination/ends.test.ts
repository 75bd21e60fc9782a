import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { genericShop } from '../catalogue/genericShop.ts';
import { genericLug } from '../catalogue/lugs.ts';
import { STUDS } from '../catalogue/tables/studs.ts';
import type { Finding } from '../finding.ts';
import type { Cable } from '../job/cable.ts';
import type { End } from '../job/end.ts';
import type { Job } from '../job/job.ts';
import { newCable } from '../job/newCable.ts';
import type { Shop } from '../job/shop.ts';
import { contextOf } from '../jobContext.ts';
import { workUp, workUpCable } from '../workup.ts';
import { type LugNeed, lugOffer, lugOffers } from './lugOffers.ts';
import { openCase } from './toolCase.ts';

const shop = genericShop();
const base = newCable('c', 'C-1', shop);

/** A cable of 70 mm² between two M10 studs, with what the test is about. */
function cableWith(a: Partial<End> = {}, more: Partial<Cable> = {}): Cable {
  return {
    ...base,
    gauge: { kindId: 'tinned-marine', size: { system: 'metric', name: '70' } },
    ...more,
    run: { ...base.run, load: { kind: 'amps', amps: 120 }, lengthMm: 2000, ...more.run },
    ends: { A: { at: 'bus', stud: 'M10', ...a }, B: { at: 'load', stud: 'M10', ...more.ends?.B } },
  };
}
const work = (cable: Cable, own: Shop = shop, today: string | null = null) =>
  workUpCable(cable, own, { today });
const found = (findings: readonly Finding[], id: string) => {
  const finding = findings.find((other) => other.id === id);
  if (!finding) throw new Error(`no finding ${id}`);
  return finding;
};
const practising = (practice: Partial<Shop['practice']>): Shop => ({
  ...shop,
  practice: { ...shop.practice, ...practice },
});

describe('what the shelf offers', () => {
  const need: LugNeed = {
    copperMm2: 70,
    tinned: true,
    meets: { kind: 'stud', stud: 'M10' },
    crimpsAsked: 2,
    method: 'crimp',
    dieStep: 'nominal',
  };
  const toolCase = openCase(shop);
  const heavy = genericLug('compression-metric', '70', 'M10', 1);
  const offer = (more: Partial<typeof heavy>, asked: Partial<LugNeed> = {}) =>
    lugOffer({ ...heavy, ...more }, { ...need, ...asked }, toolCase);
  test('for 70 mm² on M10: its own heavy lug and code die first, with the reasons', () => {
    const [first] = lugOffers(need, toolCase);
    expect(first?.lug.label).toBe('70-10 heavy');
    expect(first?.die?.die.stamp).toBe('K16');
    expect(first?.refused).toBeNull();
    expect(first?.reasons.map(({ about }) => about)).toEqual(expect.arrayContaining(['fill', 'stud', 'die']));
  });
  test('every refused lug says why, and stands last', () => {
    const offers = lugOffers(need, toolCase);
    const firstRefused = offers.findIndex(({ refused }) => refused !== null);
    expect(firstRefused).toBeGreaterThan(0);
    expect(offers.slice(firstRefused).every(({ refused }) => (refused ?? '').length > 10)).toBe(true);
  });
  test.each([
    ['brass', { metal: 'brass' as const }, /brass does not flow/],
    ['drilled out', { drilledOut: true }, /tears/],
    ['too small', { boreMm: 8 }, /never cut strands/],
    ['too big', { boreMm: 16 }, /far too big/],
    ['a loose hole', { holeMm: 13 }, /loose/],
    ['a small hole', { holeMm: 8.4 }, /never drill/],
    ['a clamp', { form: 'cast clamp' as const }, /clamp for a battery post/],
    ['an in-line connector', { form: 'butt' as const }, /not an end/],
  ])('%s is refused with its reason', (_, more, reason) => expect(offer(more).refused).toMatch(reason));
  test('a lug refused as too small is refused for every larger conductor', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...shop.lugs.filter(({ form }) => form === 'tube')),
        fc.double({ min: 4, max: 250, noNaN: true }),
        fc.double({ min: 1, max: 2, noNaN: true }),
        (lug, copperMm2, times) => {
          const ask = (copper: number) =>
            lugOffer(lug, { ...need, copperMm2: copper, meets: { kind: 'stud', stud: lug.stud } }, toolCase)
              .refused;
          return !/too small/.test(ask(copperMm2) ?? '') || /too small/.test(ask(copperMm2 * times) ?? '');
        },
      ),
    );
  });
  test('bare copper against tinned strands, a dear price and an empty shelf count against a lug', () => {
    const plain = offer({});
    expect(offer({ plating: 'none' }).rank).toBeGreaterThan(plain.rank);
    expect(offer({ price: 60 }).rank).toBeGreaterThan(plain.rank);
    expect(offer({ stock: 0 }).reasons[0]).toMatchObject({ about: 'stock', good: false });
  });
});

describe('an end decided', () => {
  test('from nothing said, by house practice, and everything holds', () => {
    const { ends, findings } = work(cableWith());
    expect(ends.A.proposed).toEqual({ lug: true, die: true, sleeve: true });
    expect(ends.A.stripMm).toBe(28 + shop.practice.gapMm);
    expect(ends.A.crimps).toHaveLength(2);
    expect(ends.A.crimpsInOrder).toEqual(ends.A.crimps.toReversed());
    const own = findings.filter(({ stage, end }) => stage === 'ends' && end === 'A');
    expect(own.filter(({ state }) => state !== 'holds')).toEqual([]);
  });
  test('what is said on the cable stands, even where it fails, and the findings say so', () => {
    const { ends, findings } = work(
      cableWith({ stud: 'M8', lugId: 'compression-metric-70-m10', dieId: 'hand-95' }),
    );
    expect(ends.A.lug?.label).toBe('70-10 heavy');
    expect(found(findings, 'clearance.A')).toMatchObject({
      state: 'fails',
      remedy: 'Buy the hole you need.',
    });
  });
  test('without a lug that suits, it says what to buy and never what to cut', () => {
    const { findings } = work(cableWith(), { ...shop, lugs: [] });
    expect(found(findings, 'lug.A')).toMatchObject({ state: 'fails', value: null });
    expect(found(findings, 'lug.A').remedy).toMatch(/Never cut strands/);
  });
  test('without a sleeve or a die it fails and says so', () => {
    const { findings } = work(cableWith(), { ...shop, sleeves: [], dies: [] });
    expect(found(findings, 'sleeve.A').state).toBe('fails');
    expect(found(findings, 'compaction.A').state).toBe('fails');
  });
  test('every finding opens to a formula and its source', () => {
    const busy = cableWith(
      { method: 'crimp then solder', strands: { cut: 3 }, layers: ['braid', 'boot', 'band', 'label'] },
      { joins: [{ id: 'j1', kind: 'butt', atMm: 900 }] },
    );
    const { findings } = work(busy);
    expect(findings.length).toBeGreaterThan(40);
    for (const { work: own, because } of findings) {
      expect(own.formula).not.toBe('');
      expect(own.source).not.toBe('');
      expect(because).not.toBe('');
    }
  });
});

describe('cut strands', () => {
  const cut = (n: number, practice: Partial<Shop['practice']> = {}) =>
    work(cableWith({ strands: { cut: n, counted: 396 } }), practising(practice)).findings;
  test('a house that allows none fails at one; one that plucks fails past its class', () => {
    expect(found(cut(1), 'strands.A').state).toBe('fails');
    expect(found(cut(7, { cutStrands: 'pluck' }), 'strands.A').state).toBe('holds');
    expect(found(cut(30, { cutStrands: 'pluck' }), 'strands.A').state).toBe('fails');
  });
  test('what is left is held against every limit again', () => {
    const whole = work(cableWith()).ends.A;
    const { ends, findings } = work(cableWith({ strands: { cut: 40, counted: 400 } }));
    expect(ends.A.copperMm2).toBeCloseTo(63, 9);
    expect(found(findings, 'fill.A').value).toBeCloseTo(
      (63 / 70) * (found(work(cableWith()).findings, 'fill.A').value ?? 0),
      9,
    );
    expect(ends.A.die?.c).not.toBe(whole.die?.c);
    expect(found(findings, 'strands-amps.A').because).toMatch(/the drop stays/);
    expect(found(findings, 'strands-short.A').value).toBeCloseTo(81, 9);
  });
  test('strands tinned before a crimp fail it; where solder alone holds they do no harm', () => {
    const tinned = (method: End['method']) =>
      found(work(cableWith({ method, strands: { cut: 0, tinnedFirst: true } })).findings, 'tinned-first.A')
        .state;
    expect(tinned('crimp')).toBe('fails');
    expect(tinned('crimp then solder')).toBe('fails');
    expect(tinned('solder')).toBe('holds');
  });
});

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

describe('battery posts', () => {
  const positive = { kind: 'large taper', polarity: 'positive' } as const;
  test('a taper gets a clamp bored for its kind and pole, soldered; a ring lug is refused', () => {
    const { ends, findings } = work(cableWith({ post: positive }, { polarity: 'positive' }));
    expect(ends.A.lug).toMatchObject({ form: 'cast clamp', clamp: { post: positive } });
    expect(ends.A.method).toBe('solder');
    expect(found(findings, 'post.A').state).toBe('holds');
  });
  test('the clamp of the other pole, and the cable of the other pole, fail', () => {
    const negative = shop.lugs.find(
      ({ clamp, form }) => clamp?.post.polarity === 'negative' && form === 'cast clamp',
    );
    const wrong = work(cableWith({ post: positive, lugId: negative?.id }));
    expect(found(wrong.findings, 'post.A').because).toMatch(/Bored for large taper, negative/);
    const black = work(cableWith({ post: positive }, { polarity: 'negative' }));
    expect(found(black.findings, 'post.A').state).toBe('fails');
  });
  test('an adapter turns the post into a stud; one from another post fails', () => {
    const { ends, findings } = work(cableWith({ post: positive, adapter: 'large-to-m10' }));
    expect(ends.A.meets).toEqual({ kind: 'stud', stud: 'M10' });
    expect(ends.A.lug?.form).toBe('tube');
    expect(found(findings, 'adapter.A').state).toBe('holds');
    const other = work(cableWith({ post: positive, adapter: 'small-to-m8' }));
    expect(found(other.findings, 'adapter.A').state).toBe('fails');
  });
  test('a screw clamp has a date, and comes back as due', () => {
    const screw = shop.lugs.find(
      ({ form, clamp }) => form === 'screw clamp' && clamp?.post.polarity === 'positive',
    );
    const end = { post: positive, lugId: screw?.id };
    const state = (more: Partial<End>, today: string | null) =>
      found(work(cableWith({ ...end, ...more }), shop, today).findings, 'temporary.A').state;
    const temporary = { fitted: '2026-11-01', replaceBy: '2026-12-01' };
    expect(state({}, '2026-11-25')).toBe('fails');
    expect(state({ temporary }, '2026-11-25')).toBe('watch');
    expect(state({ temporary }, '2026-12-01')).toBe('fails');
    expect(state({ temporary }, null)).toBe('watch');
  });
  test('two cables on one post want a clamp made for two', () => {
    const one = { ...cableWith({ at: 'Start battery +', post: positive }), id: 'one' };
    const two = { ...one, id: 'two', tag: 'C-2' };
    const job: Job = { id: 'j', title: 'j', subtitle: '', cables: [one, two], studs: [], heeded: [] };
    const [first] = workUp(job, shop).cables;
    expect(found(first?.findings ?? [], 'post-shared.A').state).toBe('fails');
    const forTwo = shop.lugs.find(({ clamp }) => clamp?.cables === 2 && clamp.post.polarity === 'positive');
    const both = {
      ...job,
      cables: [one, two].map((cable) => ({
        ...cable,
        ends: { ...cable.ends, A: { ...cable.ends.A, lugId: forTwo?.id } },
      })),
    };
    expect(found(workUp(both as Job, shop).cables[0]?.findings ?? [], 'post-shared.A').state).toBe('holds');
  });
});

describe('everything on one stud', () => {
  const lug = (amps: number, id: string): Cable => ({
    ...cableWith({ studId: 'bus', lugId: 'compression-metric-70-m10' }),
    id,
    tag: id.toUpperCase(),
    run: { ...base.run, load: { kind: 'amps', amps }, lengthMm: 2000 },
  });
  const jobOf = (amps: readonly number[], stud: Partial<Job['studs'][number]> = {}): Job => ({
    id: 'j',
    title: 'j',
    subtitle: '',
    cables: amps.map((a, i) => lug(a, `c${i}`)),
    studs: [{ id: 'bus', name: 'Bus +', stud: 'M10', springWasher: false, others: [], ...stud }],
    heeded: [],
  });
  const first = (job: Job) => workUp(job, shop).cables[0]?.findings ?? [];
  test('is stacked by amps, the largest at the face, with the thread it needs', () => {
    const { stacks } = workUp(jobOf([40, 150]), shop).cables[0] ?? {};
    expect(stacks?.A?.members.map(({ label }) => label)).toEqual(['C1 A', 'C0 A']);
    const { washerMm, nutMm, pitchMm } = STUDS.M10;
    const needs = 2 * 5 + washerMm + nutMm + 1.5 * pitchMm;
    expect(found(first(jobOf([40, 150])), 'stack.A').value).toBeCloseTo(needs, 9);
    expect(found(first(jobOf([40, 150], { lengthMm: needs + 0.1 })), 'stack.A').state).toBe('holds');
    expect(found(first(jobOf([40, 150], { lengthMm: needs - 0.1 })), 'stack.A').state).toBe('fails');
    expect(found(first(jobOf([40, 150], { springWasher: true })), 'stack.A').value).toBeCloseTo(
      needs + washerMm,
      9,
    );
  });
  test('an order with less at the face, five lugs, or two sizes of stud fail', () => {
    expect(found(first(jobOf([40, 150], { order: ['c0.A', 'c1.A'] })), 'stack-order.A').state).toBe('fails');
    expect(found(first(jobOf([10, 20, 30, 40])), 'stack-count.A').state).toBe('holds');
    expect(found(first(jobOf([10, 20, 30, 40, 50])), 'stack-count.A').state).toBe('fails');
    expect(found(first(jobOf([10, 20], { stud: 'M8' })), 'stack-stud.A').state).toBe('fails');
  });
  test('what is stacked above flows through the face too; an undecided neighbour is not proved', () => {
    const contact = found(first(jobOf([150, 40])), 'contact.A');
    expect(contact.value).toBeCloseTo(190 / ((Math.PI / 4) * (20 ** 2 - 10.5 ** 2)), 6);
    const job = jobOf([40, 150]);
    const [a, b] = job.cables as [Cable, Cable];
    const open = {
      ...job,
      cables: [a, { ...b, ends: { ...b.ends, A: { at: 'bus', stud: 'M10' as const, studId: 'bus' } } }],
    };
    expect(found(first(open), 'stack.A').state).toBe('unproved');
  });
  test('only cables of the same stud are its neighbours', () => {
    const job = jobOf([40, 150]);
    const [cable] = job.cables as [Cable];
    expect(contextOf(cable, job).neighbours.map(({ id }) => id)).toEqual(['c1']);
    expect(contextOf(cableWith(), job)).toEqual({ mates: [], neighbours: [], studs: [] });
  });
});

describe('through the hole of the route', () => {
  const through = (holeMm: number, more: Partial<Cable['run']> = {}, end: Partial<End> = {}) =>
    work(
      cableWith(
        {},
        {
          run: { ...base.run, load: { kind: 'amps', amps: 120 }, lengthMm: 2000, holeMm, ...more },
          ends: { A: base.ends.A, B: { at: 'load', stud: 'M10', ...end } },
        },
      ),
    );
  test('a wide one passes a finished end', () => {
    const { passage, findings } = through(30);
    expect(passage).toEqual({ pulled: 'A', finished: true });
    expect(found(findings, 'hole.A').state).toBe('holds');
  });
  test('a narrow one: pulled bare, finished in place, in that order', () => {
    const before = through(20);
    expect(before.passage).toEqual({ pulled: 'B', finished: false });
    expect(found(before.findings, 'hole.B')).toMatchObject({
      state: 'fails',
      remedy: 'Way out: pull it bare, crimp B in place.',
    });
    const after = through(20, {}, { inPlace: { swingMm: 400, solidFloor: false } });
    expect(found(after.findings, 'hole.B').state).toBe('holds');
    const ids = after.steps.map(({ id }) => id);
    expect(ids.indexOf('shrink.A')).toBeLessThan(ids.indexOf('pull-through'));
    expect(ids.indexOf('pull-through')).toBeLessThan(ids.indexOf('strip.B'));
    expect(ids.indexOf('clock.B')).toBeLessThan(ids.indexOf('crimp-1.B'));
  });
  test('in place, only a tool that can work there is offered', () => {
    const { ends } = through(20, {}, { inPlace: { swingMm: 400, solidFloor: false } });
    expect(ends.A.tool?.kind).toBe('bench hydraulic');
    expect(ends.B.tool?.kind ?? 'none').not.toBe('bench hydraulic');
  });
  test('a hole thinner than the cable says so', () =>
    expect(found(through(12).findings, 'hole.B').because).toMatch(/The cable itself/));
});

describe('layers', () => {
  test('closest to the jacket first, the heat shrink last; a boot and a tight sleeve never after the lug', () => {
    const { ends, findings } = work(cableWith({ layers: ['boot', 'label', 'braid'] }));
    expect(ends.A.nesting.map(({ layer }) => layer)).toEqual(['braid', 'label', 'boot', 'sleeve']);
    const after = Object.fromEntries(ends.A.nesting.map(({ layer, afterLug }) => [layer, afterLug]));
    expect(after).toMatchObject({ braid: true, label: false, boot: true });
    expect(found(findings, 'layers.A').because).toMatch(/before the lug, or never/);
  });
  test('braid under the sleeve makes it pass more', () => {
    const plain = work(cableWith()).ends.A.sleeveTask;
    const braided = work(cableWith({ layers: ['braid'] })).ends.A.sleeveTask;
    expect((braided?.passMm ?? 0) - (plain?.passMm ?? 0)).toBeCloseTo(1.2, 9);
  });
  test('a sleeve after the lug must pass the palm', () => {
    const task = work(cableWith({ sleeveAfterLug: true })).ends.A.sleeveTask;
    expect(task?.passMm).toBeGreaterThan(15.6);
  });
  test('the pole is never ambiguous', () => {
    const told = (more: Partial<Cable>, end: Partial<End> = {}) =>
      found(work(cableWith(end, more)).findings, 'polarity.A').state;
    expect(told({ polarity: 'positive', jacket: 'red' })).toBe('holds');
    expect(told({ polarity: 'negative', jacket: 'red' })).toBe('fails');
    expect(told({ polarity: 'positive', jacket: 'black' })).toBe('watch');
    expect(told({ polarity: 'positive', jacket: 'black' }, { layers: [] })).toBe('fails');
    expect(told({ polarity: 'positive', jacket: 'black' }, { layers: ['band'] })).toBe('holds');
    expect(told({ polarity: 'link', jacket: 'yellow' })).toBe('holds');
  });
  test('sleeves tell the pole where the shop works so, and a ring of adhesive makes a plain sleeve seal', () => {
    const banded = work(cableWith(), practising({ colours: 'sleeves' }));
    expect(banded.ends.A.layers).toContain('band');
    expect(banded.ends.A.band).toMatchObject({ colour: 'red', kind: 'thin-2' });
    const plain = {
      ...practising({ seal: 'adhesive ring' }),
      sleeves: shop.sleeves.filter(({ kind }) => kind === 'thin-2'),
    };
    const { ends, findings } = work(cableWith(), plain);
    expect(ends.A.sleeve?.sleeve.kind).toBe('thin-2');
    expect(found(findings, 'ring.A').state).toBe('holds');
    expect(work(cableWith(), { ...plain, practice: shop.practice }).ends.A.sleeve).toBeNull();
  });
});

describe('a join along the way', () => {
  const joined = (atMm: number, kind: 'butt' | 'branch' = 'butt', own = shop) =>
    work(
      cableWith({}, { joins: [{ id: 'j1', kind, atMm, ...(kind === 'branch' && { branchMm2: 25 }) }] }),
      own,
    );
  test('has a connector, a die, a sleeve, steps and proofs of its own', () => {
    const { joins, findings, steps } = joined(900);
    expect(joins[0]?.connector?.form).toBe('butt');
    expect(joins[0]?.die?.verdict).toBe('right');
    expect(found(findings, 'join-fill.j1').state).toBe('holds');
    expect(found(findings, 'join-sleeve.j1').state).toBe('holds');
    for (const id of ['join-flats-A.j1', 'join-flats-B.j1', 'join-ears-A.j1', 'join-pull.j1']) {
      expect(found(findings, id).state).toBe('unproved');
    }
    expect(steps.filter(({ id }) => id.startsWith('join-'))).toHaveLength(3);
  });
  test('is judged by its own readings', () => {
    const cable = cableWith({}, { joins: [{ id: 'j1', kind: 'butt', atMm: 900 }] });
    const flats = work(cable).joins[0]?.die?.die.acrossFlatsMm ?? 0;
    const reading = {
      at: '2026-11-20T10:00:00.000Z',
      by: 'R. Alder',
      source: 'typed' as const,
      joinId: 'j1',
    };
    const measured: Cable = {
      ...cable,
      readings: [
        { ...reading, id: 'r1', check: 'join', side: 'A', acrossFlatsMm: flats + 0.05, earsMm: 0.1 },
        { ...reading, id: 'r2', check: 'join', side: 'B', acrossFlatsMm: flats + 1.5, earsMm: 0.1 },
        { ...reading, id: 'r3', check: 'join-pull', forceN: 200, held: false },
      ],
    };
    const { findings } = work(measured);
    expect(found(findings, 'join-flats-A.j1').state).toBe('holds');
    expect(found(findings, 'join-flats-B.j1').state).toBe('fails');
    expect(found(findings, 'join-pull.j1').state).toBe('fails');
    const redone = {
      ...measured,
      reworks: [
        {
          id: 'w',
          at: '2026-11-21T10:00:00.000Z',
          by: 'R. Alder',
          end: 'A' as const,
          what: 'new join',
          joinId: 'j1',
        },
      ],
    };
    expect(found(work(redone).findings, 'join-flats-B.j1').state).toBe('unproved');
  });
  test('a branch brings its copper; one at the very end, or without a connector, fails', () => {
    expect(joined(900, 'branch').joins[0]?.copperMm2).toBe(95);
    expect(found(joined(20).findings, 'join-place.j1').state).toBe('fails');
    const bare = { ...shop, lugs: shop.lugs.filter(({ form }) => form !== 'butt') };
    expect(found(joined(900, 'butt', bare).findings, 'join-fill.j1').state).toBe('fails');
  });
});

describe('palm to palm', () => {
  test('a short stiff cable must be clocked before the second crimp; a long fine one can be twisted', () => {
    const state = (lengthMm: number, kindId: string) =>
      found(
        work(
          cableWith(
            {},
            { gauge: { kindId, size: { system: 'metric', name: '70' } }, run: { ...base.run, lengthMm } },
          ),
        ).findings,
        'clocking',
      ).state;
    expect(state(500, 'battery')).toBe('watch');
    expect(state(6000, 'welding')).toBe('holds');
  });
});
