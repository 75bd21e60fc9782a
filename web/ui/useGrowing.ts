import { onScopeDispose, shallowRef, watch } from 'vue';

/** What a frame may take of the page's time before the next is asked for, ms. */
const FRAME_MS = 40;

/**
 * How many of a long list are drawn: a few more with each frame, so that a page stands at once and fills in. It is
 * drawn whole in the end; what is drawn stays.
 *
 * @param step how many at first, and with the first frames; it grows while the page keeps up
 */
export function useGrowing(total: () => number, step: number) {
  const drawn = shallowRef(0);
  let frame = 0;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let waiting: (() => void)[] = [];
  let more = step;
  let asked = 0;
  const grow = () => {
    const took = performance.now() - asked;
    more = Math.max(1, Math.round(took < FRAME_MS ? more * 1.5 : more * 0.7));
    drawn.value = Math.min(total(), drawn.value + more);
    next();
  };
  function next(): void {
    if (drawn.value >= total()) {
      for (const tell of waiting) tell();
      waiting = [];
      return;
    }
    asked = performance.now();
    // A tab that is not looked at has no frames, and is filled all the same.
    frame = requestAnimationFrame(() => {
      clearTimeout(timer);
      timer = setTimeout(grow, 0);
    });
    timer = setTimeout(grow, 300);
  }
  watch(
    total,
    (count) => {
      if (drawn.value > count) drawn.value = count;
      cancelAnimationFrame(frame);
      clearTimeout(timer);
      if (drawn.value === 0) drawn.value = Math.min(count, step);
      next();
    },
    { immediate: true },
  );
  onScopeDispose(() => {
    cancelAnimationFrame(frame);
    clearTimeout(timer);
  });
  /** Settles once all of it is drawn. */
  const whole = () =>
    drawn.value >= total() ? Promise.resolve() : new Promise<void>((resolve) => waiting.push(resolve));
  return { drawn, whole };
}
