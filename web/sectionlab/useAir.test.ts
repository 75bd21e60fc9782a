import { describe, expect, test } from '@jest/globals';
import { ref, shallowRef } from 'vue';
import type { SectionMeasure } from '../../core/section/measure.ts';
import { useAir } from './useAir.ts';
import type { SectionSlot } from './useSection.ts';

const measured = (voidShare: number, edgeShare = 0.002) =>
  ({ voidShare, edgeShare, glareShare: 0, paleShare: 0, strandShare: null }) as SectionMeasure;
/** What the lab shows, with a picture measured. */
function shown(first: SectionMeasure) {
  const section = shallowRef<SectionMeasure | null>(first);
  const name = ref('first.jpg');
  const drawn = shallowRef<object | null>(null);
  const air = useAir({ section, name, drawn } as unknown as SectionSlot, () => null);
  return { section, name, drawn, air };
}

describe('pictures of one crimp', () => {
  test('one that hides air is told by another, and both are listed', () => {
    const { section, name, air } = shown(measured(0.001, 0.011));
    expect([air.isHiding.value, air.told.value, air.atLeast.value]).toEqual([true, null, null]);
    air.goOn(true);
    [section.value, name.value] = [measured(0.03), 'second.jpg'];
    expect(air.told.value?.telling.length).toBe(1);
    expect(air.told.value?.voidShare).toBeCloseTo(0.03, 9);
    expect([air.isHiding.value, air.isCombined.value]).toEqual([false, true]);
    expect(air.earlier.value.map((own) => own.name)).toEqual(['first.jpg']);
    air.putAway(0);
    expect(air.isCombined.value).toBe(false);
  });
  test('another crimp begins anew', () => {
    const { section, air } = shown(measured(0.08));
    air.goOn(false);
    section.value = measured(0.01);
    expect(air.told.value?.voidShare).toBeCloseTo(0.01, 9);
  });
  test('those that cannot be of one crimp disagree, and that is kept with them', () => {
    const { section, air } = shown(measured(0.08));
    air.goOn(true);
    section.value = measured(0.01);
    expect(air.kept.value?.disagree).toBe(true);
  });
  test('a drawn one is known, however soft its picture', () => {
    const { drawn, air } = shown(measured(0.05, 0.02));
    expect([air.isHiding.value, air.atLeast.value]).toEqual([true, 0.05]);
    drawn.value = {};
    expect(air.isHiding.value).toBe(false);
    expect(air.kept.value).toEqual({ voidShare: 0.05, most: 0.05, disagree: false });
  });
});
