import { type Remote, wrap } from 'comlink';
import { onScopeDispose, shallowRef } from 'vue';
import type { SectionMeasure } from '../../core/section/measure.ts';
import type { Found } from '../../core/section/outline.ts';
import type { SectionWorker, ShownPicture } from '../workers/section.worker.ts';

/** Larger than any camera's picture. */
const LARGEST_BYTES = 80_000_000;

/** A picture of a sawn crimp, opened and measured in a worker; a newer picture or outline drops what was under way. */
export function useSection() {
  const shown = shallowRef<ShownPicture | null>(null);
  const section = shallowRef<SectionMeasure | null>(null);
  const name = shallowRef('');
  const sentence = shallowRef('');
  const isBusy = shallowRef(false);
  let worker: Worker | undefined;
  let remote: Remote<SectionWorker> | undefined;
  let run = 0;

  function start(): Remote<SectionWorker> {
    worker ??= new Worker(new URL('../workers/section.worker.ts', import.meta.url), { type: 'module' });
    remote ??= wrap<SectionWorker>(worker);
    return remote;
  }

  async function measure(given?: Found): Promise<void> {
    const own = ++run;
    isBusy.value = true;
    const answer = await start().measure(given && (JSON.parse(JSON.stringify(given)) as Found));
    if (own !== run) return;
    isBusy.value = false;
    section.value = answer.ok ? answer.section : null;
    sentence.value = answer.ok ? '' : answer.sentence;
  }

  async function open(file: File): Promise<void> {
    const own = ++run;
    sentence.value = '';
    if (file.size > LARGEST_BYTES) {
      sentence.value = 'This file is far larger than any photograph; it was not read.';
      return;
    }
    isBusy.value = true;
    const answer = await start().open(file);
    if (own !== run) return;
    section.value = null;
    shown.value?.bitmap.close();
    shown.value = answer;
    name.value = answer ? file.name : '';
    if (answer) await measure();
    else {
      isBusy.value = false;
      sentence.value = `“${file.name}” is no picture that can be read here.`;
    }
  }

  onScopeDispose(() => {
    run += 1;
    shown.value?.bitmap.close();
    worker?.terminate();
  });
  return { shown, section, name, sentence, isBusy, open, measure };
}
