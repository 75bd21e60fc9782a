<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import { isDone as isTicked } from '../../core/model/stepId.ts';
import { computed, nextTick, useTemplateRef, watch } from 'vue';
import type { Cable } from '../../core/model/cable.ts';
import type { Step } from '../../core/traveller/steps.ts';
import { say } from '../../core/words/say.ts';

/** All steps in a row: done behind, now, ahead, with the lock gates between them, each named by what must be true. */
const { steps, currentId, cable } = defineProps<{
  steps: readonly Step[];
  currentId: string | undefined;
  cable: Cable;
}>();
defineEmits<{ go: [stepId: string] }>();

const host = useTemplateRef<HTMLElement>('host');
const isDone = (id: string) => isTicked(cable, id);
/** One gate is named where there are several: the one that is this step's own. */
const named = computed(() =>
  steps.map(({ gates }) => {
    const own = gates.filter(({ id }) => id !== 'order');
    return own.find(({ stop }) => stop) ?? own.findLast(({ list }) => !list) ?? own.at(-1);
  }),
);
watch(
  () => currentId,
  async () => {
    await nextTick();
    host.value
      ?.querySelector('[aria-current="step"]')
      ?.scrollIntoView({ inline: 'center', block: 'nearest' });
  },
  { immediate: true, flush: 'post' },
);
</script>

<template>
  <ol ref="host" class="flex h-20 overflow-x-auto border-b border-line" :aria-label="say`Steps`">
    <li v-for="(step, i) in steps" :key="step.id" class="relative shrink-0">
      <button
        type="button"
        class="figure flex h-full min-w-[91px] flex-col px-2.5 pt-3 text-left text-[16px] focus-visible:-outline-offset-2"
        :class="step.id === currentId ? 'bg-teal text-on-teal' : 'hover:bg-teal-tint'"
        :aria-current="step.id === currentId ? 'step' : undefined"
        @click="$emit('go', step.id)"
      >
        <span class="block whitespace-nowrap"
          ><span :class="step.id === currentId ? '' : 'text-ink2'">{{ i + 1 }}</span> {{ tell(step.short)
          }}<span class="sr-only">{{ isDone(step.id) ? say`, done` : '' }}</span></span
        >
        <span
          class="my-1.5 block"
          :class="
            isDone(step.id)
              ? `h-[11px] ${step.id === currentId ? 'bg-on-teal' : 'bg-ink'}`
              : step.id === currentId
                ? 'h-[11px] border-2 border-on-teal'
                : 'h-[11px] border-t-2 border-hairline'
          "
        />
        <span
          v-if="named[i]"
          class="block max-w-[120px] truncate text-[13px]"
          :class="step.id === currentId ? '' : 'text-ink2'"
          >{{ isDone(step.id) ? '⟨' : '=' }} {{ tell(named[i]?.says) }}</span
        >
      </button>
    </li>
  </ol>
</template>
