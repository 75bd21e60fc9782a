<script setup lang="ts">
import { Anchor, Contrast, Menu as MenuIcon, Search, SlidersHorizontal } from '@lucide/vue';
import { RouterLink } from 'vue-router';
import { usePrefs } from '../stores/prefs.ts';
import SegmentedField from '../ui/SegmentedField.vue';
import { isPreferencesOpen } from '../ui/preferences.ts';
import JobMenu from './JobMenu.vue';
import SavedMark from './SavedMark.vue';
import UndoButtons from './UndoButtons.vue';
import { say } from '../../core/words/say.ts';

/** The job, whether it is saved, and how figures are shown. */
defineProps<{ jobId: string | undefined; title: string | undefined; subtitle: string | undefined }>();
defineEmits<{ rack: []; command: []; keys: [] }>();

const prefsStore = usePrefs();
const { prefs } = prefsStore;
</script>

<template>
  <header class="touch-row flex print:hidden h-11 min-w-0 items-stretch border-b border-line bg-chalk">
    <div class="flex w-[208px] shrink-0 items-center gap-2.5 border-r border-line px-3 max-lg:w-auto">
      <button
        type="button"
        class="-ml-2 flex size-11 items-center justify-center text-teal lg:hidden"
        @click="$emit('rack')"
      >
        <MenuIcon :size="22" aria-hidden="true" /><span class="sr-only">{{ say`Open the rack` }}</span>
      </button>
      <RouterLink
        :to="{ name: 'start' }"
        class="-mx-1 flex h-full items-center gap-2.5 px-1 hover:bg-teal-tint max-lg:hidden"
        :title="say`Start page`"
      >
        <Anchor :size="24" class="shrink-0 text-copper-text" :stroke-width="2.2" aria-hidden="true" />
        <span class="figure text-[20px] font-semibold whitespace-nowrap">Gruff Anchor</span>
      </RouterLink>
    </div>
    <JobMenu :job-id="jobId" :title="title" :subtitle="subtitle" />
    <SavedMark />
    <div class="ml-auto flex shrink-0 items-center gap-1.5 pr-2">
      <UndoButtons />
      <button
        type="button"
        class="box flex h-8 items-center gap-2 px-2.5 text-ink2 hover:bg-teal-tint"
        @click="$emit('command')"
      >
        <Search :size="16" aria-hidden="true" /><span class="max-lg:sr-only">{{ say`Search or do` }}</span
        ><kbd class="key max-lg:hidden">Ctrl K</kbd>
      </button>
      <SegmentedField
        v-model="prefs.sizes"
        :label="say`Show sizes in`"
        hide-label
        small
        class="max-md:hidden"
        :choices="[
          { value: 'metric', title: 'mm²' },
          { value: 'gauge', title: 'AWG' },
        ]"
      />
      <SegmentedField
        v-model="prefs.lengths"
        :label="say`Show lengths in`"
        hide-label
        small
        class="max-md:hidden"
        :choices="[
          { value: 'mm', title: 'mm' },
          { value: 'in', title: say`in` },
        ]"
      />
      <button
        type="button"
        class="flex size-9 items-center justify-center text-teal hover:bg-teal-tint"
        :title="say`Preferences`"
        @click="isPreferencesOpen = true"
      >
        <SlidersHorizontal :size="19" aria-hidden="true" /><span class="sr-only">{{ say`Preferences` }}</span>
      </button>
      <button
        type="button"
        class="flex size-9 items-center justify-center text-teal hover:bg-teal-tint max-sm:hidden"
        @click="prefs.theme = prefsStore.isDark ? 'light' : 'dark'"
      >
        <Contrast :size="20" aria-hidden="true" /><span class="sr-only">{{
          say`${prefsStore.isDark ? say`Light` : say`Dark`} mode`
        }}</span>
      </button>
      <button
        type="button"
        class="figure flex size-9 items-center justify-center text-[18px] font-semibold text-teal hover:bg-teal-tint max-sm:hidden"
        @click="$emit('keys')"
      >
        ?<span class="sr-only">{{ ' ' }}{{ say`shortcuts` }}</span>
      </button>
    </div>
  </header>
</template>
