import { describe, expect, test } from '@jest/globals';
import type { Cable } from '../../model/cable.ts';
import type { Join } from '../../model/end.ts';
import type { Shop } from '../../model/shop.ts';
import { genericSleeves } from '../../model/catalogue/genericShop.ts';
import { SLEEVE_KINDS } from '../../model/tables/sleeves.ts';
import { faultsAt } from '../../traveller/mishaps.ts';
import { cableWith, practising, work } from '../endsFixture.ts';
import { shrinkSeconds } from '../shrinkTime.ts';

const only = (kind: (typeof SLEEVE_KINDS)[number], practice: Partial<Shop['practice']> = {}): Shop => ({
  ...practising({ seal: 'plain sleeve', ...practice }),
  sleeves: genericSleeves([kind]),
});
const state = (cable: Cable, own: Shop, topic: string) =>
  work(cable, own).findings.find(({ id }) => id === `${topic}.A`)?.state;
const moving = cableWith({ support: { distanceMm: 200, flexes: true, vibrates: false } });

describe('the wall of a sleeve, where it is', () => {
  test('a medium wall is found where its end moves, a lined one is not', () => {
    expect(state(moving, only('medium-3'), 'sleeve-stiff')).toBe('watch');
    expect(state(cableWith(), only('medium-3'), 'sleeve-stiff')).toBeUndefined();
    expect(
      state(
        { ...cableWith(), run: { ...cableWith().run, meets: ['flexing'] } },
        only('medium-3'),
        'sleeve-stiff',
      ),
    ).toBe('watch');
    expect(state(moving, only('dual-3'), 'sleeve-stiff')).toBeUndefined();
  });
  test('a thin wall over a live lug only marks it, unless a boot is over it', () => {
    expect(state(cableWith(), only('thin-2'), 'sleeve-live')).toBe('watch');
    expect(state(cableWith({ layers: ['boot', 'label'] }), only('thin-2'), 'sleeve-live')).toBeUndefined();
    expect(state(cableWith({}, { polarity: 'negative' }), only('thin-2'), 'sleeve-live')).toBeUndefined();
    expect(state(cableWith(), only('dual-4'), 'sleeve-live')).toBeUndefined();
  });
  test('a battery gun is not enough for a lined sleeve of this size, and takes longer for every one', () => {
    expect(state(cableWith(), only('dual-4', { shrinkBy: 'battery gun' }), 'shrink-tool')).toBe('fails');
    expect(state(cableWith(), only('dual-4'), 'shrink-tool')).toBeUndefined();
    expect(state(cableWith(), only('thin-2', { shrinkBy: 'battery gun' }), 'shrink-tool')).toBeUndefined();
    const { A } = work(cableWith(), only('dual-4')).ends;
    expect(shrinkSeconds(A, { shrinkBy: 'battery gun' }) ?? 0).toBeGreaterThan(
      shrinkSeconds(A, { shrinkBy: 'heat gun' }) ?? 0,
    );
  });
});

describe('the gap of a branch', () => {
  const branch: Join = { id: 'j1', kind: 'branch', atMm: 900, branchMm2: 6 };
  const joined = (done: Cable['done'] = [], join = branch) => work({ ...cableWith(), joins: [join], done });
  const seal = (done: Cable['done'] = []) =>
    joined(done).findings.find(({ id }) => id.startsWith('join-seal'))?.state;
  const tick = (step: string, at: string) => ({ step, at, by: 'Wren' });
  test('is nipped while hot in a step of its own, and not proved before', () => {
    const { steps } = joined();
    const pinch = steps.find(({ id }) => id === 'join-pinch-j1');
    if (steps.length > 0) expect(pinch?.after).toEqual(['join-shrink-j1']);
    if (pinch) expect(faultsAt(pinch)).toEqual(['no adhesive showed']);
    expect(seal()).toBe('unproved');
    expect(seal([tick('join-shrink-j1', '2026-12-02T10:00:00Z')])).toBe('unproved');
    expect(seal([tick('join-pinch-j1', '2026-12-02T10:02:00Z')])).toBe('holds');
  });
  test('was part of shrinking before, and an in-line join has none', () => {
    expect(seal([tick('join-shrink-j1', '2026-11-02T10:00:00Z')])).toBe('holds');
    const inLine = joined([], { id: 'j1', kind: 'butt', atMm: 900 });
    expect(inLine.findings.some(({ id }) => id.startsWith('join-seal'))).toBe(false);
    expect(inLine.steps.some(({ id }) => id.startsWith('join-pinch'))).toBe(false);
  });
});
