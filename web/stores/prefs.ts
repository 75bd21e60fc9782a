import { usePreferredDark } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref, watch } from 'vue';
import { savePrefs } from '../storage/library.ts';
import { type Prefs, prefsSchema } from '../storage/prefs.ts';

/** How this person likes to see things; kept in the browser. */
export const usePrefs = defineStore('prefs', () => {
  const prefs = ref<Prefs>(prefsSchema.parse({}));
  const prefersDark = usePreferredDark();
  const isDark = computed(() =>
    prefs.value.theme === 'system' ? prefersDark.value : prefs.value.theme === 'dark',
  );

  function open(kept: Prefs): void {
    // Others hold on to this object: it is filled, not replaced.
    Object.assign(prefs.value, kept);
    watch(prefs, (value) => void savePrefs({ ...value }), { deep: true });
    watch(isDark, (dark) => document.documentElement.classList.toggle('dark', dark), { immediate: true });
  }

  return { prefs, isDark, open };
});
