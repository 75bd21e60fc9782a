<script setup lang="ts">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue';
import { computed, nextTick, ref, useTemplateRef } from 'vue';
import { helpFor } from './help.ts';
import HelpPicture from './HelpPicture.vue';
import { say } from '../../core/words/say.ts';

/** Behind the name of a field: what it is, how to find it out, what follows where it is wrong. Nothing where there is none. */
const { label } = defineProps<{ label: string }>();

const help = computed(() => helpFor(label));

/** What lies behind the mark is made when it is first asked for: a stage has twenty, of which hardly one is pressed. */
const isAsked = ref(false);
const root = useTemplateRef<HTMLElement>('root');
async function ask(): Promise<void> {
  isAsked.value = true;
  await nextTick();
  const button = root.value?.querySelector('button');
  button?.focus();
  button?.click();
}

/** The mark itself, before anything stands behind it and after. */
const mark = computed(() => ({
  class:
    'figure -my-2 inline-flex !min-h-0 !min-w-6 items-center justify-center py-2 text-[14px] leading-3 font-semibold text-teal hover:bg-teal-tint pointer-coarse:-my-4 pointer-coarse:size-11',
  'aria-label': say`Help`,
  title: label,
}));
const WIDTH = 300;
const TALLEST = 300;
const EDGE = 8;
/** It lies over everything, beside its field, and never beyond the window. */
const placed = ref<Readonly<Record<string, string>>>({});
function place({ currentTarget }: Event): void {
  if (!(currentTarget instanceof Element)) return;
  const mark = currentTarget.getBoundingClientRect();
  const left = Math.max(EDGE, Math.min(mark.left - EDGE, innerWidth - WIDTH - EDGE));
  placed.value = {
    left: `${left}px`,
    ...(mark.bottom + TALLEST > innerHeight && mark.top > TALLEST
      ? { bottom: `${innerHeight - mark.top}px` }
      : { top: `${mark.bottom}px` }),
  };
}
</script>

<template>
  <div v-if="help" ref="root" class="help-mark inline-block align-baseline">
    <button v-if="!isAsked" type="button" v-bind="mark" aria-expanded="false" @click="ask">?</button>
    <Popover v-else>
      <PopoverButton v-bind="mark" @click="place">?</PopoverButton>
      <PopoverPanel
        class="fixed z-50 max-h-[292px] w-[300px] max-w-[calc(100vw-16px)] overflow-auto border border-line bg-lamp p-3 text-[13px] leading-5 font-normal whitespace-normal text-ink shadow-lg"
        :style="placed"
        role="note"
        data-help
        :aria-label="say`About ${label}`"
      >
        <HelpPicture v-if="help[2]" :name="help[2]" />
        <p>{{ help[1] }}</p>
      </PopoverPanel>
    </Popover>
  </div>
</template>
