import { defineStore } from 'pinia';
import { ref } from 'vue';
import { flushDrafts } from '../storage/drafts.ts';
import { useBench } from './bench.ts';

/** The application as it is kept for use without a network, and newer versions of it: one never interrupts work. */
export const useUpdates = defineStore('updates', () => {
  const bench = useBench();
  const isReady = ref(false);
  /** A newer version was started in another tab. */
  const isElsewhere = ref(false);
  let isStarted = false;
  let begin: (() => Promise<void>) | null = null;

  /** Keeps the application for use without a network, and looks for a newer one. */
  async function watchFor(): Promise<void> {
    const { registerSW } = await import('virtual:pwa-register');
    begin = registerSW({
      onNeedRefresh: () => (isReady.value = true),
      // Started here, it is loaded at once; started in another tab, nothing that is half typed here goes for it.
      onNeedReload: () => (isStarted ? location.reload() : (isElsewhere.value = true)),
    });
  }

  /** Saves, and starts the newer version. */
  async function startNewer(): Promise<void> {
    isStarted = true;
    await Promise.all([bench.save(), flushDrafts()]);
    await begin?.();
  }
  /** Saves, and loads this page again. */
  async function reload(): Promise<void> {
    await Promise.all([bench.save(), flushDrafts()]);
    location.reload();
  }
  const later = () => (isReady.value = isElsewhere.value = false);
  return { isReady, isElsewhere, reload, watchFor, startNewer, later };
});
