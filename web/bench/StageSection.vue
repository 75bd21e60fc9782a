<script setup lang="ts">
import { ChevronDown, ChevronUp } from '@lucide/vue';
import { computed, nextTick, useId, useTemplateRef, watch } from 'vue';
import { useRoute } from 'vue-router';
import StillWhile from '../ui/StillWhile.ts';
import { openParts, togglePart } from './folds.ts';

/**
 * A titled part of a stage, painted on its own; while it has a list open, that lies over what follows. One that says
 * its present value is a line until it is opened, where it stands.
 */
const { part = '', says } = defineProps<{
  title: string;
  note?: string;
  /** Its name in an address and among the parts that are open. */
  part?: string;
  /** What it holds now, in a few words: then it is folded to a line. */
  says?: string;
}>();

const route = useRoute();
const host = useTemplateRef<HTMLElement>('host');
const bodyId = useId();
const isOpen = computed(() => says === undefined || openParts.has(part));

/** Whoever is sent here to correct something finds it open and in sight. */
watch(
  () => route.query['part'],
  async (named) => {
    if (part === '' || named !== part) return;
    if (says !== undefined) openParts.add(part);
    await nextTick();
    host.value?.scrollIntoView({ block: 'start' });
    host.value?.querySelector<HTMLElement>('input, [role=radio], button[aria-haspopup]')?.focus();
  },
  { immediate: true, flush: 'post' },
);
</script>

<template>
  <section
    ref="host"
    class="relative isolate has-[[role=listbox],[role=menu],[data-help]]:z-30"
    :class="says === undefined || isOpen ? 'mb-4' : ''"
    :aria-label="title"
  >
    <h3 v-if="says !== undefined">
      <button
        type="button"
        class="flex min-h-9 w-full items-center gap-3 border-b border-hairline text-left hover:bg-teal-tint pointer-coarse:min-h-11"
        :aria-expanded="isOpen"
        :aria-controls="bodyId"
        @click="togglePart(part)"
      >
        <span class="figure shrink-0 text-[17px] leading-5 font-semibold">{{ title }}</span>
        <span class="min-w-0 flex-1 truncate text-ink2">{{ says }}</span>
        <ChevronUp v-if="isOpen" :size="16" class="shrink-0 text-teal" aria-hidden="true" />
        <ChevronDown v-else :size="16" class="shrink-0 text-teal" aria-hidden="true" />
      </button>
    </h3>
    <header v-else class="mb-2 flex items-baseline justify-between gap-3 border-b border-line pb-1">
      <h3 class="figure text-[17px] font-semibold">{{ title }}</h3>
      <p v-if="note" class="note text-right">{{ note }}</p>
    </header>
    <div :id="bodyId">
      <!-- Kept while it is folded: what was typed into it and not entered stays typed. -->
      <div v-show="isOpen" :class="says === undefined ? '' : 'pt-2'">
        <StillWhile :hidden="!isOpen"><slot /></StillWhile>
      </div>
    </div>
  </section>
</template>
