<script setup lang="ts">
import { onKeyStroke } from '@vueuse/core';
import { ArrowLeft } from '@lucide/vue';
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import type { CableWork } from '../../core/cableWork.ts';
import type { Cable } from '../../core/model/cable.ts';
import { type Ago, type HotEnd, hotEnds } from '../../core/traveller/gates.ts';
import SavedMark from '../bench/SavedMark.vue';
import CableMiniature from '../rack/CableMiniature.vue';
import { placeOf } from '../places.ts';
import { useBench } from '../stores/bench.ts';
import { triedWork } from '../stores/work.ts';
import { clock } from './clock.ts';
import { say } from '../../core/words/say.ts';

/** Which cable is at the bench, what of it burns, and the other one that is in progress meanwhile. */
const { jobId, cable, work, hot, ago } = defineProps<{
  jobId: string;
  cable: Cable;
  work: CableWork;
  hot: readonly HotEnd[];
  ago: Ago;
}>();
const emit = defineEmits<{ turn: [cableId: string] }>();

const bench = useBench();
/** Another cable that is begun and not finished: a second one may be in progress while this one cools. */
const other = computed(() => {
  const job = bench.jobById(jobId);
  const begun = (job?.cables ?? []).flatMap((waiting) => {
    if (waiting.id === cable.id || waiting.done.length === 0) return [];
    const its = triedWork(waiting, bench.shop, job);
    if (!its) return [];
    const left = its.steps.filter(({ id }) => !waiting.done.some(({ step }) => step === id));
    const [burning] = hotEnds(waiting, its, ago);
    return left.length > 0 || burning
      ? [
          {
            cable: waiting,
            left: left[0],
            count: its.steps.length - left.length,
            all: its.steps.length,
            burning,
          },
        ]
      : [];
  });
  const last = (waiting: (typeof begun)[number]) => waiting.cable.done.at(-1)?.at ?? '';
  return begun.sort((a, b) => last(b).localeCompare(last(a)))[0];
});
onKeyStroke('o', () => {
  if (document.activeElement?.matches('input, textarea, [role=dialog] *')) return;
  if (other.value) emit('turn', other.value.cable.id);
});
</script>

<template>
  <header class="flex flex-wrap items-stretch border-b border-line">
    <RouterLink
      :to="placeOf(jobId, cable.id, 'make')"
      class="flex min-h-14 items-center gap-2.5 border-r border-hairline px-5 text-[17px] font-bold text-teal"
    >
      <ArrowLeft :size="20" aria-hidden="true" /> {{ say`All steps` }}
      <span class="key max-sm:hidden">{{ say`Esc` }}</span>
    </RouterLink>
    <div class="flex min-w-0 flex-1 items-center gap-4 px-5">
      <b class="figure text-[28px] leading-8 font-semibold whitespace-nowrap">{{ cable.tag }}</b>
      <CableMiniature
        class="max-md:hidden"
        :outer-mm="work.choice.taken.at.outerMm"
        :length-mm="cable.run.lengthMm"
        :jacket="cable.jacket"
      />
      <span class="truncate text-[16px] text-ink2">{{ cable.ends.A.at }} → {{ cable.ends.B.at }}</span>
      <SavedMark class="border-l border-hairline pl-4 text-[16px]" />
      <span v-for="own in hot" :key="own.end" class="figure text-[18px] text-fails" role="timer">{{
        say`${own.end} hot ${clock(own.waitS)}`
      }}</span>
    </div>
    <button
      v-if="other"
      type="button"
      class="flex min-h-14 items-center gap-4 border-l border-hairline bg-lamp px-5 text-left hover:bg-teal-tint"
      @click="$emit('turn', other.cable.id)"
    >
      <b class="figure text-[21px] font-semibold">{{ other.cable.tag }}</b>
      <span class="leading-5 text-ink2">
        {{
          say`${other.count} of ${other.all}${other.left ? say`, then ${other.left.short}` : say`, all done`}`
        }}
        <span v-if="other.burning" class="block text-fails">{{
          say`${other.burning.end} hot, hands off`
        }}</span>
      </span>
      <span v-if="other.burning" class="figure text-[28px] font-semibold" role="timer">{{
        clock(other.burning.waitS)
      }}</span>
      <span class="key">O</span>
    </button>
  </header>
</template>
