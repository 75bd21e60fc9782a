<script setup lang="ts">
import { word } from '../../core/words/terms.ts';
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import { type Cable, type Stage, STAGES } from '../../core/model/cable.ts';
import type { CableWork } from '../../core/cableWork.ts';
import { cardOf, placeOf } from '../places.ts';
import { runText, sizeText } from '../ui/display.ts';
import CableMiniature from './CableMiniature.vue';
import { say } from '../../core/words/say.ts';

/** One cable of the rack: tag, size, length, from where to where, its miniature, and seven ticks. */
const { cable, work, jobId, stage, isOpen, isMarked } = defineProps<{
  cable: Cable;
  /** Null where it cannot be worked up: then it is one red line, and the others go on. */
  work: CableWork | null;
  jobId: string;
  /** The stage that it opens at; its card where there is none. */
  stage: Stage | null;
  isOpen: boolean;
  isMarked: boolean;
}>();
defineEmits<{ mark: [] }>();

const SIGNS = { positive: '+', negative: '−', link: '±' } as const;
const length = computed(() => {
  const mm = work?.lengths?.finishedMm ?? cable.run.lengthMm + cable.run.loopMm;
  return runText(mm);
});
const isFailing = computed(() => work?.verdict.state === 'fails');
/** The stage the work has come to: the first that is not done. */
const now = computed(() => STAGES.find((name) => !work?.stages[name].done));
const spokenTicks = computed(
  () =>
    say`${STAGES.filter((name) => work?.stages[name].done).length} of 7 stages done${isFailing.value ? say`, fails` : ''}`,
);
</script>

<template>
  <RouterLink
    :to="stage ? placeOf(jobId, cable.id, stage) : cardOf(jobId, cable.id)"
    class="relative block h-[70px] border-b border-hairline py-1.5 pr-2.5 pl-3.5 focus-visible:-outline-offset-2"
    :class="[
      isOpen ? 'bg-teal-tint' : 'hover:bg-teal-tint/50',
      isMarked ? 'outline-2 -outline-offset-2 outline-teal' : '',
    ]"
    :aria-current="isOpen ? 'page' : undefined"
    @click="
      ($event.ctrlKey || $event.metaKey || $event.shiftKey) &&
      ($event.preventDefault(), $event.stopPropagation(), $emit('mark'))
    "
  >
    <span v-if="isOpen" class="absolute inset-y-0 left-0 w-1 bg-teal" />
    <span class="figure flex items-baseline justify-between gap-2 text-[16px] leading-5 font-semibold">
      <span class="truncate">{{ cable.tag }}</span>
      <span class="text-[15px] font-medium whitespace-nowrap"
        ><template v-if="work">{{ sizeText(work.choice.taken.at.size) }}&ensp;</template>{{ length }}</span
      >
    </span>
    <span class="block truncate text-[12.5px] leading-4">
      {{ cable.ends.A.at || say`from …` }} <span aria-hidden="true">→</span
      ><span class="sr-only">{{ say`to` }}</span>
      {{ cable.ends.B.at || say`to …` }}
    </span>
    <span v-if="!work" class="block truncate text-[12.5px] font-bold text-fails">{{
      say`cannot be worked up`
    }}</span>
    <span v-else class="mt-0.5 flex items-center gap-1">
      <span class="figure w-3 text-[15px] font-semibold" :aria-label="word(cable.polarity)">{{
        SIGNS[cable.polarity]
      }}</span>
      <CableMiniature
        :outer-mm="work.choice.taken.at.outerMm"
        :length-mm="cable.run.lengthMm"
        :jacket="cable.jacket"
        :width="98"
      />
      <span class="ml-auto flex items-center gap-[4.500px]" role="img" :aria-label="spokenTicks">
        <template v-for="name in STAGES" :key="name">
          <span v-if="work.stages[name].done" class="h-3 w-[4px] bg-ink" />
          <span
            v-else-if="name === now"
            class="h-3 w-[6px] border-2"
            :class="isFailing ? 'border-fails' : 'border-teal'"
          />
          <span
            v-else
            class="h-3 w-px"
            :class="work.stages[name].state === 'fails' ? 'bg-fails w-[3px]' : 'bg-ink3'"
          />
        </template>
      </span>
    </span>
  </RouterLink>
</template>
