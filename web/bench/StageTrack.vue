<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import { RouterLink } from 'vue-router';
import { type Stage, STAGES } from '../../core/model/cable.ts';
import type { CableWork } from '../../core/cableWork.ts';
import { placeOf } from '../places.ts';
import StateMark from '../ui/StateMark.vue';
import { STAGE_TITLES } from './stages.ts';
import { say } from '../../core/words/say.ts';

/** The seven stages in the order of the work. Nothing is locked; each says how far it is. */
defineProps<{ jobId: string; cableId: string; stage: Stage | undefined; work: CableWork }>();
</script>

<template>
  <nav :aria-label="say`Stages`" class="isolate flex overflow-x-auto border-b border-line bg-chalk">
    <RouterLink
      v-for="(name, i) in STAGES"
      :key="name"
      :to="placeOf(jobId, cableId, name)"
      class="h-[52px] min-w-[44px] flex-1 border-r border-hairline px-2 py-1.5 max-sm:px-0.5 last:border-r-0 focus-visible:-outline-offset-4 max-sm:text-center"
      :class="
        stage === name
          ? 'bg-teal text-on-teal focus-visible:outline-on-teal max-sm:min-w-[118px] max-sm:px-2 max-sm:text-left'
          : 'hover:bg-teal-tint'
      "
      :aria-current="stage === name ? 'step' : undefined"
    >
      <span
        class="flex items-center gap-2 max-sm:flex-col max-sm:gap-0"
        :class="stage === name ? 'max-sm:flex-row max-sm:gap-2' : ''"
      >
        <span
          class="figure inline-flex size-[18px] shrink-0 items-center justify-center rounded-[2px] border text-[13px]"
          :class="
            stage === name
              ? 'border-on-teal'
              : work.stages[name].done
                ? 'border-ink bg-ink text-paper'
                : 'border-hairline bg-paper text-ink2'
          "
          >{{ i + 1 }}</span
        >
        <span class="figure text-[18px] leading-5 font-semibold max-sm:text-[15px]">{{
          STAGE_TITLES[name]
        }}</span>
      </span>
      <span class="mt-0.5 flex items-center gap-1.5" :class="stage === name ? '' : 'max-sm:hidden'">
        <StateMark
          v-if="stage !== name && work.stages[name].state !== 'unproved'"
          :state="work.stages[name].state"
          :close="work.stages[name].close"
          :word="false"
        />
        <span class="figure truncate text-[15px] leading-[18px]" :class="stage === name ? '' : 'text-ink2'">{{
          tell(work.stages[name].summary)
        }}</span>
      </span>
    </RouterLink>
  </nav>
</template>
