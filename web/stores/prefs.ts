import { usePreferredDark } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref, watch } from 'vue';
import { measureBy } from '../../core/words/measures.ts';
import { savePrefs } from '../storage/library.ts';
import { type Prefs, prefsSchema } from '../storage/prefs.ts';

/** How this person likes to see things; kept in the browser. */
export const usePrefs = defineStore('prefs', () => {
  const prefs = ref<Prefs>(prefsSchema.parse({}));
  let mayWrite = false;
  const prefersDark = usePreferredDark();
  const isDark = computed(() =>
    prefs.value.theme === 'system' ? prefersDark.value : prefs.value.theme === 'dark',
  );

  /** @param isKept false while what is stored could not be read: then nothing is written over it */
  function open(kept: Prefs, isKept: boolean): void {
    mayWrite = isKept;
    takeIn(kept);
    // Asked for each figure: what is drawn of it is drawn again when a measure changes.
    measureBy(() => prefs.value);
    watch(prefs, (value) => void (mayWrite && savePrefs({ ...value }).catch(() => {})), { deep: true });
    watch(isDark, (dark) => document.documentElement.classList.toggle('dark', dark), { immediate: true });
  }
  // Others hold on to this object: it is filled, not replaced.
  const takeIn = (kept: Prefs) => Object.assign(prefs.value, kept);
  /** What is stored could be read after all. */
  function takeOver(kept: Prefs): void {
    takeIn(kept);
    mayWrite = true;
  }

  return { prefs, isDark, open, takeOver };
});
