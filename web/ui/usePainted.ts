import { onScopeDispose, shallowRef, type ShallowRef, watch } from 'vue';

/**
 * A value that follows another one frame behind: what a person changed is painted first, and what only follows from it
 * after that.
 */
export function usePainted<T>(now: () => T): Readonly<ShallowRef<T>> {
  const painted = shallowRef(now());
  let frame = 0;
  let timer: ReturnType<typeof setTimeout> | undefined;
  watch(now, () => {
    cancelAnimationFrame(frame);
    clearTimeout(timer);
    frame = requestAnimationFrame(() => {
      timer = setTimeout(() => (painted.value = now()), 0);
    });
  });
  onScopeDispose(() => {
    cancelAnimationFrame(frame);
    clearTimeout(timer);
  });
  return painted;
}
