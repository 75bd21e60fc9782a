<script setup lang="ts">
import { Share } from '@lucide/vue';
import { computed, ref } from 'vue';
import { RouterLink } from 'vue-router';
import { cardText } from '../../core/paper/card.ts';
import BenchFrame from '../bench/BenchFrame.vue';
import { placeOf } from '../places.ts';
import { useBench } from '../stores/bench.ts';
import { triedWork } from '../stores/work.ts';
import StageTrack from '../bench/StageTrack.vue';
import CardSheet from './CardSheet.vue';
import { say } from '../../core/words/say.ts';

/** One cable on one sheet: to look at, to print, to hand on. */
const { jobId, cableId } = defineProps<{ jobId: string; cableId: string }>();

const bench = useBench();
const job = computed(() => bench.jobById(jobId));
const cable = computed(() => job.value?.cables.find(({ id }) => id === cableId));
const worked = computed(() => {
  const work = cable.value && triedWork(cable.value, bench.shop, job.value);
  return cable.value && work ? { cable: cable.value, work } : null;
});
const print = () => window.print();
const told = ref('');
/** By the system's own share where it has one, else onto the clipboard. */
async function share(): Promise<void> {
  if (!worked.value) return;
  const text = cardText(worked.value);
  try {
    if ('share' in navigator) await navigator.share({ title: worked.value.cable.tag, text });
    else {
      await (navigator as Navigator).clipboard.writeText(text);
      told.value = say`Copied as text.`;
    }
  } catch {
    told.value = say`It was not shared.`;
  }
}
</script>

<template>
  <BenchFrame :job-id="jobId" :cable-id="cableId">
    <main v-if="worked" class="min-w-0 bg-chalk lg:overflow-y-auto print:overflow-visible print:p-0">
      <StageTrack
        class="print:hidden"
        :job-id="jobId"
        :cable-id="cableId"
        :stage="undefined"
        :work="worked.work"
      />
      <div class="mx-auto max-w-[560px] p-4 print:p-0">
        <CardSheet :worked="worked" />
        <div class="mt-4 flex flex-wrap gap-2 print:hidden">
          <RouterLink :to="placeOf(jobId, cableId, 'make')" class="button filled">{{
            say`Make it`
          }}</RouterLink>
          <RouterLink :to="placeOf(jobId, cableId, 'run')" class="button">{{ say`Change it` }}</RouterLink>
          <button type="button" class="button" @click="print">{{ say`Print the card` }}</button>
          <button type="button" class="button" @click="share">
            <Share :size="18" aria-hidden="true" /> {{ say`Share` }}
          </button>
        </div>
        <p v-if="told" class="note mt-2" role="status">{{ told }}</p>
      </div>
    </main>
    <main v-else-if="job" class="p-4">{{ say`This cable cannot be worked out.` }}</main>
  </BenchFrame>
</template>
