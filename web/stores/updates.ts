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
  let begin: (() => void) | null = null;

  /** Keeps the application for use without a network, and looks for a newer one. */
  async function watchFor(): Promise<void> {
    if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return;
    const { Serwist } = await import('@serwist/window');
    const kept = new Serwist('/sw.js');
    kept.addEventListener('waiting', () => (isReady.value = true));
    // Started here, it is loaded at once; started in another tab, nothing that is half typed here goes for it.
    kept.addEventListener('controlling', ({ isUpdate }) => {
      if (!isUpdate) return;
      if (isStarted) location.reload();
      else isElsewhere.value = true;
    });
    begin = () => kept.messageSkipWaiting();
    // Where nothing can be kept, in a private window say, it is used with a network.
    await kept.register().catch(() => {});
  }

  /** Saves, and starts the newer version. */
  async function startNewer(): Promise<void> {
    isStarted = true;
    await Promise.all([bench.save(), flushDrafts()]);
    begin?.();
  }
  /** Saves, and loads this page again. */
  async function reload(): Promise<void> {
    await Promise.all([bench.save(), flushDrafts()]);
    location.reload();
  }
  const later = () => (isReady.value = isElsewhere.value = false);
  return { isReady, isElsewhere, reload, watchFor, startNewer, later };
});
