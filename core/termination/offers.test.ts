import { describe, expect, test } from '@jest/globals';
import { tell } from '../words/message.ts';
import { inWords } from '../words/inWordsFixture.ts';
import fc from 'fast-check';
import { genericLug } from '../model/catalogue/lugs.ts';
import type { End } from '../model/end.ts';
import type { Shop } from '../model/shop.ts';
import { type LugNeed, lugOffer, lugOffers } from './lugOffers.ts';
import { openCase } from './dies/toolCase.ts';
import { shop, cableWith, work, found, practising } from './endsFixture.ts';

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
    expect(first?.die?.die.stamp).toBe('F');
    expect(first?.refused).toBeNull();
    expect(first?.reasons.map(({ about }) => about)).toEqual(expect.arrayContaining(['fill', 'stud', 'die']));
  });
  test('every refused lug says why, and stands last', () => {
    const offers = lugOffers(need, toolCase);
    const firstRefused = offers.findIndex(({ refused }) => refused !== null);
    expect(firstRefused).toBeGreaterThan(0);
    expect(offers.slice(firstRefused).every(({ refused }) => tell(refused).length > 10)).toBe(true);
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
  ])('%s is refused with its reason', (_, more, reason) => expect(tell(offer(more).refused)).toMatch(reason));
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
          return !/too small/.test(tell(ask(copperMm2))) || /too small/.test(tell(ask(copperMm2 * times)));
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
    expect(inWords(found(findings, 'clearance.A'))).toMatchObject({
      state: 'fails',
      remedy: 'Buy the hole you need.',
    });
  });
  test('without a lug that suits, it says what to buy and never what to cut', () => {
    const { findings } = work(cableWith(), { ...shop, lugs: [] });
    expect(found(findings, 'lug.A')).toMatchObject({ state: 'fails', value: null });
    expect(tell(found(findings, 'lug.A').remedy)).toMatch(/Never cut strands/);
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
      expect(tell(own.formula)).not.toBe('');
      expect(tell(own.source)).not.toBe('');
      expect(tell(because)).not.toBe('');
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
  test('what is left is held against every limit again; the lug must still pass the whole cable', () => {
    const whole = work(cableWith()).ends.A;
    const { ends, findings } = work(cableWith({ strands: { cut: 40, counted: 400 } }));
    expect(ends.A.copperMm2).toBeCloseTo(63, 9);
    expect(found(findings, 'fill.A').value).toBe(found(work(cableWith()).findings, 'fill.A').value);
    expect(ends.A.die?.c).not.toBe(whole.die?.c);
    expect(tell(found(findings, 'strands-amps.A').because)).toMatch(/the drop stays/);
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
