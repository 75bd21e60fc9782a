import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cases } from '../lib/casesFixture.ts';
import type { Cable } from '../model/cable.ts';
import { genericShop } from '../model/catalogue/genericShop.ts';
import { kindUses } from '../model/kindUses.ts';
import { emptyJob, newCable } from '../model/newCable.ts';
import { MEETS, type Meets } from '../model/run.ts';
import { type CableKind, type CableSize, JACKETS, type Shop } from '../model/shop.ts';
import { sameSize } from '../model/tables/size.ts';
import { kindsBeside } from '../stages.ts';
import { workUpCable } from '../workup.ts';
import { tell } from '../words/message.ts';
import { digits } from '../words/numerals.ts';
import { kindsFinding } from './kindsCompared.ts';
import { misfitOf, type Trait, TRAITS } from './kindTraits.ts';

const shop = genericShop();
const [kind] = shop.cableKinds as [CableKind];
const size = { system: 'metric', name: '50' } as const;
const cable: Cable = { ...newCable('c', 'C-1', shop), gauge: { kindId: kind.id, size } };

/** The shop with what the data sheet says of 50 mm² of its first kind. */
const withSheet = (sheet: Partial<CableSize>): Shop => ({
  ...shop,
  cableKinds: shop.cableKinds.map((own) =>
    own === kind
      ? { ...own, sizes: own.sizes.map((at) => (sameSize(at.size, size) ? { ...at, ...sheet } : at)) }
      : own,
  ),
});
const findingOf = (own: Cable, from: Shop, topic: string, part?: string) =>
  workUpCable(own, from).findings.find(
    (one) => one.topic === topic && (part === undefined || one.part === part),
  );
const taken = (from: Shop) => workUpCable(cable, from).choice.taken.at;

describe('what the data sheet of a kind says', () => {
  test('its resistance takes the place of the table, in drop and in what is measured', () => {
    const table = taken(shop);
    const half = withSheet({ ohmPerKm: 0.393 / 2 });
    const cableOhm = (at: typeof table) => at.spenders.find((one) => one.kind === 'cable')?.ohm ?? NaN;
    // Cooler for less loss, and so by a little more than half.
    expect(cableOhm(taken(half)) / cableOhm(table)).toBeLessThanOrEqual(0.5);
    expect(cableOhm(taken(half)) / cableOhm(table)).toBeGreaterThan(0.4);
    const limit = (from: Shop) => {
      const found = findingOf(cable, from, 'resistance');
      return { work: JSON.stringify(found?.work), limit: JSON.stringify(found?.limit) };
    };
    expect(limit(shop).work).toContain('conductor table');
    expect(limit(half).work).toContain('data sheet');
    expect(limit(half).limit).not.toBe(limit(shop).limit);
  });

  test('less resistance never makes it drop more, at any sheet', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 2, noNaN: true }),
        fc.double({ min: 1, max: 2, noNaN: true }),
        (ohm, times) => {
          expect(taken(withSheet({ ohmPerKm: ohm })).dropPercent).toBeLessThanOrEqual(
            taken(withSheet({ ohmPerKm: ohm * times })).dropPercent + 1e-9,
          );
        },
      ),
      { numRuns: cases(60) },
    );
  });

  test('its mass and its strands take the place of what is worked out', () => {
    const { massKg } = taken(withSheet({ gPerM: 1000 }));
    expect(massKg).toBeCloseTo((cable.run.lengthMm + cable.run.loopMm) / 1000, 9);
    expect(workUpCable(cable, withSheet({ strandCount: 1234 })).ends.A.strands.count).toBe(1234);
    expect(workUpCable(cable, shop).ends.A.strands.count).not.toBe(1234);
  });

  test('a colour it is not bought in is watched, and any colour is right where none is said', () => {
    const only = (colours: CableKind['colours']): Shop => ({
      ...shop,
      cableKinds: [{ ...kind, ...(colours && { colours }) }],
    });
    const red: Cable = { ...cable, jacket: 'red' };
    expect(findingOf(red, only(['black']), 'suits', 'colour')?.state).toBe('watch');
    expect(findingOf(red, only(['black', 'red']), 'suits', 'colour')).toBeUndefined();
    for (const jacket of JACKETS)
      expect(findingOf({ ...cable, jacket }, only(undefined), 'suits', 'colour')).toBeUndefined();
  });
});

