import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cases } from '../../lib/casesFixture.ts';
import type { Job, SharedStud } from '../../model/job.ts';
import { STUD_NAMES } from '../../model/tables/studs.ts';
import { tell } from '../../words/message.ts';
import { contextOf } from '../../jobContext.ts';
import { workUpCable } from '../../workup.ts';
import { cableWith, found, shop } from '../endsFixture.ts';
import { openCase } from '../dies/toolCase.ts';
import { lugOffer } from '../lugOffers.ts';
import { genericLug } from '../../model/catalogue/lugs.ts';
import { palmRoomMm } from './palmAsked.ts';
import { stackMm, type StudStack } from './studStack.ts';

const stud: SharedStud = {
  ...{ id: 's', name: 'Bank −', stud: 'M10', springWasher: false, lengthMm: 24 },
  others: [{ what: 'charger −', amps: 60, palmMm: 3.2 }],
};
const on = { studId: 's' };
const heavy = shop.lugs.find(({ label }) => label === '70-10 heavy');

/** A cable on its own, or as it stands in a job with a stud that others share, or with an engine block. */
function inJob(
  end: Parameters<typeof cableWith>[0],
  more: Pick<Job, 'system'> & { studs?: SharedStud[] } = {},
) {
  const cable = cableWith(end);
  const job = { id: 'j', title: 'j', subtitle: '', heeded: [], studs: [], cables: [cable], ...more };
  return workUpCable(cable, shop, { today: null, context: contextOf(cable, job) });
}
const engine: Pick<Job, 'system'> = {
  system: { places: [{ id: 'g', name: 'Engine', kind: 'ground' }], bonds: [], states: [] },
};
const onBlock = { on: { place: 'g', post: 'post' } } as const;

describe('the palm that a stud asks for', () => {
  test('several share a short stud: a thin palm is proposed, with what the stud leaves', () => {
    const alone = inJob({});
    const { ends } = inJob(on, { studs: [stud] });
    expect(ends.A.palm).toEqual({ want: 'thin', roomMm: 24 - (3.2 + 2 + 8.4 + 2.25) });
    const thickness = (work: typeof alone) => work.ends.A.lug?.palmThicknessMm ?? 0;
    expect(thickness(inJob(on, { studs: [{ ...stud, lengthMm: 19.5 }] }))).toBeLessThan(thickness(alone));
  });
  test('on a bare block a heavy palm is proposed; one that others share is no bare block', () => {
    const block = inJob(onBlock, engine);
    expect(block.ends.A.palm).toEqual({ want: 'heavy', roomMm: null });
    expect(block.ends.A.lug?.label).toBe(heavy?.label);
    const shared = inJob({ ...on, ...onBlock }, { ...engine, studs: [stud] });
    expect(shared.ends.A.palm?.want).toBe('thin');
  });
  test('a palm too thick fails, and the one owned that fits is named', () => {
    const work = inJob({ ...on, lugId: heavy?.id }, { studs: [{ ...stud, lengthMm: 19.5 }] });
    const finding = found(work.findings, 'stack.A');
    expect(finding.state).toBe('fails');
    expect(tell(finding.remedy ?? '')).toMatch(
      new RegExp(`Take .*${work.ends.A.thinner?.label}.*whose palm is`),
    );
  });
  test('palms of what is left fit on the stud, whatever stands on it', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...STUD_NAMES),
        fc.double({ min: 5, max: 80, noNaN: true }),
        fc.boolean(),
        fc.array(fc.option(fc.double({ min: 0.5, max: 8, noNaN: true })), { minLength: 1, maxLength: 6 }),
        (name, lengthMm, springWasher, palms) => {
          const members = palms.map((palmMm, i) => ({
            key: `${i}`,
            label: `${i}`,
            amps: 1,
            palmMm,
            isThis: i === 0,
          }));
          const room =
            palmRoomMm({
              stud: name,
              name: '' as never,
              lengthMm,
              springWasher,
              members,
              disagree: [],
            } satisfies StudStack) ?? -1;
          const all = palms.map((mm) => mm ?? room);
          expect(room).toBeGreaterThanOrEqual(0);
          if (room > 0 && palms.includes(null))
            expect(stackMm(name, all, springWasher)).toBeLessThanOrEqual(lengthMm + 1e-9);
        },
      ),
      { numRuns: cases(500) },
    );
  });
  test('of lugs alike but for the palm, the thinner ranks better among others, the thicker on a block', () => {
    const need = {
      copperMm2: 70,
      tinned: true,
      meets: { kind: 'stud', stud: 'M10' },
      crimpsAsked: 1,
      method: 'crimp',
      dieStep: 'nominal',
    } as const;
    const toolCase = openCase(shop);
    const like = genericLug('compression-metric', '70', 'M10', 1);
    const rank = (palmThicknessMm: number, want: 'thin' | 'heavy' | 'any', roomMm: number | null) =>
      lugOffer({ ...like, palmThicknessMm }, { ...need, palm: { want, roomMm } }, toolCase).rank;
    const thick = fc.double({ min: 1, max: 8, noNaN: true });
    fc.assert(
      fc.property(thick, thick, (a, b) => {
        fc.pre(Math.abs(a - b) > 1e-6);
        expect(Math.sign(rank(a, 'thin', null) - rank(b, 'thin', null))).toBe(Math.sign(a - b));
        expect(Math.sign(rank(a, 'heavy', null) - rank(b, 'heavy', null))).toBe(Math.sign(b - a));
        expect(rank(Math.max(a, b), 'any', (a + b) / 2)).toBeGreaterThan(
          rank(Math.min(a, b), 'any', (a + b) / 2),
        );
      }),
      { numRuns: cases(200) },
    );
  });
});
