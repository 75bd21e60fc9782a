import { defineStore } from 'pinia';
import { ref } from 'vue';
import { useBench } from './bench.ts';

/** The application as it is kept for use without a network, and newer versions of it: one never interrupts work. */
export const useUpdates = defineStore('updates', () => {
  const bench = useBench();
  const isReady = ref(false);
  let begin: (() => Promise<void>) | null = null;

  /** Keeps the application for use without a network, and looks for a newer one. */
  async function watchFor(): Promise<void> {
    const { registerSW } = await import('virtual:pwa-register');
    begin = registerSW({ onNeedRefresh: () => (isReady.value = true) });
  }

  /** Saves, and starts the newer version. */
  async function startNewer(): Promise<void> {
    await bench.save();
    await begin?.();
  }
  const later = () => (isReady.value = false);
  return { isReady, watchFor, startNewer, later };
});