describe('kinds beside one another', () => {
  const run = (meets: Meets[], engineSpace: boolean, sun: boolean, amps: number) => ({
    ...cable,
    gauge: { kindId: kind.id },
    run: { ...cable.run, meets, engineSpace, sun, load: { kind: 'amps' as const, amps } },
  });

  test('each is what the cable would be, were it of that kind; what it is asked and does not stand is watched', () => {
    fc.assert(
      fc.property(
        fc.subarray(Object.keys(MEETS) as Meets[]),
        fc.boolean(),
        fc.boolean(),
        fc.integer({ min: 1, max: 400 }),
        (meets, engineSpace, sun, amps) => {
          const asked = run(meets, engineSpace, sun, amps);
          for (const row of kindsBeside(asked, shop, {})) {
            const { choice, findings } = workUpCable({ ...asked, gauge: { kindId: row.kind.id } }, shop);
            expect(row.candidate?.at.size).toEqual(choice.smallest ? choice.taken.at.size : undefined);
            const misfits = findings.filter(
              ({ topic, part, state }) => topic === 'suits' && state !== 'holds' && String(part) in TRAITS,
            );
            expect(
              row.traits
                .filter((own) => own.isAsked && !own.suits)
                .map(({ trait }) => trait)
                .sort(),
            ).toEqual(misfits.map(({ part }) => part).sort());
            if (misfits.length > 0) expect(row.state).not.toBe('holds');
            if (!row.candidate) expect(row.state).toBe('fails');
          }
        },
      ),
      { numRuns: cases(40) },
    );
  });

  test('each figure of theirs opens to how it came about', () => {
    const asked = { ...run([], false, false, 80), gauge: { kindId: kind.id, parallel: 2 as const } };
    const rows = kindsBeside(asked, shop, {});
    const { work, value } = kindsFinding(rows, asked);
    expect(value).toBe(rows.length);
    rows.forEach(({ candidate, kind: own }, i) => {
      const line = tell(work.substituted[i]);
      expect(line).toContain(own.title);
      if (candidate) expect(line).toContain(`= ${digits(candidate.at.price, 2)}`);
      else expect(line).toContain('no size of it passes');
    });
  });

  test('a tough jacket stands rubbing, a soft one does not, and what the shop says goes before', () => {
    const says = (trait: Trait, change: Partial<CableKind>) =>
      misfitOf(trait, { ...kind, ...change }) === null;
    expect(says('rubbing', { insulation: 'rubber' })).toBe(true);
    expect(says('rubbing', { insulation: 'pvc' })).toBe(false);
    expect(says('rubbing', { insulation: 'pvc', stands: { ...kind.stands, rubbing: true } })).toBe(true);
    expect(says('rubbing', { insulation: 'xlpe', stands: { ...kind.stands, rubbing: false } })).toBe(false);
  });
});

test('a kind is in use by cables and spools, and a size by those it was chosen for', () => {
  const job = { ...emptyJob('j', 'J'), cables: [cable, { ...cable, id: 'd', gauge: { kindId: kind.id } }] };
  const spools = [
    { id: 's', label: 'S', kindId: kind.id, size, colour: 'red' as const, lengthMm: 1000, offcut: false },
  ];
  expect(kindUses([job], { spools }, kind.id)).toEqual({ cables: 2, spools: 1 });
  expect(kindUses([job], { spools }, kind.id, size)).toEqual({ cables: 1, spools: 1 });
  expect(kindUses([job], { spools }, kind.id, { system: 'metric', name: '70' })).toEqual({
    cables: 0,
    spools: 0,
  });
  expect(kindUses([job], { spools }, 'welding')).toEqual({ cables: 0, spools: 0 });
});
