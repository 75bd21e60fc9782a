<script setup lang="ts">
import { computed, ref } from 'vue';
import { RouterLink, useRoute } from 'vue-router';
import { useBench } from '../stores/bench.ts';
import { say } from '../../core/words/say.ts';
import { type Fault, faultText } from './faults.ts';

/** A part that failed, in its place: what can be done now, with the rest alive round it. */
const { fault, title, jobId } = defineProps<{ fault: Fault; title: string; jobId?: string | undefined }>();
const emit = defineEmits<{ again: [] }>();

const bench = useBench();
const route = useRoute();
const copied = ref('');
const job = computed(() => bench.jobById(jobId ?? String(route.params['jobId'] ?? '')));

function undo(): void {
  bench.undo();
  emit('again');
}
async function exportJob(): Promise<void> {
  if (!job.value) return;
  const { exportJob: write } = await import('../storage/files.ts');
  await write(job.value, bench.shop);
}
async function copy(): Promise<void> {
  try {
    await navigator.clipboard.writeText(faultText(fault));
    copied.value = say`Copied.`;
  } catch {
    copied.value = faultText(fault);
  }
}
</script>

<template>
  <section class="m-3.5 max-w-[680px] border-l-4 border-fails bg-paper p-3.5" role="alert">
    <h2 class="figure text-[20px] font-semibold">{{ title }}</h2>
    <p class="mt-1 max-w-prose">
      {{
        say`Your work is kept; the rest of the page goes on. Undo the last change, or export the job and go on elsewhere.`
      }}
    </p>
    <p class="note mt-1 break-words">{{ fault.message }}</p>
    <div class="mt-3 flex flex-wrap gap-2">
      <button v-if="bench.undoable" type="button" class="button filled" @click="undo">
        {{ say`Undo the last change: ${bench.undoable}` }}
      </button>
      <button type="button" class="button" @click="$emit('again')">{{ say`Try again` }}</button>
      <button v-if="job" type="button" class="button" @click="exportJob">{{ say`Export this job` }}</button>
      <RouterLink to="/jobs" class="button">{{ say`To the list of jobs` }}</RouterLink>
      <button type="button" class="button" @click="copy">{{ say`Copy what went wrong` }}</button>
    </div>
    <p v-if="copied" class="note mt-2 break-words whitespace-pre-wrap" role="status">{{ copied }}</p>
  </section>
</template>
