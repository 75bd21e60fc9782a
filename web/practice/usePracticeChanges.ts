import { proxy, wrap } from 'comlink';
import { computed, onScopeDispose, shallowRef, watch } from 'vue';
import type { Job } from '../../core/model/job.ts';
import type { Shop } from '../../core/model/shop.ts';
import type { PracticeChange } from '../../core/practice/changes.ts';
import { QUESTIONS } from '../../core/practice/questions.ts';
import { spokenHere } from '../words.ts';
import type { PracticeWorker } from '../workers/practice.worker.ts';

const ASKED = QUESTIONS.reduce((sum, { answers }) => sum + answers.length - 1, 0);

/**
 * What each other answer would change on a job, found one by one by a worker. A change of job or practice begins
 * again, and what was under way is dropped.
 */
export function usePracticeChanges(asked: () => { job: Job; shop: Shop } | null) {
  const changes = shallowRef<ReadonlyMap<string, PracticeChange>>(new Map());
  let worker: Worker | undefined;

  function stop(): void {
    worker?.terminate();
    worker = undefined;
  }

  async function compare(): Promise<void> {
    stop();
    changes.value = new Map();
    const input = asked();
    if (!input) return;
    const started = new Worker(new URL('../workers/practice.worker.ts', import.meta.url), {
      type: 'module',
      name: spokenHere(),
    });
    worker = started;
    const found = (id: string, change: PracticeChange): Promise<void> => {
      if (worker === started) {
        changes.value = new Map([...changes.value, [id, change]]);
      }
      return Promise.resolve();
    };
    // A plain copy: what comes from the store may be frozen or followed.
    const copy = JSON.parse(JSON.stringify(input)) as { job: Job; shop: Shop };
    await wrap<PracticeWorker>(started).compare(copy.job, copy.shop, proxy(found));
    if (worker === started) stop();
  }

  watch(asked, () => void compare(), { immediate: true });
  onScopeDispose(stop);
  return { changes, progress: computed(() => changes.value.size / ASKED) };
}
