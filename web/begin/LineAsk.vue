<script setup lang="ts">
import { nanoid } from 'nanoid';
import { refDebounced } from '@vueuse/core';
import { computed } from 'vue';
import { cableFromLine } from '../../core/line/fromLine.ts';
import { contextOf } from '../../core/jobContext.ts';
import type { Job } from '../../core/model/job.ts';
import { workedOut, workUpCable } from '../../core/workup.ts';
import { useBench } from '../stores/bench.ts';
import { report } from '../trouble/faults.ts';
import { followDuty } from '../workers/duties.ts';
import type { LineTaken } from './lineTaken.ts';
import AnswerCard from './AnswerCard.vue';
import LineBox from './LineBox.vue';
import { say } from '../../core/words/say.ts';

/** A cable in one line, its answer at once, and the ways on: to the bench or to its card. */
const emit = defineEmits<{ take: [asked: Job, to: LineTaken] }>();
defineProps<{ noFocus?: boolean }>();
const line = defineModel<string>({ required: true });

/** The answer is worked out in the pauses of typing, so that no key waits for it. */
const PAUSE_MS = 60;
const bench = useBench();
const answer = computed(() => cableFromLine(line.value, bench.shop, ['out', 'back']));
const settled = refDebounced(answer, PAUSE_MS);
const worked = computed(() => {
  const { job } = settled.value;
  const [cable] = job?.cables ?? [];
  if (!job || !cable || line.value.trim() === '') return null;
  try {
    const work = workedOut(workUpCable(cable, bench.shop, { context: contextOf(cable, job), followDuty }));
    return { cable, work, isPair: job.cables.length > 1 };
  } catch (error) {
    report(error, 'start');
    return null;
  }
});
/** Hands over what the line asks for now, under ids of its own. */
function take(to: LineTaken): void {
  const { job } = answer.value;
  if (!job) return;
  const cables = job.cables.map((cable) => ({ ...cable, id: nanoid(10) }));
  emit('take', { ...job, id: nanoid(10), cables }, to);
}
</script>

<template>
  <div>
    <LineBox v-model="line" :answer="answer" :no-focus="noFocus" @take="take('bench')" />
    <template v-if="worked">
      <AnswerCard class="mt-3" :worked="worked" :is-pair="worked.isPair" />
      <div class="mt-3 flex flex-wrap items-center gap-2">
        <button type="button" class="button filled" @click="take('bench')">
          {{ worked.isPair ? say`Take both to the bench` : say`Take it to the bench` }}
        </button>
        <button type="button" class="button" @click="take('card')">{{ say`The card` }}</button>
      </div>
    </template>
  </div>
</template>
