import { tell } from '../../core/words/message.ts';
import { proxy, type Remote, wrap } from 'comlink';
import { onScopeDispose, shallowRef } from 'vue';
import type { DrawnSection } from '../../core/section/draw.ts';
import type { MeasureStage, SectionMeasure } from '../../core/section/measure.ts';
import { REFUSALS } from '../../core/section/refusals.ts';
import type { Found } from '../../core/section/outline.ts';
import type { SectionWorker, ShownPicture } from '../workers/section.worker.ts';
import { say } from '../../core/words/say.ts';

/** Larger than any camera's picture. */
const LARGEST_BYTES = 80_000_000;

/** A picture of a sawn crimp, opened and measured in a worker; a newer picture or outline drops what was under way. */
// oxlint-disable-next-line max-lines-per-function -- one closure: its parts share the state that it sets up
export function useSection() {
  const shown = shallowRef<ShownPicture | null>(null);
  const section = shallowRef<SectionMeasure | null>(null);
  const name = shallowRef('');
  const sentence = shallowRef('');
  /** What is being done; null while nothing is. */
  const stage = shallowRef<'opening' | 'drawing' | MeasureStage | null>(null);
  /** The file it came from; null where it was drawn. */
  const file = shallowRef<File | null>(null);
  /** What was drawn, where it was: a simulated section. */
  const drawn = shallowRef<{ spec: DrawnSection; voidShare: number } | null>(null);
  let worker: Worker | undefined;
  let remote: Remote<SectionWorker> | undefined;
  let run = 0;

  function start(): Remote<SectionWorker> {
    worker ??= new Worker(new URL('../workers/section.worker.ts', import.meta.url), { type: 'module' });
    remote ??= wrap<SectionWorker>(worker);
    return remote;
  }

  async function measure(given?: Found): Promise<void> {
    const started = ++run;
    stage.value = 'outline';
    let isAnswered = false;
    // What is told comes by a way of its started, and may come after the answer.
    const onStage = proxy((now: MeasureStage) => {
      if (started === run && !isAnswered) stage.value = now;
    });
    const answer = await start().measure(given && (JSON.parse(JSON.stringify(given)) as Found), onStage);
    isAnswered = true;
    if (started !== run) return;
    stage.value = null;
    section.value = answer.ok ? answer.section : null;
    sentence.value = answer.ok ? '' : tell(REFUSALS[answer.refused]);
  }

  function show(picture: ShownPicture | null, called: string): void {
    section.value = null;
    shown.value?.bitmap.close();
    shown.value = picture;
    name.value = picture ? called : '';
  }

  async function open(from: File): Promise<void> {
    const started = ++run;
    sentence.value = '';
    if (from.size > LARGEST_BYTES) {
      sentence.value = say`This file is far larger than any photograph; it was not read.`;
      return;
    }
    stage.value = 'opening';
    // What a worker cannot take, it says no more of than that.
    const answer = await start()
      .open(from)
      .catch(() => null);
    if (started !== run) return;
    show(answer, from.name);
    drawn.value = null;
    file.value = answer ? from : null;
    if (answer) return measure();
    stage.value = null;
    sentence.value = say`“${from.name}” is no picture that can be read here.`;
  }

  /** Draws a section; it is measured when that is asked. */
  async function draw(spec: DrawnSection, seed: number): Promise<void> {
    const started = ++run;
    sentence.value = '';
    stage.value = 'drawing';
    const answer = await start().draw(spec, seed);
    if (started !== run) return;
    stage.value = null;
    show(answer.shown, say`drawn, not photographed`);
    file.value = null;
    drawn.value = { spec, voidShare: answer.voidShare };
  }

  onScopeDispose(() => {
    run += 1;
    shown.value?.bitmap.close();
    worker?.terminate();
  });
  return { shown, section, name, sentence, stage, file, drawn, open, draw, measure };
}

export type SectionSlot = ReturnType<typeof useSection>;
