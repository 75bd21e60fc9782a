import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import { effectScope } from 'vue';
import type { Measured, MeasureStage } from '../../core/section/measure.ts';
import type { Found } from '../../core/section/outline.ts';
import type { ShownPicture } from '../workers/section.worker.ts';

type Tell = (stage: MeasureStage) => void;
/** The worker, with each answer held back until the test gives it. */
const waiting: { tell: Tell; answer: (measured: Measured) => void; given: Found | undefined }[] = [];
const opened = jest.fn<(file: Blob) => Promise<ShownPicture | null>>();
const remote = {
  open: opened,
  measure: (given: Found | undefined, tell: Tell) =>
    new Promise<Measured>((answer) => waiting.push({ tell, answer, given })),
};
jest.unstable_mockModule('comlink', () => ({ wrap: () => remote, proxy: (told: Tell) => told }));
globalThis.Worker = class {
  terminate(): void {}
} as unknown as typeof Worker;
const { useSection } = await import('./useSection.ts');

const section = { voidShare: 0.04 } as unknown as Extract<Measured, { ok: true }>['section'];
const measured: Measured = { ok: true, section };
const picture = (): ShownPicture => ({ width: 10, height: 10, bitmap: { close: jest.fn() } as never });
const settled = () => new Promise((resolve) => setTimeout(resolve, 0));
const lab = () => {
  const scope = effectScope();
  const slot = scope.run(() => useSection());
  if (!slot) throw new Error('no slot');
  return { scope, slot };
};

beforeEach(() => {
  waiting.length = 0;
  opened.mockReset();
});

describe('a section that is measured', () => {
  test('says what is being done, and nothing once it is done, even where that is told late', async () => {
    const { scope, slot } = lab();
    const whole = slot.measure();
    expect(slot.stage.value).toBe('outline');
    waiting[0]?.tell('air');
    expect(slot.stage.value).toBe('air');
    waiting[0]?.answer(measured);
    await whole;
    expect(slot.section.value).toBe(section);
    expect(slot.stage.value).toBeNull();
    waiting[0]?.tell('strands');
    expect(slot.stage.value).toBeNull();
    scope.stop();
  });

  test('a newer outline drops what was under way', async () => {
    const { scope, slot } = lab();
    const first = slot.measure();
    const second = slot.measure({ outline: [], cutPx: 0 } as unknown as Found);
    waiting[0]?.tell('wall');
    waiting[0]?.answer({ ok: false, refused: 'no outline', sentence: '' });
    await first;
    expect(slot.stage.value).toBe('outline');
    expect(slot.sentence.value).toBe('');
    waiting[1]?.answer(measured);
    await second;
    expect(slot.section.value).toBe(section);
    scope.stop();
  });

  test('one that is refused says why, in a sentence', async () => {
    const { scope, slot } = lab();
    const whole = slot.measure();
    waiting[0]?.answer({ ok: false, refused: 'too blurred', sentence: 'x' });
    await whole;
    expect(slot.section.value).toBeNull();
    expect(slot.sentence.value.length).toBeGreaterThan(10);
    scope.stop();
  });
});

describe('a file that is opened', () => {
  test('is measured, and keeps its name; the picture before it is let go', async () => {
    const { scope, slot } = lab();
    const before = picture();
    opened.mockResolvedValueOnce(before).mockResolvedValueOnce(picture());
    void slot.open(new File(['x'], 'one.jpg'));
    await settled();
    expect(slot.name.value).toBe('one.jpg');
    expect(waiting).toHaveLength(1);
    void slot.open(new File(['x'], 'two.jpg'));
    await settled();
    expect(slot.name.value).toBe('two.jpg');
    expect(before.bitmap.close).toHaveBeenCalled();
    scope.stop();
  });

  test('that is no picture, or far larger than one, is refused and changes nothing', async () => {
    const { scope, slot } = lab();
    opened.mockResolvedValueOnce(null);
    await slot.open(new File(['x'], 'notes.txt'));
    expect(slot.sentence.value).toContain('notes.txt');
    expect(slot.stage.value).toBeNull();
    await slot.open({ name: 'huge.jpg', size: 90_000_000 } as File);
    expect(slot.sentence.value).toContain('far larger');
    expect(opened).toHaveBeenCalledTimes(1);
    scope.stop();
  });

  test('nothing is taken once the lab is left', async () => {
    const { scope, slot } = lab();
    opened.mockImplementationOnce(async () => picture());
    const whole = slot.open(new File(['x'], 'late.jpg'));
    scope.stop();
    await whole;
    expect(slot.name.value).toBe('');
    expect(waiting).toHaveLength(0);
  });
});
