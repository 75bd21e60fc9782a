import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cases } from '../../lib/casesFixture.ts';
import { readLugsCsv, writeLugsCsv } from '../../model/catalogue/catalogueCsv.ts';
import { lugSchema, type Shop } from '../../model/shop.ts';
import { STUD_NAMES } from '../../model/tables/studs.ts';
import { areaMm2, type ConductorSize } from '../../model/tables/size.ts';
import { kitOf } from '../../cutting/kit.ts';
import { waysOut } from '../../traveller/mishaps.ts';
import { tell } from '../../words/message.ts';
import { workUpCable } from '../../workup.ts';
import { cableWith, found, shop } from '../endsFixture.ts';
import { lugOfTube, tubeLug } from './tubeLug.ts';

const size: ConductorSize = { system: 'metric', name: '70' };
const made = lugOfTube('made', { outerMm: 15, wallMm: 2 }, size, 'M8');
const own: Shop = { ...shop, lugs: [...shop.lugs, made] };
const cable = cableWith({ lugId: 'made', stud: 'M8' });
const work = (meets: readonly ('wet' | 'flexing' | 'exhaust')[] = [], lugs = own.lugs) =>
  workUpCable({ ...cable, run: { ...cable.run, meets: [...meets] } }, { ...own, lugs }, { today: null });

describe('a lug made from tube', () => {
  test('is kept with its dimensions, and goes out and comes in as CSV', () => {
    expect(lugSchema.safeParse(made).success).toBe(true);
    expect(made).toMatchObject({
      label: 'tube 15 × 2, M8',
      boreMm: 11,
      barrelMm: 22,
      palmThicknessMm: 4,
      madeHere: { wallMm: 2 },
    });
    // Half the outside as neck, and the hole a hole’s width into the flat.
    expect(made.studToBarrelMm).toBeCloseTo(7.5 + made.holeMm, 6);
    const { items } = readLugsCsv(writeLugsCsv([made]), []);
    expect(items[0]).toMatchObject({ label: made.label, madeHere: { wallMm: 2 } });
  });
  test('is made at the bench before its end is stripped, step by step with its figures', () => {
    const { steps } = work();
    const ids = steps.map(({ id }) => id);
    const making = [
      'tube-cut.A',
      'tube-ream.A',
      'tube-bar.A',
      'tube-flatten.A',
      'tube-drill.A',
      'tube-finish.A',
    ];
    expect(ids.filter((id) => id.startsWith('tube-'))).toEqual(making);
    expect(steps.find(({ id }) => id === 'strip.A')?.after).toContain('tube-finish.A');
    const tube = tubeLug(15, 2, areaMm2(size), 'M8');
    const figure = (id: string) => steps.find((step) => step.id === id)?.figure?.value;
    expect(making.map(figure)).toEqual([tube.cutMm, 11, 22, 4, tube.holeMm, tube.palmWidthMm / 2]);
    expect(tube.cutMm).toBeCloseTo(22 + 7.5 + 2 * tube.holeMm, 9);
  });
  test('an end cut off before the lug is on keeps the lug; after that it takes it along', () => {
    const reopened = (done: readonly string[]) => {
      const begun = {
        ...cable,
        done: done.map((step) => ({ step, at: '2026-11-30T10:00:00Z', by: 'Wren' })),
      };
      const worked = workUpCable(begun, own, { today: null });
      const step = worked.steps.find(({ id }) => id === (done.at(-1) ?? ''));
      if (!step) throw new Error('no step');
      const way = waysOut('strands nicked by the blade', step, begun, worked, own).find(
        ({ way: kind }) => kind === 'cut back',
      );
      return way?.reopens.filter((id) => id.startsWith('tube-')).length;
    };
    expect(reopened(['tube-cut.A', 'strip.A'])).toBe(0);
    expect(reopened(['tube-cut.A', 'strip.A', 'crimp-1.A'])).toBe(6);
  });
  test('carries what its least metal carries, and does not go where it flexes, by an exhaust, or bare in the wet', () => {
    expect(found(work().findings, 'made-metal.A').state).toBe('holds');
    const thin = lugOfTube('made', { outerMm: 13.5, wallMm: 1.2 }, size, 'M8');
    const weak = found(work([], [...shop.lugs, thin]).findings, 'made-metal.A');
    expect([weak.state, tell(weak.because)]).toEqual([
      'fails',
      expect.stringMatching(/hotter than the cable/),
    ]);
    const state = (...meets: ('wet' | 'flexing' | 'exhaust')[]) =>
      found(work(meets).findings, 'made-place.A').state;
    expect([state(), state('wet'), state('flexing'), state('exhaust')]).toEqual([
      'watch',
      'fails',
      'fails',
      'fails',
    ]);
    const tinned = work(['wet'], [...shop.lugs, { ...made, plating: 'tin' }]);
    expect(found(tinned.findings, 'made-place.A').state).toBe('watch');
  });
  test('stands in the kit as tube to be cut, and is not bought', () => {
    const line = kitOf([{ cable, work: work(), key: 'c' }], own).lines.find(({ key }) => key === 'lug:made');
    expect(line).toMatchObject({ buy: 0, have: null });
    expect(tell(line?.note ?? '')).toMatch(/made here: .* of tube 15 × 2 each/);
  });
  test('has no more metal than its tube, and what can do it holds the cable’s copper everywhere', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 6, max: 30, noNaN: true }),
        fc.double({ min: 0.05, max: 0.45, noNaN: true }),
        fc.constantFrom('16', '25', '35', '50', '70', '95'),
        fc.constantFrom(...STUD_NAMES),
        (outerMm, share, name, stud) => {
          const copper = areaMm2({ system: 'metric', name });
          const tube = tubeLug(outerMm, outerMm * share, copper, stud);
          expect(tube.leastMm2).toBeLessThanOrEqual(tube.tubeMm2);
          expect(tube.cutMm).toBeCloseTo(tube.barrelMm + tube.neckMm + tube.flatMm, 9);
          if (tube.problems.length === 0) expect(tube.leastMm2).toBeGreaterThanOrEqual(copper);
        },
      ),
      { numRuns: cases(1000) },
    );
  });
});
