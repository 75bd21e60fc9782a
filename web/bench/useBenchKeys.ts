import { onKeyStroke } from '@vueuse/core';
import { type ComputedRef, ref } from 'vue';
import { useRouter } from 'vue-router';
import { type Stage, STAGES } from '../../core/model/cable.ts';
import type { Job } from '../../core/model/job.ts';
import { useCableActs } from './cableActs.ts';
import { placeOf } from '../places.ts';
import { useBench } from '../stores/bench.ts';
import { say } from '../../core/words/say.ts';

/** The keys of the bench and what they do: shown by ?, handled by {@link useBenchKeys}. */
export const BENCH_KEYS: readonly { readonly keys: readonly string[]; readonly does: string }[] = [
  { keys: ['1', '…', '7'], does: say`go to a stage` },
  { keys: ['J', 'K'], does: say`next / previous cable` },
  { keys: ['N'], does: say`new cable` },
  { keys: ['D'], does: say`duplicate this cable` },
  { keys: [say`Alt ↑`, say`Alt ↓`], does: say`move this cable in the rack` },
  { keys: [say`Delete`], does: say`delete this cable (undo brings it back)` },
  { keys: ['/'], does: say`filter the rack` },
  { keys: [say`Ctrl K`], does: say`search or do anything` },
  { keys: [say`Ctrl Z`, say`Shift Ctrl Z`], does: say`undo, redo` },
  { keys: [say`Space`, say`Backspace`], does: say`in Make: done, back` },
  { keys: [say`Ctrl click`], does: say`select several cables to change them together` },
  { keys: ['?'], does: say`this list` },
];

const isTyping = (event: KeyboardEvent) =>
  event.target instanceof HTMLElement && event.target.matches('input, textarea, select, [contenteditable]');

// oxlint-disable-next-line max-lines-per-function -- one closure: its parts share the state that it sets up
export function useBenchKeys(bench: {
  job: ComputedRef<Job | undefined>;
  cableId: () => string | undefined;
  stage: () => Stage;
  addCable: () => void;
  focusFilter: () => void;
}) {
  const store = useBench();
  const router = useRouter();
  const isCommandOpen = ref(false);
  const isKeysOpen = ref(false);

  function goBy(steps: 1 | -1): void {
    const cables = bench.job.value?.cables ?? [];
    const next = cables[cables.findIndex(({ id }) => id === bench.cableId()) + steps];
    if (next && bench.job.value) void router.push(placeOf(bench.job.value.id, next.id, bench.stage()));
  }

  const acts = useCableActs(() => ({
    jobId: bench.job.value?.id ?? '',
    cableId: bench.job.value && bench.cableId(),
    stage: bench.stage(),
  }));

  /** What a plain key does; undefined where it is none of the bench's. */
  function plainKey(event: KeyboardEvent): (() => void) | undefined {
    const jobId = bench.job.value?.id;
    const cableId = bench.cableId();
    const stage = STAGES[Number(event.key) - 1];
    if (stage && jobId && cableId) return () => void router.push(placeOf(jobId, cableId, stage));
    switch (event.key) {
      case 'j':
        return () => goBy(1);
      case 'k':
        return () => goBy(-1);
      case 'n':
        return bench.addCable;
      case 'd':
        return jobId && cableId ? acts.duplicate : undefined;
      case 'Delete':
        return jobId && cableId ? acts.remove : undefined;
      case '/':
        return bench.focusFilter;
      case '?':
        return () => {
          isKeysOpen.value = true;
        };
      default:
        return undefined;
    }
  }

  onKeyStroke(true, (event) => {
    const isCommand = event.ctrlKey || event.metaKey;
    const key = event.key.toLowerCase();
    const act = (action: () => void) => {
      event.preventDefault();
      action();
    };
    if (isCommand && key === 'k') return act(() => (isCommandOpen.value = true));
    if (isTyping(event) || isCommandOpen.value || isKeysOpen.value || document.querySelector('[role=dialog]'))
      return undefined;
    if (isCommand && key === 'z') return act(() => void (event.shiftKey ? store.redo() : store.undo()));
    if (isCommand && key === 'y') return act(() => void store.redo());
    const jobId = bench.job.value?.id;
    const cableId = bench.cableId();
    if (event.altKey && jobId && cableId && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) {
      return act(() => store.moveCable(jobId, cableId, event.key === 'ArrowDown' ? 1 : -1));
    }
    if (isCommand || event.altKey) return undefined;
    const action = plainKey(event);
    return action ? act(action) : undefined;
  });

  return { isCommandOpen, isKeysOpen };
}
